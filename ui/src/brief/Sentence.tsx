import { Fragment, useState } from "react";
import type { Brief, Choice as ChoiceOf, Field as FieldOf, Press as PressOf, Word } from "../api/api.gen";
import { usePlan } from "../plan/context";
import { get } from "../plan/path";
import { dressed } from "../words/fractions";
import { T } from "../words/T";
import { Choice, PlanChoice } from "./Choice";
import { useTake } from "./take";
import { textTold, told } from "./told";
import { type Kind, Value } from "./Value";

/** A sentence of the brief: its words, and in it what can be decided. */
export function Sentence({ of: words }: { of: readonly Word[] }) {
  return (
    <>
      {words.map((word, i) => (
        <OneWord key={keyOf(word) || i} of={word} />
      ))}
    </>
  );
}

/** What is decided keeps its place in the page, whatever is said before it. */
const keyOf = ({ field, choice, press, widget, of }: Word) =>
  field?.path ?? choice?.id ?? press?.id ?? (widget && `${widget} ${of}`);

function OneWord({ of: word }: { of: Word }) {
  if (word.field) return <Typed of={word.field} />;
  if (word.choice) return <Chosen of={word.choice} />;
  if (word.press) return <Pressed of={word.press} />;
  if (word.shows) return <Shown path={word.shows} />;
  const Widget = word.widget ? told[word.widget] : undefined;
  if (Widget) return <Widget of={word.of ?? ""} />;
  return <Fragment>{word.text}</Fragment>;
}

function Typed({ of: field }: { of: FieldOf }) {
  const { drawn } = usePlan();
  const fromReckoning = field.told ? textTold[field.told]?.(drawn, field.path) : undefined;
  return (
    <Value
      path={field.path}
      label={field.label}
      kind={field.reads as Kind}
      shown={fromReckoning ?? field.shown}
      also={field.also}
      follows={field.follows}
    />
  );
}

/** A choice; what is chosen stands there until the brief tells it. */
function Chosen({ of: choice }: { of: ChoiceOf }) {
  const take = useTake();
  const { brief } = usePlan();
  const [taking, hold] = useState<{ key: string; of: Brief } | null>(null);
  const options = choice.options.map((o) => ({ value: o.key, name: o.says, shown: o.shown }));
  if (choice.sets) return <PlanChoice path={choice.id} label={choice.label} now={choice.now} options={options} />;
  const busy = taking?.of === brief;
  const now = busy ? taking.key : choice.now;
  const choose = async (next: string) => {
    if (next === now) return;
    hold({ key: next, of: brief });
    const says = options.find((o) => o.value === next)?.name ?? next;
    if (!(await take(choice.id, next, `${choice.label}: ${says}`))) hold(null);
  };
  return <Choice label={choice.label} value={now} options={options} choose={(next) => void choose(next)} busy={busy} />;
}

function Pressed({ of: press }: { of: PressOf }) {
  const take = useTake();
  return (
    <button
      type="button"
      className="word-button"
      aria-label={press.label}
      onClick={() => void take(press.id, "", (press.label ?? press.says).toLowerCase())}
    >
      {press.says}
    </button>
  );
}

/** A length of the plan that is not changed here. */
function Shown({ path }: { path: string }) {
  const { settled, value } = usePlan();
  return <T>{dressed(String(get(settled, path) ?? ""), String(value("/units") ?? "in"))}</T>;
}

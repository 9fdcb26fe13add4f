import { Fragment, memo, useState } from "react";
import type { Brief, Choice as ChoiceOf, Field as FieldOf, Press as PressOf, Word } from "../api/api.gen";
import { decided, useOf, useSession } from "../plan/context";
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
      {words.map((word, i) => {
        const key = keyOf(word) || i;
        if (word.press)
          return (
            <span key={key} className="together">
              {opening(words[i - 1])}
              <OneWord of={word} />
              {closing(words[i + 1])}
            </span>
          );
        const [from, to] = [words[i - 1]?.press ? closing(word) : "", words[i + 1]?.press ? opening(word) : ""];
        if (from || to) return word.text?.slice(from.length, word.text.length - to.length);
        return <OneWord key={key} of={word} />;
      })}
    </>
  );
}

/** What of a text stays with a button after it, and before it: a browser ends lines at both sides of a button. */
const opening = (word?: Word) => /[(“]*$/.exec(word?.text ?? "")?.[0] ?? "";
const closing = (word?: Word) => /^[),.;:”]*/.exec(word?.text ?? "")?.[0] ?? "";

/** What is decided keeps its place in the page, whatever is said before it. */
const keyOf = ({ field, choice, press, widget, of }: Word) =>
  field?.path ?? choice?.id ?? press?.id ?? (widget && `${widget} ${of}`);

/** A word of the brief keeps its identity as long as it says the same. */
const OneWord = memo(function OneWord({ of: word }: { of: Word }) {
  if (word.field) return <Typed of={word.field} />;
  if (word.choice) return <Chosen of={word.choice} />;
  if (word.press) return <Pressed of={word.press} />;
  if (word.shows) return <Shown path={word.shows} />;
  const Widget = word.widget ? told[word.widget] : undefined;
  if (Widget) return <Widget of={word.of ?? ""} />;
  return <Fragment>{word.text}</Fragment>;
});

function Typed({ of: field }: { of: FieldOf }) {
  const fromReckoning = useOf((s) => field.told && textTold[field.told]?.(s.drawn, field.path)) || undefined;
  return (
    <Value
      path={field.path}
      label={field.label}
      kind={field.reads as Kind}
      shown={fromReckoning ?? field.shown}
      shownFor={fromReckoning === undefined ? field.for : undefined}
      also={field.also}
      follows={field.follows}
      sheet
    />
  );
}

/** What is on its way: told of this brief, until the next one tells what became of it. */
function useTaking() {
  const take = useTake();
  const session = useSession();
  const [taking, hold] = useState<{ key: string; of: Brief } | null>(null);
  const brief = useOf((s) => taking && s.brief);
  const busy = taking !== null && taking.of === brief;
  return {
    /** The key of what was chosen, while it is on its way. */
    taken: busy ? taking.key : undefined,
    /** Takes a decision, once: what is told after it may be another thing at the same place. */
    take: async (id: string, key: string, label: string) => {
      if (busy) return;
      hold({ key, of: session.current().brief });
      if (!(await take(id, key, label))) hold(null);
    },
  };
}

/** A choice; what is chosen stands there until the brief tells it. */
function Chosen({ of: choice }: { of: ChoiceOf }) {
  const { taken, take } = useTaking();
  const options = choice.options.map((o) => ({ value: o.key, name: o.says, shown: o.shown }));
  if (choice.sets) return <PlanChoice path={choice.id} label={choice.label} now={choice.now} options={options} />;
  const choose = (next: string) => {
    const says = options.find((o) => o.value === next)?.name ?? next;
    if (next !== choice.now) void take(choice.id, next, `${choice.label}: ${says}`);
  };
  return (
    <Choice
      label={choice.label}
      value={taken ?? choice.now}
      options={options}
      choose={choose}
      busy={taken !== undefined}
    />
  );
}

/** What a button is called where one cannot see what it stands beside; what it says is part of it, for those who speak. */
function called({ label, says }: PressOf): string | undefined {
  if (!label || label.toLowerCase().includes(says.toLowerCase())) return label;
  return `${label}: ${says}`;
}

function Pressed({ of: press }: { of: PressOf }) {
  const { taken, take } = useTaking();
  return (
    <button
      type="button"
      className="word-button"
      aria-label={called(press)}
      aria-disabled={taken !== undefined || undefined}
      onClick={() => void take(press.id, "", (press.label ?? press.says).toLowerCase())}
    >
      {press.says}
    </button>
  );
}

/** A length of the plan that is not changed here. */
function Shown({ path }: { path: string }) {
  const settled = useOf((s) => String(get(s.settled, path) ?? ""));
  const units = useOf((s) => String(decided(s, "/units") ?? "in"));
  return <T>{dressed(settled, units)}</T>;
}

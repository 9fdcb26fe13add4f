import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import type { Units as Data, MovedUnits } from "../api/api.gen";
import { ask, sentence } from "../api/client";
import type { Made, Plan } from "../api/plan.gen";
import { readAgain } from "../api/queries";
import { useOf, usePlan } from "../plan/context";
import { useSay } from "../shell/Say";
import { T } from "../words/T";

/** The units that the blocks of a plan are sewn from: how many are there already, and what is over. */
export function PlanUnits() {
  const { reckoning } = usePlan();
  if (reckoning.units.length === 0) return null;
  const told = reckoning.units.some((u) => (u.have ?? 0) + (u.over ?? 0) + (u.held ?? 0) > 0);
  return (
    <details className="how-much units" open={told || undefined}>
      <summary>Units left from other covers</summary>
      <ul>
        {reckoning.units.map((u) => (
          <li key={`${u.cells} ${u.says}`}>
            <UnitsOf units={u} />
          </li>
        ))}
      </ul>
    </details>
  );
}

/** The same at the step they are sewn in, where there is something to say. */
export function StepUnits({ step }: { step: string }) {
  const { reckoning } = usePlan();
  const mine = reckoning.units.filter((u) => u.step === step && (u.have ?? 0) + (u.over ?? 0) + (u.held ?? 0) > 0);
  return mine.map((u) => (
    <p key={`${u.cells} ${u.says}`} className="units">
      <UnitsOf units={u} />
    </p>
  ));
}

/** One of so many units as a plan tells of them. */
const madeOf = (u: Data, count: number): Made => ({
  cells: u.cells,
  cloths: u.cloths,
  width: u.width.exact,
  height: u.height.exact,
  count,
});

/** A plan that has so many of the units. */
function having(plan: Plan, u: Data, count: number): Plan {
  const others = (plan.made ?? []).filter((_, i) => !u.made.includes(i));
  return { ...plan, made: count > 0 ? [...others, madeOf(u, count)] : others };
}

function UnitsOf({ units }: { units: Data }) {
  const { id, plan, rework, session } = usePlan();
  const say = useSay();
  const client = useQueryClient();
  const [problem, setProblem] = useState<string | null>(null);
  const there = (plan.made ?? []).filter((_, i) => units.made.includes(i)).reduce((n, m) => n + Number(m.count), 0);
  const over = (units.over ?? 0) - (units.kept ?? 0);
  const held = units.held ?? 0;
  // What it put in itself it is not offered.
  const takes = (units.kept ?? 0) > 0 ? 0 : Math.min(held, units.need - (units.have ?? 0));

  /** Moves so many into the cupboard, out of it below 0, and writes into the plan what that makes of it. */
  const move = async (put: number, from: number, change: (plan: Plan) => Plan, label: string) => {
    setProblem(null);
    try {
      await session.settle();
      const moved = await ask<MovedUnits>("POST", `/plans/${id}/units`, { made: madeOf(units, 1), held: from, put });
      rework(change, label);
      await session.settle();
      await readAgain(client);
      return moved.text;
    } catch (error) {
      setProblem(sentence(error));
      return null;
    }
  };
  const moving = async (put: number, change: (plan: Plan) => Plan, how: string) => {
    const label = `${units.name}: ${how}`;
    const before = { made: plan.made, over: plan.progress?.over };
    const text = await move(put, held, change, label);
    if (text === null) return;
    const back = (p: Plan): Plan => ({ ...p, made: before.made, progress: { ...p.progress, over: before.over } });
    say(text, { label: "Undo", act: () => void move(-put, held + put, back, `taken back: ${label}`) });
  };
  const surplus = there - (units.have ?? 0);
  const less = (p: Plan) => having(p, units, there - surplus);
  const kept = (p: Plan): Plan => ({
    ...p,
    progress: { ...p.progress, over: [...(p.progress?.over ?? []), madeOf(units, over)] },
  });
  return (
    <>
      <strong>{upper(units.name)}</strong>, <T>{units.says}</T>: {units.need || "none"} needed,{" "}
      <Many of={units} now={there} set={(n) => rework((p) => having(p, units, n), label(units, n))} /> left from other
      covers.
      {takes > 0 && (
        <span className="unit-part">
          {held} in the cupboard.{" "}
          <Act
            says={`Take ${takes}`}
            of={units}
            act={() => moving(-takes, (p) => having(p, units, there + takes), `${takes} from the cupboard`)}
          />
        </span>
      )}
      {surplus > 0 && (
        <span className="unit-part">
          <Act
            says={`Put ${surplus} into the cupboard`}
            of={units}
            act={() => moving(surplus, less, "into the cupboard")}
          />
        </span>
      )}
      {over > 0 && (
        <span className="unit-part">
          {over} more {over === 1 ? "comes" : "come"} of what is cut.{" "}
          <Act says={`Put ${over} into the cupboard`} of={units} act={() => moving(over, kept, "into the cupboard")} />
        </span>
      )}
      {(units.kept ?? 0) > 0 && (
        <span className="soft unit-part">
          {units.kept} more came of what was cut, and {units.kept === 1 ? "is" : "are"} in the cupboard.
        </span>
      )}
      {problem && (
        <span className="finding stop" role="alert">
          {problem}
        </span>
      )}
    </>
  );
}

const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Moves units to or from the cupboard; what is being saved is waited for. */
function Act({ says, of, act }: { says: string; of: Data; act: () => Promise<void> }) {
  const saving = useOf((s) => s.saving);
  return (
    <button type="button" className="word-button" disabled={saving !== "saved"} onClick={() => void act()}>
      {says}
      <span className="sr-only">: {of.name}</span>
    </button>
  );
}

const label = (u: Data, n: number) => `${n} ${u.name} left from other covers`;

/** How many there are already, to be typed. */
function Many({ of, now, set }: { of: Data; now: number; set: (n: number) => void }) {
  const [draft, setDraft] = useState(String(now));
  useEffect(() => setDraft(String(now)), [now]);
  const n = Number(draft);
  const good = Number.isInteger(n) && n >= 0 && n <= 2000 && draft.trim() !== "";
  const keep = () => good && n !== now && set(n);
  return (
    <>
      <input
        className="many"
        inputMode="numeric"
        size={3}
        value={draft}
        aria-label={`How many ${of.name}, ${of.says}, are left from other covers`}
        aria-invalid={!good}
        onChange={(e) => setDraft(e.target.value)}
        onBlur={keep}
        onKeyDown={(e) => e.key === "Enter" && keep()}
      />
      {!good && <span className="finding stop"> Type a whole number from 0 to 2000.</span>}
    </>
  );
}

import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import type { Units as Data } from "../api/api.gen";
import type { Made, Plan } from "../api/plan.gen";
import { readAgain } from "../api/queries";
import { useOf, usePlan, useReckoning } from "../plan/context";
import { T } from "../words/T";

/** The units that the blocks of a plan are sewn from: how many are there already, and what is over. */
export function PlanUnits() {
  const reckoning = useReckoning();
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
  const reckoning = useReckoning();
  const mine = reckoning.units.filter((u) => u.step === step && (u.have ?? 0) + (u.over ?? 0) + (u.held ?? 0) > 0);
  return mine.map((u) => (
    <p key={`${u.cells} ${u.says}`} className="units">
      <UnitsOf units={u} />
    </p>
  ));
}

/** So many units as a plan tells them, and how many of them came out of the cupboard. */
const madeOf = (u: Data, count: number, cupboard = 0): Made => ({
  cells: u.cells,
  cloths: u.cloths,
  width: u.width.exact,
  height: u.height.exact,
  count,
  ...(cupboard > 0 && { cupboard }),
});

/** What a plan has of the units: how many, and how many of them out of the cupboard. */
function hasOf(plan: Plan, u: Data) {
  const mine = (plan.made ?? []).filter((_, i) => u.made.includes(i));
  const sum = (of: (m: Made) => unknown) => mine.reduce((n, m) => n + Number(of(m) ?? 0), 0);
  return { count: sum((m) => m.count), cupboard: sum((m) => m.cupboard) };
}

/** A plan that has so many of the units. */
function having(plan: Plan, u: Data, count: number, cupboard: number): Plan {
  const others = (plan.made ?? []).filter((_, i) => !u.made.includes(i));
  return { ...plan, made: count > 0 ? [...others, madeOf(u, count, Math.min(count, cupboard))] : others };
}

function UnitsOf({ units }: { units: Data }) {
  const { rework, session } = usePlan();
  const client = useQueryClient();
  const { kept = 0, held = 0, over = 0, surplus = 0, spare = 0, takes = 0 } = units;

  /** Changes the plan, which the cupboard follows, and reads again what is there. */
  const move = async (change: (plan: Plan) => Plan, how: string) => {
    rework(change, `${units.name}: ${how}`);
    await session.settle();
    await readAgain(client);
  };
  const take = (p: Plan) => {
    const { count, cupboard } = hasOf(p, units);
    return having(p, units, count + takes, cupboard + takes);
  };
  const put = (p: Plan): Plan => ({
    ...p,
    progress: { ...p.progress, over: [...(p.progress?.over ?? []), madeOf(units, spare)] },
  });
  const type = (n: number) =>
    rework((p) => having(p, units, n, hasOf(p, units).cupboard), `${n} ${units.name} left from other covers`);
  return (
    <>
      <strong>{upper(units.name)}</strong>, <T>{units.says}</T>: {units.need || "none"} needed,{" "}
      <Many of={units} now={units.there ?? 0} set={type} /> left from other covers.{" "}
      {takes > 0 && (
        <span className="unit-part">
          {held} in the cupboard.{" "}
          <Act says={`Take ${takes}`} of={units} act={() => move(take, "out of the cupboard")} />
        </span>
      )}{" "}
      {surplus > 0 && (
        <span className="unit-part">
          {surplus} of those {surplus === 1 ? "is" : "are"} not needed.
        </span>
      )}{" "}
      {over > 0 && (
        <span className="unit-part">
          {over} more {over === 1 ? "comes" : "come"} of what is cut.
        </span>
      )}
      {kept > 0 && <span className="soft unit-part">{kept} put into the cupboard.</span>}{" "}
      {spare > 0 && (
        <span className="unit-part">
          <Act says={`Put ${spare} into the cupboard`} of={units} act={() => move(put, "into the cupboard")} />
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

import { useEffect, useRef, useState } from "react";
import { Findings } from "../brief/Thread";
import { useDrawn, usePlan, useReckoning } from "../plan/context";
import { useCooling } from "../sew/cooling";
import { Finish } from "../sew/Finish";
import { atHand, booked, ended, forAll, undone } from "../sew/progress";
import { StepAtHand } from "../sew/StepAtHand";
import { Where } from "../sew/Where";
import { Older } from "../sheet/Older";
import { useKeys } from "../shell/keys";

/** The steps in working order, the one at hand large. */
export function Sew() {
  const { plan, rework, value } = usePlan();
  const reckoning = useReckoning();
  const drawn = useDrawn();
  // A half-typed measurement, or one that stops the plan, must not take its step away.
  const shown = reckoning.steps.length > 0 ? reckoning : drawn;
  // The plan itself says what is done: at once, before the server has answered.
  const ticked = (value("/progress/done") ?? []) as string[];
  const skipped = (value("/progress/skipped") ?? {}) as Record<string, string>;
  const steps = shown.steps.map((s) => ({ ...s, done: ticked.includes(s.id) || s.id in skipped }));
  const copies = Number(value("/copies") ?? 1);
  const progress = plan.progress ?? {};
  const firstOpen = atHand(steps, progress, copies);
  const [looked, setLooked] = useState<{ id: string; whole?: string; parts?: boolean } | null>(null);
  const placeOf = (id: string) => steps.findIndex((s) => s.id === id);
  const look = (id: string | null, parts?: boolean) =>
    setLooked(id === null ? null : { id, whole: steps.find((s) => s.id === id)?.of, parts });
  // A part that is not there yet, or no longer, is looked at with its whole step.
  const first = looked?.parts ? steps.findIndex((s) => s.of === looked.id) : -1;
  const at = [first, placeOf(looked?.id ?? ""), placeOf(looked?.whole ?? "")].find((i) => i >= 0) ?? firstOpen;
  const step = steps[at];
  const cool = useCooling();
  const heading = useRef<HTMLHeadingElement>(null);
  const list = useRef<HTMLOListElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list follows the step at hand
  useEffect(() => {
    list.current?.querySelector("[aria-current]")?.scrollIntoView({ block: "nearest" });
  }, [at]);

  const by = (way: number) => {
    const other = steps[Math.min(steps.length - 1, Math.max(0, (at < 0 ? steps.length : at) + way))];
    if (other) look(other.id);
  };
  useKeys({ j: () => by(1), k: () => by(-1) });

  if (steps.length === 0) {
    return (
      <div className="page">
        <h1>Sew</h1>
        <p className="empty">There are no steps yet: the plan cannot be cut as it stands.</p>
        <Findings of={reckoning.findings.filter((f) => f.level === "stop")} />
      </div>
    );
  }
  return (
    <div className="sew">
      <ol ref={list} className="steps thread" aria-label="Steps">
        {steps.map((s, i) => (
          <li key={s.id} className={`${s.done ? "done" : ""}${i === at ? " now" : ""}`}>
            <span className="knot" aria-hidden="true" />
            <button type="button" aria-current={i === at ? "step" : undefined} onClick={() => look(s.id)}>
              {s.title}
              {s.id in skipped ? (
                <span className="soft"> (left out)</span>
              ) : (
                s.done && <span className="sr-only"> (done)</span>
              )}
            </button>
          </li>
        ))}
      </ol>
      <section className="bench" aria-label="The step at hand">
        <Older />
        <Where of={shown} />
        {shown !== reckoning && <Findings of={reckoning.findings.filter((f) => f.level === "stop")} />}
        {step ? (
          <StepAtHand
            key={step.id}
            step={step}
            reckoning={shown}
            number={at + 1}
            of={steps.length}
            next={steps.find((s, i) => i > at && !s.done)}
            headingRef={heading}
            look={look}
            done={() => {
              if (step.rest) cool(step.title, step.rest);
              const through = (progress.made?.[step.id] ?? 0) + 1;
              if (progress.each && !forAll(step) && through < copies) {
                rework((plan) => {
                  const now = ended(plan.progress ?? {}, step.id, new Date());
                  return { ...plan, progress: { ...now, made: { ...now.made, [step.id]: through } } };
                }, `${step.title}: ${through} of ${copies}`);
                look(null);
                return;
              }
              rework((plan) => {
                const now = booked(ended(plan.progress ?? {}, step.id, new Date()), step, shown.cuts);
                return {
                  ...plan,
                  progress: { ...now, done: [...(now.done ?? []).filter((id) => id !== step.id), step.id] },
                };
              }, `done: ${step.title}`);
              look(null);
              heading.current?.focus();
            }}
            takeBack={() => {
              rework(
                (plan) => ({ ...plan, progress: undone(plan.progress ?? {}, [step.id]) }),
                `not done: ${step.title}`,
              );
              look(step.id);
            }}
          />
        ) : (
          <Finish />
        )}
      </section>
    </div>
  );
}

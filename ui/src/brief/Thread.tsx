import { type ReactNode, useRef } from "react";
import type { Finding, Mend } from "../api/api.gen";
import { usePlan } from "../plan/context";
import { patched } from "../plan/patch";
import { T } from "../words/T";

/** A stage of the brief: a knot on the basted thread, and its sentences. */
export function Stage({
  name,
  now,
  enter,
  findings,
  children,
}: {
  name: string;
  now: boolean;
  enter: () => void;
  findings: Finding[];
  children: ReactNode;
}) {
  // A stage grows when it is taken in hand: never between press and release, or what
  // was pressed would slip away from under the pointer.
  const pressed = useRef(false);
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the keyboard takes a stage in hand by focus
    <section
      className={`stage${now ? " now" : ""}`}
      aria-label={name}
      onPointerDown={() => {
        pressed.current = true;
      }}
      onPointerCancel={() => {
        pressed.current = false;
      }}
      onClick={() => {
        pressed.current = false;
        enter();
      }}
      onFocus={() => pressed.current || enter()}
    >
      <span className="knot" aria-hidden="true" />
      <h2>{name}</h2>
      <div className="sentences">{children}</div>
      <Findings of={findings} />
    </section>
  );
}

const words = { stop: "Stop", warn: "Watch", note: "Note" } as Record<string, string>;

/** What would mend a stop, each tried by the core: one press makes the change, and undo takes it back. */
function Remedies({ of }: { of: Mend[] }) {
  const { rework } = usePlan();
  return (
    <ul className="mends" aria-label="What mends it">
      {of.map((remedy) => (
        <li key={remedy.text}>
          <button
            type="button"
            className="word-button"
            onClick={() => rework((plan) => patched(plan, remedy.patch), remedy.text.toLowerCase())}
          >
            <T>{remedy.text}</T>
          </button>
        </li>
      ))}
    </ul>
  );
}

/** What is found, beside what it is about. */
export function Findings({ of }: { of: Finding[] }) {
  return (
    <>
      {of.map((f) => (
        <div
          key={f.code + f.about}
          className={`finding ${f.level}`}
          role={f.level === "stop" ? "alert" : "note"}
          data-code={f.code}
        >
          <strong>{words[f.level]}: </strong>
          <T>{f.text}</T> {f.remedy && <em>{<T>{f.remedy}</T>}</em>}
          {f.remedies && <Remedies of={f.remedies} />}
        </div>
      ))}
    </>
  );
}

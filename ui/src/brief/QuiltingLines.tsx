import type { Plan } from "../api/plan.gen";
import { usePlan } from "../plan/context";
import { get, put, within } from "../plan/path";
import { dressed } from "../words/fractions";
import { Choice } from "./Choice";
import { Field } from "./Field";
import { type Line, some } from "./quilting";
import { said, Value } from "./Value";

/** What else is decided of straight lines: pairs, the ditch, and where the middle one lies. */
export function More({ lines, path, labelled }: { lines: Line[]; path: string; labelled: (label: string) => string }) {
  const { value, edit } = usePlan();
  return (
    <>
      {some(lines[0]?.wave) ? (
        <>
          , swinging out <Value path={`${path}/lines/0/wave`} label={labelled("Swing of the serpentines")} />
        </>
      ) : (
        <>
          , in pairs <Value path={`${path}/pair`} label={labelled("Distance in a pair")} /> apart
        </>
      )}
      {lines.length === 1 && (
        <>
          , shifted by <Value path={`${path}/lines/0/shift`} label={labelled("Shift of the lines")} />
        </>
      )}
      ,{" "}
      <Choice
        label={labelled("Ditch")}
        value={value(`${path}/ditch`) === true ? "ditch" : ""}
        options={[
          { value: "", name: "not in the seams" },
          { value: "ditch", name: "and in the ditch of the seams" },
        ]}
        choose={(next) =>
          edit(`${path}/ditch`, next === "ditch" ? true : undefined, next ? "in the ditch" : "not in the ditch")
        }
      />
    </>
  );
}

/** One distance for all families: they are sewn alike. */
export function Pitch({ lines, keeper, name }: { lines: Line[]; keeper: string; name: string }) {
  const { value } = usePlan();
  const same = lines.every((l) => String(l.pitch) === String(lines[0]?.pitch));
  if (same && lines.length > 1)
    return (
      <PitchOfAll
        count={lines.length}
        text={String(value(`${keeper}/quilting/lines/0/pitch`) ?? "")}
        piece={keeper}
        name={name}
      />
    );
  return (
    <>
      {lines.map((line, i) => (
        <span key={line.angle}>
          {i > 0 && " and "}
          <Value path={`${keeper}/quilting/lines/${i}/pitch`} label={`${name}, set ${i + 1}`} />
        </span>
      ))}
    </>
  );
}

function PitchOfAll({ count, text, piece, name }: { count: number; text: string; piece: string; name: string }) {
  const { session, rework, reckoning, value } = usePlan();
  const all = (plan: Plan, next: string) =>
    Array.from({ length: count }).reduce<Plan>((p, _, i) => put(p, `${piece}/quilting/lines/${i}/pitch`, next), plan);
  const path = `${piece}/quilting/lines/0/pitch`;
  const settled = get(reckoning.settled, path);
  return (
    <Field
      label={name}
      text={text}
      shown={dressed(String(settled ?? text), String(value("/units") ?? "in"))}
      path={path}
      wrong={reckoning.findings.some((f) => f.level === "stop" && within(f.about, `${piece}/quilting`))}
      judge={async (next) => said(await session.preview(all(session.current().plan, next)), path)}
      keep={(next) => rework((plan) => all(plan, next), `quilting ${next} apart`)}
      drop={() => void session.settle()}
    />
  );
}

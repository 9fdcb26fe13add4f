import type { Guide, Reckoning, Step } from "../api/api.gen";
import type { Plan } from "../api/plan.gen";
import { Field } from "../brief/Field";
import { Findings } from "../brief/Thread";
import { said } from "../brief/Value";
import { usePlan, useReckoning } from "../plan/context";
import { get, put, within } from "../plan/path";
import { dressed } from "../words/fractions";
import { T } from "../words/T";
import { measuredAt } from "./measured";

export const units = (value: (path: string) => unknown) => String(value("/units") ?? "in");

/** Where the tape is laid on and what it says is typed. */
export function Gate({ step }: { step: Step }) {
  const { plan, session, rework, value } = usePlan();
  const reckoning = useReckoning();
  const list = plan.measured ?? [];
  const index = list.findIndex((m) => m.gate === step.gate);
  const entry = index < 0 ? undefined : list[index];
  const at = index < 0 ? list.length : index;

  const measured = (now: Plan, path: string, text: string): Plan =>
    measuredAt(now, step.gate ?? "", ({ sure: _, ...before }) => put(before, path, text)); // asked about anew
  const asPlanned = () => {
    const expect = step.expect;
    if (!expect) return;
    const next = {
      gate: step.gate ?? "",
      width: expect.width.exact,
      ...(expect.height.nm > 0 && { height: expect.height.exact }),
    };
    rework(
      (now) => ({ ...now, measured: [...(now.measured ?? []).filter((m) => m.gate !== step.gate), next] }),
      "measured as planned",
    );
  };
  const side = (path: string, label: string) => {
    const text = String(get(entry, path) ?? "");
    const settled = get(reckoning.settled, `/measured/${at}${path}`);
    return (
      <Field
        label={label}
        text={text}
        shown={text && text !== "0" ? dressed(String(settled ?? text), units(value)) : "type it"}
        path={`/measured/${at}${path}`}
        reads="length"
        judge={async (next, meant) =>
          said(await session.preview(measured(session.current().plan, path, next), { meant }), `/measured/${at}${path}`)
        }
        keep={(next) => rework((now) => measured(now, path, next), `${label}: ${next}`)}
        drop={() => void session.settle()}
      />
    );
  };
  const about = reckoning.findings.filter((f) => within(f.about, `/measured/${at}`));
  return (
    <div className="gate" data-measures>
      {step.reads === "sides" ? (
        <>
          <p className="large">
            Before it is trimmed it measures {side("/sides/top", "Upper side")} along the top,{" "}
            {side("/sides/right", "Right side")} at the right, {side("/sides/bottom", "Lower side")} along the bottom
            and {side("/sides/left", "Left side")} at the left; from corner to corner{" "}
            {side("/diagonals/falling", "Falling diagonal")} falling and {side("/diagonals/rising", "Rising diagonal")}{" "}
            rising.
          </p>
          {reckoning.guide && <TrimGuide guide={reckoning.guide} />}
        </>
      ) : (
        <p className="large">
          {step.reads === "overlap" ? (
            <>The pieces overlap by {side("/width", "Measured overlap")}</>
          ) : step.reads === "edge" ? (
            <>The second edge is {side("/width", "Measured along the seam line")} along its seam line</>
          ) : (
            <>It measures {side("/width", "Measured across")} across</>
          )}
          {step.expect && step.expect.height.nm > 0 && <> and {side("/height", "Measured up")} up</>}.{" "}
          {!entry && step.expect && (
            <button type="button" className="word-button" onClick={asPlanned}>
              Exactly as planned
            </button>
          )}
        </p>
      )}
      <Findings of={about} />
      {about.some((f) => f.code === "measured-slip") && (
        <p>
          <button
            type="button"
            className="word-button"
            onClick={() =>
              rework(
                (now) => ({
                  ...now,
                  measured: (now.measured ?? []).map((m) => (m.gate === step.gate ? { ...m, sure: true } : m)),
                }),
                "measured twice",
              )
            }
          >
            I measured twice: it is so
          </button>
        </p>
      )}
      {step.about.role === "measure-front" && <Remedies reckoning={reckoning} />}
    </div>
  );
}

/** The ways of dealing with a difference: one press takes one. */
function Remedies({ reckoning }: { reckoning: Reckoning }) {
  const { rework } = usePlan();
  if (reckoning.remedies.length === 0) return null;
  return (
    <ul className="remedies" aria-label="Remedies">
      {reckoning.remedies.map((r) => (
        <li key={r.about + r.code}>
          {r.chosen ? (
            <span className="remedy-state taken">taken</span>
          ) : (
            <button
              type="button"
              className="word-button remedy-state"
              aria-label={`Take it: ${r.text}`}
              onClick={() => rework((plan) => put(plan, r.about, r.code), `remedy: ${r.code}`)}
            >
              take it
            </button>
          )}
          <span>
            <T>{r.text}</T>
          </span>
        </li>
      ))}
    </ul>
  );
}

/** Where the ruler goes on a quilted panel, drawn out of true as it is, each distance ten times as large. */
function TrimGuide({ guide }: { guide: Guide }) {
  const mark = (two: unknown) => two as [Guide["skew"], Guide["skew"]];
  const [top, right, bottom, left] = [mark(guide.top), mark(guide.right), mark(guide.bottom), mark(guide.left)];
  const largest = Math.max(1, ...[...top, ...right, ...bottom, ...left].map((l) => Math.abs(l.nm)));
  const out = (l: { nm: number }) => 4 + (18 * l.nm) / largest;
  const corners = [
    [30 - out(left[0]), 26 - out(top[0])],
    [170 + out(right[0]), 26 - out(top[1])],
    [170 + out(right[1]), 124 + out(bottom[1])],
    [30 - out(left[1]), 124 + out(bottom[0])],
  ];
  const rows: [string, [Guide["skew"], Guide["skew"]], string, string][] = [
    ["Top", top, "at the left", "at the right"],
    ["Right", right, "above", "below"],
    ["Bottom", bottom, "at the left", "at the right"],
    ["Left", left, "above", "below"],
  ];
  return (
    <figure className="trim-guide">
      <svg viewBox="0 0 200 150" role="img" aria-label="The quilted panel, and within it the four cuts">
        <path className="panel" d={`M${corners.map((c) => c.join(" ")).join("L")}Z`} />
        <rect className="cuts" x="30" y="26" width="140" height="98" />
      </svg>
      <dl>
        {rows.map(([name, two, one, other]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>
              <T>{`${two[0].text} ${one}, ${two[1].text} ${other}`}</T>
            </dd>
          </div>
        ))}
      </dl>
      <figcaption className="soft">
        How far inside its edge each cut lies.{" "}
        <T>{guide.skew.nm === 0 ? "The diagonals are equal." : `The diagonals differ by ${guide.skew.text}.`}</T> Mark
        all eight points, lay the ruler through two at a time.
      </figcaption>
    </figure>
  );
}

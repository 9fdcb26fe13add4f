import Button from "@mui/material/Button";
import { useState } from "react";
import type { Caution, Reckoning, Step } from "../api/api.gen";
import { Figure } from "../brief/Figure";
import { usePlan } from "../plan/context";
import { swatchesOf } from "../plan/swatches";
import { FoldFigure } from "../sheet/Fold";
import { StripsFigure } from "../sheet/StripsFigure";
import { useKeys } from "../shell/keys";
import { pieces } from "../words/pieces";
import { T } from "../words/T";
import { Divide } from "./Divide";
import { Filling } from "./Filling";
import { Gate } from "./Gate";
import { forAll, undone, useProgress, without } from "./progress";
import { Reason } from "./Reason";
import { Several } from "./Several";
import { StackFigure } from "./StackFigure";
import { JoinDrawing, StepDrawing } from "./StepDrawing";
import { Timer } from "./Timer";
import { Troubles } from "./Troubles";
import { StepUnits } from "./Units";

/** What can hurt someone: in full where it comes up first, a sign with its word where it was said before. */
function Cautions({ of: cautions }: { of: Caution[] }) {
  const fresh = cautions.filter((c) => !c.said);
  return (
    <>
      {fresh.length > 0 && <p className="caution">{fresh.map((c) => c.text).join(" ")}</p>}
      {cautions
        .filter((c) => c.said)
        .map((c) => (
          <details key={c.text} className="caution-sign">
            <summary>Caution: {c.word.toLowerCase()}</summary>
            <p>{c.text}</p>
          </details>
        ))}
    </>
  );
}

export function StepAtHand({
  step,
  reckoning,
  number,
  of,
  next,
  done,
  takeBack,
  headingRef,
  look,
}: {
  step: Step;
  reckoning: Reckoning;
  number: number;
  of: number;
  /** What comes after it. */
  next: Step | undefined;
  done: () => void;
  takeBack: () => void;
  headingRef: React.RefObject<HTMLHeadingElement | null>;
  look: (id: string, parts?: boolean) => void;
}) {
  const { value } = usePlan();
  const ticked = (value("/progress/done") ?? []) as string[];
  const whole = { ...step, id: step.of ?? step.id }; // the parts of a step are drawn as it is
  const edging = reckoning.edge_strips.find((s) => s.what === step.edging);
  const edgingCloth = reckoning.cuts.find((c) => c.id === edging?.cut)?.cloth ?? "";
  const { now, set } = useProgress();
  const copies = Number(value("/copies") ?? 1);
  const missing = step.needs.filter((id) => !ticked.includes(id) && !(id in (now.skipped ?? {})));
  const [asking, ask] = useState<"early" | "skip" | "again" | null>(null);
  useKeys({ d: () => step.done || (missing.length > 0 ? ask("early") : done()) });
  const titles = missing.map((id) => reckoning.steps.find((s) => s.id === id)?.title.toLowerCase()).join(", ");
  const gates = reckoning.steps.filter((s) => missing.includes(s.id) && s.gate);
  const left = now.skipped?.[step.id];
  const first = reckoning.steps.find((s) => s.changes)?.id === step.id;
  return (
    <article className="at-hand">
      <p className="soft">
        Step {number} of {of}
        {now.each &&
          copies > 1 &&
          !step.done &&
          !forAll(step) &&
          `, of cover ${(now.made?.[step.id] ?? 0) + 1} of ${copies}`}
      </p>
      <h1 ref={headingRef} tabIndex={-1}>
        {step.title}
      </h1>
      <Timer step={step} />
      <div className="at-hand-body">
        {step.about.role === "measure" ? (
          <Measuring />
        ) : step.about.role === "fold-units" ? (
          <FoldFigure />
        ) : edging ? (
          <StripsFigure
            strips={edging}
            cloth={String(value(`/cloths/${edgingCloth}/name`) ?? edgingCloth)}
            swatch={swatchesOf(value("/cloths"))[edgingCloth]}
          />
        ) : step.join ? (
          <JoinDrawing join={step.join} reckoning={reckoning} cloths={value("/cloths")} />
        ) : (
          <StepDrawing step={whole} reckoning={reckoning} cloths={value("/cloths")} />
        )}
        <div className="instructions">
          <p className="large">
            <T>{step.text}</T>
          </p>
          {step.stack && <StackFigure stack={step.stack} swatches={swatchesOf(value("/cloths"))} />}
          <CutsOfStep
            ids={step.cuts}
            reckoning={reckoning}
            name={(letter) => String(value(`/cloths/${letter}/name`) ?? letter)}
          />
          <dl>
            {step.machine && (
              <>
                <dt>Machine</dt>
                <dd>
                  <T>{step.machine}</T>
                  <span className="set-up soft">
                    {step.changes && first ? (
                      " Set it up so."
                    ) : step.changes ? (
                      <>
                        {" "}
                        Set it up: <T>{step.changes.join(", ")}</T>.
                      </>
                    ) : (
                      " As it is set up."
                    )}
                  </span>
                </dd>
              </>
            )}
            {step.press && (
              <>
                <dt>Press</dt>
                <dd>
                  {step.press}
                  <TogetherPressed step={step} steps={reckoning.steps} />
                </dd>
              </>
            )}
            {step.rest && (
              <>
                <dt>Then</dt>
                <dd>Let it cool flat for {step.rest} minutes before it is moved.</dd>
              </>
            )}
            {step.check && (
              <>
                <dt>Check</dt>
                <dd>
                  <T>{step.check}</T>
                </dd>
              </>
            )}
            {step.tips && (
              <>
                <dt>Tips</dt>
                <dd>
                  <ul className="tips">
                    {step.tips.map((tip) => (
                      <li key={tip}>
                        <T>{tip}</T>
                      </li>
                    ))}
                  </ul>
                </dd>
              </>
            )}
          </dl>
          <Cautions of={step.cautions ?? []} />
          {step.gate && <Gate step={step} />}
          {step.about.role === "make-pad" && <Filling />}
          <StepUnits step={step.id} />
          <Several step={step} done={done} />
          <div className="step-actions">
            {left !== undefined ? (
              <Button
                variant="outlined"
                onClick={() =>
                  set((p) => ({ ...p, skipped: without(p.skipped, step.id) }), `not left out: ${step.title}`)
                }
              >
                Do it after all
              </Button>
            ) : step.done ? (
              <>
                <Button variant="outlined" onClick={takeBack}>
                  Not done after all
                </Button>
                <button type="button" className="word-button" onClick={() => ask("again")}>
                  Do it again
                </button>
              </>
            ) : (
              <>
                <Button variant="contained" size="large" onClick={() => (missing.length > 0 ? ask("early") : done())}>
                  Done, next step
                </Button>
                <button type="button" className="word-button" onClick={() => ask("skip")}>
                  Leave it out
                </button>
                <Divide step={step} steps={reckoning.steps} look={look} />
              </>
            )}
            {left !== undefined && <span className="soft">Left out: {left}</span>}
            {now.early?.[step.id] && <span className="soft">Done before its turn: {now.early[step.id]}</span>}
            {missing.length > 0 && !step.done && <span className="soft">Before it: {titles}</span>}
          </div>
          <Troubles step={step} />
          {next && !step.done && <p className="soft">After it: {next.title.toLowerCase()}.</p>}
          <Reason
            open={asking === "early"}
            title="Done before its turn?"
            act="It is done"
            keep={(reason) => {
              set((p) => ({ ...p, early: { ...p.early, [step.id]: reason } }), `${step.title} before its turn`);
              done();
            }}
            close={() => ask(null)}
          >
            <p>
              Before it: {titles}.{" "}
              {gates.length > 0
                ? "What is measured there decides what is cut after it: without it, all of that stays as planned, and may not fit what you sewed."
                : "They have to be done round it, where they still can be."}
            </p>
          </Reason>
          <Reason
            open={asking === "again"}
            title={`Do it again: ${step.title.toLowerCase()}?`}
            act="Do it again"
            keep={(reason) =>
              set(
                (p) => ({
                  ...undone(p, [step.id, ...(step.again ?? [])]),
                  troubles: [...(p.troubles ?? []), { step: step.id, kind: "again", note: reason }],
                }),
                `again: ${step.title}`,
              )
            }
            close={() => ask(null)}
          >
            <p>
              {step.again
                ? `What stands on it comes again too: ${reckoning.steps
                    .filter((s) => step.again?.includes(s.id))
                    .map((s) => s.title.toLowerCase())
                    .join(", ")}.`
                : "Nothing that is done stands on it."}{" "}
              The time it took stays, and what it takes now is added.
            </p>
          </Reason>
          <Reason
            open={asking === "skip"}
            title={`Leave out: ${step.title.toLowerCase()}?`}
            act="Leave it out"
            keep={(reason) =>
              set((p) => ({ ...p, skipped: { ...p.skipped, [step.id]: reason } }), `left out: ${step.title}`)
            }
            close={() => ask(null)}
          >
            <p>
              {step.gate
                ? "Nothing is measured then, and what follows stays as planned."
                : "The steps after it go on as if it were done."}
            </p>
          </Reason>
        </div>
      </div>
    </article>
  );
}

/** Where the tape is held, as in the brief. */
function Measuring() {
  const { brief } = usePlan();
  const kind = brief.stages.flatMap((s) => s.blocks).find((block) => block.widget === "figure")?.of;
  return (
    <figure className="step-drawing measuring">
      <Figure kind={kind ?? ""} />
    </figure>
  );
}

/** What is pressed in one walk to the iron with a step. */
function TogetherPressed({ step, steps }: { step: Step; steps: Step[] }) {
  const others = steps.filter((s) => step.trip && s.trip === step.trip && s.id !== step.id);
  if (others.length === 0) return null;
  return (
    <span className="soft">
      {" "}
      One walk to the iron will do, with: {others.map((s) => s.title.toLowerCase()).join(", ")}.
    </span>
  );
}

/** What is cut in a step. */
function CutsOfStep({
  ids,
  reckoning,
  name,
}: {
  ids: string[];
  reckoning: Reckoning;
  name: (letter: string) => string;
}) {
  const cuts = reckoning.cuts.filter((c) => ids.includes(c.id));
  if (cuts.length === 0) return null;
  return (
    <ul className="step-cuts" aria-label="Cut in this step">
      {cuts.map((c) => (
        <li key={c.id}>
          <strong>
            <T>{`${pieces(c.count)}, ${c.width.text} × ${c.height.text}`}</T>
          </strong>{" "}
          {c.title.toLowerCase()} <span className="soft">of {name(c.cloth)}</span>
        </li>
      ))}
    </ul>
  );
}

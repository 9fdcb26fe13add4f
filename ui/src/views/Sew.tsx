import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useEffect, useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import type { Cell, Guide, LogView, PhotoView, PressSeam, QuiltLine, Reckoning, Step } from "../api/api.gen";
import { ask, sendFile, sentence } from "../api/client";
import type { Plan } from "../api/plan.gen";
import { useChange } from "../api/queries";
import { Field } from "../brief/Field";
import { Findings } from "../brief/Thread";
import { said } from "../brief/Value";
import { usePlan } from "../plan/context";
import { get, put, within } from "../plan/path";
import { swatchesOf } from "../plan/swatches";
import { Divide } from "../sew/Divide";
import { Filling } from "../sew/Filling";
import { aboutsOf, apartAt, momentOf } from "../sew/moment";
import { atHand, ended, forAll, undone, useProgress, without } from "../sew/progress";
import { Reason } from "../sew/Reason";
import { Several } from "../sew/Several";
import { StackFigure } from "../sew/StackFigure";
import { Timer } from "../sew/Timer";
import { Troubles } from "../sew/Troubles";
import { Closure, turnedOver } from "../sheet/Closure";
import { FoldFigure } from "../sheet/Fold";
import { Older } from "../sheet/Older";
import { OnPiece } from "../sheet/OnPiece";
import { extent, mm, PieceDrawing } from "../sheet/PieceDrawing";
import { isPressed, PressView, turns } from "../sheet/Press";
import { Sheet } from "../sheet/Sheet";
import { StripsFigure } from "../sheet/StripsFigure";
import { shapesAt } from "../sheet/shapesAt";
import { FileButton } from "../shell/FileButton";
import { useKeys } from "../shell/keys";
import { dressed } from "../words/fractions";
import { hours } from "../words/hours";
import { T } from "../words/T";

/** The steps in working order, the one at hand large. */
export function Sew() {
  const { plan, reckoning, drawn, rework, value } = usePlan();
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
                const now = ended(plan.progress ?? {}, step.id, new Date());
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

function StepAtHand({
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
        {step.about.role === "fold-units" ? (
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
          </dl>
          {step.caution && <p className="caution">{step.caution}</p>}
          {step.gate && <Gate step={step} />}
          {step.about.role === "make-pad" && <Filling />}
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

/** Where each of several covers is, and how long it all takes. */
function Where({ of: { left, piles, set_ups, trips } }: { of: Reckoning }) {
  const { id, value } = usePlan();
  const { now, set } = useProgress();
  const copies = Number(value("/copies") ?? 1);
  return (
    <nav className="where" aria-label="Around the work">
      {left > 0 && <span className="soft">About {hours(left)} left.</span>}
      <span className="soft">
        In all {set_ups === 1 ? "one set-up" : `${set_ups} set-ups`} of the machine
        {trips > 0 && `, ${trips === 1 ? "one walk" : `${trips} walks`} to the iron`}.
      </span>
      <Link className="word-button" to="schedule">
        When there is time
      </Link>
      <Link className="word-button" to="habits">
        How this one is sewn
      </Link>
      <a className="word-button" href={`/api/v1/plans/${id}/steps.csv`} download>
        The steps as a table
      </a>
      <Link className="word-button" to="labels">
        Labels for the piles
      </Link>
      {copies > 1 && (
        <>
          <button
            type="button"
            className="word-button"
            onClick={() =>
              set((p) => ({ ...p, each: !p.each }), now.each ? "step by step across all" : "one cover after the other")
            }
          >
            {now.each ? "Sew each step for all covers" : "Sew one cover after the other"}
          </button>
          <span>{piles.map((p) => `${p.count} ${p.step ? `at “${p.step.toLowerCase()}”` : "done"}`).join(", ")}.</span>
        </>
      )}
    </nav>
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
            <T>{`${c.count} × ${c.width.text} × ${c.height.text}`}</T>
          </strong>{" "}
          {c.title.toLowerCase()} <span className="soft">of {name(c.cloth)}</span>
        </li>
      ))}
    </ul>
  );
}

/** The pieces of a join, with nothing but its seam marked on them. */
function JoinDrawing({ join, reckoning, cloths }: { join: number; reckoning: Reckoning; cloths: unknown }) {
  const names: string[] = reckoning.joins[join - 1]?.between ?? [];
  const pieces = reckoning.pieces
    .filter((p) => names.includes(p.name))
    .map((p) => ({
      ...p,
      quilting: undefined,
      cut_outline: p.trimmed_outline,
      seams: p.seams.filter((s) => s.join === join),
    }));
  return (
    <figure className="step-drawing join-drawing">
      <Sheet
        reckoning={{ ...reckoning, pieces, fittings: [] }}
        swatches={swatchesOf(cloths)}
        selected={nothing}
        band={null}
      />
    </figure>
  );
}

const nothing: ReadonlySet<string> = new Set();

/** The piece at this moment: what the step is about stands out, arrows say where allowances go. */
function StepDrawing({ step, reckoning, cloths }: { step: Step; reckoning: Reckoning; cloths: unknown }) {
  const { id } = usePlan();
  const sewnOn = reckoning.fittings.find((f) => step.fitting === f.index + 1);
  const piece = reckoning.pieces.find((p) => p.name === step.piece) ?? reckoning.pieces[0];
  if (!piece) return null;
  const box = extent(piece);
  const now = momentOf(step, reckoning.steps, piece);
  const apart = apartAt(now, piece.cells, aboutsOf(reckoning.cuts));
  const about = step.cells && new Set(step.cells.map((i) => piece.cells[i]));
  const quilts = step.act === "quilt" ? (piece.quilting?.lines ?? []) : [];
  const pieced = piece.cells.some((c) => c.band);
  const room = quilts.length > 0 ? box.width / 24 : pieced && !now.whole ? box.width * 0.14 : 6;
  const shown = now.quilted ? piece : { ...piece, quilting: undefined };
  const back =
    reckoning.back && step.turned
      ? turnedOver(reckoning.back, Math.round((2 * box.x + box.width) * 1e6))
      : reckoning.back;
  return (
    <figure className="step-drawing">
      <svg
        viewBox={`${box.x - room} ${box.y - room} ${box.width + 2 * room} ${box.height + 2 * room}`}
        role="img"
        aria-label={`${piece.title}: ${step.title}`}
      >
        <PieceDrawing
          piece={shown}
          swatches={swatchesOf(cloths)}
          dimmed={(cell) => (about ? !about.has(cell) : step.aside === true)}
          shapes={shapesAt(step, reckoning.steps, piece)}
          outlines={now.whole}
          apart={apart}
          turned={step.turned}
        />
        {step.stage === "piece" && <RowLabels cells={drawnAt(piece.cells, apart)} text={box.width / 30} />}
        {quilts.length > 0 && <Beginnings lines={quilts} text={box.width / 34} />}
        {sewnOn && <OnPiece fittings={[sewnOn]} text={box.width / 26} />}
        {piece.name === "back" && back && <Closure back={back} cuts={reckoning.cuts} text={box.width / 26} />}
        <Arrows
          step={step}
          seams={piece.press}
          size={box.width}
          place={(seam) => apart[piece.cells.findIndex((c) => c.band === seam.band)]}
        />
      </svg>
      {step.turned && <figcaption className="soft">Its wrong side is seen: left and right change places.</figcaption>}
      {step.about.role === "cut-shapes" && (
        <figcaption className="soft">
          <a className="word-button" href={`/api/v1/plans/${id}/shapes/${piece.name}?as=templates`}>
            Templates as SVG
          </a>
          , at true size and mirrored for the web.
        </figcaption>
      )}
      {step.side && <figcaption className="soft">Arrows: where the allowances go, seen from the front.</figcaption>}
      {step.stage === "piece" && piece.press.length > 0 && <PressView piece={piece} step={step} />}
    </figure>
  );
}

/** Where each line of quilting begins, numbered in the order they are sewn; of many only some. */
function Beginnings({ lines, text }: { lines: QuiltLine[]; text: number }) {
  const every = Math.ceil(lines.length / 24);
  return (
    <g className="beginnings no-pointer">
      {lines.map((line, i) => {
        const [, x, y] = /^M([-\d.]+) ([-\d.]+)/.exec(line.path) ?? [];
        if (i % every !== 0 || x === undefined || y === undefined) return null;
        return (
          <g key={line.path} transform={`translate(${x} ${y})`}>
            <circle className="stitch-number" r={text * 0.8} />
            <text fontSize={text * 0.85} y={text * 0.3} textAnchor="middle">
              {i + 1}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** Cells where they are drawn, for what is written on them. */
function drawnAt(cells: Cell[], apart: readonly (readonly [number, number])[]): Cell[] {
  return cells.map((cell, i) => {
    const [x, y] = apart[i] ?? [0, 0];
    return { ...cell, x: cell.x + x, y: cell.y + y };
  });
}

/** The numbers of the rows as they are sewn, each at the first piece of its row. */
function RowLabels({ cells, text }: { cells: Cell[]; text: number }) {
  const first = new Map<number, Cell>();
  for (const cell of cells) {
    const before = cell.band ? first.get(cell.band) : undefined;
    if (cell.band && (!before || cell.x < before.x || (cell.x === before.x && cell.y > before.y)))
      first.set(cell.band, cell);
  }
  if (first.size < 2) return null;
  return (
    <g className="row-labels no-pointer" fontSize={text}>
      {[...first].map(([band, cell]) => (
        <text
          key={band}
          x={mm(cell.x + cell.width / 2)}
          y={mm(cell.y + cell.height / 2) + text * 0.35}
          textAnchor="middle"
        >
          {band}
        </text>
      ))}
    </g>
  );
}

/** An arrow at every seam that is pressed in this step. */
function Arrows({
  step,
  seams,
  size,
  place,
}: {
  step: Step;
  seams: PressSeam[];
  size: number;
  /** How far the row of a seam is drawn from its place. */
  place: (seam: PressSeam) => readonly [number, number] | undefined;
}) {
  if (!step.side || step.side === "open" || step.side === "dark") return null;
  const long = size * 0.03;
  return (
    <g className="arrows">
      {seams
        .filter((s) => isPressed(step, s))
        .map((s) => (
          <path
            key={`${s.x1} ${s.y1} ${s.x2} ${s.y2}`}
            transform={`translate(${place(s)?.map(mm).join(" ") ?? 0}) translate(${mm(s.x1 + s.x2) / 2} ${mm(s.y1 + s.y2) / 2}) rotate(${turns[s.side] ?? 0})`}
            d={`M${-long} 0 H${long} M${long * 0.4} ${-long * 0.5} L${long} 0 L${long * 0.4} ${long * 0.5}`}
          />
        ))}
    </g>
  );
}

const units = (value: (path: string) => unknown) => String(value("/units") ?? "in");

/** Where the tape is laid on and what it says is typed. */
function Gate({ step }: { step: Step }) {
  const { plan, session, rework, value, reckoning } = usePlan();
  const list = plan.measured ?? [];
  const index = list.findIndex((m) => m.gate === step.gate);
  const entry = index < 0 ? undefined : list[index];
  const at = index < 0 ? list.length : index;

  const measured = (path: string, text: string): Plan => {
    const { sure: _, ...before } = { gate: step.gate ?? "", ...entry }; // another number is asked about anew
    const next = put(before, path, text);
    return { ...plan, measured: index < 0 ? [...list, next] : list.map((m, i) => (i === index ? next : m)) };
  };
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
        shown={text && text !== "0" ? dressed(String(settled ?? text), units(value)) : "the tape says"}
        path={`/measured/${at}${path}`}
        reads="length"
        judge={async (next) => said(await session.preview(measured(path, next)), `/measured/${at}${path}`)}
        keep={(next) => rework(() => measured(path, next), `${label}: ${next}`)}
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

/** The ways of dealing with a difference: one press takes one, those that are closed stand back. */
function Remedies({ reckoning }: { reckoning: Reckoning }) {
  const { rework } = usePlan();
  if (reckoning.remedies.length === 0) return null;
  return (
    <ul className="remedies" aria-label="Remedies">
      {reckoning.remedies.map((r) => (
        <li key={r.about + r.code} className={r.open ? undefined : "closed"}>
          {r.chosen ? (
            <span className="remedy-state taken">taken</span>
          ) : r.open ? (
            <button
              type="button"
              className="word-button remedy-state"
              aria-label={`Take it: ${r.text}`}
              onClick={() => rework((plan) => put(plan, r.about, r.code), `remedy: ${r.code}`)}
            >
              take it
            </button>
          ) : (
            <span className="remedy-state">not open</span>
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
        <T>{guide.skew.nm === 0 ? "The diagonals are alike." : `The diagonals differ by ${guide.skew.text}.`}</T> Mark
        all eight points, lay the ruler through two at a time.
      </figcaption>
    </figure>
  );
}

/** All steps are done: the cover goes into the log. */
function Finish() {
  const { id, revision, session, saving, drawn } = usePlan();
  const { now, set } = useProgress();
  const go = useNavigate();
  const taken = Math.round(Object.values(now.times ?? {}).reduce((all, t) => all + t, 0));
  const [minutes, setMinutes] = useState(taken > 0 ? String(taken) : "");
  const seen = now.inspected ?? [];
  const [notes, setNotes] = useState("");
  const [next, setNext] = useState("");
  const [photos, setPhotos] = useState<number[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const picture = async (file: File) => {
    try {
      setProblem(null);
      const photo = await sendFile<PhotoView>("/photos", file);
      setPhotos((before) => [...before, photo.id]);
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  const finish = useChange((body: unknown) => ask<LogView>("POST", `/plans/${id}/finish`, body));
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), []);
  const bad = minutes.trim() !== "" && !/^\d{1,5}$/.test(minutes.trim());
  const send = async () => {
    setProblem(null);
    try {
      await finish.mutateAsync({
        base: session.current().revision,
        minutes: Number(minutes || 0),
        notes,
        next,
        photos,
      });
      go("/log");
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  return (
    <article className="at-hand finish">
      <h1 ref={heading} tabIndex={-1}>
        All steps are done
      </h1>
      <p className="large">
        Look it over, then write it into the log: what was planned and what was measured go with it.
      </p>
      <fieldset className="inspection">
        <legend>In order?</legend>
        {(drawn.inspections ?? []).map((one) => (
          <label key={one.id}>
            <input
              type="checkbox"
              checked={seen.includes(one.id)}
              onChange={(e) =>
                set(
                  (p) => ({
                    ...p,
                    inspected: e.target.checked ? [...seen, one.id] : seen.filter((other) => other !== one.id),
                  }),
                  `${one.look}: ${e.target.checked ? "in order" : "not looked at"}`,
                )
              }
            />
            <span>
              <strong>
                <T>{one.look}</T>
              </strong>
              <span className="soft">
                <T>{one.fine}</T>
              </span>
            </span>
          </label>
        ))}
      </fieldset>
      <TextField
        label="Minutes of work"
        value={minutes}
        onChange={(e) => setMinutes(e.target.value)}
        error={bad}
        helperText={bad ? "Type whole minutes, such as 90." : " "}
        slotProps={{ htmlInput: { inputMode: "numeric" } }}
      />
      <TextField label="Notes" value={notes} onChange={(e) => setNotes(e.target.value)} multiline minRows={2} />
      <TextField label="Next time" value={next} onChange={(e) => setNext(e.target.value)} multiline minRows={2} />
      <div>
        <ul className="photos">
          {photos.map((photo, i) => (
            <li key={photo}>
              <img src={`/api/v1/photos/${photo}`} alt={`The finished cover, ${i + 1}`} />
              <button
                type="button"
                className="word-button"
                onClick={() => setPhotos((before) => before.filter((other) => other !== photo))}
              >
                Take out<span className="sr-only"> photo {i + 1}</span>
              </button>
            </li>
          ))}
        </ul>
        <FileButton label="Photo of the finished cover" accept="image/*" read={(file) => void picture(file)}>
          {(choose) => (
            <button type="button" className="word-button" onClick={choose}>
              Add a photo
            </button>
          )}
        </FileButton>
      </div>
      {problem && (
        <p className="finding stop" role="alert">
          {problem}
        </p>
      )}
      <div className="step-actions">
        <Button
          variant="contained"
          size="large"
          disabled={bad || saving !== "saved" || finish.isPending}
          onClick={() => void send()}
        >
          Write it into the log
        </Button>
        <span className="soft">Revision {revision}</span>
      </div>
    </article>
  );
}

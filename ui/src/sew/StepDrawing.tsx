import type { Cell, Edge, PressSeam, QuiltLine, Reckoning, Step } from "../api/api.gen";
import { usePlan } from "../plan/context";
import { swatchesOf } from "../plan/swatches";
import { Closure, turnedOver } from "../sheet/Closure";
import { EdgesOn } from "../sheet/EdgesOn";
import { OnPiece } from "../sheet/OnPiece";
import { extent, mm, PieceDrawing } from "../sheet/PieceDrawing";
import { isPressed, PressView, turns } from "../sheet/Press";
import { Sheet } from "../sheet/Sheet";
import { shapesAt } from "../sheet/shapesAt";
import { LyingPieces } from "./LyingPieces";
import { aboutsOf, apartAt, asItIs, momentOf } from "./moment";

/** The pieces of a join, with nothing but its seam marked on them. */
export function JoinDrawing({ join, reckoning, cloths }: { join: number; reckoning: Reckoning; cloths: unknown }) {
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

/** Several pieces with what is worked at marked on them. */
function EdgesDrawing({ edges, reckoning, cloths }: { edges: Edge[]; reckoning: Reckoning; cloths: unknown }) {
  const names = new Set(edges.map((e) => e.piece));
  const pieces = reckoning.pieces
    .filter((p) => names.has(p.name))
    .map((p) => ({ ...p, cut_outline: p.trimmed_outline, seams: [] }));
  return (
    <figure className="step-drawing join-drawing">
      <Sheet
        reckoning={{ ...reckoning, pieces, fittings: [] }}
        swatches={swatchesOf(cloths)}
        selected={nothing}
        band={null}
        edges={edges}
      />
    </figure>
  );
}

const nothing: ReadonlySet<string> = new Set();

/** The piece at this moment: what the step is about stands out, arrows say where allowances go. */
export function StepDrawing({ step, reckoning, cloths }: { step: Step; reckoning: Reckoning; cloths: unknown }) {
  const { id } = usePlan();
  const sewnOn = reckoning.fittings.find((f) => step.fitting === f.index + 1);
  const planned = reckoning.pieces.find((p) => p.name === step.piece) ?? reckoning.pieces[0];
  if (!planned) return null;
  const now = momentOf(step, reckoning.steps, planned);
  const piece = asItIs(planned, now);
  const box = extent(piece);
  const apart = apartAt(now, piece.cells, aboutsOf(reckoning.cuts));
  const about = step.cells && new Set(step.cells.map((i) => piece.cells[i]));
  const lines = piece.quilting?.lines ?? [];
  const quilts = step.act === "quilt" ? lines.filter((line) => sewnIn(step, line, piece.quilting?.after)) : [];
  const pieced = piece.cells.length > 1; // its parts may lie apart
  const room = quilts.length > 0 ? box.width / 24 : pieced && !now.whole ? box.width * 0.14 : 6;
  const sewn = lines.filter((line) => (line.border ? now.bordersQuilted : now.quilted));
  const shown = { ...piece, quilting: piece.quilting && { ...piece.quilting, lines: sewn } };
  const back =
    reckoning.back && step.turned
      ? turnedOver(reckoning.back, Math.round((2 * box.x + box.width) * 1e6))
      : reckoning.back;
  if (step.lying)
    return (
      <figure className="step-drawing">
        <LyingPieces of={step.lying} swatches={swatchesOf(cloths)} />
        {step.turned && <WrongSide />}
      </figure>
    );
  if (step.edges?.some((e) => e.piece !== piece.name))
    return <EdgesDrawing edges={step.edges} reckoning={reckoning} cloths={cloths} />;
  const shows = now.whole || step.about.role === "measure-centre"; // which lies as it is, its borders apart
  const edges = shows ? (step.edges?.filter((e) => e.piece === piece.name) ?? []) : [];
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
        <EdgesOn edges={step.turned ? overOf(edges, 2 * box.x + box.width) : edges} text={box.width / 30} />
        <Arrows
          step={step}
          seams={piece.press}
          size={box.width}
          place={(seam) => apart[piece.cells.findIndex((c) => c.band === seam.band)]}
        />
      </svg>
      {step.turned && <WrongSide />}
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

const WrongSide = () => <figcaption className="soft">Its wrong side is seen: left and right change places.</figcaption>;

/** Edges of a piece whose wrong side is seen; its left and right edge come to a sum, in millimetres. */
const overOf = (edges: Edge[], sum: number): Edge[] =>
  edges.map((edge) => ({
    ...edge,
    path: edge.path.map((v) => ({ ...v, x: sum * 1e6 - v.x, bulge: -(v.bulge ?? 0) })),
  }));

/** Whether a line is sewn in a step: those in borders that are sewn on after, in one of their own. */
const sewnIn = (step: Step, line: QuiltLine, after?: boolean) =>
  !after || (line.border ?? false) === (step.about.role === "quilt-borders");

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

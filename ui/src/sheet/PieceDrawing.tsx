import { type MouseEvent, memo, useId } from "react";
import type { Cell, Piece, QuiltLine, Shape, Swatch, Vertex } from "../api/api.gen";
import { Pattern } from "../cloth/Pattern";
import { cellAt, type Mark, marksOf } from "./cells";
import { LaidOn } from "./LaidOn";

/** Nanometres to the millimetres that drawings are made in. */
export const mm = (nm: number) => nm / 1e6;

/** A rectangle in millimetres. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** The box of one of a piece's sizes, centred on its finished outline. */
export function boxOf(piece: Piece, size: { width: { nm: number }; height: { nm: number } }): Box {
  const [width, height] = [mm(size.width.nm), mm(size.height.nm)];
  const whole = around(piece[outlineOf(piece, size)]);
  return { x: whole.x + (whole.width - width) / 2, y: whole.y + (whole.height - height) / 2, width, height };
}

/** The outline that belongs to one of a piece's sizes. */
function outlineOf(piece: Piece, size: unknown) {
  if (size === piece.finished) return "outline";
  return size === piece.before_quilting ? "cut_outline" : "trimmed_outline";
}

/** The box around the corners of an outline; arcs in pieces never stand out of it. */
export function around(outline: Vertex[]): Box {
  const xs = outline.map((v) => mm(v.x));
  const ys = outline.map((v) => mm(v.y));
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}

/** The sides of an outline as a path: straight ones, and arcs by the bulge they are kept with. */
export function sidesOf(outline: Vertex[], closed: boolean): string {
  const at = (v: Vertex) => `${mm(v.x)} ${mm(v.y)}`;
  return (closed ? outline : outline.slice(0, -1))
    .map((from, i) => {
      const to = outline[(i + 1) % outline.length] ?? from;
      if (!from.bulge) return `L${at(to)}`;
      const angle = 4 * Math.atan(from.bulge);
      const radius = Math.hypot(mm(to.x - from.x), mm(to.y - from.y)) / 2 / Math.abs(Math.sin(angle / 2));
      return `A${radius} ${radius} 0 ${Math.abs(angle) > Math.PI ? 1 : 0} ${angle > 0 ? 1 : 0} ${at(to)}`;
    })
    .join("");
}

/** A closed outline as a path. */
export function pathOf(outline: Vertex[]): string {
  const [first] = outline;
  return first ? `M${mm(first.x)} ${mm(first.y)}${sidesOf(outline, true)}Z` : "";
}

/** Where a cell lies, as a path. */
export function cellPath(cell: Cell): string {
  if (cell.line) return pathOf(cell.line);
  return `M${mm(cell.x)} ${mm(cell.y)}h${mm(cell.width)}v${mm(cell.height)}h${-mm(cell.width)}Z`;
}

/** Everything of a piece that is drawn lies in this box. */
export function extent(piece: Piece): Box {
  return around([...piece.cut_outline, ...piece.trimmed_outline]);
}

interface Props {
  piece: Piece;
  swatches: Record<string, Swatch>;
  /** Cuts to be shown as selected. */
  selected?: ReadonlySet<string>;
  /** Cells that stand back; the rest is what the step is about. */
  dimmed?: (cell: Cell) => boolean;
  /** Each cell is drawn by itself: one by one they take another fabric. */
  each?: boolean;
  /** A stretch of the piece to light up. */
  band?: Box | null;
  /** One cell that is at hand. */
  pointed?: Cell | null;
  select?: (cell: Cell, piece: Piece) => void;
  /** Draw the nested outlines; without them only the finished face is drawn. */
  outlines?: boolean;
  /** How far each cell is drawn from its place, in nanometres, where not all is sewn together. */
  apart?: (readonly [number, number])[];
  /** Its wrong side is seen: left and right change places. */
  turned?: boolean;
  /** How each of the shapes laid on it is drawn; all are shown when absent. */
  shapes?: (shape: Shape) => "shown" | "dimmed" | "hidden";
}

const shown = () => "shown" as const;
const no = () => false;

/** The cell of a mark that is pressed. */
function pointedAt(mark: Mark, { currentTarget, clientX, clientY }: MouseEvent<SVGPathElement>): Cell | undefined {
  if (mark.cells.length === 1) return mark.cells[0];
  const place = currentTarget.getScreenCTM()?.inverse();
  const at = place && new DOMPoint(clientX, clientY).matrixTransform(place);
  return at && cellAt(mark.cells, at.x * 1e6, at.y * 1e6);
}

/** One piece of the cover: its cloth, its quilting and its nested outlines, in millimetres. */
export const PieceDrawing = memo(function PieceDrawing({
  piece,
  swatches,
  selected,
  pointed,
  dimmed,
  each = false,
  band,
  select,
  outlines = true,
  shapes = shown,
  apart,
  turned = false,
}: Props) {
  const id = useId();
  const cut = extent(piece);
  const lines = {
    finished: pathOf(piece.outline),
    trimmed: pathOf(piece.trimmed_outline),
    cut: pathOf(piece.cut_outline),
  };
  const laid = piece.shapes.filter((s) => shapes(s) !== "hidden");
  const loose = apart?.some(([x, y]) => x !== 0 || y !== 0) ?? false;
  const letters = [...new Set([...piece.cells, ...laid].map((c) => c.cloth))];
  return (
    <g className="piece">
      <defs>
        {letters.map((letter) => (
          <Pattern key={letter} id={`${id}${letter}`} swatch={swatches[letter]} />
        ))}
        <clipPath id={`${id}face`}>
          <path d={outlines ? lines.cut : lines.finished} />
        </clipPath>
        {piece.gather && <Folds id={`${id}folds`} direction={piece.gather.direction} />}
      </defs>
      <g
        clipPath={loose ? undefined : `url(#${id}face)`}
        transform={turned ? `translate(${2 * cut.x + cut.width} 0) scale(-1 1)` : undefined}
      >
        {marksOf(piece.cells, { each, faint: dimmed ?? no, apart: loose ? apart : undefined }).map((mark, i) => (
          // biome-ignore lint/a11y/noStaticElementInteractions: the list of cuts beside the sheet selects by keyboard
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: a mark is its place, whatever cloth lies there
            key={i}
            className={select ? "cell pick" : "cell"}
            d={mark.cells.map(cellPath).join("")}
            transform={mark.apart && `translate(${mark.apart.map(mm).join(" ")})`}
            fill={`url(#${id}${mark.cloth})`}
            opacity={mark.faint ? 0.22 : 1}
            onClick={
              select &&
              ((event) => {
                const cell = pointedAt(mark, event);
                if (cell) select(cell, piece);
              })
            }
          />
        ))}
        {laid.map((s) => (
          <LaidOn
            key={`${s.about} ${s.twin}`}
            shape={s}
            cloth={`${id}${s.cloth}`}
            swatch={swatches[s.cloth]}
            dimmed={shapes(s) === "dimmed"}
          />
        ))}
        {piece.gather && <rect className="quilting" {...cut} fill={`url(#${id}folds)`} />}
        {piece.quilting && <Quilting lines={piece.quilting.lines ?? []} />}
        {turned && <path className="wrong-side" d={lines.cut} />}
      </g>
      {outlines && (
        <>
          <path className="beyond" fillRule="evenodd" d={lines.cut + lines.trimmed} />
          <path className="allowance" fillRule="evenodd" d={lines.trimmed + lines.finished} />
          {lines.cut !== lines.trimmed && <path className="outline before" d={lines.cut} />}
          <path className="outline trimmed" d={lines.trimmed} />
        </>
      )}
      {!loose && <path className="outline finished" d={lines.finished} />}
      {piece.ditch.length > 0 && <path className="ditch" d={pathOf(piece.ditch)} />}
      {piece.cells
        .filter((cell) => selected?.has(cell.cut))
        .map((cell) => (
          <path key={cellPath(cell)} className="chosen" d={cellPath(cell)} />
        ))}
      {pointed && <path className="chosen pointed" d={cellPath(pointed)} />}
      {band && <rect className="band" {...band} />}
    </g>
  );
});

/** The folds of gathered cloth: across the way it is drawn in. */
function Folds({ id, direction }: { id: string; direction: string }) {
  const turn = { along: 90, diagonal: 45 }[direction] ?? 0;
  return (
    <pattern id={id} width="9" height="46" patternUnits="userSpaceOnUse" patternTransform={`rotate(${turn})`}>
      <path className="fold-shade" d="M2 0C3.6 12 0.6 34 2 46M6.4 0C5 14 7.6 30 6.4 46" />
    </pattern>
  );
}

/** The stitched lines, each with the shade of its dent. */
function Quilting({ lines }: { lines: QuiltLine[] }) {
  const d = lines.map((l) => l.path).join("");
  return (
    <g className="quilting">
      <path className="stitch shade" d={d} transform="translate(0.25 0.25)" />
      <path className="stitch" d={d} />
    </g>
  );
}

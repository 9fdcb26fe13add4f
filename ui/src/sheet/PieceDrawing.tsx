import { memo, useId } from "react";
import type { Cell, Piece, Swatch } from "../api/api.gen";
import { Pattern } from "../cloth/Pattern";

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
  const corner = piece.outline[2] ?? [0, 0];
  return { x: (mm(corner[0] ?? 0) - width) / 2, y: (mm(corner[1] ?? 0) - height) / 2, width, height };
}

const planned = (piece: Piece) => piece.planned ?? piece.trimmed;

/** Everything of a piece that is drawn lies in this box. */
export function extent(piece: Piece): Box {
  return boxOf(piece, piece.before_quilting.width.nm >= planned(piece).width.nm ? piece.before_quilting : planned(piece));
}

interface Props {
  piece: Piece;
  swatches: Record<string, Swatch>;
  /** Cuts to be shown as selected. */
  selected?: ReadonlySet<string>;
  /** Cells that stand back; the rest is what the step is about. */
  dimmed?: (cell: Cell) => boolean;
  /** A stretch of the piece to light up. */
  band?: Box | null;
  select?: (cell: Cell) => void;
  /** Draw the nested outlines; without them only the finished face is drawn. */
  outlines?: boolean;
}

/** One piece of the cover: its cloth, its quilting and its nested outlines, in millimetres. */
export const PieceDrawing = memo(function PieceDrawing({ piece, swatches, selected, dimmed, band, select, outlines = true }: Props) {
  const id = useId();
  const cut = extent(piece);
  const trimmed = boxOf(piece, planned(piece));
  const corner = piece.outline[2] ?? [0, 0];
  const finished: Box = { x: 0, y: 0, width: mm(corner[0] ?? 0), height: mm(corner[1] ?? 0) };
  const letters = [...new Set(piece.cells.map((c) => c.cloth))];
  return (
    <g className="piece">
      <defs>
        {letters.map((letter) => (
          <Pattern key={letter} id={`${id}${letter}`} swatch={swatches[letter]} />
        ))}
        <clipPath id={`${id}face`}>
          <rect {...(outlines ? cut : finished)} />
        </clipPath>
        <Quilting id={id} piece={piece} />
      </defs>
      <g clipPath={`url(#${id}face)`}>
        {piece.cells.map((cell) => (
          // biome-ignore lint/a11y/noStaticElementInteractions: the list of cuts beside the sheet selects by keyboard
          <rect
            key={`${cell.cut} ${cell.x} ${cell.y}`}
            className={select ? "cell pick" : "cell"}
            x={mm(cell.x)}
            y={mm(cell.y)}
            width={mm(cell.width)}
            height={mm(cell.height)}
            fill={`url(#${id}${cell.cloth})`}
            opacity={dimmed?.(cell) ? 0.22 : 1}
            onClick={select && (() => select(cell))}
          />
        ))}
        {piece.lines.map((_, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: families have no identity but their place
          <rect key={i} className="quilting" {...cut} fill={`url(#${id}lines${i})`} />
        ))}
      </g>
      {outlines && (
        <>
          <path className="beyond" d={frame(cut, trimmed)} />
          <path className="allowance" d={frame(trimmed, finished)} />
          {cut.width > trimmed.width && <rect className="outline before" {...cut} />}
          <rect className="outline trimmed" {...trimmed} />
        </>
      )}
      <rect className="outline finished" {...finished} />
      {piece.cells
        .filter((cell) => selected?.has(cell.cut))
        .map((cell) => (
          <rect
            key={`${cell.x} ${cell.y}`}
            className="chosen"
            x={mm(cell.x)}
            y={mm(cell.y)}
            width={mm(cell.width)}
            height={mm(cell.height)}
          />
        ))}
      {band && <rect className="band" {...band} />}
    </g>
  );
});

/** The area between two boxes. */
function frame(outer: Box, inner: Box): string {
  const ring = (b: Box, back: boolean) =>
    back ? `M${b.x} ${b.y} v${b.height} h${b.width} v${-b.height} Z` : `M${b.x} ${b.y} h${b.width} v${b.height} h${-b.width} Z`;
  return ring(outer, false) + ring(inner, true);
}

/** One pattern of stitched lines for each family. */
function Quilting({ id, piece }: { id: string; piece: Piece }) {
  return (
    <>
      {piece.lines.map((family, i) => {
        const pitch = mm(family.pitch);
        const pair = mm(family.pair);
        return (
          <pattern
            // biome-ignore lint/suspicious/noArrayIndexKey: families have no identity but their place
            key={i}
            id={`${id}lines${i}`}
            width="6"
            height={pitch}
            patternUnits="userSpaceOnUse"
            patternTransform={`rotate(${-family.angle})`}
          >
            {(pair > 0 ? [0, pair] : [0]).map((off) => (
              <g key={off}>
                <path className="stitch shade" d={`M0 ${pitch / 4 + off + 0.3} h3.6`} />
                <path className="stitch" d={`M0 ${pitch / 4 + off} h3.6`} />
              </g>
            ))}
          </pattern>
        );
      })}
    </>
  );
}

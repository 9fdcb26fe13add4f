import { useLayoutEffect, useRef, useState } from "react";
import type { Cell, Cut, Fitting, Piece, Reckoning, Swatch } from "../api/api.gen";
import { T } from "../words/T";
import { type Box, boxOf, extent, mm, PieceDrawing } from "./PieceDrawing";
import { Seams } from "./Seams";

interface Props {
  reckoning: Reckoning;
  swatches: Record<string, Swatch>;
  selected: ReadonlySet<string>;
  band: { piece: string; box: Box } | null;
  select?: (cell: Cell) => void;
}

/** All pieces of the cover to one scale, the front with its nested outlines. */
export function Sheet({ reckoning, swatches, selected, band, select }: Props) {
  const { ref, width, height } = useExtent();
  const placed = inRows(reckoning.pieces, width / height);
  const right = Math.max(...placed.map((p) => p.x + p.box.x + p.box.width));
  const top = Math.min(...placed.map((p) => p.y + p.box.y));
  const bottom = Math.max(...placed.map((p) => p.y + p.box.y + p.box.height));
  const unit = Math.max(right / (width - 8), (bottom - top) / (height - 78)); // millimetres to a screen pixel
  const text = 15 * unit;
  return (
    <svg
      ref={ref}
      className="sheet"
      viewBox={`${-2 * unit} ${top - text * 2} ${right + 4 * unit} ${bottom - top + text * 4.6}`}
      role="img"
      aria-label={spoken(reckoning)}
      fontSize={text}
    >
      {placed.map(({ piece, box, x, y, rowTop, rowBottom }) => (
        <g key={piece.name} transform={`translate(${x} ${y})`}>
          <text className="piece-title" x={box.x} y={rowTop - y - text * 0.9}>
            {piece.title}
            {piece.count > 1 && ` × ${piece.count}`}
            {piece.waits && <tspan className="soft"> · waits for the measured front</tspan>}
          </text>
          <PieceDrawing
            piece={piece}
            swatches={swatches}
            selected={selected}
            band={band?.piece === piece.name ? band.box : null}
            select={select}
          />
          <OnPiece fittings={reckoning.fittings.filter((f) => f.on === piece.name)} text={text} />
          <Seams piece={piece} text={text} />
          {piece.name === "back" && <Backs piece={piece} cuts={reckoning.cuts} overlap={reckoning.back?.overlap.text ?? ""} text={text} />}
          <Dimension piece={piece} y={rowBottom - y + text * 1.4} text={text} />
        </g>
      ))}
    </svg>
  );
}

interface Place {
  piece: Piece;
  box: Box;
  /** Where the piece's own frame begins. */
  x: number;
  y: number;
  rowTop: number;
  rowBottom: number;
}

/** Lays pieces in rows of about the shape of their place, so that a long strip does not make all others small. */
function inRows(pieces: Piece[], shape: number): Place[] {
  const boxes = pieces.map((piece) => ({ piece, box: extent(piece) }));
  const area = boxes.reduce((sum, { box }) => sum + box.width * box.height, 0);
  const widest = Math.max(...boxes.map(({ box }) => box.width));
  const limit = Math.max(widest, 1.65 * Math.sqrt(area * shape));
  const gap = limit * 0.045;
  const rows: (typeof boxes)[] = [];
  let used = Number.POSITIVE_INFINITY;
  for (const each of boxes) {
    if (used + gap + each.box.width > limit) {
      rows.push([]);
      used = -gap;
    }
    rows.at(-1)?.push(each);
    used += gap + each.box.width;
  }
  let y = 0;
  return rows.flatMap((row) => {
    const high = Math.max(...row.map(({ box }) => box.height));
    let x = 0;
    const places = row.map(({ piece, box }) => {
      const place = { piece, box, x: x - box.x, y: y - box.y, rowTop: y, rowBottom: y + high };
      x += box.width + gap;
      return place;
    });
    y += high + limit * 0.14;
    return places;
  });
}

/** The size an element has on screen, so that writing in it keeps its own. */
function useExtent() {
  const ref = useRef<SVGSVGElement>(null);
  const [size, setSize] = useState({ width: 850, height: 420 });
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element || typeof ResizeObserver === "undefined") return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry && entry.contentRect.height > 100) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { ref, ...size };
}

function spoken(reckoning: Reckoning): string {
  return `The pieces of ${reckoning.title} to scale. ${reckoning.pieces
    .map(
      (p) =>
        `${p.title}: finished ${p.finished.width.text} by ${p.finished.height.text}, trimmed ${p.trimmed.width.text} by ${p.trimmed.height.text}.`,
    )
    .join(" ")}`;
}

/** The finished width under a piece. */
function Dimension({ piece, y, text }: { piece: Piece; y: number; text: number }) {
  const { width } = boxOf(piece, piece.finished);
  const label = `${piece.finished.width.text} finished`;
  const half = (label.length * text * 0.5) / 2 + text * 0.6;
  const middle = width / 2;
  return (
    <g className="dimension">
      <path
        d={`M0 ${y - text * 0.4} v${text * 0.8} M0 ${y} H${middle - half} M${middle + half} ${y} H${width} M${width} ${y - text * 0.4} v${text * 0.8}`}
      />
      <SvgText x={middle} y={y + text * 0.35} text={text} anchor="middle">
        {label}
      </SvgText>
    </g>
  );
}

/** Text in a drawing; HTML sets its fractions, which SVG text cannot. */
export function SvgText({
  x,
  y,
  text,
  anchor = "start",
  children,
}: {
  x: number;
  y: number;
  text: number;
  anchor?: "start" | "middle";
  children: string;
}) {
  const width = children.length * text;
  return (
    <foreignObject x={anchor === "middle" ? x - width / 2 : x} y={y - text * 1.1} width={width} height={text * 1.6} className="no-pointer">
      <div
        style={{ fontSize: text, lineHeight: `${text * 1.4}px`, textAlign: anchor === "middle" ? "center" : "left", whiteSpace: "nowrap" }}
      >
        <T>{children}</T>
      </div>
    </foreignObject>
  );
}

/** What is sewn onto a piece, where it lies. */
export function OnPiece({ fittings, text }: { fittings: Fitting[]; text: number }) {
  return (
    <g className="fittings no-pointer">
      {fittings.map((f) => (
        <g key={f.index}>
          {f.boxes.map((b) => (
            <rect key={`${b.x} ${b.y}`} className="fitting" x={mm(b.x)} y={mm(b.y)} width={mm(b.width)} height={mm(b.height)} />
          ))}
          {f.boxes[0] && (
            <SvgText x={mm(f.boxes[0].x)} y={mm(f.boxes[0].y) - text * 0.25} text={text * 0.85}>
              {f.title.toLowerCase()}
            </SvgText>
          )}
        </g>
      ))}
    </g>
  );
}

/** What is written on the back pieces. */
export function Backs({ piece, cuts, overlap, text }: { piece: Piece; cuts: Cut[]; overlap: string; text: number }) {
  const [left, right] = piece.cells;
  if (!left || !right) return null;
  const from = mm(right.x);
  const to = mm(left.x) + mm(left.width);
  const cut = cuts.find((c) => c.id === left.cut);
  const other = cuts.find((c) => c.id === right.cut);
  const high = mm(piece.trimmed.height.nm);
  return (
    <g className="no-pointer">
      <path className="hem" d={`M${from} ${mm(left.y)} v${high} M${to} ${mm(left.y)} v${high}`} />
      <g className="label-on-cloth">
        {[
          { at: mm(left.x), c: cut },
          { at: to, c: other },
        ].map(({ at, c }, i) => (
          <foreignObject key={i === 0 ? "left" : "right"} x={at} y={high * 0.42} width={from - mm(left.x)} height={text * 4}>
            <div className="on-cloth" style={{ fontSize: text }}>
              <span>
                {i === 0 ? "left" : "right"}
                <br />
                <T>{c ? `${c.width.text} × ${c.height.text}` : ""}</T>
              </span>
            </div>
          </foreignObject>
        ))}
        <foreignObject x={from - text * 4} y={high * 0.12} width={to - from + text * 8} height={text * 3}>
          <div className="on-cloth" style={{ fontSize: text }}>
            <span>
              <T>{`overlap ${overlap}`}</T>
            </span>
          </div>
        </foreignObject>
      </g>
    </g>
  );
}

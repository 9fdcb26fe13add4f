import { useId } from "react";
import type { Lying, Swatch } from "../api/api.gen";
import { Pattern } from "../cloth/Pattern";
import { mm } from "../sheet/PieceDrawing";
import { Chip, SvgText } from "../sheet/SvgText";

/** Pieces by themselves on the table, as they are cut: the edge at hand, and the lines it is folded on. */
export function LyingPieces({ of: pieces, swatches }: { of: Lying[]; swatches: Record<string, Swatch> }) {
  const id = useId();
  const widths = pieces.map((p) => mm(p.size.width.nm));
  const high = Math.max(...pieces.map((p) => mm(p.size.height.nm)));
  const all = widths.reduce((sum, w) => sum + w, 0);
  const text = Math.max(all + high, all * 1.2) / 36;
  const gap = text * 3;
  const wide = all + gap * (pieces.length - 1);
  let at = 0;
  const placed = pieces.map((piece, i) => {
    const x = at;
    at += (widths[i] ?? 0) + gap;
    return { piece, x, cloth: `${id}${i}` };
  });
  const said = pieces
    .map((p) => `${p.title}, ${p.size.width.text} by ${p.size.height.text}, ${p.wrong ? "wrong" : "right"} side up`)
    .join("; ");
  return (
    <svg
      viewBox={`${-text * 2} ${-text * 2.4} ${wide + text * 4} ${high + text * 4.8}`}
      role="img"
      aria-label={`The pieces on the table: ${said}.`}
    >
      {placed.map(({ piece, x, cloth }) => (
        <g key={piece.title} transform={`translate(${x} 0)`}>
          <defs>
            <Pattern id={cloth} swatch={swatches[piece.cloth]} />
          </defs>
          <One of={piece} fill={`url(#${cloth})`} text={text} />
        </g>
      ))}
    </svg>
  );
}

function One({ of: piece, fill, text }: { of: Lying; fill: string; text: number }) {
  const [w, h] = [mm(piece.size.width.nm), mm(piece.size.height.nm)];
  const at = linesOn(piece.edge, w, h);
  const folds = piece.folds.map((f) => at(mm(f.nm)));
  const marked = piece.edge ? at(0) : folds[0];
  return (
    <>
      <rect className="lying" width={w} height={h} fill={fill} />
      {piece.wrong && <rect className="wrong-side" width={w} height={h} />}
      {folds.map((line) => (
        <line key={`${line.x1} ${line.y1}`} className={piece.edge ? "lying-fold" : "edge-worked"} {...line} />
      ))}
      {piece.edge && <line className="edge-worked" {...at(0)} />}
      <SvgText x={w / 2} y={-text * 0.9} text={text} anchor="middle">
        {`${piece.title}, ${piece.wrong ? "wrong" : "right"} side up`}
      </SvgText>
      <Chip x={w / 2} y={h / 2} text={text}>
        {`${piece.size.width.text} × ${piece.size.height.text}`}
      </Chip>
      {marked && (
        <Chip x={marked.x1 + (marked.x2 - marked.x1) * 0.3} y={marked.y1 + (marked.y2 - marked.y1) * 0.3} text={text}>
          {piece.along.text}
        </Chip>
      )}
      {piece.folds.length > 0 && (
        <SvgText x={w / 2} y={h + text * 1.6} text={text} anchor="middle">
          {`${piece.edge ? "fold at" : "fold, at"} ${piece.folds.map((f) => f.text).join(" and ")}`}
        </SvgText>
      )}
    </>
  );
}

/** Lines on a piece along one of its sides, so far from it. */
function linesOn(side: string, w: number, h: number) {
  return (far: number) => {
    if (side === "bottom") return { x1: 0, y1: h - far, x2: w, y2: h - far };
    const x = side === "right" ? w - far : far;
    return { x1: x, y1: 0, x2: x, y2: h };
  };
}

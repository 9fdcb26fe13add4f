import type { Mark, Piece, Seam, Vertex } from "../api/api.gen";
import { mm, sidesOf } from "./PieceDrawing";

/** The letter a seam goes by, on the sheet and in the brief. */
export const letterOf = (join: number) => String.fromCharCode(64 + join);

/** Where a piece is joined: each seam in its colour and under its letter, with what is marked on it. */
export function Seams({ piece, text }: { piece: Piece; text: number }) {
  return (
    <g className="seams no-pointer">
      {piece.seams.map((seam) => (
        <OneSeam key={`${seam.join} ${seam.path[0]?.x} ${seam.path[0]?.y} ${seam.path.at(-1)?.x}`} seam={seam} text={text} />
      ))}
    </g>
  );
}

function OneSeam({ seam, text }: { seam: Seam; text: number }) {
  const middle = seam.marks[1];
  const inside = middle && beside(middle, text * 0.95);
  return (
    <g className={`seam join-${((seam.join - 1) % 4) + 1}`}>
      <path className="seam-line" d={openPath(seam.path)} />
      {seam.marks.map((mark) => (
        <path key={`${mark.x} ${mark.y}`} className="seam-mark" d={tick(mark, text * 0.3)} />
      ))}
      {seam.clips.map((mark) => (
        <path key={`clip ${mark.x} ${mark.y}`} className="seam-clip" d={tick(mark, text * 0.45)} />
      ))}
      {inside && (
        <g transform={`translate(${inside.x} ${inside.y})`}>
          <circle className="seam-disc" r={text * 0.62} />
          <text className="seam-letter" textAnchor="middle" dy={text * 0.34}>
            {letterOf(seam.join)}
          </text>
        </g>
      )}
    </g>
  );
}

function openPath(path: Vertex[]): string {
  const [first] = path;
  return first ? `M${mm(first.x)} ${mm(first.y)}${sidesOf(path, false)}` : "";
}

/** A point beside a mark, on the inner side of the seam. */
function beside(mark: Mark, distance: number) {
  const inwards = ((mark.direction + 90) * Math.PI) / 180;
  return { x: mm(mark.x) + distance * Math.cos(inwards), y: mm(mark.y) + distance * Math.sin(inwards) };
}

/** A stroke across the seam. */
function tick(mark: Mark, half: number): string {
  const [a, b] = [beside(mark, -half), beside(mark, half)];
  return `M${a.x} ${a.y}L${b.x} ${b.y}`;
}

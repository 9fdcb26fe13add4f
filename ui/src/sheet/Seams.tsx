import type { Mark, Piece, Seam, Vertex } from "../api/api.gen";
import { extent, mm, sidesOf } from "./PieceDrawing";
import { Lettered } from "./SvgText";

/** The letter a seam goes by, on the sheet and in the brief. */
export const letterOf = (join: number) => String.fromCharCode(64 + join);

/** Where a piece is joined: each seam in its colour and under its letter, with what is marked on it. */
export function Seams({ piece, text, quarters }: { piece: Piece; text: number; quarters: number }) {
  const box = extent(piece);
  // On a narrow piece letters are smaller, so that they stay on it.
  const size = Math.max(0.55 * text, Math.min(text, 0.42 * Math.min(box.width, box.height)));
  const lettered: { join: number; x: number; y: number }[] = [];
  /** Where a seam's letter stands; none beside its like, as across a narrow band. */
  const letter = (seam: Seam) => {
    const at = seam.marks[1] && beside(seam.marks[1], size * 0.95);
    if (!at || lettered.some((l) => l.join === seam.join && Math.hypot(l.x - at.x, l.y - at.y) < size * 1.6))
      return null;
    lettered.push({ join: seam.join, ...at });
    return at;
  };
  // What is sewn first lies on top.
  const order = piece.seams.toReversed();
  return (
    <g className="seams no-pointer">
      {order.map((seam, i) => (
        <OneSeam
          // biome-ignore lint/suspicious/noArrayIndexKey: where it lies changes with every size, and it is the same seam
          key={i}
          seam={seam}
          letter={letter(seam)}
          text={size}
          quarters={quarters}
        />
      ))}
    </g>
  );
}

interface OneSeamProps {
  seam: Seam;
  letter: { x: number; y: number } | null;
  text: number;
  quarters: number;
}

function OneSeam({ seam, letter, text, quarters }: OneSeamProps) {
  return (
    <g className={`seam join-${((seam.join - 1) % 4) + 1}`}>
      <path className="seam-line" d={openPath(seam.path)} />
      {seam.marks.map((mark, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: marks of a seam are told apart by their order
        <path key={i} className="seam-mark" d={tick(mark, text * 0.3)} />
      ))}
      {seam.clips.map((mark, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: and so are its clips
        <path key={i} className="seam-clip" d={tick(mark, text * 0.45)} />
      ))}
      {letter && (
        <>
          <circle className="seam-disc" cx={letter.x} cy={letter.y} r={text * 0.62} />
          <Lettered
            className="seam-letter"
            {...letter}
            under={text * 0.34}
            text={text}
            quarters={quarters}
            anchor="middle"
          >
            {letterOf(seam.join)}
          </Lettered>
        </>
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

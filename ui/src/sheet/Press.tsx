import type { Piece, PressSeam, Step } from "../api/api.gen";
import { cellPath, extent, mm } from "./PieceDrawing";

/** The angle of an arrow to each side, clockwise from the right. */
export const turns: Record<string, number> = {
  right: 0,
  "down-right": 45,
  down: 90,
  "down-left": 135,
  left: 180,
  "up-left": 225,
  up: 270,
  "up-right": 315,
};

/** Whether a seam is pressed in a step. */
export function isPressed(step: Step, seam: PressSeam): boolean {
  if (step.row) return seam.kind === "row" && seam.band === step.row;
  return step.act === "rows" && seam.kind === "between" && (step.bands ?? []).includes(seam.band ?? 0);
}

/**
 * The pressing plan, drawn on the back of the face: mirrored, as it lies on the board. Each seam
 * is a line, with the allowance as a band on the side it lies on, or on both where it is open.
 */
export function PressView({ piece, step }: { piece: Piece; step: Step }) {
  const box = extent(piece);
  const mirror = `translate(${2 * box.x + box.width} 0) scale(-1 1)`;
  const deep = Math.min(box.width, box.height) * 0.014;
  return (
    <details className="press-view">
      <summary>The pressing plan, seen from the back</summary>
      <svg viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`} role="img" aria-label={spoken(piece)}>
        <g transform={mirror}>
          {piece.cells.map((cell) => (
            <path key={cellPath(cell)} className="press-ground" d={cellPath(cell)} />
          ))}
          {piece.press.map((seam) => (
            <Allowance
              key={`${seam.kind} ${seam.x1} ${seam.y1} ${seam.x2} ${seam.y2}`}
              seam={seam}
              deep={deep}
              now={isPressed(step, seam)}
            />
          ))}
          {piece.press_conflicts.map((p) => (
            <circle key={`${p.x} ${p.y}`} className="press-conflict" cx={mm(p.x)} cy={mm(p.y)} r={deep * 2.2} />
          ))}
        </g>
      </svg>
      <p className="soft">
        Bands show on which side the allowances lie; on both, where a seam is open.
        {piece.press_conflicts.length > 0 &&
          ` Rings: ${piece.press_conflicts.length === 1 ? "one place" : `${piece.press_conflicts.length} places`} where two lie to the same side.`}
        {piece.press.some((s) => s.side === "dark") && " Where no band is drawn, press to the darker side."}
      </p>
    </details>
  );
}

/** One seam with its allowance. */
function Allowance({ seam, deep, now }: { seam: PressSeam; deep: number; now: boolean }) {
  const [x1, y1, x2, y2] = [mm(seam.x1), mm(seam.y1), mm(seam.x2), mm(seam.y2)];
  const long = Math.hypot(x2 - x1, y2 - y1) || 1;
  const normal = [((y2 - y1) / long) * deep, ((x1 - x2) / long) * deep] as const; // to the left of it
  const angle = ((turns[seam.side] ?? 0) * Math.PI) / 180;
  const towards = normal[0] * Math.cos(angle) + normal[1] * Math.sin(angle);
  const sides = seam.side === "open" ? [1, -1] : seam.side === "dark" ? [] : [Math.sign(towards) || 1];
  return (
    <>
      {sides.map((s) => (
        <path
          key={s}
          className={now ? "press-band now" : "press-band"}
          d={`M${x1} ${y1}L${x2} ${y2}L${x2 + normal[0] * s} ${y2 + normal[1] * s}L${x1 + normal[0] * s} ${y1 + normal[1] * s}Z`}
        />
      ))}
      <path className="press-seam" d={`M${x1} ${y1}L${x2} ${y2}`} />
    </>
  );
}

function spoken(piece: Piece): string {
  const bands = [...new Set(piece.press.filter((s) => s.kind === "row").map((s) => s.band))];
  const rows = bands.map(
    (band) =>
      `row ${band} ${[...new Set(piece.press.filter((s) => s.kind === "row" && s.band === band).map((s) => s.side))].join(" and ")}`,
  );
  return `Where the seam allowances of the ${piece.title.toLowerCase()} lie, seen from the front: ${rows.join(", ")}.`;
}

import { useId } from "react";
import type { Strips, Swatch } from "../api/api.gen";
import { Pattern } from "../cloth/Pattern";
import { mm } from "./PieceDrawing";
import { Chip } from "./SvgText";

/** The strips of an edging as they are marked on the piece they are cut from, each with its length. */
export function StripsFigure({ strips, cloth, swatch }: { strips: Strips; cloth: string; swatch: Swatch | undefined }) {
  const id = useId();
  const [width, height] = [mm(strips.cloth.width.nm), mm(strips.cloth.height.nm)];
  const text = Math.min(Math.max(width, height) / 36, mm(strips.width.nm) * 0.4);
  return (
    <figure className="step-drawing">
      <svg
        viewBox={`-4 -4 ${width + 8} ${height + 8}`}
        role="img"
        aria-label={`${strips.lie.length} strips, ${strips.width.text} wide, marked on a piece of ${cloth}`}
      >
        <defs>
          <Pattern id={id} swatch={swatch} />
        </defs>
        <rect className="cell" width={width} height={height} fill={`url(#${id})`} opacity={0.35} />
        {strips.lie.map((strip) => {
          const corners = strip.corners ?? [];
          const at = corners.map((p) => `${mm(p.x)} ${mm(p.y)}`);
          const middle = (axis: "x" | "y") =>
            mm(corners.reduce((sum, p) => sum + p[axis], 0) / Math.max(1, corners.length));
          return (
            <g key={at.join()}>
              <path className="cell marked" d={`M${at.join("L")}Z`} fill={`url(#${id})`} />
              {mm(strip.length.nm) > text * 9 && (
                <Chip x={middle("x")} y={middle("y")} text={text}>
                  {strip.length.text}
                </Chip>
              )}
            </g>
          );
        })}
      </svg>
      <figcaption className="soft">
        As it lies; the right side of the fabric is up. Short bits at the corners are left.
      </figcaption>
    </figure>
  );
}

import { memo, useId } from "react";
import type { Swatch as SwatchData } from "../api/api.gen";
import { Pattern } from "./Pattern";

interface SwatchProps {
  of?: SwatchData;
  width?: number;
  height?: number;
}

/** A small piece of a cloth, pinked at its lower edge. */
export const Swatch = memo(function Swatch({ of, width = 28, height = 28 }: SwatchProps) {
  const id = useId();
  return (
    <svg className="swatch" width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      <defs>
        <Pattern id={id} swatch={of} />
      </defs>
      <path className="swatch-edge" d={pinked(width, height)} fill={`url(#${id})`} />
    </svg>
  );
});

/** A rectangle whose lower edge is cut in teeth. */
function pinked(width: number, height: number): string {
  const teeth = Math.max(4, Math.round(width / 6));
  const step = width / teeth;
  let d = `M0 0 H${width} V${height - 3}`;
  for (let i = teeth; i > 0; i--) d += ` L${(i - 0.5) * step} ${height} L${(i - 1) * step} ${height - 3}`;
  return `${d} Z`;
}

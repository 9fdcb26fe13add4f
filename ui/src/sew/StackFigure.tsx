import { useId } from "react";
import type { Sheet, Swatch } from "../api/api.gen";
import { Pattern } from "../cloth/Pattern";

const wide = 190;
const high = 26;

/** What lies on what, seen from the side: the thick line is the right side of a cloth. */
export function StackFigure({ stack, swatches }: { stack: Sheet[]; swatches: Record<string, Swatch> }) {
  const id = useId();
  const told = [...stack].reverse().map(words).join(", on ");
  return (
    <figure className="stack-figure">
      <svg
        viewBox={`0 0 ${wide + 260} ${stack.length * (high + 10) + 8}`}
        role="img"
        aria-label={`From above: ${told}`}
      >
        <defs>
          {stack.map((sheet, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: sheets have no identity but their place
            <Pattern key={i} id={`${id}${i}`} swatch={swatches[sheet.cloth ?? ""]} />
          ))}
        </defs>
        {stack.map((sheet, i) => {
          const y = (stack.length - 1 - i) * (high + 10) + 6;
          const right = sheet.up === "right" ? y : y + high;
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: sheets have no identity but their place
            <g key={i}>
              <rect
                x="4"
                y={y}
                width={wide}
                height={high}
                rx={sheet.up ? 2 : 12}
                fill={`url(#${id}${i})`}
                className="sheet-side"
              />
              {sheet.up && <line x1="4" x2={wide + 4} y1={right} y2={right} className="right-side" />}
              <text x={wide + 16} y={y + high * 0.68} fontSize="15">
                {words(sheet)}
              </text>
            </g>
          );
        })}
      </svg>
      <figcaption className="soft">Seen from the side; the thick line is the right side.</figcaption>
    </figure>
  );
}

const words = (sheet: Sheet) => (sheet.up ? `${sheet.what}, ${sheet.up} side up` : sheet.what);

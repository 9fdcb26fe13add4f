import type { ReactNode } from "react";
import { ems } from "../words/ems";
import { T } from "../words/T";

interface Place {
  x: number;
  y: number;
  /** How large letters are, in the drawing's units. */
  text: number;
  /** How often its piece is turned by a quarter: it is read without turning one's head. */
  quarters?: number;
}

/** Upright again on a piece that is turned; what is upright needs no turn, and is painted together with what is round it. */
const upright = ({ x, y, quarters = 0 }: Place) => (quarters === 0 ? undefined : `rotate(${-90 * quarters} ${x} ${y})`);

interface Lettering extends Place {
  /** How far their foot lies under the point. */
  under?: number;
  anchor?: "start" | "middle" | "end";
  className?: string;
  children: ReactNode;
}

/** Letters in a drawing, by a point. */
export function Lettered({ anchor = "start", under = 0, className = "", children, ...place }: Lettering) {
  return (
    <text
      className={`lettered ${className}`}
      x={place.x}
      y={place.y + under}
      transform={upright(place)}
      fontSize={place.text}
      textAnchor={anchor}
    >
      {children}
    </text>
  );
}

/** Text in a drawing, with real fractions. */
export function SvgText({ children, ...set }: Omit<Lettering, "className"> & { children: string }) {
  return (
    <Lettered {...set} className="no-pointer">
      <T as="tspan">{children}</T>
    </Lettered>
  );
}

/** Text on a slip of paper, its middle at a point. */
export function Chip({ children, ...place }: Place & { children: string }) {
  const { x, y, text } = place;
  const [width, height] = [(ems(children) + 0.7) * text, 1.35 * text];
  return (
    <g className="no-pointer">
      <rect
        className="slip"
        x={x - width / 2}
        y={y - height / 2}
        width={width}
        height={height}
        rx={text * 0.13}
        transform={upright(place)}
      />
      <Lettered {...place} under={0.34 * text} anchor="middle">
        <T as="tspan">{children}</T>
      </Lettered>
    </g>
  );
}

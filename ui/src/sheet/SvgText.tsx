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

const at = ({ x, y, quarters = 0 }: Place) =>
  `translate(${x} ${y})${quarters === 0 ? "" : ` rotate(${-90 * quarters})`}`;

interface Lettering extends Place {
  anchor?: "start" | "middle" | "end";
  className?: string;
  children: ReactNode;
}

/** Letters in a drawing, their foot on a point. */
export function Lettered({ anchor = "start", className = "", children, ...place }: Lettering) {
  return (
    <text className={`lettered ${className}`} transform={at(place)} fontSize={place.text} textAnchor={anchor}>
      {children}
    </text>
  );
}

/** Text in a drawing, with real fractions. */
export function SvgText({ children, ...set }: Lettering & { children: string }) {
  return (
    <Lettered {...set} className="no-pointer">
      <T as="tspan">{children}</T>
    </Lettered>
  );
}

/** Text on a slip of paper, its middle at a point. */
export function Chip({ children, ...place }: Place & { children: string }) {
  const { text } = place;
  const [width, height] = [(ems(children) + 0.7) * text, 1.35 * text];
  return (
    <g className="no-pointer" transform={at(place)}>
      <rect className="slip" x={-width / 2} y={-height / 2} width={width} height={height} rx={text * 0.13} />
      <Lettered x={0} y={0.34 * text} text={text} anchor="middle">
        <T as="tspan">{children}</T>
      </Lettered>
    </g>
  );
}

import { T } from "../words/T";

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
    <foreignObject
      x={anchor === "middle" ? x - width / 2 : x}
      y={y - text * 1.1}
      width={width}
      height={text * 1.6}
      className="no-pointer"
    >
      <div
        style={{
          fontSize: text,
          lineHeight: `${text * 1.4}px`,
          textAlign: anchor === "middle" ? "center" : "left",
          whiteSpace: "nowrap",
        }}
      >
        <T>{children}</T>
      </div>
    </foreignObject>
  );
}

/** Text on a piece that is turned, read without turning one's head. */
export function Upright({
  x,
  y,
  text,
  quarters,
  children,
}: {
  x: number;
  y: number;
  text: number;
  quarters: number;
  children: string;
}) {
  return (
    <g transform={`translate(${x} ${y}) rotate(${-90 * quarters})`}>
      <SvgText x={0} y={0} text={text}>
        {children}
      </SvgText>
    </g>
  );
}

/** Text on a slip of paper, its middle at a point of a piece that may be turned. */
export function Chip({
  x,
  y,
  text,
  quarters,
  children,
}: {
  x: number;
  y: number;
  text: number;
  quarters: number;
  children: string;
}) {
  const [width, height] = [children.length * text, text * 1.7];
  return (
    <foreignObject
      x={-width / 2}
      y={-height / 2}
      width={width}
      height={height}
      className="no-pointer"
      transform={`translate(${x} ${y}) rotate(${-90 * quarters})`}
    >
      <div className="on-cloth" style={{ fontSize: text }}>
        <span>
          <T>{children}</T>
        </span>
      </div>
    </foreignObject>
  );
}

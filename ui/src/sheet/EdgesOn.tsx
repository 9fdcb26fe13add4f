import type { Edge } from "../api/api.gen";
import { mm, sidesOf } from "./PieceDrawing";
import { Chip } from "./SvgText";

/** What is worked at in a step, marked on its piece: edges, the way of the tape, corners, and where a seam begins. */
export function EdgesOn({ edges, text, quarters = 0 }: { edges: Edge[]; text: number; quarters?: number }) {
  return (
    <g className="edges no-pointer">
      {edges.map((edge) => (
        <One key={`${edge.kind} ${edge.path[0]?.x} ${edge.path[0]?.y} ${edge.path.length}`} of={edge} text={text} />
      ))}
      {edges.map(
        (edge) =>
          edge.text && (
            <Said key={`${edge.kind} ${edge.text} ${edge.path[0]?.x}`} of={edge} text={text} quarters={quarters} />
          ),
      )}
    </g>
  );
}

function One({ of: edge, text }: { of: Edge; text: number }) {
  const [first] = edge.path;
  if (!first) return null;
  const [x, y] = [mm(first.x), mm(first.y)];
  if (edge.kind === "corner") return <circle className="edge-corner" cx={x} cy={y} r={text * 0.8} />;
  if (edge.kind === "begin") return <circle className="edge-begin" cx={x} cy={y} r={text * 0.4} />;
  return (
    <path className={edge.kind === "tape" ? "edge-tape" : "edge-worked"} d={`M${x} ${y}${sidesOf(edge.path, false)}`} />
  );
}

/** What is written at an edge: beside its first third, so that two that cross do not lie over each other. */
function Said({ of: edge, text, quarters }: { of: Edge; text: number; quarters: number }) {
  const [first] = edge.path;
  const last = edge.path.at(-1);
  if (!first || !last) return null;
  if (edge.kind === "begin") {
    return (
      <Chip x={mm(first.x)} y={mm(first.y) - text * 1.3} text={text} quarters={quarters}>
        {edge.text ?? ""}
      </Chip>
    );
  }
  const [dx, dy] = [mm(last.x - first.x), mm(last.y - first.y)];
  const inside = edge.kind === "tape" ? 0 : (text * 1.2) / (Math.hypot(dx, dy) || 1); // edges go round with the clock
  return (
    <Chip
      x={mm(first.x) + dx * 0.3 - dy * inside}
      y={mm(first.y) + dy * 0.3 + dx * inside}
      text={text}
      quarters={quarters}
    >
      {edge.text ?? ""}
    </Chip>
  );
}

import type { Piece, Shape, Swatch } from "../api/api.gen";
import { threadOf } from "./LaidOn";
import { Movable, type Moving } from "./Movable";
import { SvgText } from "./SvgText";

interface Props {
  piece: Piece;
  text: number;
  quarters: number;
  moving?: Moving;
  atHand: string | null;
  take?: (about: string) => void;
}

/** The shapes on a piece, to be taken in hand and moved; a twin follows its first. */
export function ShapesOn({ piece, text, quarters, moving, atHand, take }: Props) {
  return (
    <g className="shapes">
      {piece.shapes.map((shape) => {
        const outline = <Outline shape={shape} chosen={atHand === shape.about} />;
        if (shape.twin || !moving) {
          return (
            <g key={`${shape.about} ${shape.twin}`} className="no-pointer">
              {outline}
            </g>
          );
        }
        return (
          <Movable
            key={shape.about}
            thing={shape.about}
            label={`${shape.title} on the ${piece.title.toLowerCase()}: ${shape.from.left.text} from the left, ${shape.from.top.text} from the top. The arrow keys move it.`}
            box={shape.box}
            from={shape.from}
            text={text}
            quarters={quarters}
            moving={moving}
            take={() => take?.(shape.about)}
          >
            {outline}
          </Movable>
        );
      })}
    </g>
  );
}

function Outline({ shape, chosen }: { shape: Shape; chosen: boolean }) {
  return (
    <>
      <path className={shape.line ? "shape-hit line" : "shape-hit"} d={shape.path} />
      <path className={chosen ? "shape-line chosen-shape" : "shape-line"} d={shape.path} />
    </>
  );
}

/** Stitched edges of the shapes: the stretches that show in their threads, the covered ones as dots. */
export function StitchPlan({
  piece,
  swatches,
  thread,
  text,
  quarters,
}: {
  piece: Piece;
  swatches: Record<string, Swatch>;
  thread: number | null;
  text: number;
  quarters: number;
}) {
  const sewnBy = (i: number) => piece.threads.findIndex((t) => t.shapes.includes(i));
  return (
    <g className="stitch-plan no-pointer">
      {piece.shapes.map((shape) => (
        <path key={`${shape.about} ${shape.twin}`} className="stitch-veil" d={shape.line ? "" : shape.path} />
      ))}
      {piece.shapes.map((shape, i) => {
        const by = sewnBy(i);
        const faint = thread !== null && by !== thread;
        return (
          <g key={`${shape.about} ${shape.twin}`} opacity={faint ? 0.25 : 1}>
            <path className="stitch-covered" d={shape.covered} />
            <path
              className={by < 0 ? "stitch-none" : "stitch-sewn"}
              d={shape.sewn}
              stroke={threadOf(shape, swatches[shape.cloth])}
            />
            {by >= 0 && <Numbered shape={shape} text={text} quarters={quarters} number={by + 1} />}
          </g>
        );
      })}
    </g>
  );
}

/** The number of the thread, in the middle of what it sews. */
function Numbered({ shape, text, quarters, number }: { shape: Shape; text: number; quarters: number; number: number }) {
  const points = [...shape.sewn.matchAll(/[ML](\S+) ([-\d.]+)/g)];
  const [, x, y] = points[Math.floor(points.length / 2)] ?? [];
  if (x === undefined || y === undefined) return null;
  return (
    <g transform={`translate(${x} ${y}) rotate(${-90 * quarters})`}>
      <circle className="stitch-number" r={text * 0.72} />
      <SvgText x={0} y={text * 0.32} text={text * 0.9} anchor="middle">
        {String(number)}
      </SvgText>
    </g>
  );
}

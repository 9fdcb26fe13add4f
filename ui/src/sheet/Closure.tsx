import type { BackMark, BackShown, Box, Cut } from "../api/api.gen";
import { mm } from "./PieceDrawing";
import { Chip } from "./SvgText";

interface Props {
  back: BackShown;
  cuts: Cut[];
  text: number;
}

/** How a back closes: what is on it, how large its pieces are cut and where they overlap. */
export function Closure({ back, cuts, text }: Props) {
  // As it is seen: from the wrong side the right piece lies at the left.
  const [left, right] = back.lies.toSorted((a, b) => a.box.x - b.box.x);
  const lap = left && right ? { from: mm(right.box.x), to: mm(left.box.x + left.box.width) } : null;
  const small = cuts.filter(
    (c) => c.about.piece === "back" && back.lies.every((lie) => lie.cut !== c.id) && c.layer === "outer",
  );
  return (
    <g className="no-pointer">
      {back.marks.map((mark, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: marks are told apart by their order, wherever they lie
        <Mark key={i} mark={mark} />
      ))}
      {back.lies.map((lie) => {
        const cut = cuts.find((c) => c.id === lie.cut);
        const [x, y] = middleOf(lie.box, lap && { from: lap.from, to: lap.to }, lie === right);
        return (
          <g key={lie.label}>
            {lie.label && (
              <Chip x={x} y={y - text * 0.75} text={text}>
                {lie.label}
              </Chip>
            )}
            <Chip x={x} y={y + text * 0.75} text={text}>
              {cut ? `${cut.width.text} × ${cut.height.text}` : ""}
            </Chip>
          </g>
        );
      })}
      {left && back.overlap.nm > 0 && lap && (
        <Chip x={(lap.from + lap.to) / 2} y={mm(left.box.y) + mm(left.box.height) * 0.27} text={text}>
          {`overlap ${back.overlap.text}`}
        </Chip>
      )}
      {left && small.length > 0 && (
        <Chip
          x={mm(left.box.x) + mm(left.box.width) / 2}
          y={mm(left.box.y) + mm(left.box.height) * 0.88}
          text={text * 0.9}
        >
          {small.map((c) => `${c.count} × ${c.title.toLowerCase()}, ${c.width.text} × ${c.height.text}`).join("; ")}
        </Chip>
      )}
    </g>
  );
}

/** A back as it lies with its wrong side up, in a piece whose left and right edge come to a sum, in nanometres. */
export function turnedOver(back: BackShown, edges: number): BackShown {
  const over = <Of extends { box: Box }>(one: Of): Of => ({
    ...one,
    box: { ...one.box, x: edges - one.box.x - one.box.width },
  });
  return { ...back, lies: back.lies.map(over).reverse(), marks: back.marks.map(over) };
}

/** The middle of what shows of a piece beside the lap. */
function middleOf(box: Box, lap: { from: number; to: number } | null, right: boolean): [number, number] {
  const [from, to] = [mm(box.x), mm(box.x + box.width)];
  const y = mm(box.y) + mm(box.height) / 2;
  if (!lap) return [(from + to) / 2, y];
  return right ? [(Math.max(lap.to, from) + to) / 2, y] : [(from + Math.min(lap.from, to)) / 2, y];
}

/** A hem, a fold, a tape, a zip, a button, a tie or a gap. */
export function Mark({ mark }: { mark: BackMark }) {
  const box = { x: mm(mark.box.x), y: mm(mark.box.y), width: mm(mark.box.width), height: mm(mark.box.height) };
  if (mark.kind === "button") {
    return (
      <circle className="mark button-mark" cx={box.x + box.width / 2} cy={box.y + box.height / 2} r={box.width / 2} />
    );
  }
  if (box.width === 0 || box.height === 0) {
    return (
      <line className={`mark ${mark.kind}-mark`} x1={box.x} y1={box.y} x2={box.x + box.width} y2={box.y + box.height} />
    );
  }
  if (mark.kind !== "zip") return <rect className={`mark ${mark.kind}-mark`} {...box} />;
  const upright = box.height > box.width;
  const [cx, cy] = [box.x + box.width / 2, box.y + box.height / 2];
  return (
    <g>
      <rect className="mark zip-mark" {...box} />
      <line
        className="mark zip-teeth"
        x1={upright ? cx : box.x}
        y1={upright ? box.y : cy}
        x2={upright ? cx : box.x + box.width}
        y2={upright ? box.y + box.height : cy}
      />
    </g>
  );
}

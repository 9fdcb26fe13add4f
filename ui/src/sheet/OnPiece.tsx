import type { Fitting } from "../api/api.gen";
import { Movable, type Moving } from "./Movable";
import { mm } from "./PieceDrawing";
import { Lettered } from "./SvgText";

interface Props {
  fittings: Fitting[];
  text: number;
  /** Quarter turns of the piece they lie on. */
  quarters?: number;
  moving?: Moving;
}

/** What is sewn onto a piece, where it lies. */
export function OnPiece({ fittings, text, quarters = 0, moving }: Props) {
  return (
    <g className="fittings">
      {fittings.map((f) =>
        moving ? (
          <Held key={f.index} fitting={f} text={text} quarters={quarters} moving={moving} />
        ) : (
          <g key={f.index} className="no-pointer">
            <Drawn fitting={f} text={text} quarters={quarters} />
          </g>
        ),
      )}
    </g>
  );
}

function Drawn({ fitting, text, quarters }: { fitting: Fitting; text: number; quarters: number }) {
  const [first] = fitting.boxes;
  return (
    <>
      {fitting.boxes.map((b, i) => (
        <rect
          // biome-ignore lint/suspicious/noArrayIndexKey: boxes are told apart by their order, wherever they lie
          key={i}
          className="fitting"
          x={mm(b.x)}
          y={mm(b.y)}
          width={mm(b.width)}
          height={mm(b.height)}
          rx={fitting.round ? mm(b.width) / 2 : 0}
        />
      ))}
      {fitting.lines.map((l, i) => (
        <line
          // biome-ignore lint/suspicious/noArrayIndexKey: and so are lines
          key={i}
          className="fitting-line"
          x1={mm(l.x1)}
          y1={mm(l.y1)}
          x2={mm(l.x2)}
          y2={mm(l.y2)}
        />
      ))}
      {first && (
        <Lettered
          className="haloed no-pointer"
          x={mm(first.x)}
          y={mm(first.y) - text * 0.25}
          text={text * 0.85}
          quarters={quarters}
        >
          {fitting.title.toLowerCase()}
        </Lettered>
      )}
    </>
  );
}

/** A fitting that can be moved. */
function Held({
  fitting,
  text,
  quarters,
  moving,
}: {
  fitting: Fitting;
  text: number;
  quarters: number;
  moving: Moving;
}) {
  const [first] = fitting.boxes;
  if (!first) return null;
  return (
    <Movable
      thing={`/fittings/${fitting.index}`}
      label={`${fitting.title} ${fitting.index + 1} on the ${fitting.on}: ${fitting.check} The arrow keys move it.`}
      box={first}
      from={fitting.from}
      text={text}
      quarters={quarters}
      moving={moving}
    >
      {fitting.boxes.map((b, i) => (
        <rect
          // biome-ignore lint/suspicious/noArrayIndexKey: boxes are told apart by their order, wherever they lie
          key={i}
          className="grip"
          x={mm(b.x) - text * 0.6}
          y={mm(b.y) - text * 0.6}
          width={mm(b.width) + text * 1.2}
          height={mm(b.height) + text * 1.2}
        />
      ))}
      <Drawn fitting={fitting} text={text} quarters={quarters} />
    </Movable>
  );
}

import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import type { Fitting } from "../api/api.gen";
import { unturned } from "./net";
import { mm } from "./PieceDrawing";
import { Chip, Upright } from "./SvgText";

/** Where a fitting is brought: the corner of its first box, in nanometres on its piece, and ruler steps from there. */
export interface Move {
  fitting: number;
  x: number;
  y: number;
  across: number;
  down: number;
}

/** What moving a fitting does: while it is under way, when it is let go, when it is given up. */
export interface Moving {
  over: (move: Move) => void;
  drop: (move: Move) => void;
  giveUp: () => void;
}

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
          <Movable key={f.index} fitting={f} text={text} quarters={quarters} moving={moving} />
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
      {fitting.boxes.map((b) => (
        <rect
          key={`${b.x} ${b.y}`}
          className="fitting"
          x={mm(b.x)}
          y={mm(b.y)}
          width={mm(b.width)}
          height={mm(b.height)}
          rx={fitting.round ? mm(b.width) / 2 : 0}
        />
      ))}
      {fitting.lines.map((l) => (
        <line key={`${l.x1} ${l.y1} ${l.x2} ${l.y2}`} className="fitting-line" x1={mm(l.x1)} y1={mm(l.y1)} x2={mm(l.x2)} y2={mm(l.y2)} />
      ))}
      {first && (
        <Upright x={mm(first.x)} y={mm(first.y) - text * 0.25} text={text * 0.85} quarters={quarters}>
          {fitting.title.toLowerCase()}
        </Upright>
      )}
    </>
  );
}

const arrows: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

/** A fitting that is dragged, or moved by the arrow keys a ruler step at a time. */
function Movable({ fitting, text, quarters, moving }: { fitting: Fitting; text: number; quarters: number; moving: Moving }) {
  const group = useRef<SVGGElement>(null);
  const held = useRef<{ x: number; y: number; moved: boolean } | null>(null);
  const [first] = fitting.boxes;
  if (!first) return null;

  /** A point of the screen in the frame of the piece, in nanometres. */
  const onPiece = (event: PointerEvent) => {
    const matrix = group.current?.getScreenCTM()?.inverse();
    const point = matrix && new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    return point ? { x: point.x * 1e6, y: point.y * 1e6 } : null;
  };
  const take = (event: PointerEvent<SVGGElement>) => {
    const at = onPiece(event);
    if (event.button !== 0 || !at) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    held.current = { x: at.x - first.x, y: at.y - first.y, moved: false };
  };
  const to = (event: PointerEvent): Move | null => {
    const at = onPiece(event);
    if (!held.current || !at) return null;
    return { fitting: fitting.index, x: Math.round(at.x - held.current.x), y: Math.round(at.y - held.current.y), across: 0, down: 0 };
  };
  const drag = (event: PointerEvent) => {
    const move = to(event);
    if (!move || !held.current) return;
    held.current.moved = true;
    moving.over(move);
  };
  const release = (event: PointerEvent) => {
    const move = held.current?.moved ? to(event) : null;
    held.current = null;
    if (move) moving.drop(move);
  };
  const giveUp = () => {
    if (held.current?.moved) moving.giveUp();
    held.current = null;
  };
  const keys = (event: KeyboardEvent) => {
    if (event.key === "Escape" && held.current) {
      event.stopPropagation();
      giveUp();
    }
    const arrow = arrows[event.key];
    if (!arrow) return;
    event.preventDefault();
    const by = unturned(...arrow, quarters);
    moving.drop({ fitting: fitting.index, x: first.x, y: first.y, across: Math.round(by.x), down: Math.round(by.y) });
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: there is no button element in a drawing
    <g
      ref={group}
      className="movable"
      role="button"
      tabIndex={0}
      aria-label={`${fitting.title} ${fitting.index + 1} on the ${fitting.on}: ${fitting.check} The arrow keys move it.`}
      onPointerDown={take}
      onPointerMove={drag}
      onPointerUp={release}
      onPointerCancel={giveUp}
      onKeyDown={keys}
    >
      {fitting.boxes.map((b) => (
        <rect
          key={`${b.x} ${b.y}`}
          className="grip"
          x={mm(b.x) - text * 0.6}
          y={mm(b.y) - text * 0.6}
          width={mm(b.width) + text * 1.2}
          height={mm(b.height) + text * 1.2}
        />
      ))}
      <Drawn fitting={fitting} text={text} quarters={quarters} />
      <FromEdges fitting={fitting} text={text} quarters={quarters} />
    </g>
  );
}

/** How far a fitting is from the edges of its piece: shown while it is at hand. */
function FromEdges({ fitting, text, quarters }: { fitting: Fitting; text: number; quarters: number }) {
  const [first] = fitting.boxes;
  if (!first) return null;
  const { left, right, top, bottom } = fitting.from;
  const [x, y] = [mm(first.x + first.width / 2), mm(first.y + first.height / 2)];
  const [near, above, far, below] = [mm(first.x), mm(first.y), mm(first.x + first.width), mm(first.y + first.height)];
  const lines = [
    { of: left, x1: 0, y1: y, x2: near, y2: y },
    { of: right, x1: far, y1: y, x2: far + mm(right.nm), y2: y },
    { of: top, x1: x, y1: 0, x2: x, y2: above },
    { of: bottom, x1: x, y1: below, x2: x, y2: below + mm(bottom.nm) },
  ];
  return (
    <g className="from-edges no-pointer">
      {lines
        .filter(({ of }) => of.nm > 0)
        .map(({ of, ...line }) => (
          <g key={`${line.x2} ${line.y2}`}>
            <line className="halo" {...line} />
            <line {...line} />
            <Chip x={(line.x1 + line.x2) / 2} y={(line.y1 + line.y2) / 2} text={text} quarters={quarters}>
              {of.text}
            </Chip>
          </g>
        ))}
    </g>
  );
}

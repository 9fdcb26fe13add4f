import { type KeyboardEvent, type PointerEvent, type ReactNode, useRef } from "react";
import type { Box, Distances } from "../api/api.gen";
import { unturned } from "./net";
import { mm } from "./PieceDrawing";
import { Chip } from "./SvgText";

/** Where a thing is brought: the corner of its first box, in nanometres on its piece, and ruler steps from there. */
export interface Move {
  /** Its path in the plan. */
  thing: string;
  x: number;
  y: number;
  across: number;
  down: number;
}

/** What moving a thing does: while it is under way, when it is let go, when it is given up. */
export interface Moving {
  over: (move: Move) => void;
  drop: (move: Move) => void;
  giveUp: () => void;
}

interface Props {
  /** The thing's path in the plan. */
  thing: string;
  label: string;
  /** The box whose corner is moved, and how far it is from the edges of its piece. */
  box: Box;
  from: Distances;
  text: number;
  quarters: number;
  moving: Moving;
  /** Called when it is taken in hand. */
  take?: () => void;
  children: ReactNode;
}

const arrows: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A thing on a piece that is dragged, or moved by the arrow keys a ruler step at a time. */
export function Movable({ thing, label, box, from, text, quarters, moving, take: taken, children }: Props) {
  const group = useRef<SVGGElement>(null);
  const held = useRef<{ x: number; y: number; moved: boolean } | null>(null);

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
    taken?.();
    held.current = { x: at.x - box.x, y: at.y - box.y, moved: false };
  };
  const to = (event: PointerEvent): Move | null => {
    const at = onPiece(event);
    if (!held.current || !at) return null;
    return { thing, x: Math.round(at.x - held.current.x), y: Math.round(at.y - held.current.y), across: 0, down: 0 };
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
    moving.drop({ thing, x: box.x, y: box.y, across: Math.round(by.x), down: Math.round(by.y) });
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: there is no button element in a drawing
    <g
      ref={group}
      className="movable"
      role="button"
      tabIndex={0}
      aria-label={label}
      onPointerDown={take}
      onPointerMove={drag}
      onPointerUp={release}
      onPointerCancel={giveUp}
      onFocus={taken}
      onKeyDown={keys}
    >
      {children}
      <FromEdges box={box} from={from} text={text} quarters={quarters} />
    </g>
  );
}

/** How far a thing is from the edges of its piece: shown while it is at hand. */
function FromEdges({ box, from, text, quarters }: { box: Box; from: Distances; text: number; quarters: number }) {
  const { left, right, top, bottom } = from;
  const [x, y] = [mm(box.x + box.width / 2), mm(box.y + box.height / 2)];
  const [near, above, far, below] = [mm(box.x), mm(box.y), mm(box.x + box.width), mm(box.y + box.height)];
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

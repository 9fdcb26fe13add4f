import type { Cell, Vertex } from "../api/api.gen";

/** What is drawn by one mark: cells of one fabric that stand alike. */
export interface Mark {
  cells: Cell[];
  cloth: string;
  faint: boolean;
  /** How far it is drawn from its place, in nanometres. */
  apart?: readonly [number, number];
}

interface How {
  /** Each cell is a mark of its own, so that it can be changed by itself. */
  each: boolean;
  faint: (cell: Cell) => boolean;
  apart?: (readonly [number, number])[];
}

/**
 * The marks that cells are drawn by: as few as there are fabrics, since a mark costs the same whatever it holds. Cells
 * that lie over each other, as flaps on their ground, keep their order by being drawn one by one.
 */
export function marksOf(cells: Cell[], { each, faint, apart }: How): Mark[] {
  const marks = new Map<string | number, Mark>();
  const single = each || cells.some((cell) => cell.over);
  for (const [i, cell] of cells.entries()) {
    const mark = { cells: [cell], cloth: cell.cloth, faint: faint(cell), apart: apart?.[i] };
    const key = single ? i : [mark.cloth, mark.faint, mark.apart].join();
    const like = marks.get(key);
    if (like) like.cells.push(cell);
    else marks.set(key, mark);
  }
  return [...marks.values()];
}

/** The cell that a point lies in, in nanometres; on its edge it may be either of two. */
export function cellAt(cells: Cell[], x: number, y: number): Cell | undefined {
  return cells.find((cell) => {
    const corners = cornersOf(cell);
    return corners.filter((a, i) => crosses(a, corners[(i + 1) % corners.length] ?? a, x, y)).length % 2 === 1;
  });
}

/** Whether a line to the right of a point crosses a side. */
const crosses = (a: Point, b: Point, x: number, y: number) =>
  a.y > y !== b.y > y && x < a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x);

type Point = Pick<Vertex, "x" | "y">;

/** The corners of a cell, arcs by points on them. */
function cornersOf({ x, y, width, height, line }: Cell): Point[] {
  if (line) return line.flatMap((v, i) => along(v, line[(i + 1) % line.length] ?? v));
  return [
    { x, y },
    { x: x + width, y },
    { x: x + width, y: y + height },
    { x, y: y + height },
  ];
}

const steps = 16;

/** A side without its end: its beginning, or points on its arc, which bulges to the left of its way by its sagitta. */
function along(from: Vertex, to: Vertex): Point[] {
  if (!from.bulge) return [from];
  const half = 2 * Math.atan(from.bulge); // half the angle of the arc
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  return Array.from({ length: steps }, (_, i) => {
    const at = -half + (2 * half * i) / steps;
    const across = 0.5 + Math.sin(at) / (2 * Math.sin(half));
    const up = (Math.cos(at) - Math.cos(half)) / (2 * Math.sin(half));
    return { x: from.x + dx * across + dy * up, y: from.y + dy * across - dx * up };
  });
}

import type { About, Cell, Piece, Step } from "../api/api.gen";

/** What is sewn of a piece when a step is done. */
export interface Moment {
  /** The units of its blocks are sewn. */
  blocks: boolean;
  /** Rows that are sewn, and those that are joined to each other, by their numbers. */
  sewn: ReadonlySet<number>;
  joined: ReadonlySet<number>;
  /** Strips of borders that are sewn on: of which border, and which pair of them, 0 for all. */
  borders: readonly { of: string; pair: number }[];
  /** The parts of a stack are joined to each other. */
  parts: boolean;
  /** All of its face is together. */
  whole: boolean;
  /** What lies inside its borders is quilted, or all of it; and borders that are quilted by themselves. */
  quilted: boolean;
  bordersQuilted: boolean;
  /** It was trimmed to its size before, and the cover is turned right side out. */
  trimmed: boolean;
  turnedOut: boolean;
}

/** What is sewn of a piece once a step is done, all before it in working order too. */
export function momentOf(step: Step, steps: Step[], piece: Piece): Moment {
  const at = steps.findIndex((s) => s.id === step.id);
  const its = steps.filter((s, i) => i <= at && s.piece === piece.name);
  const last = its.at(-1);
  return {
    blocks: !steps.some((s, i) => i > at && s.piece === piece.name && s.act === "unit"),
    parts: its.some((s) => s.act === "parts"),
    sewn: new Set(its.filter((s) => s.act === "row").flatMap((s) => s.bands ?? [])),
    joined: new Set(its.filter((s) => s.act === "rows").flatMap((s) => s.bands ?? [])),
    borders: its
      .filter((s) => s.act === "border" && s.about.role !== "border-patches")
      .map(({ about }) => ({ of: about.of ?? "", pair: about.pair ?? 0 })),
    whole:
      step.stage === "close" || // pieces that are joined are finished, whatever was done to them
      (last !== undefined &&
        last.stage !== "measure" &&
        last.stage !== "cut" &&
        last.stage !== "piece" &&
        !steps.some((s, i) => i > at && s.piece === piece.name && s.act === "border")),
    quilted: its.some((s) => s.act === "quilt"),
    bordersQuilted: its.some((s) => s.act === "quilt" && (!piece.quilting?.after || s.about.role === "quilt-borders")),
    trimmed: its.some((s) => s !== step && trims.has(s.about.role)),
    turnedOut: steps.some((s, i) => i <= at && turns.has(s.about.role)),
  };
}

const trims = new Set(["trim", "trim-panel"]);
const turns = new Set(["turn", "try"]); // a hood is turned when it is tried on

/** A piece with no more round it than there is: what was trimmed off is gone, and a cover turned out hides its seams. */
export function asItIs(piece: Piece, now: Moment): Piece {
  if (now.turnedOut) return { ...piece, cut_outline: piece.outline, trimmed_outline: piece.outline };
  return now.trimmed ? { ...piece, cut_outline: piece.trimmed_outline } : piece;
}

/** What the cells of a reckoning are about: as the cuts they are of. */
export type Abouts = (cell: Cell) => About | undefined;

export function aboutsOf(cuts: readonly { id: string; about: About }[]): Abouts {
  const known = new Map(cuts.map((c) => [c.id, c.about]));
  return (cell) => known.get(cell.cut);
}

/** How far things that are not sewn to each other lie apart, of their distance from the middle of what they belong to. */
const apart = 0.13;

type Point = readonly [number, number];

const middle = (cell: Cell): Point => [cell.x + cell.width / 2, cell.y + cell.height / 2];

/** The middle of what some cells cover. */
function around(cells: Cell[]): Point {
  const left = Math.min(...cells.map((c) => c.x));
  const top = Math.min(...cells.map((c) => c.y));
  const right = Math.max(...cells.map((c) => c.x + c.width));
  const bottom = Math.max(...cells.map((c) => c.y + c.height));
  return [(left + right) / 2, (top + bottom) / 2];
}

/** The cells that belong together, by a key; those without one are left out. */
function gathered(cells: Cell[], key: (cell: Cell) => string | number | undefined) {
  const groups = new Map<string | number, Cell[]>();
  for (const cell of cells) {
    const of = key(cell);
    if (of !== undefined) groups.set(of, [...(groups.get(of) ?? []), cell]);
  }
  return new Map([...groups].map(([of, group]) => [of, around(group)]));
}

/**
 * How far each cell is drawn from its place, in nanometres: what is not sewn to each other yet lies
 * apart, patches from their block, blocks from their row, rows from their grid, borders from what
 * they go round, and parts from each other.
 */
export function apartAt(now: Moment, cells: Cell[], about: Abouts): Point[] {
  if (now.whole || cells.length === 0) return cells.map(() => [0, 0]);
  const partOf = (cell: Cell) => about(cell)?.part ?? "";
  const blockOf = (cell: Cell) => (cell.row && cell.column ? `${partOf(cell)} ${cell.row} ${cell.column}` : undefined);
  const inside = cells.filter((c) => !about(c)?.ring);
  const whole = around(cells);
  const parts = gathered(inside, partOf);
  const rows = gathered(inside, (c) => c.band || undefined);
  const blocks = gathered(inside, blockOf);
  const out = (at: Point, from: Point, times = 1): Point => [
    (at[0] - from[0]) * apart * times,
    (at[1] - from[1]) * apart * times,
  ];
  return cells.map((cell) => {
    const part = parts.get(partOf(cell)) ?? whole;
    const moves: Point[] = [partOf(cell) === "" || now.parts ? [0, 0] : out(part, whole, 2)];
    const border = about(cell);
    const row = rows.get(cell.band ?? 0);
    if (border?.ring) {
      // The strips that are sewn on first are on as soon as any are.
      const on = now.borders.some(({ of, pair }) => of === border.of && (border.role === "border-first" || pair !== 1));
      if (!on) moves.push(out(middle(cell), part, 1.6));
    } else if (row && !now.joined.has(cell.band ?? 0)) {
      moves.push(out(row, part));
      if (!now.sewn.has(cell.band ?? 0)) {
        const block = blocks.get(blockOf(cell) ?? "") ?? middle(cell);
        moves.push(out(block, row));
        if (!now.blocks) moves.push(out(middle(cell), block));
      }
    } else if (!row && rows.size > 0 && now.joined.size === 0) {
      moves.push(out(middle(cell), part)); // a corner, sewn on when the rows are joined
    }
    return moves.reduce((a, b) => [a[0] + b[0], a[1] + b[1]]);
  });
}

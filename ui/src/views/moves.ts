import type { ClothNeed, Cut, Lay, Move, OddLay, Reckoning } from "../api/api.gen";

/** A piece of cloth that is laid on the table: the length, or odd pieces alike. */
export interface Spread {
  cloth: ClothNeed;
  lay: Lay;
  /** How it is cut, in order. */
  moves: Move[];
  /** The odd pieces; absent for the length. */
  odd?: OddLay;
  /** Tells the spreads of a cloth apart. */
  key: string;
}

/** One thing to do at the table. */
export interface AtTable {
  spread: Spread;
  move: Move;
}

/** Tells moves apart, also when others have left the list. */
export const keyOf = ({ spread, move }: AtTable) =>
  [spread.key, move.kind, move.strips.join("+"), move.title, ...move.parts.map((p) => p.cut)].join(" ");

/** The move that comes up after one: the next that is still to be done when its cuts are. */
export function nextOf(moves: AtTable[], at: AtTable): AtTable | undefined {
  const gone = new Set(at.move.ends);
  return moves
    .slice(moves.indexOf(at) + 1)
    .find(({ move }) => move.parts.length === 0 || move.parts.some((p) => !gone.has(p.cut)));
}

/** The pieces of cloth that are cut, the odd ones first. */
export function spreadsOf(cloth: ClothNeed): Spread[] {
  const odd = cloth.odd.map((o, i) => ({ cloth, lay: o.lay, moves: o.moves, odd: o, key: `${cloth.cloth} odd ${i}` }));
  if (cloth.lay.placed.length === 0) return odd;
  return [...odd, { cloth, lay: cloth.lay, moves: cloth.moves, key: cloth.cloth }];
}

/** What is still to be done at the table, all cloths in order. */
export const movesOf = (reckoning: Reckoning): AtTable[] =>
  reckoning.cloths
    .flatMap(spreadsOf)
    .flatMap((spread) => spread.moves.filter((m) => m.now).map((move) => ({ spread, move })));

/** Every strip with what is cut out of it. */
export function grouped(moves: Move[]): [Move, ...Move[]][] {
  const groups: [Move, ...Move[]][] = [];
  for (const move of moves) {
    const last = groups.at(-1);
    if (last && move.within) last.push(move);
    else groups.push([move]);
  }
  return groups;
}

/** The cuts a move gives pieces of. */
export const cutsOf = (move: Move, cuts: Cut[]) =>
  move.gives ? move.parts.map((p) => cuts[p.cut]).filter((c) => c !== undefined) : [];

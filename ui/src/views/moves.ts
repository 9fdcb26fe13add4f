import type { ClothNeed, Cut, L, Lay, OddLay, Placed, Reckoning } from "../api/api.gen";

/** A piece of cloth that is laid on the table: the length, or odd pieces alike. */
export interface Spread {
  cloth: ClothNeed;
  lay: Lay;
  /** The odd pieces; absent for the length. */
  odd?: OddLay;
  /** Tells the spreads of a cloth apart. */
  key: string;
}

/** What is cut out of a column: so many pieces of a cut, as high as told. */
export interface Part {
  cut: Cut;
  count: number;
  height: L;
  /** The column is higher than its only piece, which is trimmed to its height. */
  trimmed: boolean;
}

/** One thing to do with the ruler at the table. */
export interface Move {
  spread: Spread;
  /** The strips that are cut, or lie on each other and are cut apart; none while the end is squared. */
  strips: number[];
  /** How many columns alike are cut out of each strip, and what each of them gives; none for the strips themselves. */
  columns: number;
  parts: Part[];
  /** What the ruler is set to, as text. */
  ruler: string;
  /** The pieces are as large as they are wanted: they are taken as they are. */
  asTheyAre?: boolean;
  /** Cuts of which nothing is left to be cut after this move. */
  ends: Cut[];
}

/** Tells moves apart, also when others have left the list. */
export const keyOf = (move: Move) =>
  [move.spread.key, move.strips.join("+"), move.ruler, ...move.parts.map((p) => `${p.cut.id} ${p.height.nm}`)].join(
    " ",
  );

/** The move that comes up after one: the next that is still to be done when its cuts are. */
export function nextOf(moves: Move[], move: Move): Move | undefined {
  const gone = new Set(move.ends);
  return moves
    .slice(moves.indexOf(move) + 1)
    .find((m) => m.parts.length === 0 || m.parts.some((p) => !gone.has(p.cut)));
}

/** Numbers of strips, in words. */
export const these = (strips: number[]) =>
  strips.length === 2 ? strips.join(" and ") : `${strips[0]} to ${strips.at(-1)}`;

/** How many pieces a move gives. */
export const piecesOf = (move: Move, part: Part) =>
  part.count * move.columns * Math.max(1, move.strips.length) * (move.spread.odd?.count ?? 1);

/** The pieces of cloth that are cut, the odd ones first. */
export function spreadsOf(cloth: ClothNeed): Spread[] {
  const odd = cloth.odd.map((o, i) => ({ cloth, lay: o.lay, odd: o, key: `${cloth.cloth} odd ${i}` }));
  return cloth.lay.placed.length > 0 ? [...odd, { cloth, lay: cloth.lay, key: cloth.cloth }] : odd;
}

/** What is cut out of a spread, in order. Pieces that take no part in it are left out, and strips of which nothing is cut. */
export function cutsOf(spread: Spread, cuts: Cut[], takesPart: (cut: Cut) => boolean): Move[] {
  const taken = (p: Placed) => cuts[p.cut] !== undefined && takesPart(cuts[p.cut] as Cut);
  const whole = wholeOf(spread);
  if (whole && taken(whole)) {
    const cut = cuts[whole.cut] as Cut;
    const part = { cut, count: 1, height: whole.height, trimmed: false };
    return [{ spread, strips: [], columns: 1, parts: [part], ruler: whole.width.text, asTheyAre: true, ends: [] }];
  }
  if (spread.lay.strips.length === 0) return freely(spread, spread.lay.placed.filter(taken), cuts);
  const moves: Move[] = [];
  for (const strips of spread.lay.stacks) {
    const strip = spread.lay.strips[(strips[0] ?? 1) - 1];
    const out = columnsOf(spread, strips, taken, cuts);
    const lead = !spread.lay.placed.some((p) => p.strip === strips[0]);
    if (!strip || (out.length === 0 && !lead)) continue;
    moves.push({ spread, strips, columns: 1, parts: [], ruler: strip.height.text, ends: [] }, ...out);
  }
  if (!moves.some((m) => m.parts.length > 0)) return [];
  const square = { spread, strips: [], columns: 1, parts: [], ruler: "", ends: [] };
  if (hasRoom(spread)) return [square, ...moves];
  return spread.lay.strips.length === 1 ? moves.slice(1) : moves; // a piece of one strip is that strip
}

/** The one piece that an odd piece is used up by without rest. */
function wholeOf({ odd, lay }: Spread): Placed | undefined {
  const [only, ...more] = lay.placed;
  const fits = odd && only && only.width.nm === odd.width.nm && only.height.nm === odd.length.nm;
  return fits && more.length === 0 ? only : undefined;
}

/** Something can be cut off to square the end: not where all of an odd piece is wanted. */
const hasRoom = ({ odd, lay }: Spread) =>
  !odd || lay.strips.reduce((sum, strip) => sum + strip.height.nm, 0) < odd.length.nm;

/** The columns of strips that lie on each other, alike ones in one move. */
function columnsOf(spread: Spread, strips: number[], taken: (p: Placed) => boolean, cuts: Cut[]): Move[] {
  const strip = spread.lay.strips[(strips[0] ?? 1) - 1];
  const columns = new Map<number, Placed[]>();
  for (const p of spread.lay.placed.filter((one) => one.strip === strips[0]))
    columns.set(p.column, [...(columns.get(p.column) ?? []), p]);
  const moves = new Map<string, Move>();
  for (const column of columns.values()) {
    const parts: Part[] = [];
    for (const p of column.filter(taken)) {
      const cut = cuts[p.cut] as Cut;
      const same = parts.find((part) => part.cut === cut && part.height.nm === p.height.nm);
      if (same) same.count++;
      else
        parts.push({
          cut,
          count: 1,
          height: p.height,
          trimmed: column.length === 1 && p.height.nm < (strip?.height.nm ?? 0),
        });
    }
    if (parts.length === 0) continue;
    const move = { spread, strips, columns: 1, parts, ruler: column[0]?.width.text ?? "", ends: [] };
    const key = `${keyOf(move)} ${parts.map((p) => p.count)}`;
    const same = moves.get(key);
    if (same) same.columns++;
    else moves.set(key, move);
  }
  return [...moves.values()];
}

/** Pieces that are placed freely are drawn round and cut out one by one. */
function freely(spread: Spread, placed: Placed[], cuts: Cut[]): Move[] {
  const counts = new Map<Cut, number>();
  for (const p of placed) {
    const cut = cuts[p.cut] as Cut;
    counts.set(cut, (counts.get(cut) ?? 0) + 1);
  }
  return [...counts].map(([cut, count]) => ({
    spread,
    strips: [],
    columns: 1,
    parts: [{ cut, count, height: cut.height, trimmed: false }],
    ruler: cut.width.text,
    ends: [],
  }));
}

/** The cuts of all cloths in the order they are made; what is cut already and what waits is left out. */
export function movesOf(reckoning: Reckoning): Move[] {
  const moves = reckoning.cloths
    .flatMap(spreadsOf)
    .flatMap((spread) => cutsOf(spread, reckoning.cuts, (cut) => !cut.done && !cut.waits));
  const later = new Set<Cut>();
  for (const move of [...moves].reverse()) {
    for (const { cut } of move.parts) {
      if (later.has(cut)) continue;
      later.add(cut);
      move.ends.push(cut);
    }
  }
  return moves;
}

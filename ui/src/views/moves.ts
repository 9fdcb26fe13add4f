import type { ClothNeed, Cut, Reckoning } from "../api/api.gen";

/** One thing to do with the ruler at the table. */
export interface Move {
  cloth: ClothNeed;
  /** Strip of the lay, from 1; 0 while the end is squared. */
  strip: number;
  /** What is cut out of it, and how many; absent for the strip itself. */
  cut?: Cut;
  count: number;
  /** The width the ruler is set to, as text. */
  ruler: string;
  /** No other move cuts any of it: after this one it is done. */
  last: boolean;
}

/** Tells moves apart, also when others have left the list. */
export const keyOf = (move: Move) => `${move.cloth.cloth} ${move.strip} ${move.cut?.id ?? ""} ${move.ruler}`;

/** The move that comes up after one: the next that is still to be done when its cut is. */
export function nextOf(moves: Move[], move: Move): Move | undefined {
  const gone = move.last ? move.cut : undefined;
  return moves.slice(moves.indexOf(move) + 1).find((m) => !m.cut || m.cut !== gone);
}

/** The cuts of all cloths in the order they are made; what is cut already and what waits is left out. */
export function movesOf(reckoning: Reckoning): Move[] {
  const moves: Move[] = [];
  for (const cloth of reckoning.cloths) {
    const mine: Move[] = [];
    cloth.lay.strips.forEach((strip, i) => {
      const pieces: Move[] = [];
      for (const placed of cloth.lay.placed.filter((p) => p.strip === i + 1)) {
        const cut = reckoning.cuts[placed.cut];
        if (!cut || cut.done || cut.waits) continue;
        const same = pieces.find((m) => m.cut === cut && m.ruler === placed.width.text);
        if (same) same.count++;
        else pieces.push({ cloth, strip: i + 1, cut, count: 1, ruler: placed.width.text, last: false });
      }
      if (pieces.length > 0) mine.push({ cloth, strip: i + 1, count: 1, ruler: strip.height.text, last: false }, ...pieces);
    });
    if (mine.length > 0) moves.push({ cloth, strip: 0, count: 1, ruler: "", last: false }, ...mine);
  }
  const later = new Set<Cut>();
  for (const move of [...moves].reverse()) {
    if (!move.cut || later.has(move.cut)) continue;
    later.add(move.cut);
    move.last = true;
  }
  return moves;
}

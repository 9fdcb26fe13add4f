import type { Term } from "../api/api.gen";

/** One segment of a tape, in nanometres from its beginning. */
export interface Segment {
  term: Term;
  from: number;
  to: number;
  /** A term that takes away lies back over what is before it. */
  back: boolean;
}

/** Lays the terms of a sum along the tape. */
export function segments(terms: Term[]): Segment[] {
  let at = 0;
  return terms.map((term) => {
    const start = at;
    at += term.amount.nm;
    return { term, from: Math.min(start, at), to: Math.max(start, at), back: term.amount.nm < 0 };
  });
}

/** Terms alike and beside each other, counted: 4 × 4″ patch. */
export interface Group {
  term: Term;
  count: number;
  /** Place of the first of them in the sum. */
  first: number;
}

/** The sum as it is read out, terms alike taken together. */
export function groups(terms: Term[]): Group[] {
  const out: Group[] = [];
  terms.forEach((term, first) => {
    const last = out.at(-1);
    if (last && term.again) last.count++;
    else out.push({ term, count: 1, first });
  });
  return out;
}

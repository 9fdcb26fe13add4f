import type { QuiltingPattern } from "../api/api.gen";
import { useStarts } from "../api/queries";

/** A family of quilting lines as it stands in a plan. */
export interface Line {
  pitch?: string | number;
  angle?: number;
  wave?: string | number;
}

/** A quilting as it stands in a plan. */
export interface QuiltingDoc {
  lines?: Line[];
  pair?: string | number;
  ditch?: boolean;
  echo?: string | number;
  free?: string | number;
  corners?: boolean;
  beside?: string | number;
  around?: string | number;
}

/** The quilting patterns that go by a name, in a unit. */
export function usePatterns(unit: string): Patterns {
  return patternsOf(useStarts(unit).data?.patterns ?? []);
}

export type Patterns = ReturnType<typeof patternsOf>;

/** What can be asked of the patterns that go by a name. */
export function patternsOf(list: QuiltingPattern[]) {
  const begun = (key: string) => (list.find((p) => p.key === key)?.quilting ?? {}) as QuiltingDoc;
  /** A pattern with its lines as far apart as another's. */
  const make = (key: string, like: QuiltingDoc): QuiltingDoc => spaced(begun(key), apartOf(like));
  /** The name of a pattern; own for what has none. */
  const of = (q: QuiltingDoc) => list.find((p) => shape(begun(p.key)) === shape(q))?.key ?? "own";
  return {
    list,
    make,
    of,
  };
}

/** How far apart the lines of a quilting are; nothing where it has none. */
const apartOf = (q: QuiltingDoc) => q.lines?.[0]?.pitch ?? (some(q.echo) ? q.echo : q.free);

/** A quilting with its lines so far apart; as it is where that is not said. */
function spaced(q: QuiltingDoc, at: string | number | undefined): QuiltingDoc {
  if (at === undefined || !some(at)) return q;
  return {
    ...q,
    ...(q.lines && { lines: q.lines.map((line) => ({ ...line, pitch: at })) }),
    ...(some(q.echo) && { echo: at }),
    ...(some(q.free) && { free: at }),
  };
}

/** What tells one pattern from another, whatever its sizes: what is sewn with lines goes by the lines. */
function shape(q: QuiltingDoc): string {
  const lines = q.lines ?? [];
  if (some(q.free)) return "free";
  if (lines.some((line) => some(line.wave))) return "wave";
  if (lines.length > 0) return lines.map((line) => line.angle ?? 0).join(" ");
  if (q.corners || some(q.beside) || some(q.around)) return "own";
  return some(q.echo) ? "echo" : q.ditch === true ? "ditch" : "";
}

/** A length that is not nothing. */
const some = (l: unknown) => l !== undefined && l !== 0 && l !== "0";

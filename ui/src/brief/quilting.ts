import { alike, become, type Keeping } from "../plan/aside";

/** A family of quilting lines as it stands in a plan. */
export interface Line {
  pitch?: string | number;
  angle?: number;
  wave?: string | number;
}

/** A quilting as it stands in a plan. */
export interface QuiltingDoc extends Keeping<QuiltingDoc> {
  lines?: Line[];
  pair?: string | number;
  ditch?: boolean;
  echo?: string | number;
  free?: string | number;
}

/** The quilting patterns offered by name, each made with a distance between its lines. */
export const patterns: Record<string, { name: string; make: (apart: string | number) => QuiltingDoc }> = {
  none: { name: "not quilted", make: () => ({ lines: [] }) },
  cross: { name: "quilted in a cross-hatch", make: families([45, -45]) },
  squares: { name: "quilted in squares", make: families([0, 90]) },
  diagonal: { name: "quilted in diagonals", make: families([45]) },
  upright: { name: "quilted in upright lines", make: families([90]) },
  level: { name: "quilted in level lines", make: families([0]) },
  wave: { name: "quilted in serpentines", make: (apart) => ({ lines: [{ pitch: apart, angle: 0, wave: "1/4 in" }] }) },
  echo: { name: "quilted in rounds along the edge", make: (apart) => ({ echo: apart }) },
  ditch: { name: "quilted in the ditch", make: () => ({ ditch: true }) },
  free: { name: "quilted in free motion", make: (apart) => ({ free: apart }) },
};

function families(angles: number[]) {
  return (apart: string | number): QuiltingDoc => ({ lines: angles.map((angle) => ({ pitch: apart, angle })) });
}

/** The name of a pattern; own for what has none. */
export function patternOf(q: QuiltingDoc): string {
  const lines = q.lines ?? [];
  if (some(q.free)) return "free";
  if (some(q.echo) && lines.length === 0) return "echo";
  if (q.ditch && lines.length === 0) return "ditch";
  if (lines.some((l) => some(l.wave))) return "wave";
  const angles = lines.map((l) => l.angle ?? 0).join();
  return ["none", "cross", "squares", "diagonal", "upright", "level"].find((key) => anglesOf(key) === angles) ?? "own";
}

const anglesOf = (key: string) => (patterns[key]?.make("1 in").lines ?? []).map((l) => l.angle ?? 0).join();

/** A quilting in another pattern, its lines as far apart; what was decided of this one is kept. */
export function otherwise(q: QuiltingDoc, next: string): QuiltingDoc {
  const { aside: _, ...own } = q;
  const now = patternOf(q);
  const apart = q.lines?.[0]?.pitch ?? (some(q.echo) ? q.echo : q.free) ?? "1 in";
  const decided = now !== "none" && !alike(own, patterns[now]?.make(apart));
  return become(q, now, next, patterns[next]?.make(apart) ?? {}, decided);
}

/** A length that is not nothing. */
export const some = (l: unknown) => l !== undefined && l !== 0 && l !== "0";

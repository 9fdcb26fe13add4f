import type { Plan } from "../api/plan.gen";
import { get, put } from "./path";

/** A decision that keeps what was decided of its other kinds aside, by the names of those kinds. */
export interface Keeping<T> {
  aside?: Record<string, T>;
}

/**
 * A decision of another kind in the place of one: as it begins, or as it was kept aside. The one it
 * was is kept aside in its turn, where something is decided in it.
 */
export function become<T extends Keeping<T>>(
  was: T | undefined,
  from: string,
  to: string,
  begun: T,
  decided: boolean,
): T {
  const { aside, ...own } = was ?? ({} as T);
  const { [to]: back, ...others } = aside ?? {};
  const kept = decided ? { ...others, [from]: own as T } : others;
  return Object.keys(kept).length > 0 ? { ...(back ?? begun), aside: kept } : (back ?? begun);
}

/** A decision without what it keeps aside of a kind. */
export function forget<T extends Keeping<T>>(of: T, kind: string): T {
  const { aside, ...own } = of;
  const { [kind]: _, ...others } = aside ?? {};
  return (Object.keys(others).length > 0 ? { ...own, aside: others } : own) as T;
}

/** Whether two decisions say the same, in whatever order. */
export function alike(a: unknown, b: unknown): boolean {
  const sorted = (v: unknown): unknown =>
    v !== null && typeof v === "object" && !Array.isArray(v)
      ? Object.fromEntries(
          Object.entries(v)
            .sort(([x], [y]) => (x < y ? -1 : 1))
            .map(([k, w]) => [k, sorted(w)]),
        )
      : Array.isArray(v)
        ? v.map(sorted)
        : v;
  return JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
}

type Trimming = "piping" | "binding";

/** A plan without its piping or its binding, kept aside where something was decided of it. */
export function untrimmed(plan: Plan, what: Trimming, decided: boolean): Plan {
  const next = put(plan, `/edges/${what}`, undefined);
  return decided ? put(next, `/edges/aside/${what}`, get(plan, `/edges/${what}`)) : next;
}

/** A plan with a piping or a binding; none of it is aside any more. */
export function trimmed(plan: Plan, what: Trimming, next: unknown): Plan {
  const aside = Object.entries(plan.edges?.aside ?? {}).filter(([key]) => key !== what);
  return put(
    put(plan, `/edges/${what}`, next),
    "/edges/aside",
    aside.length > 0 ? Object.fromEntries(aside) : undefined,
  );
}

/** What all the pieces of a hood of another kind begin as: what was decided for all, or for the first. */
const common = (pieces: Plan["pieces"] = {}): Plan["pieces"] => {
  const one = pieces["*"] ?? Object.values(pieces)[0];
  return one ? { "*": one } : {};
};

/**
 * A hood of another kind. Its pieces go by other names: what is decided for all of them stays, what
 * is decided for one is kept aside and comes back with its kind. So is what was decided for all
 * since, where that kind comes back with its own.
 */
export function otherHood(plan: Plan, next: string): Plan {
  const { aside = {}, kind, ...cover } = plan.cover;
  const { [next]: back, ...others } = aside;
  const pieces = plan.pieces ?? {};
  const decided = Object.keys(pieces).some((name) => name !== "*") || (back && !alike(pieces, common(back)));
  const kept = decided ? { ...others, [kind]: pieces } : others;
  return {
    ...plan,
    cover: { ...cover, kind: next as Plan["cover"]["kind"], ...(Object.keys(kept).length > 0 && { aside: kept }) },
    pieces: back ?? common(pieces),
  };
}

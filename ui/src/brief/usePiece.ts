import type { Plan } from "../api/plan.gen";
import { usePlan } from "../plan/context";
import { get, put } from "../plan/path";

/** A decision of a piece: its own, or that for all pieces. */
export function usePiece(name: string) {
  const open = usePlan();
  const piece = `/pieces/${name}`;
  return {
    ...open,
    piece,
    of: (key: string, rest = "") => {
      const keeper = open.value(`${piece}/${key}`) === undefined ? "/pieces/*" : piece;
      return open.value(`${keeper}/${key}${rest}`);
    },
    /** Before one part of it changes, a piece takes over what was decided for all. */
    own: (plan: Plan, key: string) => {
      const common = get(plan, `/pieces/*/${key}`);
      return get(plan, `${piece}/${key}`) === undefined && common !== undefined
        ? put(plan, `${piece}/${key}`, common)
        : plan;
    },
  };
}

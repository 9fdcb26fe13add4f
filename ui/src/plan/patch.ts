import { applyPatch, type Operation } from "rfc6902";
import type { Change } from "../api/api.gen";
import type { Plan } from "../api/plan.gen";

/** A plan changed by a patch; itself where the patch does not fit it any more. */
export function patched(plan: Plan, patch: Change[]): Plan {
  const next = structuredClone(plan);
  const failed = applyPatch(next, patch as Operation[]).some((error) => error !== null);
  return failed ? plan : next;
}

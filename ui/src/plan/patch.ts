import { applyPatch, type Operation } from "rfc6902";
import type { Change, Chosen } from "../api/api.gen";
import { ask } from "../api/client";
import type { Plan } from "../api/plan.gen";

/** A plan changed by a patch; itself where the patch does not fit it any more. */
export function patched(plan: Plan, patch: Change[]): Plan {
  const next = structuredClone(plan);
  const failed = applyPatch(next, patch as Operation[]).some((error) => error !== null);
  return failed ? plan : next;
}

/** What a decision changes in a plan, as the server tells it. */
export async function chosen(of: string, plan: Plan, id: string, key: string) {
  return (await ask<Chosen>("POST", "/choose", { plan, for: of, id, key })).patch;
}

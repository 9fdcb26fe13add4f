import type { JoinedPlans, Sides } from "../api/api.gen";
import { ask } from "../api/client";
import type { Plan } from "../api/plan.gen";
import type { Side } from "./change";

/** What two sides made of a plan, each from the same one; null where both changed the same. */
export async function joinedWith(base: Plan, mine: Plan, theirs: Plan, prefer?: Side): Promise<Plan | null> {
  const { plan } = await ask<JoinedPlans>("POST", "/join", { base, mine, theirs, ...(prefer && { prefer }) });
  return (plan as Plan | undefined) ?? null;
}

/** A plan that was changed meanwhile, with what the server made of the record that was sent with the change before. */
export function recorded(plan: Plan, sent: Plan, kept: Plan): Plan {
  const same = (key: "progress" | "measured") => JSON.stringify(plan[key]) === JSON.stringify(sent[key]);
  return {
    ...plan,
    ...(same("progress") && { progress: kept.progress }),
    ...(same("measured") && { measured: kept.measured }),
  };
}

/** What two sides made of a plan joined either way; undefined where that cannot be told. */
export async function sidesOf(base: Plan, mine: Plan, theirs: Plan): Promise<Sides | undefined> {
  const [here, there] = await Promise.all(
    (["mine", "theirs"] as const).map((side) => joinedWith(base, mine, theirs, side).catch(() => null)),
  );
  return here && there ? ({ mine: here, theirs: there } as unknown as Sides) : undefined;
}

import type { Measured, Plan } from "../api/plan.gen";

/** A plan with what was measured at a gate changed, or noted first: in what the plan is by then, not what it was. */
export function measuredAt(plan: Plan, gate: string, change: (before: Measured) => Measured): Plan {
  const list = plan.measured ?? [];
  const before = list.find((m) => m.gate === gate);
  if (!before) return { ...plan, measured: [...list, change({ gate } as Measured)] };
  return { ...plan, measured: list.map((m) => (m === before ? change(m) : m)) };
}

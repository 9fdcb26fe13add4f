import type { Spoil } from "../api/api.gen";
import type { Plan } from "../api/plan.gen";

/** A plan in which what a change spoils is to be cut again, and what can be trimmed has its new size. */
export function cutAgain(plan: Plan, spoils: Spoil[]): Plan {
  const again = new Set(spoils.filter((s) => s.again).map((s) => s.cut));
  const open = new Set(spoils.filter((s) => s.again).map((s) => s.step));
  const kept = Object.entries(plan.progress?.sizes ?? {}).filter(([id]) => !again.has(id));
  const trimmed = spoils.filter((s) => !s.again).map((s) => [s.cut, { width: s.width.exact, height: s.height.exact }]);
  return {
    ...plan,
    progress: {
      ...plan.progress,
      done: (plan.progress?.done ?? []).filter((id) => !open.has(id)),
      cut: (plan.progress?.cut ?? []).filter((id) => !again.has(id)),
      sizes: Object.fromEntries([...kept, ...trimmed]),
    },
  };
}

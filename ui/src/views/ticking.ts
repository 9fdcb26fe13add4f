import { usePlan } from "../plan/context";

/** Ticks cuts off, with the size they were cut to: that stays, whatever is measured later. */
export function useTick() {
  const { rework, drawn } = usePlan();
  return (id: string, done: boolean) => {
    const cut = drawn.cuts.find((c) => c.id === id);
    rework(
      (plan) => {
        const now = plan.progress?.cut ?? [];
        const { [id]: _, ...others } = plan.progress?.sizes ?? {};
        const sizes = done && cut ? { ...others, [id]: { width: cut.width.exact, height: cut.height.exact } } : others;
        return { ...plan, progress: { ...plan.progress, sizes, cut: done ? [...now, id] : now.filter((other) => other !== id) } };
      },
      done ? `cut ${id}` : `not cut ${id}`,
    );
  };
}

/** One of a cut went wrong: it is cut once more, from what is left. */
export function useSpoil() {
  const { rework } = usePlan();
  return (id: string) =>
    rework(
      (plan) => ({
        ...plan,
        progress: { ...plan.progress, spoiled: { ...plan.progress?.spoiled, [id]: (plan.progress?.spoiled?.[id] ?? 0) + 1 } },
      }),
      `one of ${id} spoiled`,
    );
}

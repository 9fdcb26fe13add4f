import { useDrawn, usePlan } from "../plan/context";

/** Ticks cuts off, with the size they were cut to: that stays, whatever is measured later. */
export function useTick() {
  const { rework } = usePlan();
  const drawn = useDrawn();
  return (id: string, done: boolean) => {
    const cut = drawn.cuts.find((c) => c.id === id);
    rework(
      (plan) => {
        const { [id]: _, ...others } = plan.progress?.cut ?? {};
        const as = cut ? { width: cut.width.exact, height: cut.height.exact, count: cut.total } : {};
        return { ...plan, progress: { ...plan.progress, cut: done ? { ...others, [id]: as } : others } };
      },
      `${done ? "cut" : "not cut"}: ${cut?.title.toLowerCase() ?? id}`,
    );
  };
}

/** One of a cut went wrong: it is cut once more, from what is left. */
export function useSpoil() {
  const { rework } = usePlan();
  const drawn = useDrawn();
  return (id: string) =>
    rework(
      (plan) => ({
        ...plan,
        progress: {
          ...plan.progress,
          spoiled: { ...plan.progress?.spoiled, [id]: (plan.progress?.spoiled?.[id] ?? 0) + 1 },
        },
      }),
      `one spoiled: ${drawn.cuts.find((c) => c.id === id)?.title.toLowerCase() ?? id}`,
    );
}

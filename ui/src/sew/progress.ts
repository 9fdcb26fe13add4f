import type { Cut, Step } from "../api/api.gen";
import { usePlan } from "../plan/context";

type Progress = NonNullable<ReturnType<typeof usePlan>["plan"]["progress"]>;

/** Changes what is recorded of the work. */
export function useProgress() {
  const { plan, rework } = usePlan();
  const now: Progress = plan.progress ?? {};
  return {
    now,
    set: (change: (progress: Progress) => Progress, label: string) =>
      rework((p) => ({ ...p, progress: change(p.progress ?? {}) }), label),
  };
}

/** A record without one key. */
export function without<T>(of: Record<string, T> | undefined, key: string): Record<string, T> {
  const { [key]: _, ...rest } = of ?? {};
  return rest;
}

/** A progress in which some steps are not done any more, by no cover. */
export function undone(progress: Progress, ids: readonly string[]): Progress {
  const made = Object.entries(progress.made ?? {}).filter(([id]) => !ids.includes(id));
  return { ...progress, done: (progress.done ?? []).filter((id) => !ids.includes(id)), made: Object.fromEntries(made) };
}

/** A progress in which a step has ended, with what its clock shows added to its time. */
export function ended(progress: Progress, id: string, now: Date): Progress {
  const { running, ...rest } = progress;
  if (running?.step !== id) return progress;
  const minutes = elapsed(running.since, now);
  if (minutes === null) return rest;
  return { ...rest, times: { ...rest.times, [id]: Math.round(((rest.times?.[id] ?? 0) + minutes) * 10) / 10 } };
}

/** A progress in which what a step cuts is cut, as it is reckoned now; what was ticked off before stays as it was cut. */
export function booked(progress: Progress, step: Step, cuts: readonly Cut[]): Progress {
  const now = cuts.filter((cut) => step.cuts.includes(cut.id) && !(cut.id in (progress.cut ?? {})));
  if (now.length === 0) return progress;
  const as = now.map((cut) => [cut.id, { width: cut.width.exact, height: cut.height.exact, count: cut.total }]);
  return { ...progress, cut: { ...progress.cut, ...Object.fromEntries(as) } };
}

/** What is measured and cut is done for all covers at once, in stacks. */
export const forAll = (step: Step) => step.stage === "measure" || step.stage === "cut";

/**
 * The place of the step at hand among the steps, -1 when all are done. Of several covers that are
 * sewn one after the other it is the step that the cover in work has come to.
 */
export function atHand(steps: Step[], progress: Progress, copies: number): number {
  const open = steps.findIndex((s) => !s.done);
  const first = steps[open];
  if (!progress.each || copies < 2 || !first || forAll(first)) return open;
  const through = (s: Step) => progress.made?.[s.id] ?? 0;
  const least = Math.min(...steps.filter((s) => !s.done).map(through));
  return steps.findIndex((s) => !s.done && through(s) === least);
}

/** The longest a step is taken to last without a pause, in minutes: beyond it the clock was left running, or jumped. */
const longest = 8 * 60;

/** The minutes between two moments, to a tenth; null where a clock jumped or was left running. */
export function elapsed(since: string, now: Date): number | null {
  const minutes = (now.getTime() - Date.parse(since)) / 60_000;
  if (!Number.isFinite(minutes) || minutes < 0 || minutes > longest) return null;
  return Math.round(minutes * 10) / 10;
}

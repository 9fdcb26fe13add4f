import { usePlan } from "../plan/context";

type Progress = NonNullable<ReturnType<typeof usePlan>["plan"]["progress"]>;

/** Changes what is recorded of the work. */
export function useProgress() {
  const { plan, rework } = usePlan();
  const now: Progress = plan.progress ?? {};
  return {
    now,
    set: (change: (progress: Progress) => Progress, label: string) => rework((p) => ({ ...p, progress: change(p.progress ?? {}) }), label),
  };
}

/** A record without one key. */
export function without<T>(of: Record<string, T> | undefined, key: string): Record<string, T> {
  const { [key]: _, ...rest } = of ?? {};
  return rest;
}

/** The longest a step is taken to last without a pause, in minutes: beyond it the clock was left running, or jumped. */
const longest = 8 * 60;

/** The minutes between two moments, to a tenth; null where a clock jumped or was left running. */
export function elapsed(since: string, now: Date): number | null {
  const minutes = (now.getTime() - Date.parse(since)) / 60_000;
  if (!Number.isFinite(minutes) || minutes < 0 || minutes > longest) return null;
  return Math.round(minutes * 10) / 10;
}

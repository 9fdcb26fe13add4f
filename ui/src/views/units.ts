import type { HabitsView } from "../api/api.gen";
import { ask } from "../api/client";
import { keys, useInTurn } from "../api/queries";

/** What is kept of the habits. */
export interface Kept {
  units: string;
  habits: unknown;
}

/** Keeps habits: each change is laid over what the one before it left. */
export function useKeepHabits() {
  return useInTurn({
    key: keys.habits,
    scope: "habits",
    send: (now: HabitsView, part: (now: HabitsView) => Partial<Kept>) =>
      ask<HabitsView>("PUT", "/habits", { base: now.revision, units: now.units, habits: now.habits, ...part(now) }),
    kept: (_, view) => view,
  });
}

/** A bare length means something else in another unit: it is given the one it has. */
export const exact = (text: string, units: string) =>
  /[\p{L}"″'′]\s*$/u.test(text) ? text : `${text.trim()} ${units}`;

/** The same habits in another unit: every length of them stays what it is. */
export const inUnits =
  (units: string) =>
  (now: HabitsView): Kept => {
    const own = now.habits as Record<string, unknown>;
    const lengths = ["seam", "piecing_seam", "ease", "step", "hem"].filter((key) => typeof own[key] === "string");
    return {
      units,
      habits: { ...own, ...Object.fromEntries(lengths.map((key) => [key, exact(String(own[key]), now.units)])) },
    };
  };

export const unitNames = [
  { value: "in", name: "inches" },
  { value: "cm", name: "centimetres" },
  { value: "mm", name: "millimetres" },
];

import { useSyncExternalStore } from "react";

/** What a gauge can read. */
export type Reads = "length" | "weight";

/** A value that a reading goes into: the one that was at hand last. */
export interface Target {
  reads: Reads;
  label: string;
  /** Enters a text as if it were typed; false where it was not taken. */
  take: (text: string) => Promise<boolean>;
  /** Where it stands on the page. */
  input: HTMLInputElement;
}

let targets: Partial<Record<Reads, Target>> = {};
const listeners = new Set<() => void>();

const tell = () => {
  for (const listener of listeners) listener();
};

/** Makes a value the one that readings go into. */
export function atHand(target: Target) {
  targets = { ...targets, [target.reads]: target };
  tell();
}

/** Tells that a value is gone from the page. */
export function gone(input: HTMLInputElement) {
  const left = Object.fromEntries(Object.entries(targets).filter(([, t]) => t.input !== input));
  if (Object.keys(left).length === Object.keys(targets).length) return;
  targets = left;
  tell();
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const target = (reads: Reads): Target | undefined => targets[reads];

/** The value that readings go into now. */
export const useTarget = (reads: Reads) => useSyncExternalStore(subscribe, () => target(reads));

/** After one of several measurements the next one is at hand. */
export function onward(input: HTMLInputElement) {
  const all = [...(input.closest("[data-measures]")?.querySelectorAll<HTMLInputElement>("input[data-reads]") ?? [])];
  all[all.indexOf(input) + 1]?.focus();
}

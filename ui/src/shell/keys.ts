import { useLayoutEffect } from "react";
import { tinykeys } from "tinykeys";

/** Where single letters are text, not shortcuts. */
const writing = "input:not([type=checkbox]):not([type=radio]), textarea, select, [role=dialog]";

/** Does something for a key, but not while something is being written, chosen or asked. */
export const quiet = (action: () => void) => (event: KeyboardEvent) => {
  if ((event.target as HTMLElement).closest(writing)) return;
  event.preventDefault();
  action();
};

/** The keys of one place, while it is shown. */
export function useKeys(keys: Record<string, () => void>) {
  // In place as soon as the place is shown: what is pressed at once is not lost.
  useLayoutEffect(() =>
    tinykeys(window, Object.fromEntries(Object.entries(keys).map(([key, action]) => [key, quiet(action)]))),
  );
}

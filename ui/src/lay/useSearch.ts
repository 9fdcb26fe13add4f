import { useEffect, useRef, useState } from "react";
import type { AskSearch, SearchView } from "../api/api.gen";
import { ask, sentence } from "../api/client";

/** How often a search is asked how far it is, in milliseconds. */
const every = 250;

/** A search for a shorter lay: begun, watched, and stopped when told to or when the place is left. */
export function useSearch(found: (view: SearchView) => void) {
  const [view, setView] = useState<SearchView | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const running = useRef<string | null>(null);
  const told = useRef(found);
  told.current = found;

  const stop = () => {
    if (running.current) void ask("DELETE", `/searches/${running.current}`).catch(() => undefined);
  };

  useEffect(
    () => () => {
      if (running.current) void ask("DELETE", `/searches/${running.current}`).catch(() => undefined);
      running.current = null;
    },
    [],
  );

  const watch = async (id: string) => {
    while (running.current === id) {
      const now = await ask<SearchView>("GET", `/searches/${id}`);
      if (running.current !== id) return;
      setView(now);
      if (now.done) {
        running.current = null;
        told.current(now);
        return;
      }
      await new Promise((later) => setTimeout(later, every));
    }
  };

  const begin = async (what: AskSearch) => {
    setProblem(null);
    try {
      const began = await ask<SearchView>("POST", "/searches", what);
      running.current = began.id;
      setView(began);
      await watch(began.id);
    } catch (error) {
      running.current = null;
      setView(null);
      setProblem(sentence(error));
    }
  };

  return { view, problem, begin, stop };
}

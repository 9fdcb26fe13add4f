import { createContext, useContext } from "react";

/** What is at hand, by its path in the plan: named in the brief and lit on the sheet. */
export interface Hand {
  about: string | null;
  take: (about: string | null) => void;
}

const Context = createContext<Hand>({ about: null, take: () => undefined });

export const HandProvider = Context.Provider;
export const useHand = () => useContext(Context);

import { useQueryClient } from "@tanstack/react-query";
import {
  createContext,
  type ReactNode,
  startTransition,
  useContext,
  useEffect,
  useState,
  useSyncExternalStore,
} from "react";
import type { PlanView } from "../api/api.gen";
import { ask, sentence } from "../api/client";
import type { Plan } from "../api/plan.gen";
import { keys, startsQuery } from "../api/queries";
import { hearOf } from "./others";
import { get } from "./path";
import { Session } from "./session";
import type { Kept, State, Told } from "./state";
import { unsavedOf } from "./unsaved";

const Context = createContext<Session | null>(null);

/** Opens a plan for the places below. */
export function PlanProvider({
  id,
  failed,
  children,
}: {
  id: string;
  failed: (message: string) => ReactNode;
  children: ReactNode;
}) {
  const [opened, setOpened] = useState<Session | string | null>(null);
  const client = useQueryClient();
  useEffect(() => {
    let session: Session | null = null;
    let left = false;
    let deaf = () => {};
    ask<PlanView>("GET", `/plans/${id}`).then(
      async (view) => {
        // What decisions begin with is there before any of them can be made.
        await client.prefetchQuery(startsQuery((view.plan as Plan).units ?? "in"));
        if (left) return;
        session = new Session(view);
        session.resume(unsavedOf(id));
        // A whole plan is drawn in slices: what is pressed meanwhile is heard.
        startTransition(() => setOpened(session));
        deaf = hearOf(id, (revision) => void session?.hear(revision));
      },
      (error) => !left && setOpened(sentence(error)),
    );
    return () => {
      left = true;
      deaf();
      session?.close();
      setOpened(null);
      void client.invalidateQueries({ queryKey: keys.shelf });
      void client.invalidateQueries({ queryKey: keys.cloths });
    };
  }, [id, client]);
  if (opened === null) return <p className="quiet">Opening the plan…</p>;
  if (typeof opened === "string") return failed(opened);
  return <Context.Provider value={opened}>{children}</Context.Provider>;
}

/** The plan's session, where a plan is open. */
export function useSession(): Session {
  const session = useContext(Context);
  if (!session) throw new Error("no plan is open here");
  return session;
}

const none = () => () => undefined;
const nothing = () => null;

/** What is kept of the open plan, or null outside of one. */
export function useOpenPlan(): (Kept & { session: Session }) | null {
  const session = useContext(Context);
  const state = useSyncExternalStore(session?.subscribe ?? none, session?.kept ?? nothing);
  return session && state ? { ...state, session } : null;
}

/**
 * One thing of the open plan: what asks for it is drawn again only when that changes. Made of values
 * and parts of the state, which keep their identity; never made anew.
 */
export function useOf<T>(select: (state: State) => T): T {
  const session = useSession();
  return useSyncExternalStore(session.subscribe, () => select(session.current()));
}

/** A decision: as written in the plan, or its default. */
export const decided = (state: Told, path: string) => get(state.plan, path) ?? get(state.settled, path);

/** What is drawn of the plan: what asks for it is drawn again at every key, and hardly anything else is. */
export const useDrawn = () => useOf((state) => state.drawn);

/** Tells the plan that a sum is shown here: beside the sheet no others are asked for while a value is typed. */
export function useShownSum(name: string) {
  const session = useSession();
  useEffect(() => session.showing(name), [session, name]);
}

/** The reckoning of the plan; a stop leaves hardly anything of it. */
export const useReckoning = () => useOf((state) => state.reckoning);

/** The plan as it was last kept, and what is needed to change it. */
export function usePlan() {
  const session = useSession();
  const state = useSyncExternalStore(session.subscribe, session.told);
  return {
    ...state,
    session,
    /** A decision: as written in the plan, or its default. */
    value: (path: string) => decided(state, path),
    /** What the plan itself says, and no default of it. */
    typed: (path: string) => get(state.plan, path),
    /** Keeps the plan with a value changed. */
    edit: (path: string, value: unknown, label: string) => session.edit(path, value, label),
    /** Keeps the plan changed in several places at once. */
    rework: (change: (plan: Plan) => Plan, label: string) => session.change(change(session.current().plan), label),
  };
}

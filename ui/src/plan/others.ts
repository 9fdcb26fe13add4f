import type { PlanView } from "../api/api.gen";
import { ask } from "../api/client";

/** What windows of one browser tell one another: a plan has a newer revision. */
const channel = typeof BroadcastChannel === "undefined" ? null : new BroadcastChannel("umschlag plans");

interface News {
  id: string;
  revision: number;
}

/** Tells the other windows that a plan was saved. */
export const tellOthers = (id: string, revision: number) => channel?.postMessage({ id, revision } satisfies News);

/**
 * Hears of a plan: from another window of this browser at once, from elsewhere when this window is looked at again.
 * Returns how to stop.
 */
export function hearOf(id: string, hear: (revision?: number) => void): () => void {
  const told = ({ data }: MessageEvent<News>) => data.id === id && hear(data.revision);
  const looked = () => document.visibilityState === "visible" && hear();
  channel?.addEventListener("message", told);
  window.addEventListener("focus", looked);
  document.addEventListener("visibilitychange", looked);
  return () => {
    channel?.removeEventListener("message", told);
    window.removeEventListener("focus", looked);
    document.removeEventListener("visibilitychange", looked);
  };
}

/** A plan as the server has it now; null where it does not answer. */
export const other = (id: string) => ask<PlanView>("GET", `/plans/${id}`).catch(() => null);

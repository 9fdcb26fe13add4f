import type { Plan } from "../api/plan.gen";

/** A change the server has not acknowledged. */
export interface Unsaved {
  base: number;
  plan: Plan;
  /** Saves on that base that were sent and have no answer: the server may have kept them. */
  sent?: string[];
}

const key = (id: string) => `umschlag.unsaved.${id}`;

/** Keeps a change on this device, or forgets it once it is saved. */
export function keepUnsaved(id: string, unsaved: Unsaved | null) {
  try {
    if (unsaved) localStorage.setItem(key(id), JSON.stringify(unsaved));
    else localStorage.removeItem(key(id));
  } catch {
    // A browser that keeps nothing still has the change on screen.
  }
}

/** The change kept on this device, if any. */
export function unsavedOf(id: string): Unsaved | null {
  try {
    const text = localStorage.getItem(key(id));
    return text ? (JSON.parse(text) as Unsaved) : null;
  } catch {
    return null;
  }
}

import { ApiError, sentence, Unreachable } from "../api/client";
import type { Plan } from "../api/plan.gen";

/** What becomes of what a change spoils: it is done again, or stays as it is. */
export type Choice = "again" | "stays";

/** The sides that changed a plan: this window, and another one. */
export type Side = "mine" | "theirs";

/** A change on its way to the disk, with what becomes of what it spoils where that was asked. */
export interface Change {
  plan: Plan;
  label: string;
  spoils?: Choice;
  /** Whose is followed where another window changed the same, once that was asked. */
  prefer?: Side;
  /** The id of its save, once it was sent. */
  save?: string;
}

/** What waits until it is said what becomes of what it spoils: a change, or a revision to go back to. */
export type Asked = { change: Change } | { restore: number };

/** What the server says of a save that it could not keep. */
export const said = ({ problem }: ApiError) => `${problem.title}. ${problem.detail}`;

/** How the plan is brought to another revision. */
export type Going = "undo" | "redo" | "restore";

const went: Record<Going, { what: string; done: string }> = {
  undo: { what: "The last change", done: "undone" },
  redo: { what: "The change", done: "redone" },
  restore: { what: "That version", done: "brought back" },
};

/** Why the plan was not brought to another revision, and what to do. */
export function untaken(how: Going, error: unknown): string {
  const { what, done } = went[how];
  if (error instanceof Unreachable)
    return `${error.message} ${what} may be ${done} already. Press once more when it answers: nothing is ${done} twice.`;
  if (error instanceof ApiError && error.problem.current)
    return `Another window changed the plan meanwhile. This is what it is now; nothing was ${done}.`;
  return sentence(error);
}

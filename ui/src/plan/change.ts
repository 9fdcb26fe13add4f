import type { ApiError } from "../api/client";
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

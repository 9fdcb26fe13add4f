import { ApiError } from "../api/client";
import { ownId } from "../api/once";

/** The changes that were sent and have no answer: the server may have kept them. */
export class Unanswered {
  /** What was pressed last, by what it does. */
  private last = { what: "", id: "" };

  constructor(public ids: string[] = []) {}

  /** What a change stands on; it waits for its answer from now on. */
  standing(base: number, save: string) {
    const sent = this.ids;
    this.ids = [...sent.filter((id) => id !== save), save];
    return { base, save, sent };
  }

  /** The id of what is pressed at a revision: pressed again after its answer was lost it is the same. */
  pressed(base: number, ...how: unknown[]): string {
    const what = JSON.stringify([base, how]);
    if (this.last.what !== what) this.last = { what, id: ownId() };
    return this.last.id;
  }

  /** What was refused for good was not kept. */
  refused(error: unknown, save: string | undefined) {
    if (error instanceof ApiError && !error.passes) this.ids = this.ids.filter((id) => id !== save);
  }

  /** An answer came: whatever was sent before is in it. */
  answered() {
    this.ids = [];
  }
}

import type { Reckoning } from "../api/api.gen";
import { ApiError, ask } from "../api/client";
import type { Plan } from "../api/plan.gen";
import { drawable, type State, seen } from "./state";
import { steady } from "./steady";
import { Watched } from "./watched";

/** A reckoning for the sheet, with what none for the sheet has as it was before. */
function besideSheet(next: Reckoning, { steps, cloths, left, piles, trips, set_ups, pieces }: Reckoning): Reckoning {
  const pressed = next.pieces.map((piece) => {
    const before = pieces.find(({ name }) => name === piece.name);
    return before ? { ...piece, press: before.press, press_conflicts: before.press_conflicts } : piece;
  });
  return { ...next, steps, cloths, left, piles, trips, set_ups, pieces: pressed };
}

interface Preview {
  /** The path of a value from which something follows. */
  typed?: string;
  /** It is typed beside the sheet. */
  sheet?: boolean;
  /** It is not on the way to something else: it is judged also where something else is typed meanwhile. */
  meant?: boolean;
  /** It is asked for once more, with what of it is shown by now. */
  more?: boolean;
}

/** What is shown of an open plan: as it is kept, or as it is being typed. */
export class Typing extends Watched {
  /** Stops what is being reckoned while it is typed. */
  protected previewing: AbortController | null = null;
  /** The last reckoning with its own steps and layouts, while another stands beside the sheet. */
  private whole: Pick<State, "reckoning" | "drawn"> | null = null;
  /** How many show each sum, by its name. */
  private readonly sums = new Map<string, number>();
  /** The sums that were asked for with what stands beside the sheet. */
  private sumsAsked: readonly string[] = [];
  /** Asks once more for what stands there, with the sums that are shown by then. */
  private again: (() => void) | null = null;

  /**
   * Reckons what is being typed without keeping it, with what follows from the value at a path; the answer is what is
   * wrong with it. Beside the sheet steps, layouts and sums that are not shown are not asked for until it is kept.
   */
  async preview(
    plan: Plan,
    { typed = "", sheet = false, meant = false, more = false }: Preview = {},
  ): Promise<ApiError | null> {
    this.previewing?.abort();
    const mine = new AbortController();
    this.previewing = mine;
    const sums = [...this.sums.keys()];
    try {
      const how = new URLSearchParams({ for: this.state.id, typed, ...(sheet && { sheet: "1" }) });
      if (sheet) for (const sum of sums) how.append("sum", sum);
      const reckoning = await ask<Reckoning>("POST", `/reckon?${how}`, plan, meant ? {} : { signal: mine.signal });
      // On the way to 16 stands a 1 that cannot be cut: a stop is shown when it is meant.
      if (!mine.signal.aborted && drawable(reckoning) && (!more || this.whole)) {
        // The next frame is asked for before there is anything to draw: what is drawn meanwhile need not wait for one.
        requestAnimationFrame(() => {});
        this.show(reckoning, { sheet });
        this.sumsAsked = sums;
        this.again = () => void this.preview(plan, { typed, sheet, more: true });
      }
      return null;
    } catch (error) {
      return error instanceof ApiError ? error : null;
    } finally {
      if (this.previewing === mine) this.previewing = null;
      this.complete();
    }
  }

  /** Goes back to the reckoning of the plan as it is, after a preview. */
  async settle() {
    await this.preview(this.state.plan);
  }

  /**
   * Shows a reckoning; what is as before keeps its identity and is not drawn again. One for the sheet tells nothing of
   * steps and layouts: that stays as it was.
   */
  protected show(next: Reckoning, { last = this.state.drawn, sheet = false } = {}) {
    const whole = sheet ? (this.whole ?? this.state) : null;
    const reckoning = steady(this.state.drawn, whole ? besideSheet(next, whole.drawn) : next);
    this.whole = whole;
    this.set({ reckoning, ...seen(reckoning, last) });
  }

  /** A sum is shown, until what is given back is called; beside the sheet only those are asked for that are. */
  showing(sum: string): () => void {
    const times = () => this.sums.get(sum) ?? 0;
    this.sums.set(sum, times() + 1);
    this.complete();
    return () => {
      if (times() > 1) this.sums.set(sum, times() - 1);
      else this.sums.delete(sum);
    };
  }

  /** Asks for sums that are shown and were not asked for, once what is typed is there; where that fails, not again. */
  private complete() {
    if (this.previewing || !this.whole || [...this.sums.keys()].every((sum) => this.sumsAsked.includes(sum))) return;
    const { again } = this;
    this.again = null;
    again?.();
  }

  /** The sheet is left: beside steps and layouts stands what they were worked out with, until it is kept. */
  leaveSheet() {
    this.previewing?.abort();
    if (this.whole) this.show(this.whole.reckoning, { last: this.whole.drawn });
  }
}

import type { Reckoning } from "../api/api.gen";
import { whenFree } from "../api/press";
import { type Kept, keptOf, type State, seen, type Told, toldOf } from "./state";
import { steady } from "./steady";

/** A reckoning for the sheet, with what none for the sheet has as it was before. */
function besideSheet(next: Reckoning, { steps, cloths, left, piles, trips, set_ups, pieces }: Reckoning): Reckoning {
  const pressed = next.pieces.map((piece) => {
    const before = pieces.find(({ name }) => name === piece.name);
    return before ? { ...piece, press: before.press, press_conflicts: before.press_conflicts } : piece;
  });
  return { ...next, steps, cloths, left, piles, trips, set_ups, pieces: pressed };
}

/** The state of an open plan, and who is told when it changes. */
export class Watched {
  protected state: State;
  /** Stops what is being reckoned while it is typed. */
  protected previewing: AbortController | null = null;
  private onPage: Told;
  private onDisk: Kept;
  /** The last reckoning with its own steps and layouts, while another stands beside the sheet. */
  private whole: Pick<State, "reckoning" | "drawn"> | null = null;
  private readonly listeners = new Set<() => void>();
  /** How many show each sum, by its name. */
  private readonly sums = new Map<string, number>();
  /** Asks once more for what is being typed. */
  protected again: () => void = () => {};

  constructor(state: State) {
    this.state = state;
    this.onPage = state;
    this.onDisk = state;
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly current = () => this.state;

  /** What is told of it: another object only when something of it changed. */
  readonly told = () => this.onPage;

  /** What is kept of it: another object only when something of that changed. */
  readonly kept = () => this.onDisk;

  protected set(part: Partial<State>) {
    this.state = { ...this.state, ...part };
    this.onPage = toldOf(this.state, this.onPage);
    this.onDisk = keptOf(this.state, this.onDisk);
    whenFree(() => {
      for (const listener of this.listeners) listener();
    });
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

  /** The names of the sums that are shown. */
  protected shownSums = () => [...this.sums.keys()];

  /** A sum is shown, until what is given back is called; beside the sheet only those are asked for that are. */
  showing(sum: string): () => void {
    const times = () => this.sums.get(sum) ?? 0;
    this.sums.set(sum, times() + 1);
    if (this.whole && !this.state.reckoning.sums[sum]) this.again();
    return () => {
      if (times() > 1) this.sums.set(sum, times() - 1);
      else this.sums.delete(sum);
    };
  }

  /** The sheet is left: beside steps and layouts stands what they were worked out with, until it is kept. */
  leaveSheet() {
    this.previewing?.abort();
    if (this.whole) this.show(this.whole.reckoning, { last: this.whole.drawn });
  }
}

import { replaceEqualDeep } from "@tanstack/react-query";
import type { Reckoning } from "../api/api.gen";
import { whenFree } from "../api/press";
import { type Kept, keptOf, type Shown, type State, seen, shownOf } from "./state";

/** The state of an open plan, and who is told when it changes. */
export class Watched {
  protected state: State;
  private onScreen: Shown;
  private onDisk: Kept;
  private readonly listeners = new Set<() => void>();

  constructor(state: State) {
    this.state = state;
    this.onScreen = state;
    this.onDisk = state;
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly current = () => this.state;

  /** What is drawn and told: another object only when something of it changed. */
  readonly shown = () => this.onScreen;

  /** What is kept of it: another object only when something of that changed. */
  readonly kept = () => this.onDisk;

  protected set(part: Partial<State>) {
    this.state = { ...this.state, ...part };
    this.onScreen = shownOf(this.state, this.onScreen);
    this.onDisk = keptOf(this.state, this.onDisk);
    whenFree(() => {
      for (const listener of this.listeners) listener();
    });
  }

  /** Shows a reckoning; what is as before keeps its identity and is not drawn again. */
  protected show(next: Reckoning, last = this.state.drawn) {
    const reckoning = replaceEqualDeep(this.state.drawn, next) as Reckoning;
    this.set({ reckoning, ...seen(reckoning, last) });
  }
}

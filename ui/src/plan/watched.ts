import { whenFree } from "../api/press";
import { type Kept, keptOf, type State, type Told, toldOf } from "./state";

/** The state of an open plan, and who is told when it changes. */
export class Watched {
  protected state: State;
  private onPage: Told;
  private onDisk: Kept;
  private readonly listeners = new Set<() => void>();

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
}

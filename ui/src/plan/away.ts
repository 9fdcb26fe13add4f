import { Unreachable } from "../api/client";

/** Asks until the server answers: what only it can tell waits for it, as long as somebody does. */
export async function answered<T>(ask: () => Promise<T>, every: number, waits: () => boolean): Promise<T> {
  for (;;) {
    try {
      return await ask();
    } catch (error) {
      if (!(error instanceof Unreachable) || !waits()) throw error;
      await new Promise((again) => setTimeout(again, every));
    }
  }
}

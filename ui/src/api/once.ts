import { ApiError, ask } from "./client";

/** An id for what is sent that nothing else has; also where the page did not come over a secure connection. */
export const ownId = () => Array.from(crypto.getRandomValues(new Uint32Array(4)), (n) => n.toString(36)).join("");

/** Makes new things at a place: one whose answer was lost, and which is asked for again, is the same one. */
export class Making {
  private last = { what: "", id: "" };

  async make<T>(path: string, body: unknown): Promise<T> {
    const text = typeof body === "string" ? body : JSON.stringify(body);
    const what = `${path} ${text}`;
    if (this.last.what !== what) this.last = { what, id: ownId() };
    try {
      const made = await ask<T>("POST", path, text, { once: this.last.id });
      this.done();
      return made;
    } catch (error) {
      if (error instanceof ApiError && !error.passes) this.done();
      throw error;
    }
  }

  /** An answer came: the same once more is another one. */
  private done() {
    this.last = { what: "", id: "" };
  }
}

/** Takes something away; what is gone already, because the answer to that was lost, is taken away. */
export async function takeAway(path: string): Promise<void> {
  try {
    await ask("DELETE", path);
  } catch (error) {
    if (!(error instanceof ApiError && error.problem.status === 404)) throw error;
  }
}

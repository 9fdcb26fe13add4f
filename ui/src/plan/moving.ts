import { useMemo } from "react";
import type { MovedFitting } from "../api/api.gen";
import { ask } from "../api/client";
import type { Move, Moving } from "../sheet/Movable";
import { useSession } from "./context";
import { put } from "./path";
import type { Session } from "./session";

/**
 * Moves fittings and shapes of a plan. Where one comes to stand is answered by the core, on the
 * ruler step: shown while it is under way, kept when it is let go.
 */
export class Mover implements Moving {
  private wanted: Move | null = null;
  private busy: Promise<void> = Promise.resolve();
  private showing = false;

  constructor(private readonly session: Session) {}

  readonly over = (move: Move) => {
    this.wanted = move;
    if (this.showing) return;
    this.showing = true;
    this.queue(async () => {
      while (this.wanted) {
        const next = this.wanted;
        this.wanted = null;
        await this.session.preview(await this.placed(next), { sheet: true });
      }
      this.showing = false;
    });
  };

  readonly drop = (move: Move) => {
    this.wanted = null;
    this.queue(async () => {
      const plan = await this.placed(this.since(move));
      await this.session.preview(plan, { sheet: true });
      this.session.change(plan, `${this.named(move.thing)} moved`);
    });
  };

  readonly giveUp = () => {
    this.wanted = null;
    this.queue(() => this.session.settle());
  };

  /** A step from where the thing stands now, which may be further than when the key was pressed. */
  private since(move: Move): Move {
    if (move.across === 0 && move.down === 0) return move;
    const box = this.shape(move.thing)?.box ?? this.fitting(move.thing)?.boxes[0];
    return box ? { ...move, x: box.x, y: box.y } : move;
  }

  private shape(thing: string) {
    return this.session
      .current()
      .drawn.pieces.flatMap((p) => p.shapes)
      .find((s) => s.about === thing);
  }

  private fitting(thing: string) {
    return this.session.current().drawn.fittings.find((f) => thing === `/fittings/${f.index}`);
  }

  private named(thing: string) {
    return this.shape(thing)?.title.toLowerCase() ?? `fitting ${(this.fitting(thing)?.index ?? 0) + 1}`;
  }

  private async placed({ thing, ...to }: Move) {
    const { plan } = this.session.current();
    const fitting = this.fitting(thing);
    const { at } = fitting
      ? await ask<MovedFitting>("POST", "/move", { plan, fitting: fitting.index, ...to })
      : await ask<MovedFitting>("POST", "/shapes/move", { plan, about: thing, ...to });
    return put(plan, `${thing}/at`, at);
  }

  private queue(task: () => Promise<void>) {
    this.busy = this.busy.then(task).catch(() => {
      // It stays where it was: what is wrong with the plan stands in the brief.
      this.showing = false;
      return this.session.settle();
    });
  }
}

export function useMoving(): Moving {
  const session = useSession();
  return useMemo(() => new Mover(session), [session]);
}

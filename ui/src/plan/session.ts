import type { PlanView } from "../api/api.gen";
import { ApiError, ask, Unreachable } from "../api/client";
import { ownId } from "../api/once";
import type { Plan } from "../api/plan.gen";
import { answered } from "./away";
import { type Asked, type Change, type Choice, type Going, type Side, said, untaken } from "./change";
import { joinedWith, recorded, sidesOf } from "./join";
import { keyed } from "./keys";
import { other, tellOthers } from "./others";
import { chosen, patched } from "./patch";
import { differences, put } from "./path";
import { type Conflicting, fresh, type Saving } from "./state";
import { steady } from "./steady";
import { Typing } from "./typing";
import { Unanswered } from "./unanswered";
import { keepUnsaved, type Unsaved } from "./unsaved";

const resolved = "joined with another window’s change";

/**
 * The editing of one plan: every change shows at once, is saved in order, and
 * is kept on this device until the server has acknowledged it.
 */
export class Session extends Typing {
  private pending: Change | null = null;
  private asked: Asked | null = null;
  /** What both sides changed, where the server does not have it. */
  private apartFrom: Plan | null = null;
  private turns = 0;
  private last: Promise<void> = Promise.resolve();
  private choosing: Promise<void> = Promise.resolve();
  private stepping: Promise<void> = Promise.resolve();
  private deciding = 0;
  private sending = false;
  private unanswered = new Unanswered();
  private closed = false;
  private retry: ReturnType<typeof setTimeout> | undefined;

  constructor(
    view: PlanView,
    private readonly settings: { retryAfter: number } = { retryAfter: 2000 },
  ) {
    super(fresh(view));
  }

  /** Takes up changes that the server never acknowledged. */
  resume(unsaved: Unsaved | null) {
    if (!unsaved) return;
    if (unsaved.base !== this.state.revision) {
      // What the server has may be what this window sent, or what another one changed: it knows, and joins them.
      this.unanswered = new Unanswered(unsaved.sent);
      this.set({ revision: unsaved.base });
    }
    this.change(unsaved.plan, "kept on this device");
  }

  /** Asks which of two plans is meant, where they differ: a save whose answer was lost is no change of another window. */
  private disagree(theirs: Conflicting) {
    if (differences(this.pending?.plan ?? this.state.plan, theirs.plan).length === 0) this.take(theirs);
    else this.set({ conflict: theirs });
  }

  close() {
    this.closed = true;
    clearTimeout(this.retry);
    this.previewing?.abort();
  }

  /** Keeps a changed plan. */
  change(plan: Plan, label: string) {
    if (this.state.conflict || this.state.spoils) return;
    this.send({ plan: keyed(plan), label });
  }

  /** Keeps the plan with a value changed. */
  edit(path: string, value: unknown, label: string) {
    this.change(put(this.state.plan, path, value), label);
  }

  /** Takes a decision of the brief: one after the other, each on the one before. */
  choose(id: string, key: string, label: string): Promise<void> {
    return this.decide(async () => {
      const ask = () => chosen(this.state.id, this.state.plan, id, key);
      const patch = await answered(ask, this.settings.retryAfter, () => this.waits());
      if (!this.closed) this.change(patched(this.state.plan, patch), label);
    });
  }

  /** Keeps a value that was typed, with what follows from it; by itself where that cannot be told. */
  follow(written: (plan: Plan) => Plan, path: string, label: string): Promise<void> {
    return this.decide(async () => {
      const patch = await chosen(this.state.id, written(this.state.plan), path, "").catch(() => []);
      if (!this.closed) this.change(patched(written(this.state.plan), patch), label);
    });
  }

  private decide(work: () => Promise<void>): Promise<void> {
    this.deciding++;
    if (this.state.saving === "saved") this.set({ saving: "saving" });
    const step = this.stepping; // what was undone before it was pressed is undone before it is taken
    const mine = this.choosing
      .then(() => step)
      .then(work)
      .finally(() => this.decided());
    this.choosing = mine.catch(() => undefined);
    return mine;
  }

  /** A decision changed the plan, or was refused: then nothing is on its way any more. */
  private decided() {
    this.deciding--;
    const busy = this.deciding > 0 || this.sending || this.pending || this.state.spoils;
    if (!busy && this.state.saving !== "waiting") this.set({ saving: "saved" });
  }

  /** A decision waits for the server, as long as the plan is open. */
  private waits(): boolean {
    if (!this.closed && this.state.saving !== "waiting") this.set({ saving: "away" });
    return !this.closed;
  }

  /** How a plan stands that was just acknowledged. */
  private rested(): Saving {
    return this.deciding > 0 ? "saving" : "saved";
  }

  private send(change: Change) {
    const { plan } = change;
    this.previewing?.abort();
    this.pending = change;
    this.keep(plan);
    this.set({ plan, saving: "saving", refusal: null, spoils: null });
    this.flush();
  }

  /** Does what asks the server for another revision, one after the other: each stands on the one before. */
  private inTurn(work: () => Promise<void>): Promise<void> {
    const first = this.turns++ === 0;
    const mine = first ? work() : this.last.then(work);
    this.last = mine
      .catch(() => undefined)
      .then(() => {
        this.turns--;
      });
    return mine;
  }

  /** Saves what is pending, one save after the other. */
  private flush(): Promise<void> {
    return this.inTurn(() => this.drain());
  }

  private async drain() {
    while (this.pending && !this.closed) {
      const change = this.pending;
      this.pending = null;
      this.sending = true;
      try {
        change.save ??= ownId();
        const standing = this.unanswered.standing(this.state.revision, change.save);
        this.keep((this.pending ?? change).plan);
        const kept = await ask<PlanView>("PUT", `/plans/${this.state.id}`, { ...change, ...standing });
        this.unanswered.answered();
        if (!(await this.withOthers(kept, change.plan))) return;
        this.acknowledge(kept, change.plan);
        tellOthers(this.state.id, kept.revision);
      } catch (error) {
        if (!this.refused(error, change)) return;
      } finally {
        this.sending = false;
      }
    }
  }

  /** What another window changed goes into what was changed here meanwhile; false where both changed the same. */
  private async withOthers(kept: PlanView, sent: Plan): Promise<boolean> {
    if (kept.revision <= this.state.revision + 1) return true;
    while (this.pending) {
      const mine = this.pending;
      const plan = await joinedWith(sent, mine.plan, kept.plan as unknown as Plan);
      if (this.pending !== mine) continue; // more was changed while it was asked
      if (plan) {
        this.pending = { ...mine, plan };
        return true;
      }
      this.pending = null;
      this.apartFrom = sent;
      this.set({ plan: mine.plan, saving: "waiting" });
      this.disagree({ ...kept, apart: await sidesOf(sent, mine.plan, kept.plan as unknown as Plan) });
      return false;
    }
    return true;
  }

  /** Another window has a newer revision: it is shown here too, where nothing is on its way. */
  async hear(revision?: number) {
    const { saving, conflict, spoils } = this.state;
    const busy = saving !== "saved" || this.pending || this.sending || this.deciding > 0 || this.turns > 0;
    if (this.closed || busy || conflict || spoils || (revision ?? Infinity) <= this.state.revision) return;
    await this.inTurn(async () => {
      const view = await other(this.state.id);
      if (view && view.revision > this.state.revision && !this.pending && !this.closed) this.take(view);
    });
  }

  /** When more was changed meanwhile, only the base of the next save moves on, and what the server made of the record. */
  private onlyTheBase(view: PlanView, sent?: Plan): boolean {
    if (!this.pending) return false;
    if (sent) this.pending = { ...this.pending, plan: recorded(this.pending.plan, sent, view.plan as unknown as Plan) };
    this.set({ revision: view.revision, plan: this.pending.plan });
    this.keep(this.pending.plan);
    return true;
  }

  private acknowledge(view: PlanView, sent: Plan) {
    if (this.onlyTheBase(view, sent)) return;
    keepUnsaved(this.state.id, null);
    this.set({
      // What stays keeps its identity, and is not drawn again.
      plan: steady(sent, view.plan as unknown as Plan),
      revision: view.revision,
      canUndo: view.can_undo,
      canRedo: view.can_redo,
      saving: this.rested(),
      refusal: null,
      savedAt: new Date(),
      settled: steady(this.state.settled, view.reckoning.settled),
      // A brief of its own tells that this one is of what was sent.
      brief: { ...steady(this.state.brief, view.brief) },
    });
    this.show(view.reckoning);
  }

  /** Keeps a plan on this device until it is acknowledged. */
  private keep(plan: Plan) {
    const sent = this.unanswered.ids;
    keepUnsaved(this.state.id, { base: this.state.revision, plan, ...(sent.length > 0 && { sent }) });
  }

  /** Deals with a save that was not taken; false ends the draining. */
  private refused(error: unknown, change: Change): boolean {
    this.unanswered.refused(error, change.save);
    if (error instanceof ApiError && error.problem.spoils) {
      if (this.pending) return true; // more was changed meanwhile: what that spoils is asked about, nothing of it is lost
      this.asked = { change };
      this.set({ spoils: error.problem.spoils });
      return false;
    }
    if (error instanceof ApiError && error.problem.current) {
      this.set({ saving: "waiting" });
      this.disagree({ ...error.problem.current, apart: error.problem.apart });
      return false;
    }
    if (error instanceof ApiError && !error.passes) {
      // The plan cannot be read: take the change back rather than keep what no one can save.
      keepUnsaved(this.state.id, null);
      this.set({ saving: this.rested(), refusal: error.problem.detail });
      void this.reload();
      return false;
    }
    this.pending ??= change;
    this.set({ saving: "waiting", ...(error instanceof ApiError && { refusal: said(error) }) });
    if (error instanceof Unreachable || error instanceof ApiError)
      this.retry = setTimeout(() => void this.flush(), this.settings.retryAfter);
    return false;
  }

  private async reload() {
    this.take(await ask<PlanView>("GET", `/plans/${this.state.id}`));
  }

  /** Shows what the server has. */
  private take(view: PlanView) {
    keepUnsaved(this.state.id, null);
    this.pending = null;
    this.set({
      plan: view.plan as unknown as Plan,
      settled: view.reckoning.settled,
      brief: view.brief,
      revision: view.revision,
      canUndo: view.can_undo,
      canRedo: view.can_redo,
      saving: this.rested(),
      savedAt: new Date(),
      conflict: null,
    });
    this.show(view.reckoning, { last: view.last?.reckoning });
  }

  /** Undoes or redoes one change. */
  step(direction: "undo" | "redo") {
    return this.goTo(direction, () => (direction === "undo" ? this.state.canUndo : this.state.canRedo));
  }

  /** Restores an older revision. */
  restore(revision: number, spoils?: Choice) {
    return this.goTo("restore", () => true, { revision, ...(spoils && { spoils }) });
  }

  /** Goes to another revision, after what was decided before it is told and what is pending is saved. */
  private goTo(how: Going, may: () => boolean, which: { revision?: number; spoils?: Choice } = {}) {
    const decided = this.choosing;
    const mine = this.inTurn(async () => {
      await decided;
      await this.drain();
      const { saving, conflict, spoils } = this.state;
      if (this.pending || saving === "waiting" || conflict || spoils || !may()) return;
      const { revision } = this.state;
      const save = this.unanswered.pressed(revision, how, which);
      try {
        const standing = this.unanswered.standing(revision, save);
        const view = await ask<PlanView>("POST", `/plans/${this.state.id}/${how}`, { ...which, ...standing });
        this.unanswered.answered();
        this.set({ refusal: null });
        if (!this.onlyTheBase(view)) this.take(view);
        tellOthers(this.state.id, view.revision);
      } catch (error) {
        this.unanswered.refused(error, save);
        const { spoils, current } = error instanceof ApiError ? error.problem : {};
        if (spoils && which.revision !== undefined) {
          this.asked = { restore: which.revision };
          this.set({ spoils });
          return;
        }
        if (current && !this.pending) this.take(current); // what is pending is joined with it when it is saved
        this.set({ refusal: untaken(how, error) });
      }
    });
    this.stepping = mine.catch(() => undefined);
    return mine;
  }

  /** Ends a conflict: where both changed the same one side is followed, and what only one of them changed is kept. */
  async resolve(keep: Side) {
    const { conflict: theirs, plan: mine } = this.state;
    if (!theirs) return;
    const { apartFrom } = this;
    this.pending = this.apartFrom = null;
    this.set({ conflict: null });
    if (apartFrom) {
      const plan = await joinedWith(apartFrom, mine, theirs.plan as unknown as Plan, keep).catch(() => null);
      this.set({ revision: theirs.revision });
      if (plan ?? keep === "mine") this.change(plan ?? mine, resolved);
      else this.take(theirs);
    } else this.send({ plan: mine, label: resolved, prefer: keep });
  }

  /** Takes back the change that spoils what is done, or keeps it: what is spoiled is done again, or stays as it is. */
  settleSpoils(how: "back" | Choice) {
    const { asked } = this;
    if (!this.state.spoils || !asked) return;
    this.asked = null;
    if ("restore" in asked) {
      this.set({ spoils: null });
      if (how !== "back") void this.restore(asked.restore, how);
    } else if (how === "back") {
      keepUnsaved(this.state.id, null);
      this.set({ spoils: null });
      void this.reload();
    } else {
      this.send({ ...asked.change, spoils: how });
    }
  }

  dismissRefusal() {
    this.set({ refusal: null });
  }
}

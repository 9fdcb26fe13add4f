import type { Brief, PlanView, Reckoning, Sides, Spoil } from "../api/api.gen";
import type { Plan } from "../api/plan.gen";

/** How the plan on screen stands to the one on the disk. */
export type Saving = "saved" | "saving" | "waiting" | "away";

/** A plan and what is told of it, as it was last kept: nothing of what is being typed. */
export interface Told {
  id: string;
  plan: Plan;
  /** The plan told in sentences. */
  brief: Brief;
  /** The plan with its defaults. */
  settled: unknown;
}

/** A plan on screen, and how it stands to the one on the disk. */
export interface State extends Told {
  /** The reckoning of the plan, or of what is being typed. */
  reckoning: Reckoning;
  /** The last reckoning that could be cut: what is drawn while a stop stands. */
  drawn: Reckoning;
  /** What is drawn is of the plan before its stop: no file of it is given out. */
  older: boolean;
  /** The revision the next save is based on. */
  revision: number;
  canUndo: boolean;
  canRedo: boolean;
  saving: Saving;
  savedAt: Date | null;
  /** The other version, when the plan was changed elsewhere. */
  conflict: Conflicting | null;
  /** What the last change would spoil of what is done already; it waits for an answer. */
  spoils: Spoil[] | null;
  /** What the server says of a request that was refused. */
  refusal: string | null;
}

/** The newest version of a plan that was changed here too, and both joined either way, where that is known. */
export type Conflicting = PlanView & { apart?: Sides };

/** What is kept of a plan and how it stands to the disk, whatever is being typed. */
export type Kept = Omit<State, "reckoning" | "drawn" | "older">;

/** What is told of a plan: the same object as before where none of it changed. */
export function toldOf({ id, plan, brief, settled }: State, before: Told): Told {
  return same({ id, plan, brief, settled }, before);
}

/** What is kept of a plan: the same object as before where none of it changed. */
export function keptOf({ reckoning, drawn, older, ...kept }: State, before: Kept): Kept {
  return same(kept, before);
}

const same = <T extends object>(now: T, before: T): T =>
  (Object.keys(now) as (keyof T)[]).every((key) => now[key] === before[key]) ? before : now;

/** Whether there is anything to draw of a reckoning. */
export const drawable = (r: Reckoning) => r.pieces.length > 0;

/** What is drawn of a reckoning: itself, or the last one that could be cut. */
export function seen(reckoning: Reckoning, last: Reckoning): Pick<State, "drawn" | "older"> {
  return drawable(reckoning) ? { drawn: reckoning, older: false } : { drawn: last, older: drawable(last) };
}

/** A plan as it is opened. */
export function fresh(view: PlanView): State {
  return {
    id: view.id,
    revision: view.revision,
    plan: view.plan as unknown as Plan,
    reckoning: view.reckoning,
    settled: view.reckoning.settled,
    brief: view.brief,
    ...seen(view.reckoning, view.last?.reckoning ?? view.reckoning),
    canUndo: view.can_undo,
    canRedo: view.can_redo,
    saving: "saved",
    savedAt: null,
    conflict: null,
    spoils: null,
    refusal: null,
  };
}

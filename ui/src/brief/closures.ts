import { useStarts } from "../api/queries";
import { alike, become, type Keeping } from "../plan/aside";
import { usePlan } from "../plan/context";
import { put } from "../plan/path";

/** A closure as it stands in a plan. */
interface Closed extends Keeping<Closed> {
  kind?: string;
  cloth?: string;
  flap?: unknown;
}

/** The closures a cushion can have, the one it has, and a way to take another. */
export function useClosures() {
  const { value, typed, rework, reckoning } = usePlan();
  const closures = useStarts(String(value("/units") ?? "in")).data?.closures ?? [];
  const back = (typed("/back") ?? {}) as Closed;
  const now = reckoning.closure;
  const begun = (key: string) => {
    const back = closures.find((c) => c.key === key)?.back as Closed | undefined;
    return back?.flap === undefined ? back : { ...back, flap: reckoning.starts.flap };
  };
  const close = (key: string) => {
    const next = begun(key);
    if (!next) return;
    const was = { ...back, kind: back.kind ?? begun(now)?.kind };
    const { cloth, aside: _, ...own } = was;
    const closed = become(was, now, key, next, !alike(own, { kind: was.kind }) && !alike(own, begun(now)));
    rework(
      (plan) => put(plan, "/back", cloth ? { ...closed, cloth } : closed),
      closures.find((c) => c.key === key)?.name ?? key,
    );
  };
  return { closures, close, now, back };
}

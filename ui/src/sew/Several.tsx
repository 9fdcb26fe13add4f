import type { Step } from "../api/api.gen";
import { usePlan } from "../plan/context";
import { useProgress } from "./progress";

/** Through how many of several covers a step is. */
export function Several({ step, done }: { step: Step; done: () => void }) {
  const { value } = usePlan();
  const { now, set } = useProgress();
  const copies = Number(value("/copies") ?? 1);
  if (copies < 2 || step.done) return null;
  const made = now.made?.[step.id] ?? 0;
  const to = (n: number) => {
    set((p) => ({ ...p, made: { ...p.made, [step.id]: n } }), `${step.title}: ${n} of ${copies}`);
    if (n === copies) done();
  };
  return (
    <fieldset className="several">
      <legend className="soft">Of {copies} covers</legend>
      <button type="button" className="table-back" disabled={made === 0} aria-label="One less" onClick={() => to(made - 1)}>
        −
      </button>
      <strong aria-live="polite">{made} are through</strong>
      <button type="button" className="table-back" aria-label="One more" onClick={() => to(made + 1)}>
        +
      </button>
    </fieldset>
  );
}

/** Where each of several covers is: so many at every step that is begun and not done. */
export function piles(
  steps: { id: string; title: string; done: boolean }[],
  made: Record<string, number> | undefined,
  copies: number,
): { step: string; count: number }[] {
  let before = copies;
  const out: { step: string; count: number }[] = [];
  for (const s of steps) {
    const through = s.done ? copies : Math.min(before, made?.[s.id] ?? 0);
    if (before > through) out.push({ step: s.title, count: before - through });
    before = through;
  }
  if (before > 0) out.push({ step: "done", count: before });
  return out;
}

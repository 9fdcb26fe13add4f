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
      <button
        type="button"
        className="table-back"
        disabled={made === 0}
        aria-label="One less"
        onClick={() => to(made - 1)}
      >
        −
      </button>
      <strong aria-live="polite">{made} are through</strong>
      <button type="button" className="table-back" aria-label="One more" onClick={() => to(made + 1)}>
        +
      </button>
    </fieldset>
  );
}

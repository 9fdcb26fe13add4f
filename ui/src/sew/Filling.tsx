import type { Plan } from "../api/plan.gen";
import { Field } from "../brief/Field";
import { Findings } from "../brief/Thread";
import { meant, said } from "../brief/Value";
import { usePlan, useReckoning } from "../plan/context";
import { within } from "../plan/path";
import { measuredAt } from "./measured";

/** The fibre that fills a pad made at home, on the scale. */
export function Filling() {
  const { plan, session, rework } = usePlan();
  const reckoning = useReckoning();
  const fibre = reckoning.fibre;
  if (!fibre) return null;
  const list = plan.measured ?? [];
  const index = list.findIndex((m) => m.gate === fibre.gate);
  const at = index < 0 ? list.length : index;
  const filled = (now: Plan, text: string): Plan =>
    measuredAt(now, fibre.gate, (before) => ({
      ...before,
      weight: meant("count", text.replace(/\s*g$/, "")) as number,
    }));
  const kept = list[index]?.weight;
  return (
    <div className="gate">
      <p className="large">
        On the scale the fibre is{" "}
        <Field
          label="Fibre, in grams"
          text={kept ? String(kept) : ""}
          shown={kept ? `${kept} g` : "so many grams"}
          numeric
          reads="weight"
          path={`/measured/${at}/weight`}
          judge={async (next, meant) =>
            said(await session.preview(filled(session.current().plan, next), { meant }), `/measured/${at}`)
          }
          keep={(next) => rework((now) => filled(now, next), `fibre: ${next} g`)}
          drop={() => void session.settle()}
        />
        ; {fibre.least} to {fibre.most} g fill it.
      </p>
      <Findings of={reckoning.findings.filter((f) => within(f.about, `/measured/${at}`))} />
    </div>
  );
}

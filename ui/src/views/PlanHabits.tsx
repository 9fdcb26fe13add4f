import { Link } from "react-router";
import { useHabits } from "../api/queries";
import { usePlan, useReckoning } from "../plan/context";
import { Group } from "./Habits";

/** The schools of one plan: what its steps are made by. What its brief says is changed there. */
export function PlanHabits() {
  const { plan, edit } = usePlan();
  const reckoning = useReckoning();
  const help = useHabits().data?.help ?? [];
  return (
    <div className="page habits">
      <header className="page-head">
        <h1>Habits for this cover</h1>
        <Link className="word-button" to="../sew">
          Back to its steps
        </Link>
      </header>
      <p className="soft">
        For {plan.title} alone; its steps change with it. What every new plan begins with is under{" "}
        <Link className="word-button" to="/habits">
          Habits
        </Link>
        .
      </p>
      {help
        .filter((h) => !h.in_brief)
        .map((h) => (
          <Group
            key={h.key}
            help={h}
            value={reckoning.schools[h.key] ?? ""}
            choose={(school) => edit(`/habits/${h.key}`, school || undefined, `${h.name.toLowerCase()}: ${school}`)}
          />
        ))}
    </div>
  );
}

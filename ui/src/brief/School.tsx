import { useHabits } from "../api/queries";
import { PlanChoice } from "./Choice";

/** A school of the plan, by the names the habits have for it. */
export function School({ of, label }: { of: string; label: string }) {
  const help = useHabits().data?.help.find((h) => h.key === of);
  return <PlanChoice path={`/habits/${of}`} label={label} options={help?.schools ?? []} />;
}

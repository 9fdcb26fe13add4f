import { Link } from "react-router";
import type { Reckoning } from "../api/api.gen";
import { usePlan } from "../plan/context";
import { hours } from "../words/hours";
import { useProgress } from "./progress";

/** Where each of several covers is, and how long it all takes. */
export function Where({ of: { left, piles, set_ups, trips } }: { of: Reckoning }) {
  const { id, value } = usePlan();
  const { now, set } = useProgress();
  const copies = Number(value("/copies") ?? 1);
  return (
    <nav className="where" aria-label="Around the work">
      {left > 0 && <span className="soft">About {hours(left)} left.</span>}
      <span className="soft">
        In all {set_ups === 1 ? "one set-up" : `${set_ups} set-ups`} of the machine
        {trips > 0 && `, ${trips === 1 ? "one walk" : `${trips} walks`} to the iron`}.
      </span>
      <Link className="word-button" to="schedule">
        Sewing days
      </Link>
      <Link className="word-button" to="habits">
        Habits for this cover
      </Link>
      <a className="word-button" href={`/api/v1/plans/${id}/steps.csv`} download>
        Download as CSV
      </a>
      <Link className="word-button" to="labels">
        Labels for the piles
      </Link>
      {copies > 1 && (
        <>
          <button
            type="button"
            className="word-button"
            onClick={() =>
              set((p) => ({ ...p, each: !p.each }), now.each ? "step by step across all" : "one cover after the other")
            }
          >
            {now.each ? "Sew each step for all covers" : "Sew one cover after the other"}
          </button>
          <span>{piles.map((p) => `${p.count} ${p.step ? `at “${p.step.toLowerCase()}”` : "done"}`).join(", ")}.</span>
        </>
      )}
    </nav>
  );
}

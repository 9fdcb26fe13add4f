import LinearProgress from "@mui/material/LinearProgress";
import type { SearchView } from "../api/api.gen";
import { T } from "../words/T";

/** How far a search for a shorter lay is, with a way to end it. */
export function Searching({ view, stop }: { view: SearchView; stop: () => void }) {
  const rounds = Math.max(1, view.rounds);
  return (
    <div className="searching" role="status">
      <LinearProgress
        variant="determinate"
        value={(100 * Math.max(0, view.round - 1)) / rounds}
        aria-label="How far the search for a shorter cutting layout is"
      />
      <p>
        <T>
          {`Round ${Math.max(1, view.round)} of ${rounds}: ${view.lay.length.text} so far, ${view.over.toFixed(1)}% over what no cutting layout can be shorter than.`}
        </T>{" "}
        <button type="button" className="word-button" onClick={stop}>
          Stop here
        </button>
      </p>
    </div>
  );
}

/** What a search came to, in a sentence. */
export function outcome(view: SearchView): string {
  const saved = view.before.nm - view.lay.length.nm;
  if (saved <= 0) return view.stopped ? "Nothing shorter was found so far." : "Nothing shorter was found.";
  return `A cutting layout of ${view.lay.length.text} was found; it was ${view.before.text}.`;
}

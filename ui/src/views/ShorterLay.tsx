import { useState } from "react";
import type { ClothNeed } from "../api/api.gen";
import { outcome, Searching } from "../lay/Searching";
import { useSearch } from "../lay/useSearch";
import { useOf, usePlan } from "../plan/context";
import { T } from "../words/T";

/** Looks for a shorter lay of a cloth; one that is found is kept in the plan. */
export function ShorterLay({ cloth }: { cloth: ClothNeed }) {
  const { id, rework, value } = usePlan();
  const saving = useOf((s) => s.saving);
  const [said, say] = useState<string | null>(null);
  const { view, problem, begin, stop } = useSearch((found) => {
    say(outcome(found));
    if (found.way.length === 0) return;
    rework(
      (plan) => ({ ...plan, lays: { ...plan.lays, [cloth.cloth]: { way: found.way } } }),
      `a shorter cutting layout of ${cloth.name}`,
    );
  });
  const free = value("/habits/lay") === "template";
  if (view && !view.done) return <Searching view={view} stop={stop} />;
  if (free || cloth.done || cloth.lay.placed.length === 0 || cloth.lay.certain) {
    return (
      said && (
        <p role="status">
          <T>{said}</T>
        </p>
      )
    );
  }
  return (
    <p className="no-print" role="status">
      {said && (
        <>
          <T>{said}</T>{" "}
        </>
      )}
      {problem && <span className="stop-text">{problem} </span>}
      <button
        type="button"
        className="word-button"
        disabled={saving !== "saved"}
        onClick={() => {
          say(null);
          void begin({ plan: id, letter: cloth.cloth });
        }}
      >
        Look for a shorter cutting layout<span className="sr-only"> of {cloth.name}</span>
      </button>
    </p>
  );
}

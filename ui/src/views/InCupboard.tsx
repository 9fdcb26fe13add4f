import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import type { ClothNeed, MovedCloth } from "../api/api.gen";
import { ask, sentence } from "../api/client";
import { readAgain } from "../api/queries";
import { useOf, usePlan } from "../plan/context";
import { useSay } from "../shell/Say";
import { T } from "../words/T";

type Move = "keep" | "let-go" | "return";

/** What the cupboard keeps of a cloth for this plan, and what goes back into it when all is cut. */
export function InCupboard({ cloth }: { cloth: ClothNeed }) {
  const { id, rework, session } = usePlan();
  const saving = useOf((s) => s.saving);
  const say = useSay();
  const client = useQueryClient();
  const [problem, setProblem] = useState<{ text: string; move: Move } | null>(null);

  const refresh = async () => {
    await session.settle();
    await readAgain(client);
  };
  const move = async (how: Move) => {
    setProblem(null);
    try {
      const moved = await ask<MovedCloth>("POST", `/plans/${id}/cloths/${encodeURIComponent(cloth.cloth)}/${how}`);
      if (how === "return") returned(true);
      say(moved.text, { label: "Undo", act: () => back(moved, how) });
    } catch (error) {
      setProblem({ text: sentence(error), move: how });
    }
    await refresh();
  };
  const back = async (moved: MovedCloth, how: Move) => {
    // The cupboard first: the plan is reckoned with it when it is saved.
    await ask("PUT", `/cloths/${moved.id}`, { base: moved.revision, cloth: moved.before });
    if (how === "return") returned(false);
    await refresh();
  };
  const returned = (yes: boolean) =>
    rework(
      (plan) => {
        const others = (plan.progress?.returned ?? []).filter((letter) => letter !== cloth.cloth);
        return { ...plan, progress: { ...plan.progress, returned: yes ? [...others, cloth.cloth] : others } };
      },
      yes ? `what is left of ${cloth.name} is back` : `what is left of ${cloth.name} is not back`,
    );
  const button = (how: Move, text: string) => (
    <button type="button" className="word-button" disabled={saving !== "saved"} onClick={() => void move(how)}>
      {text}
      <span className="sr-only">: {cloth.name}</span>
    </button>
  );
  const inCupboard = cloth.in_cupboard;
  // It was moved, and only the answer was lost.
  const moved = { keep: !!cloth.kept, "let-go": !cloth.kept, return: !!cloth.returned };
  return (
    <>
      {problem && !moved[problem.move] && (
        <p className="finding stop" role="alert">
          {problem.text}
        </p>
      )}
      {inCupboard && (
        <p className="no-print">
          {cloth.returned && <span className="soft">What was left over is back in the cupboard.</span>}
          {!cloth.returned && cloth.done && button("return", "Put what is left back into the cupboard")}
          {!cloth.done && cloth.kept && (
            <>
              <T>{keptText(cloth)}</T> {button("let-go", "Release it")}
            </>
          )}
          {!cloth.done &&
            !cloth.kept &&
            (cloth.short.nm === 0 || cloth.odd.length > 0) &&
            button("keep", "Keep it for this plan")}
        </p>
      )}
    </>
  );
}

function keptText({ kept }: ClothNeed): string {
  const parts = [];
  if (kept && kept.length.nm > 0) parts.push(kept.length.text);
  if (kept && kept.odd > 0) parts.push(kept.odd === 1 ? "1 offcut" : `${kept.odd} offcuts`);
  return `Kept for this plan: ${parts.join(" and ")}.`;
}

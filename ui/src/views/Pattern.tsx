import { useState } from "react";
import type { PatternPiece, PatternView } from "../api/api.gen";
import { sendFile, sentence } from "../api/client";
import { usePlan } from "../plan/context";
import { FileButton } from "../shell/FileButton";
import { T } from "../words/T";

/** A pattern that was worked on elsewhere, held against the pieces of the plan. */
export function Pattern() {
  const { id } = usePlan();
  const [view, setView] = useState<PatternView | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const read = async (file: File) => {
    setView(null);
    try {
      setView(await sendFile<PatternView>(`/plans/${id}/pattern`, file));
      setProblem(null);
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  return (
    <section aria-label="A pattern that comes back">
      <p>
        A pattern of all pieces that was worked on elsewhere can be{" "}
        <FileButton label="Pattern to compare" accept=".dxf" read={(file) => void read(file)}>
          {(choose) => (
            <button type="button" className="word-button" onClick={choose}>
              held against the plan
            </button>
          )}
        </FileButton>
        : a DXF with a block for every piece. Nothing in the plan changes by it.
      </p>
      {problem && (
        <p className="finding stop" role="alert">
          {problem}
        </p>
      )}
      {view && (
        <>
          <ul className="pattern" aria-label="What the pattern has">
            {view.pieces.map((piece) => (
              <li key={piece.title}>
                <strong>{piece.title}</strong> <Told of={piece} />
              </li>
            ))}
          </ul>
          {view.omitted.length > 0 && <p className="soft">Not read: {view.omitted.join(", ")}.</p>}
        </>
      )}
    </section>
  );
}

function Told({ of }: { of: PatternPiece }) {
  if (of.missing) return <span className="tray-said wrong">is not in the pattern.</span>;
  if (of.unknown) return <span className="tray-said wrong">is no piece of this plan; name it as the plan does.</span>;
  if (of.off.length === 0) return <span className="soft">agrees with the plan.</span>;
  return (
    <span className="tray-said wrong">
      <T>{of.off.join(" ")}</T>
    </span>
  );
}

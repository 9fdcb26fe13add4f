import { useRef, useState } from "react";
import type { WeighCloth, WeighedCloth } from "../api/api.gen";
import { ask } from "../api/client";
import { refusalAt } from "../api/refusal";
import { atHand, gone } from "../devices/active";
import { T } from "../words/T";

const fields = [
  ["side", "Side of a square of it", "10 cm"],
  ["square", "The square weighs, g", "1.4"],
  ["piece", "The piece weighs, g", "210"],
  ["width", "Width of the piece", "42 in"],
] as const;

/** The length of a piece of cloth by its weight: what is left is known without unfolding it. */
export function Weighing({ width, take }: { width?: string; take: (length: string) => void }) {
  const [typed, setTyped] = useState<WeighCloth>({ side: "10 cm", square: "", piece: "", width: width ?? "" });
  const [found, setFound] = useState<WeighedCloth | null>(null);
  const [problem, setProblem] = useState<{ path: string; text: string } | null>(null);
  const latest = useRef(typed);
  const tell = async (part: Partial<WeighCloth>) => {
    const next = { ...latest.current, ...part };
    latest.current = next;
    setTyped(next);
    setFound(null);
    if (Object.values(next).some((text) => text.trim() === "")) return;
    try {
      setFound(await ask<WeighedCloth>("POST", "/cloths/weigh", next));
      setProblem(null);
    } catch (error) {
      setProblem(refusalAt(error));
    }
  };
  return (
    <details>
      <summary>Length by weight</summary>
      <p className="soft">
        Cut a square, weigh it, then weigh the piece. The heavier the square, the surer the length.
      </p>
      <div className="line-fields" data-measures>
        {fields.map(([key, label, hint]) => (
          <label key={key} className="line-field narrow">
            <span>{label}</span>
            <input
              ref={(input) => () => {
                if (input) gone(input);
              }}
              value={typed[key]}
              placeholder={hint}
              data-reads={key === "square" || key === "piece" ? "weight" : "length"}
              aria-invalid={problem?.path === `/${key}` || undefined}
              onFocus={(e) =>
                atHand({
                  reads: key === "square" || key === "piece" ? "weight" : "length",
                  label: label.replace(", g", ""),
                  input: e.target,
                  take: async (text) => {
                    await tell({ [key]: text });
                    return true;
                  },
                })
              }
              onChange={(e) => void tell({ [key]: e.target.value })}
            />
          </label>
        ))}
      </div>
      {problem && (
        <p className="finding stop" role="alert">
          {problem.text}
        </p>
      )}
      {found && (
        <p role="status">
          <T>{found.says}</T>{" "}
          <button type="button" className="word-button" onClick={() => take(found.text)}>
            Take it as the length left
          </button>
        </p>
      )}
    </details>
  );
}

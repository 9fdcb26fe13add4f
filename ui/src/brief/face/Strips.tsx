import { useState } from "react";
import { refusalAt } from "../../api/refusal";
import { Choice } from "../Choice";
import { useLetters } from "../sentences";
import { Value } from "../Value";
import { useFace } from "./context";

/** Long pieces side by side. */
export function Strips() {
  const { path, at, set, begin } = useFace();
  const letters = useLetters();
  const [refused, refuse] = useState<string | null>(null);
  const strips = (at("/strips") ?? []) as { key?: string; width?: string; cloth?: string }[];
  return (
    <>
      {" "}
      that run{" "}
      <Choice
        label="Direction of the strips"
        value={String(at("/direction") ?? "across")}
        options={[
          { value: "across", name: "across" },
          { value: "along", name: "up and down" },
        ]}
        choose={(next) => set("/direction", next, `strips ${next}`)}
      />
      :{" "}
      {strips.map((strip, i) => (
        <span key={strip.key ?? i}>
          {i > 0 && (i === strips.length - 1 ? " and " : ", ")}
          <Value path={`${path}/strips/${i}/width`} label={`Finished width of strip ${i + 1}`} /> of{" "}
          <Choice
            label={`Cloth of strip ${i + 1}`}
            value={String(strip.cloth ?? letters[0]?.value ?? "A")}
            options={strips.length > 1 ? [...letters, { value: "", name: "take it out" }] : letters}
            choose={(next) =>
              set(
                next ? `/strips/${i}/cloth` : `/strips/${i}`,
                next || undefined,
                next ? `strip of ${next}` : "a strip less",
              )
            }
          />
        </span>
      ))}
      .{" "}
      <button
        type="button"
        className="word-button"
        onClick={() =>
          begin(undefined, "a strip more").then(
            () => refuse(null),
            (error) => refuse(refusalAt(error).text),
          )
        }
      >
        Halve the last strip
      </button>
      {refused && <span role="alert"> {refused}</span>}
    </>
  );
}

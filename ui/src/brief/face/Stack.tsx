import { useState } from "react";
import { refusalAt } from "../../api/refusal";
import { Value } from "../Value";
import { FaceProvider, useFace } from "./context";

/** Faces above each other, each with a height of its own, and drawn as any face is. */
export function Stack({ of: Face }: { of: React.ComponentType }) {
  const place = useFace();
  const [refused, refuse] = useState<string | null>(null);
  const parts = (place.at("/parts") ?? []) as { key?: string }[];
  const add = () =>
    place.begin(undefined, "a part more").then(
      () => refuse(null),
      (error) => refuse(refusalAt(error).text),
    );
  return (
    <>
      <ol className="stack-parts" aria-label="Parts from the top">
        {parts.map((part, i) => (
          <li key={part.key ?? i}>
            <span>
              <Value path={`${place.path}/parts/${i}/height`} label={`Finished height of part ${i + 1}`} /> high
              {parts.length > 1 && (
                <>
                  {" "}
                  <button
                    type="button"
                    className="word-button"
                    aria-label={`Take part ${i + 1} out`}
                    onClick={() => place.set(`/parts/${i}`, undefined, `part ${i + 1} taken out`)}
                  >
                    take it out
                  </button>
                </>
              )}
              :
            </span>
            <FaceProvider
              value={{
                config: place.config,
                title: `part ${i + 1}`,
                base: place.base,
                inner: `${place.inner}/parts/${i}/face`,
              }}
            >
              <Face />
            </FaceProvider>
          </li>
        ))}
      </ol>
      <p>
        <button type="button" className="word-button" onClick={add}>
          Halve the last part
        </button>
        {refused && <span role="alert"> {refused}</span>}
      </p>
    </>
  );
}

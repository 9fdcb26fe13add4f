import type { SampleDoc } from "./doc";
import type { Words } from "./sentences";

/** What it measures after, once for every repeat. */
export function After({ doc, at, set }: { doc: SampleDoc; at: Words["at"]; set: Words["set"] }) {
  const list = doc.after ?? [];
  const both = doc.kind === "quilting" || doc.kind === "wash";
  const what = {
    quilting: "After quilting it is",
    gather: "Drawn in it is",
    strips: "The middle strip shows",
    wash: "After washing it is",
  }[doc.kind];
  return (
    <p>
      {list.map((_, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: repeats have no identity but their order
        <span key={i}>
          {i === 0 ? `${what} ` : ", again "}
          {at(`/after/${i}/width`, `Width after, ${i + 1}`)}
          {both && <> by {at(`/after/${i}/height`, `Height after, ${i + 1}`)}</>}
        </span>
      ))}
      {list.length > 0 && ". "}
      <button
        type="button"
        className="word-button"
        onClick={() =>
          set("/after", [
            ...list,
            both ? { width: doc.before?.width, height: doc.before?.height } : { width: begun(doc) },
          ])
        }
      >
        {list.length === 0 ? "Enter what it measures" : "Enter another one"}
      </button>
      {list.length > 0 && (
        <>
          {" "}
          <button type="button" className="word-button" onClick={() => set("/after", list.slice(0, -1))}>
            Remove the last one
          </button>
        </>
      )}
    </p>
  );
}

/** What a measurement is typed over: nothing is known of it yet. */
const begun = (doc: SampleDoc) => (doc.kind === "strips" ? "1 in" : "6 in");

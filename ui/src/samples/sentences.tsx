import { Choice } from "../brief/Choice";
import type { Patterns } from "../brief/quilting";
import type { SampleDoc } from "./doc";

export interface Words {
  doc: SampleDoc;
  settled: SampleDoc;
  at: (path: string, label: string, text?: boolean) => React.ReactNode;
  set: (path: string, value: unknown) => void;
  patterns: Patterns;
}

export const sentences: Record<string, (words: Words) => React.ReactNode> = {
  quilting: ({ doc, settled, at, set, patterns }) => {
    const quilting = settled.quilting ?? {};
    const count = settled.layers?.batting?.count ?? 0;
    return (
      <p>
        Over{" "}
        <Choice
          label={`Layers of batting, ${settled.title}`}
          value={String(count)}
          options={[
            { value: "0", name: "no batting" },
            { value: "1", name: "one batting" },
            { value: "2", name: "two battings" },
          ]}
          choose={(next) =>
            set(
              "/layers/batting",
              next === "0"
                ? undefined
                : { ...doc.layers?.batting, count: Number(next), loft: doc.layers?.batting?.loft ?? "3 mm" },
            )
          }
        />
        {count > 0 && <> {at("/layers/batting/loft", "Loft of one batting")} thick</>} and{" "}
        <Choice
          label={`Lining, ${settled.title}`}
          value={settled.layers?.lining ? "yes" : ""}
          options={[
            { value: "", name: "no lining" },
            { value: "yes", name: "a lining" },
          ]}
          choose={(next) => set("/layers/lining", next ? "L" : undefined)}
        />
        ,{" "}
        <Choice
          label={`Quilting, ${settled.title}`}
          value={patterns.of(quilting)}
          options={[
            ...patterns.list.filter((p) => p.key !== "none").map((p) => ({ value: p.key, name: p.name })),
            ...(patterns.of(quilting) === "own" ? [{ value: "own", name: "quilted in lines of my own" }] : []),
          ]}
          choose={(next) => set("/quilting", patterns.make(next, quilting))}
        />
        {quilting.lines && quilting.lines.length > 0 && (
          <> {at("/quilting/lines/0/pitch", "Distance between quilting lines")} apart</>
        )}
        . Before, its square was {at("/before/width", "Width before")} across by {at("/before/height", "Height before")}{" "}
        up.
      </p>
    );
  },
  gather: ({ at }) => (
    <p>
      Before, the strip was {at("/before/width", "Width before")} long and {at("/before/height", "Height before")} high.
    </p>
  ),
  strips: ({ at }) => (
    <p>
      Three strips cut {at("/cut", "Width of a strip")} wide, sewn with seams that should be{" "}
      {at("/seam", "Seam that is wanted")}.
    </p>
  ),
  wash: ({ at }) => (
    <p>
      Before, its square was {at("/before/width", "Width before")} across by {at("/before/height", "Height before")} up.
    </p>
  ),
};

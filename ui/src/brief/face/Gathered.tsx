import { useStarts } from "../../api/queries";
import { usePlan } from "../../plan/context";
import { Len } from "../../words/T";
import { Choice } from "../Choice";
import { useLetters } from "../sentences";
import { Value } from "../Value";
import { useFace } from "./context";

/** More cloth than shows, drawn in by rows of stitching. */
export function Gathered() {
  const { path, at, set, become, face, config, inner } = useFace();
  const { drawn, value } = usePlan();
  const letters = useLetters();
  const starts = useStarts(String(value("/units") ?? "in")).data;
  const sampled = at("/sampled") !== undefined;
  const takes = inner ? undefined : drawn.pieces.find((p) => p.config === config)?.gather;
  return (
    <>
      {" "}
      of{" "}
      <Choice
        label="Cloth of the gathers"
        value={String(at("/cloth") ?? letters[0]?.value ?? "A")}
        options={letters}
        choose={(next) => set("/cloth", next, `gathers of ${next}`)}
      />
      , drawn in{" "}
      <Choice
        label="Direction of the gathers"
        value={String(at("/direction") ?? "across")}
        options={[
          { value: "across", name: "from side to side" },
          { value: "along", name: "from top to bottom" },
          { value: "diagonal", name: "along the diagonal" },
        ]}
        choose={(next) => set("/direction", next, `gathers ${next}`)}
      />{" "}
      by{" "}
      <Choice
        label="Where the ratio comes from"
        value={sampled ? "sample" : "given"}
        options={[
          { value: "given", name: "a ratio of" },
          { value: "sample", name: "a sample that went from" },
        ]}
        choose={(next) =>
          become(
            next === "sample"
              ? { ...face, ratio: undefined, sampled: starts?.sample }
              : { ...face, sampled: undefined, ratio: takes?.ratio },
            next === "sample" ? "gathers by a sample" : "gathers by a ratio",
          )
        }
      />{" "}
      {sampled ? (
        <>
          <Value path={`${path}/sampled/before`} label="The sample before" /> to{" "}
          <Value path={`${path}/sampled/after`} label="The sample after" />
          {takes && <strong>, {takes.ratio.toFixed(3)}</strong>}
        </>
      ) : (
        <Value path={`${path}/ratio`} label="Ratio of the gathers" kind="count" />
      )}
      {takes && (
        <>
          : <Len of={takes.wanted} /> takes{" "}
          <strong>
            <Len of={takes.needed} />
          </strong>
          ; from selvedge to selvedge, <Len of={takes.piece} /> gives <Len of={takes.yields} />
        </>
      )}
      .
    </>
  );
}

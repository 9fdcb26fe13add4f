import { usePlan } from "../../plan/context";
import { Len } from "../../words/T";
import { Choice } from "../Choice";
import { useLetters } from "../sentences";
import { Value } from "../Value";
import { useFace } from "./context";

/** More cloth than shows, drawn in by rows of stitching. */
export function Gathered() {
  const { path, at, set, config, inner } = useFace();
  const { drawn } = usePlan();
  const letters = useLetters();
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
      by <Value path={`${path}/ratio`} label="Ratio of the gathers" kind="count" />
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

import type { PanelShown } from "../../api/api.gen";
import { useStarts } from "../../api/queries";
import { usePlan } from "../../plan/context";
import { put } from "../../plan/path";
import { Len, T } from "../../words/T";
import { Choice } from "../Choice";
import { useLetters } from "../sentences";
import { Value } from "../Value";
import { useFace } from "./context";

const kinds = [
  { value: "cloth", name: "of cloth" },
  { value: "counted", name: "counted" },
  { value: "worked", name: "hooked or knitted" },
  { value: "printed", name: "cut from a print" },
];

/** A panel that is there already: how it was made decides how it is cut. */
export function Found() {
  const { path, at, set, config, inner, base } = useFace();
  const { value, rework, drawn } = usePlan();
  const letters = useLetters();
  const starts = useStarts(String(value("/units") ?? "in")).data;
  const kind = String(at("/panel/kind") ?? "cloth");
  const panel = inner ? undefined : drawn.pieces.find((p) => p.config === config)?.panel;
  const follows =
    value("/object/kind") === "found" && !inner && (at("/borders") as unknown[] | undefined)?.length === undefined;
  const choose = (next: string) => {
    const begun = (starts?.panels as unknown as { kind: string }[] | undefined)?.find((p) => p.kind === next) ?? {
      kind: next,
    };
    rework(
      (plan) => {
        const made = put(plan, `${base}${inner}/panel`, next === "cloth" ? undefined : begun);
        // The cover follows the squares of the panel.
        return next === "counted" && follows
          ? put(put(made, "/object/width", undefined), "/object/height", undefined)
          : made;
      },
      `panel ${kinds.find((k) => k.value === next)?.name}`,
    );
  };
  const sized = value("/object/kind") === "found" && !at("/patch/width");
  return (
    <>
      , <Choice label="How the panel was made" value={kind} options={kinds} choose={choose} />
      {kind === "counted" ? (
        <Counted />
      ) : (
        !sized && (
          <>
            , showing <Value path={`${path}/patch/width`} label="Width of the panel as it shows" /> by{" "}
            <Value path={`${path}/patch/height`} label="Height of the panel as it shows" />
          </>
        )
      )}
      {kind === "printed" && <Printed panel={panel} />}, of{" "}
      <Choice
        label="Cloth of the panel"
        value={String(at("/cloth") ?? letters[0]?.value ?? "A")}
        options={letters}
        choose={(next) => set("/cloth", next, `panel of ${next}`)}
      />
      ,{" "}
      <Choice
        label="Backing of the panel"
        value={String(at("/backed") ?? "")}
        options={[
          { value: "", name: "firm enough by itself" },
          ...letters.map((l) => ({ value: l.value, name: `backed with ${l.name}` })),
        ]}
        choose={(next) => set("/backed", next || undefined, next ? `panel backed with ${next}` : "no backing")}
      />
      .
      {panel && kind === "counted" && (
        <span className="soft">
          {" "}
          It is cut {panel.outside[0]} squares outside the design at the sides and {panel.outside[1]} above and below:{" "}
          {panel.squares[0]} × {panel.squares[1]} squares, <Len of={panel.size.width} by={panel.size.height} />.
        </span>
      )}
      {panel?.from && panel.from.length === 4 && (
        <span className="soft">
          {" "}
          <T>{`It is cut ${panel.from[0]?.text} from the left and ${panel.from[1]?.text} from the right edge of the print, ${panel.from[2]?.text} from the top and ${panel.from[3]?.text} from the bottom.`}</T>
        </span>
      )}
    </>
  );
}

/** A counted design: its size follows from its squares. */
function Counted() {
  const { path } = useFace();
  return (
    <>
      , <Value path={`${path}/panel/across`} label="Squares of the design across" kind="count" /> by{" "}
      <Value path={`${path}/panel/up`} label="Squares of the design up" kind="count" /> squares,{" "}
      <Value path={`${path}/panel/count`} label="Squares to the inch" kind="count" /> to the inch, with{" "}
      <Value path={`${path}/panel/margin`} label="Squares that show round the design" kind="count" /> more showing all
      round
    </>
  );
}

/** A print as it is bought, and what of it has to be in the middle. */
function Printed({ panel }: { panel?: PanelShown | null }) {
  const { path, at, set } = useFace();
  const middle = at("/panel/left") === undefined && at("/panel/top") === undefined;
  return (
    <>
      , from a print of <Value path={`${path}/panel/width`} label="Width of the print" /> by{" "}
      <Value path={`${path}/panel/height`} label="Height of the print" />,{" "}
      <Choice
        label="What stays in the middle"
        value={middle ? "own" : "given"}
        options={[
          { value: "own", name: "its own middle kept in the middle" },
          { value: "given", name: "a motif kept in the middle that lies" },
        ]}
        choose={(next) =>
          set(
            "/panel",
            {
              ...(at("/panel") as object),
              ...(next === "own"
                ? { left: undefined, top: undefined }
                : { left: panel?.middle?.[0]?.exact, top: panel?.middle?.[1]?.exact }),
            },
            next === "own" ? "the middle of the print" : "a motif in the middle",
          )
        }
      />
      {!middle && (
        <>
          {" "}
          <Value path={`${path}/panel/left`} label="Distance of the motif's middle from the left edge" /> from its left
          and <Value path={`${path}/panel/top`} label="Distance of the motif's middle from the top edge" /> from its top
          edge
        </>
      )}
    </>
  );
}

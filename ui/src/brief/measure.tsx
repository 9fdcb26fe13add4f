import { useStarts } from "../api/queries";
import { usePlan } from "../plan/context";
import { get, put } from "../plan/path";
import { dressed } from "../words/fractions";
import { T } from "../words/T";
import { Choice, PlanChoice } from "./Choice";
import { Figure } from "./Figure";
import { useLetters } from "./sentences";
import { Value } from "./Value";

const fills = [
  { value: "feather", name: "feather" },
  { value: "polyester", name: "polyester" },
  { value: "foam", name: "foam" },
];

/** What is to be covered, as measured, with where to hold the tape. */
export function Measure() {
  const { value } = usePlan();
  const kind = String(value("/object/kind"));
  const one = Number(value("/copies") ?? 1) === 1;
  const Words = objects[kind];
  return (
    <>
      <p>
        {Words && <Words />} It is made <Value path="/copies" label="How many are made" kind="count" />{" "}
        {one ? "time" : "times"}.
      </p>
      <Figure kind={useFigure(kind)} />
    </>
  );
}

/** The drawing that shows where the tape is held. */
function useFigure(kind: string): string {
  const { value } = usePlan();
  if (kind === "book") return byBoards(value) ? "binder" : "book";
  if (value("/object/shape") === "round") return value("/cover/kind") === "boxed-cushion" ? "round-thick" : "round";
  return kind === "form" && value("/cover/kind") === "boxed-cushion" ? "form-thick" : kind;
}

const objects: Record<string, () => React.ReactNode> = {
  form: () => <Shaped names={["A cushion pad", "A round cushion pad"]} of="of the pad" filled />,
  flat: () => <Shaped names={["Something flat", "Something flat and round"]} of="to be covered" />,
  found: Found,
  box: Box,
  book: Book,
};

/** A panel that is there already: the cover follows it. */
function Found() {
  const { plan, value } = usePlan();
  const size = (path: string) => dressed(String(value(path) ?? ""), String(value("/units") ?? "in"));
  const counted = value("/pieces/front/face/panel/kind") === "counted" && get(plan, "/object/width") === undefined;
  return (
    <>
      A panel that is there already,{" "}
      {counted ? (
        <>
          as large as its squares make it, <T>{size("/object/width")}</T> across by <T>{size("/object/height")}</T> up.
        </>
      ) : (
        <>
          <Value path="/object/width" label="Width of the panel" /> across by{" "}
          <Value path="/object/height" label="Height of the panel" /> up,{" "}
          <PlanChoice
            path="/object/edge"
            label="Seam allowances of the panel"
            options={[
              { value: "excluded", name: "as it is to show" },
              { value: "included", name: "its seam allowances in it" },
            ]}
          />
          .
        </>
      )}
    </>
  );
}

/** A pad or a seat: a rectangle, or round and measured once. */
function Shaped({ names, of, filled }: { names: [string, string]; of: string; filled?: boolean }) {
  const { value, rework } = usePlan();
  const round = value("/object/shape") === "round";
  const boxed = value("/cover/kind") === "boxed-cushion";
  const choose = (next: string) =>
    rework(
      (plan) => {
        const shaped = put(plan, "/object/shape", next);
        return put(shaped, "/object/height", next === "round" ? undefined : value("/object/width"));
      },
      `${next === "round" ? "round" : "with corners"}`,
    );
  return (
    <>
      <Choice
        label="Shape of what is covered"
        value={round ? "round" : "rectangle"}
        options={[
          { value: "rectangle", name: names[0] },
          { value: "round", name: names[1] },
        ]}
        choose={choose}
      />
      , <Value path="/object/width" label={round ? `Diameter ${of}` : `Width ${of}`} /> across
      {!round && (
        <>
          {" "}
          by <Value path="/object/height" label={`Height ${of}`} /> up
        </>
      )}
      {boxed && (
        <>
          {" "}
          and <Value path="/object/thickness" label="Thickness of the pad" /> thick
        </>
      )}
      {filled && (
        <>
          , filled with <PlanChoice path="/object/fill" label="Fill of the pad" options={fills} />
        </>
      )}
      .{filled && !boxed && <Made />}
    </>
  );
}

/** Whether a pad is bought, or made at home. */
function Made() {
  const { value, edit, reckoning } = usePlan();
  const starts = useStarts(String(value("/units") ?? "in")).data;
  const letters = useLetters();
  const make = value("/object/make");
  const now = !make ? "bought" : value("/object/make/fold") === true ? "fold" : "two";
  const tab = ![undefined, "0"].includes(value("/object/make/tab") as string | undefined);
  const choose = (next: string) =>
    edit(
      "/object/make",
      next === "bought"
        ? undefined
        : {
            ...(make as object | undefined),
            cloth: value("/object/make/cloth") ?? letters[0]?.value,
            fold: next === "fold",
          },
      `pad: ${next}`,
    );
  return (
    <>
      {" "}
      It is{" "}
      <Choice
        label="Where the pad comes from"
        value={now}
        options={[
          { value: "bought", name: "bought" },
          { value: "two", name: "made of two pieces" },
          { value: "fold", name: "made of one piece on the fold" },
        ]}
        choose={choose}
      />
      {now !== "bought" && (
        <>
          {" "}
          of <PlanChoice path="/object/make/cloth" label="Cloth of the pad" options={letters} />, filled through a gap
          of <Value path="/object/make/gap" label="Gap of the pad" />{" "}
          <Choice
            label="Tab at the gap of the pad"
            value={tab ? "tab" : "none"}
            options={[
              { value: "none", name: "without a tab" },
              { value: "tab", name: "with a tab of" },
            ]}
            choose={(next) =>
              edit(
                "/object/make/tab",
                next === "tab" ? starts?.tab : undefined,
                `pad ${next === "tab" ? "with" : "without"} a tab`,
              )
            }
          />
          {tab && (
            <>
              {" "}
              <Value path="/object/make/tab" label="Width of the tab of the pad" />
            </>
          )}
          {reckoning.fibre && (
            <span className="soft">
              , with {reckoning.fibre.least} to {reckoning.fibre.most} g of fibre
            </span>
          )}
        </>
      )}
      .
    </>
  );
}

function Box() {
  return (
    <>
      An appliance, <Value path="/object/length" label="Length of the box" /> long,{" "}
      <Value path="/object/depth" label="Depth of the box" /> deep and{" "}
      <Value path="/object/height" label="Height of the box" /> high. What sticks out adds{" "}
      <Value path="/object/sticks_out/length" label="What sticks out in length" /> in length,{" "}
      <Value path="/object/sticks_out/depth" label="What sticks out in depth" /> in depth and{" "}
      <Value path="/object/sticks_out/height" label="What sticks out in height" /> in height.
    </>
  );
}

const byBoards = (value: (path: string) => unknown) =>
  value("/object/wrap") === undefined && value("/object/board") !== undefined;

/** A book, round by the tape, or by its boards and its spine. */
function Book() {
  const { value, rework } = usePlan();
  const starts = useStarts(String(value("/units") ?? "in")).data;
  const usual = (thing: string) => starts?.things.find((t) => t.key === thing)?.usual ?? {};
  const boards = byBoards(value);
  const choose = (next: string) =>
    rework(
      (plan) =>
        next === "boards"
          ? put(
              put(put(plan, "/object/wrap", undefined), "/object/board", usual("binder").board),
              "/object/spine",
              usual("binder").spine,
            )
          : put(put(plan, "/object/board", undefined), "/object/wrap", usual("book").wrap),
      next === "boards" ? "measured by its boards" : "measured round with a tape",
    );
  return (
    <>
      A book, closed, measured{" "}
      <Choice
        label="How the book is measured"
        value={boards ? "boards" : "tape"}
        options={[
          { value: "tape", name: "round with a bending tape" },
          { value: "boards", name: "by its boards and its spine" },
        ]}
        choose={choose}
      />
      :{" "}
      {boards ? (
        <>
          each board <Value path="/object/board" label="Width of a board" /> across, the spine{" "}
          <Value path="/object/spine" label="Width of the spine" />,{" "}
        </>
      ) : (
        <>
          <Value path="/object/wrap" label="Round the book" /> from one fore-edge round the spine to the other,{" "}
        </>
      )}
      <Value path="/object/height" label="Height of the book" /> high.
      {!boards && (
        <>
          {" "}
          Its spine is <Value path="/object/spine" label="Width of the spine" />.
        </>
      )}{" "}
      A board is <Value path="/object/thickness" label="Thickness of a board" /> thick.
    </>
  );
}

import { usePlan } from "../plan/context";
import { PlanChoice } from "./Choice";
import { Figure } from "./Figure";
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
  const boxed = value("/cover/kind") === "boxed-cushion";
  const one = Number(value("/copies") ?? 1) === 1;
  return (
    <>
      <p>
        {kind === "form" && (
          <>
            A cushion pad, <Value path="/object/width" label="Width of the pad" /> across by{" "}
            <Value path="/object/height" label="Height of the pad" /> up
            {boxed && (
              <>
                {" "}
                and <Value path="/object/thickness" label="Thickness of the pad" /> thick
              </>
            )}
            , filled with <PlanChoice path="/object/fill" label="Fill of the pad" options={fills} />.
          </>
        )}
        {kind === "box" && (
          <>
            An appliance, <Value path="/object/length" label="Length of the box" /> long,{" "}
            <Value path="/object/depth" label="Depth of the box" /> deep and <Value path="/object/height" label="Height of the box" /> high.
            What sticks out adds <Value path="/object/sticks_out/length" label="What sticks out in length" /> in length,{" "}
            <Value path="/object/sticks_out/depth" label="What sticks out in depth" /> in depth and{" "}
            <Value path="/object/sticks_out/height" label="What sticks out in height" /> in height.
          </>
        )}
        {kind === "book" && (
          <>
            A book, closed: <Value path="/object/wrap" label="Round the book" /> from one fore-edge round the spine to the other,{" "}
            <Value path="/object/height" label="Height of the book" /> high. Its spine is{" "}
            <Value path="/object/spine" label="Width of the spine" />.
          </>
        )}
        {kind === "flat" && (
          <>
            Something flat, <Value path="/object/width" label="Width to be covered" /> across by{" "}
            <Value path="/object/height" label="Height to be covered" /> up.
          </>
        )}{" "}
        It is made <Value path="/copies" label="How many are made" kind="count" /> {one ? "time" : "times"}.
      </p>
      {kind !== "form" && <Figure kind={kind} />}
    </>
  );
}

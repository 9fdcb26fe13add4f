import type { Plan } from "../api/plan.gen";
import { usePlan } from "../plan/context";
import { put } from "../plan/path";
import { Len } from "../words/T";
import { Choice, PlanChoice } from "./Choice";
import { Value } from "./Value";

const hoods = [
  { value: "wrap-hood", name: "A wrapped hood" },
  { value: "band-hood", name: "A banded hood" },
  { value: "skirt-hood", name: "A skirted hood" },
];

/** How the cover relates to what it covers. */
export function Cover() {
  const { value } = usePlan();
  switch (String(value("/cover/kind"))) {
    case "wrap-hood":
    case "band-hood":
    case "skirt-hood":
      return <Hood />;
    case "jacket":
      return <Jacket />;
    default:
      return <Flat />;
  }
}

/** Cushions and pads: eased across and up. */
function Flat() {
  const { reckoning, value } = usePlan();
  const kind = String(value("/cover/kind"));
  const first = reckoning.pieces[0];
  return (
    <p>
      {kind === "pad" ? "A pad, larger by " : "Against the pad it is eased "}
      <Value path="/cover/ease/width" label="Ease across" /> across and <Value path="/cover/ease/height" label="Ease up" /> up
      {kind === "boxed-cushion" && (
        <>
          {" "}
          and <Value path="/cover/ease/depth" label="Ease in thickness" /> in thickness
        </>
      )}
      {first && (
        <>
          , so it finishes{" "}
          <strong>
            <Len of={first.finished.width} by={first.finished.height} />
          </strong>
        </>
      )}
      . Seams are <Value path="/cover/seam" label="Seam allowance" />, {kind === "cushion" ? "corners square" : <Corners />}; washing will
      take <Value path="/cover/wash" label="Shrinkage planned for" kind="percent" />.
    </p>
  );
}

/** Corners: square, or round by a radius or a plate. */
function Corners() {
  const { value, edit } = usePlan();
  const plate = value("/cover/corners/plate");
  const round = value("/cover/corners/kind") === "round";
  const now = round ? (plate !== undefined && plate !== "0" ? "plate" : "radius") : "square";
  const choose = (next: string) =>
    edit(
      "/cover/corners",
      next === "square" ? { kind: "square" } : next === "plate" ? { kind: "round", plate: "6 in" } : { kind: "round", radius: "2 in" },
      `corners ${next}`,
    );
  return (
    <>
      corners{" "}
      <Choice
        label="Corners"
        value={now}
        options={[
          { value: "square", name: "square" },
          { value: "radius", name: "cut to a radius of" },
          { value: "plate", name: "drawn round a plate of" },
        ]}
        choose={choose}
      />
      {now === "radius" && (
        <>
          {" "}
          <Value path="/cover/corners/radius" label="Radius of the cut corner" />
        </>
      )}
      {now === "plate" && (
        <>
          {" "}
          <Value path="/cover/corners/plate" label="Diameter of the plate" />
        </>
      )}
    </>
  );
}

function Hood() {
  const { value, rework, edit } = usePlan();
  const kind = String(value("/cover/kind"));
  const finish = String(value("/cover/bottom/finish") || "bound");
  const band = value("/cover/band_length");
  return (
    <p>
      <Choice
        label="Kind of hood"
        value={kind}
        options={hoods}
        choose={(next) =>
          rework((plan) => {
            // Pieces go by other names in another hood; what is decided for all of them stays.
            const common = plan.pieces?.["*"] ?? Object.values(plan.pieces ?? {})[0];
            const pieces: Plan["pieces"] = common ? { "*": common } : {};
            return put({ ...plan, pieces }, "/cover/kind", next);
          }, `${next}`)
        }
      />
      , loose by <Value path="/cover/ease/length" label="Ease in length" /> in length,{" "}
      <Value path="/cover/ease/depth" label="Ease in depth" /> in depth and <Value path="/cover/ease/height" label="Ease in height" /> in
      height. Seams are <Value path="/cover/seam" label="Seam allowance" />, <Corners />; the stack is{" "}
      <Value path="/cover/bulk" label="Bulk of the stack" /> thick inside. The bottom is{" "}
      <Choice
        label="Bottom edge"
        value={finish}
        options={[
          { value: "bound", name: "bound" },
          { value: "hem", name: "hemmed" },
          { value: "raw", name: "left raw" },
        ]}
        choose={(next) => edit("/cover/bottom", next === "hem" ? { finish: "hem", width: "1 in" } : { finish: next }, `bottom ${next}`)}
      />
      {finish === "hem" && (
        <>
          {" "}
          <Value path="/cover/bottom/width" label="Width of the hem" />
        </>
      )}
      .
      {kind === "wrap-hood" && (
        <>
          {" "}
          The top is{" "}
          <Choice
            label="Top of the hood"
            value={value("/cover/split_top") === true ? "split" : "whole"}
            options={[
              { value: "whole", name: "in one piece" },
              { value: "split", name: "split by a seam, for a one-way print" },
            ]}
            choose={(next) => edit("/cover/split_top", next === "split", `top ${next}`)}
          />
          .
        </>
      )}
      {kind === "band-hood" && (
        <>
          {" "}
          A band is{" "}
          <Choice
            label="A band already cut"
            value={band ? "cut" : "none"}
            options={[
              { value: "none", name: "still to be cut" },
              { value: "cut", name: "already cut" },
            ]}
            choose={(next) =>
              edit(
                "/cover/band_length",
                next === "cut" ? "22 in" : undefined,
                next === "cut" ? "a band already cut" : "band still to be cut",
              )
            }
          />
          {Boolean(band) && (
            <>
              , <Value path="/cover/band_length" label="Length of the band" /> long
            </>
          )}
          .
        </>
      )}
    </p>
  );
}

function Jacket() {
  const { value } = usePlan();
  const both = !Array.isArray(value("/cover/flaps/depth"));
  return (
    <p>
      A jacket, looser by <Value path="/cover/ease/wrap" label="Ease round the book" /> round the book and{" "}
      <Value path="/cover/ease/height" label="Ease up" /> up. Seams are <Value path="/cover/seam" label="Seam allowance" />; the layers are{" "}
      <Value path="/cover/bulk" label="Bulk of the stack" /> thick. Its flaps are{" "}
      <PlanChoice
        path="/cover/flaps/style"
        label="Style of the flaps"
        options={[
          { value: "folded", name: "folded" },
          { value: "turned-in", name: "turned in from the outside" },
        ]}
      />
      ,{" "}
      {both ? (
        <Value path="/cover/flaps/depth" label="Depth of the flaps" />
      ) : (
        <>
          <Value path="/cover/flaps/depth/0" label="Depth of the front flap" /> in front and{" "}
          <Value path="/cover/flaps/depth/1" label="Depth of the back flap" /> at the back,
        </>
      )}{" "}
      deep.
    </p>
  );
}

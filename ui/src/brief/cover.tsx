import { useStarts } from "../api/queries";
import { forget, otherHood } from "../plan/aside";
import { usePlan } from "../plan/context";
import { Len } from "../words/T";
import { Aside } from "./Aside";
import { Choice, PlanChoice } from "./Choice";
import { Value } from "./Value";

const hoods = [
  { value: "wrap-hood", name: "A wrapped hood" },
  { value: "band-hood", name: "A banded hood" },
  { value: "skirt-hood", name: "A skirted hood" },
];

const named = (kind: string) => hoods.find((h) => h.value === kind)?.name.toLowerCase() ?? kind;

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
  const round = value("/object/shape") === "round";
  const first = reckoning.pieces[0];
  return (
    <p>
      {kind === "pad"
        ? "A pad, larger by "
        : value("/object/kind") === "found"
          ? "Larger than the panel by "
          : "Against the pad it is eased "}
      <Value path="/cover/ease/width" label="Ease across" /> across
      {!round && (
        <>
          {" "}
          and <Value path="/cover/ease/height" label="Ease up" /> up
        </>
      )}
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
      . Seams are <Value path="/cover/seam" label="Seam allowance" />
      {!round && (
        <>
          , <Corners tapered={kind !== "boxed-cushion"} />
        </>
      )}
      {kind === "cushion" && (
        <>
          , a flange of <Value path="/cover/flange" label="Flange" /> round it
        </>
      )}
      ; washing will take <Value path="/cover/wash" label="Shrinkage planned for" kind="percent" />. <Closed />
    </p>
  );
}

/** How a cover is closed that has no back of its own. */
function Closed() {
  const { value } = usePlan();
  switch (String(value("/cover/kind"))) {
    case "boxed-cushion":
      return (
        <>
          It closes{" "}
          <PlanChoice
            path="/back/kind"
            label="Closure of the band"
            options={[
              { value: "sewn", name: "by hand, over a gap" },
              { value: "zip", name: "with a zip in the band, over a gap" },
            ]}
          />{" "}
          of <Value path="/back/gap" label="Gap in the band" />.
        </>
      );
    case "pad":
    case "jacket":
      return value("/cover/flaps/style") === "turned-in" ? null : (
        <>
          It is turned through a gap of <Value path="/back/gap" label="Gap to turn it through" />.
        </>
      );
    default:
      return null;
  }
}

/** Corners: square, round by a radius or a plate, or tapered. */
function Corners({ tapered }: { tapered?: boolean }) {
  const { value, typed, edit } = usePlan();
  const { starts } = usePlan().reckoning;
  const plate = value("/cover/corners/plate");
  const kind = String(value("/cover/corners/kind") ?? "square");
  const now = kind === "round" ? (plate !== undefined && plate !== "0" ? "plate" : "radius") : kind;
  // What was decided of other corners stays there, and is not read.
  const { plate: drawn, ...others } = (typed("/cover/corners") ?? {}) as Record<string, unknown>;
  const corners: Record<string, unknown> = {
    square: { ...others, plate: drawn, kind: "square" },
    plate: { ...others, kind: "round", plate: drawn ?? starts.plate },
    radius: { radius: starts.radius, ...others, kind: "round" },
    tapered: { taper: starts.taper, ...others, plate: drawn, kind: "tapered" },
  };
  const choose = (next: string) => edit("/cover/corners", corners[next], `corners ${next}`);
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
          ...(tapered ? [{ value: "tapered", name: "drawn in by" }] : []),
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
      {now === "tapered" && (
        <>
          {" "}
          <Value path="/cover/corners/taper" label="Taper of the corners" />
        </>
      )}
    </>
  );
}

function Hood() {
  const { value, typed, rework, edit, drawn } = usePlan();
  const starts = useStarts(String(value("/units") ?? "in")).data;
  const kind = String(value("/cover/kind"));
  const wayRound = drawn.pieces.find((p) => p.name === "band")?.trimmed.height.exact;
  const finish = String(value("/cover/bottom/finish") || "bound");
  const bottom = (typed("/cover/bottom") ?? {}) as object;
  const band = value("/cover/band_length");
  const hood = (next: string) => rework((plan) => otherHood(plan, next), named(next));
  return (
    <>
      <p>
        <Choice label="Kind of hood" value={kind} options={hoods} choose={hood} />, loose by{" "}
        <Value path="/cover/ease/length" label="Ease in length" /> in length,{" "}
        <Value path="/cover/ease/depth" label="Ease in depth" /> in depth and{" "}
        <Value path="/cover/ease/height" label="Ease in height" /> in height. Seams are{" "}
        <Value path="/cover/seam" label="Seam allowance" />, <Corners />; the stack is{" "}
        <Value path="/cover/bulk" label="Bulk of the stack" /> thick inside. The bottom is{" "}
        <Choice
          label="Bottom edge"
          value={finish}
          options={[
            { value: "bound", name: "bound" },
            { value: "hem", name: "hemmed" },
            { value: "raw", name: "left raw" },
          ]}
          choose={(next) =>
            edit(
              "/cover/bottom",
              { ...(next === "hem" && { width: starts?.hem }), ...bottom, finish: next },
              `bottom ${next}`,
            )
          }
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
                  next === "cut" ? wayRound : undefined,
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
      <Aside
        kept={value("/cover/aside") as Record<string, unknown> | undefined}
        of="the hood"
        name={(of) => `what its pieces were as ${named(of)}`}
        bring={hood}
        drop={(of) => rework((plan) => ({ ...plan, cover: forget(plan.cover as never, of) }), `${named(of)} forgotten`)}
      />
    </>
  );
}

function Jacket() {
  const { value, edit } = usePlan();
  const depth = value("/cover/flaps/depth");
  const front = Array.isArray(depth) ? depth[0] : depth;
  const alike = !Array.isArray(depth) || depth[0] === depth[1];
  return (
    <p>
      A jacket, looser by <Value path="/cover/ease/wrap" label="Ease round the book" /> round the book and{" "}
      <Value path="/cover/ease/height" label="Ease up" /> up. Seams are{" "}
      <Value path="/cover/seam" label="Seam allowance" />; the layers are{" "}
      <Value path="/cover/bulk" label="Bulk of the stack" /> thick. Its flaps are{" "}
      <PlanChoice
        path="/cover/flaps/style"
        label="Style of the flaps"
        options={[
          { value: "folded", name: "folded double" },
          { value: "flip", name: "hemmed and flipped round" },
          { value: "turned-in", name: "turned in from the outside" },
        ]}
      />
      {value("/cover/flaps/style") === "flip" && (
        <>
          {" "}
          with a hem of <Value path="/cover/flaps/hem" label="Hem of the flaps" />
        </>
      )}
      ,{" "}
      <Choice
        label="Depths of the flaps"
        value={Array.isArray(depth) ? "two" : "one"}
        options={[
          { value: "one", name: "both" },
          { value: "two", name: "each of its own depth:" },
        ]}
        choose={(next) =>
          edit(
            "/cover/flaps/depth",
            next === "two" ? [front, front] : front,
            next === "two" ? "two flap depths" : "flaps alike",
          )
        }
      />{" "}
      {Array.isArray(depth) ? (
        <>
          <Value path="/cover/flaps/depth/0" label="Depth of the front flap" /> in front and{" "}
          <Value path="/cover/flaps/depth/1" label="Depth of the back flap" /> at the back.
          {alike && " They are still alike."}
        </>
      ) : (
        <>
          <Value path="/cover/flaps/depth" label="Depth of the flaps" /> deep.
        </>
      )}{" "}
      <Closed />
    </p>
  );
}

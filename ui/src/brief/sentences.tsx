import type { Reckoning } from "../api/api.gen";
import type { Plan } from "../api/plan.gen";
import { useCloths, useStarts } from "../api/queries";
import { Swatch } from "../cloth/Swatch";
import { alike, trimmed, untrimmed } from "../plan/aside";
import { usePlan } from "../plan/context";
import { put } from "../plan/path";
import { letterOf } from "../sheet/Seams";
import { Len } from "../words/T";
import { Choice, PlanChoice } from "./Choice";
import { Value } from "./Value";

/** The letters of the plan's cloths with their names, as options. */
export function useLetters() {
  const { value } = usePlan();
  const cloths = (value("/cloths") ?? {}) as Record<string, { name?: string }>;
  return Object.entries(cloths).map(([letter, cloth]) => ({ value: letter, name: cloth.name || letter }));
}

const grains = [
  { value: "bias", name: "on the bias" },
  { value: "straight", name: "on the straight grain" },
];

/** Cord in the seam, or none. */
function Piping() {
  const { value, typed, rework, reckoning } = usePlan();
  const starts = useStarts(String(value("/units") ?? "in")).data;
  const letters = useLetters();
  const piping = typed("/edges/piping");
  const now = !piping ? "none" : value("/edges/piping/bought") === true ? "bought" : "made";
  const begun = {
    made: { cord: starts?.cord, cloth: letters[0]?.value },
    bought: { cord: starts?.cord, bought: true },
  };
  const choose = (next: string) => {
    const label = `piping: ${next}`;
    if (next === "none") {
      const decided = !alike(piping, begun[now === "bought" ? now : "made"]);
      return rework((plan) => untrimmed(plan, "piping", decided), label);
    }
    const had = (piping ?? typed("/edges/aside/piping") ?? begun[next as "made" | "bought"]) as Record<string, unknown>;
    const { bought: _, ...strip } = had;
    const taken = next === "bought" ? { ...strip, bought: true } : { cloth: letters[0]?.value, ...strip };
    return rework((plan) => trimmed(plan, "piping", taken), label);
  };
  return (
    <>
      The seam is{" "}
      <Choice
        label="Piping"
        value={now}
        options={[
          { value: "none", name: "plain" },
          { value: "made", name: "piped" },
          { value: "bought", name: "piped with bought piping" },
        ]}
        choose={choose}
      />
      {now === "made" && (
        <>
          {" "}
          over a cord of <Value path="/edges/piping/cord" label="Thickness of the cord" />, in{" "}
          <PlanChoice path="/edges/piping/cloth" label="Cloth of the piping" options={letters} /> cut{" "}
          <PlanChoice path="/edges/piping/grain" label="Grain of the piping" options={grains} />
          <StripsOf what="piping" reckoning={reckoning} />
        </>
      )}
      .
    </>
  );
}

/** What covers the open edge of a hood. */
function Binding() {
  const { value, typed, rework, reckoning } = usePlan();
  const starts = useStarts(String(value("/units") ?? "in")).data;
  const letters = useLetters();
  const finish = String(value("/cover/bottom/finish") || "bound");
  if (value("/object/kind") !== "box" || finish !== "bound") return null;
  const style = value("/edges/binding") ? String(value("/edges/binding/style") ?? "double") : "none";
  const choose = (next: string) => {
    const begun = { shows: starts?.shows, cloth: letters[0]?.value };
    const now = typed("/edges/binding");
    const had = (now ?? typed("/edges/aside/binding") ?? begun) as Record<string, unknown>;
    const decided = !alike(now, { ...begun, style });
    const taken = { cloth: letters[0]?.value, ...had, style: next };
    rework(
      (plan) => (next === "none" ? untrimmed(plan, "binding", decided) : trimmed(plan, "binding", taken)),
      `binding: ${next}`,
    );
  };
  return (
    <>
      {" "}
      The bottom is bound with{" "}
      <Choice
        label="Binding"
        value={style}
        options={[
          { value: "none", name: "tape of any width" },
          { value: "bought", name: "bought tape" },
          { value: "double", name: "a strip folded double" },
          { value: "tape", name: "a strip folded to a tape" },
        ]}
        choose={choose}
      />
      {style !== "none" && (
        <>
          , showing <Value path="/edges/binding/shows" label="What shows of the binding" />
        </>
      )}
      {(style === "double" || style === "tape") && (
        <>
          , in <PlanChoice path="/edges/binding/cloth" label="Cloth of the binding" options={letters} /> cut{" "}
          <PlanChoice path="/edges/binding/grain" label="Grain of the binding" options={grains} />
          <StripsOf what="binding" reckoning={reckoning} />
        </>
      )}
      .
    </>
  );
}

/** How many strips, how wide, and how long they are together. */
function StripsOf({ what, reckoning }: { what: string; reckoning: Reckoning }) {
  const strips = reckoning.edge_strips.find((s) => s.what === what);
  if (!strips) return null;
  return (
    <span className="soft">
      : {strips.lie.length} {strips.lie.length === 1 ? "strip" : "strips"} of <Len of={strips.width} />, joined{" "}
      <Len of={strips.joined} /> for <Len of={strips.need} />
    </span>
  );
}

/** What happens at the edges and inside the seams. */
export function Edges() {
  const { value } = usePlan();
  return (
    <p>
      <Piping />
      <Binding /> Seams are{" "}
      <PlanChoice
        path="/edges/inside"
        label="Finish of the seams inside"
        options={[
          { value: "zigzag", name: "zigzagged" },
          { value: "overlock", name: "overlocked" },
          { value: "pinked", name: "pinked" },
          { value: "bound", name: "bound" },
          { value: "enclosed", name: "enclosed by the lining" },
          { value: "raw", name: "left raw" },
        ]}
      />{" "}
      inside, allowances pressed{" "}
      <PlanChoice
        path="/habits/press"
        label="Pressing"
        options={[
          { value: "nest", name: "so that they nest" },
          { value: "open", name: "open" },
          { value: "dark", name: "to the dark side" },
          { value: "crossed", name: "open where quilted, else nesting" },
        ]}
      />
      . Cuts go up to the next <Value path="/habits/step" label="Ruler step" /> on the ruler.
      {value("/cover/kind") === "jacket" && (
        <>
          {" "}
          Turned, it is top-stitched <Value path="/edges/topstitch" label="Distance of the top-stitching" /> from the
          edge.
        </>
      )}
      <Seams />
    </p>
  );
}

/** Both sides of every seam. */
function Seams() {
  const { reckoning } = usePlan();
  return (
    <>
      {reckoning.joins.map((join, i) => (
        <span key={join.title}>
          {" "}
          <strong>{letterOf(i + 1)}</strong>
          {": "}
          {join.title.replace(/^./, (c) => c.toUpperCase())}
          {join.count > 1 && `, ${join.count} times`}:{" "}
          <strong>{join.lengths[0] && <Len of={join.lengths[0]} />}</strong>
          {join.fit === "alike" ? (
            ", both sides alike."
          ) : (
            <>
              {" "}
              against {join.lengths[1] && <Len of={join.lengths[1]} />}
              {join.fit === "eases" ? ": it eases in." : ": it does not ease in."}
            </>
          )}
        </span>
      ))}
    </>
  );
}

const prints = [
  { value: "plain", name: "plain" },
  { value: "all-over", name: "printed all over" },
  { value: "two-way", name: "printed two ways" },
  { value: "one-way", name: "printed one way" },
];

/** Motifs lie as far apart one way as the other until both are said. */
const bothWays = (letter: string) => (plan: Plan) => {
  const repeat = plan.cloths?.[letter]?.repeat;
  if (!repeat) return plan;
  const across = repeat.across ?? repeat.along;
  const along = repeat.along ?? repeat.across;
  return put(plan, `/cloths/${letter}/repeat`, { across, along });
};

/** The cloths it takes, each with where it comes from. */
export function Cloths() {
  const { value, rework, reckoning } = usePlan();
  const cupboard = useCloths().data ?? [];
  const letters = useLetters();
  const used = new Set(reckoning.cloths.map((c) => c.cloth));
  const cloths = (value("/cloths") ?? {}) as Record<
    string,
    { swatch?: { motif?: string; ground?: string; ink?: string }; repeat?: unknown }
  >;

  const from = (letter: string, name: string) => {
    const found = cupboard.find((c) => c.name === name);
    if (!found) return;
    rework((plan) => put(plan, `/cloths/${letter}`, found.taken), `cloth ${letter}: ${name}`);
  };
  const centred = JSON.stringify(value("/pieces") ?? {}).includes('"centred":true');
  const next = "ABCDEFGHIJKLMNOPQRSTUVWXYZ".split("").find((l) => !cloths[l]) ?? "Z2";
  const options = cupboard.map((c) => ({ value: c.name, name: c.name }));

  return (
    <>
      {letters.map(({ value: letter, name }) => (
        <p key={letter} className="cloth-line">
          <Swatch of={cloths[letter]?.swatch as never} />
          <span>
            <Choice
              label={`Cloth ${letter}, from the cupboard`}
              value={name}
              options={options.some((o) => o.value === name) ? options : [{ value: name, name }, ...options]}
              choose={(chosen) => from(letter, chosen)}
            />
            , <Value path={`/cloths/${letter}/width`} label={`Width of ${name}`} /> wide,{" "}
            <PlanChoice path={`/cloths/${letter}/print`} label={`Print of ${name}`} options={prints} />
            {(cloths[letter]?.repeat !== undefined || centred) && (
              <>
                , motifs{" "}
                <Value
                  path={`/cloths/${letter}/repeat/across`}
                  label={`Motif to motif across, ${name}`}
                  follow={bothWays(letter)}
                />{" "}
                apart across and{" "}
                <Value
                  path={`/cloths/${letter}/repeat/along`}
                  label={`Motif to motif along, ${name}`}
                  follow={bothWays(letter)}
                />{" "}
                along
              </>
            )}
            {used.has(letter) ? "." : <span className="soft">, not used yet.</span>}
          </span>
        </p>
      ))}
      {options.length > 0 && (
        <p>
          <Choice
            label="Take another cloth from the cupboard"
            value=""
            options={[{ value: "", name: "Take another cloth" }, ...options]}
            choose={(name) => name && from(next, name)}
          />
        </p>
      )}
    </>
  );
}

import { useCloths } from "../api/queries";
import { Swatch } from "../cloth/Swatch";
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

/** What happens inside the seams. */
export function Edges() {
  return (
    <p>
      Plain, seams{" "}
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
        ]}
      />
      . Cuts go up to the next <Value path="/habits/step" label="Ruler step" /> on the ruler.
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
          {join.count > 1 && `, ${join.count} times`}: <strong>{join.lengths[0] && <Len of={join.lengths[0]} />}</strong>
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

/** The cloths it takes, each with where it comes from. */
export function Cloths() {
  const { value, rework, reckoning } = usePlan();
  const cupboard = useCloths().data ?? [];
  const letters = useLetters();
  const used = new Set(reckoning.cloths.map((c) => c.cloth));
  const cloths = (value("/cloths") ?? {}) as Record<string, { swatch?: { motif?: string; ground?: string; ink?: string } }>;

  const from = (letter: string, name: string) => {
    const found = cupboard.find((c) => c.name === name);
    if (!found) return;
    const { have: _, ...cloth } = found.cloth as { have?: unknown; [key: string]: unknown };
    rework((plan) => put(plan, `/cloths/${letter}`, cloth), `cloth ${letter}: ${name}`);
  };
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

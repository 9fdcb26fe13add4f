import type { Plan } from "../api/plan.gen";
import { useStarts } from "../api/queries";
import { usePlan } from "../plan/context";
import { get, put } from "../plan/path";
import { T } from "../words/T";
import { Choice, PlanChoice } from "./Choice";
import { useLetters } from "./sentences";
import { Value } from "./Value";
import { ways } from "./ways";

/** A fitting as it begins, with the sizes that are to be decided. */
type Start = Record<string, string | number> & { kind: string };

/** What each size of a fitting is called in its sentence, and in what order they are said. */
const words: Record<string, string> = {
  length: "long",
  short: "for the short one",
  width: "wide",
  height: "high",
  spread: "between its ends",
  tape: "of hook-and-loop tape on the short one",
};

/** The fittings that can be added, with what each begins with. */
function useKinds(): Record<string, Start> {
  const { value } = usePlan();
  const starts = useStarts(String(value("/units") ?? "in")).data;
  return Object.fromEntries(((starts?.fittings ?? []) as unknown as Start[]).map((f) => [f.kind, f]));
}

/** Fittings also lie at an edge, sewn in with its seam. */
const places = {
  across: ways.across,
  up: [
    ...ways.up,
    { value: "edge-top", name: "at the top edge" },
    { value: "edge-bottom", name: "at the bottom edge" },
  ],
};

/** What is sewn onto the pieces, each in its place. */
export function Fittings() {
  const { plan, rework, reckoning, value } = usePlan();
  const kinds = useKinds();
  const list = plan.fittings ?? [];
  const first = reckoning.slots[0]?.name ?? "front";
  const away = useStarts(String(value("/units") ?? "in")).data?.away;
  const add = (kind: string) =>
    rework((now) => {
      // The two of a pair stand at mirrored places, which the middle is not.
      const at = kinds[kind]?.short ? { left: away, middle: true } : { middle: true };
      return put(now, "/fittings", [...(now.fittings ?? []), { ...kinds[kind], on: first, at }]);
    }, `a ${kind} more`);
  return (
    <>
      {list.map((fitting, i) => (
        <One key={fitting.key ?? i} index={i} kind={String(fitting.kind)} />
      ))}
      <p>
        {list.length === 0 && "None. "}
        <Choice
          label="Add a fitting"
          value=""
          options={[
            { value: "", name: "Add a fitting" },
            ...Object.keys(kinds).map((kind) => ({
              value: kind,
              name: kind === "belt" ? "a pair of belts" : `a ${kind}`,
            })),
          ]}
          choose={(kind) => kind && add(kind)}
        />
      </p>
    </>
  );
}

function One({ index, kind }: { index: number; kind: string }) {
  const { value, rework, drawn, reckoning } = usePlan();
  const letters = useLetters();
  const path = `/fittings/${index}`;
  const of = `${kind} ${index + 1}`;
  const start = useKinds()[kind];
  const padded = useStarts(String(value("/units") ?? "in")).data?.padded;
  const sizes = Object.keys(words).filter((key) => key in (start ?? {}));
  const placed = drawn.fittings.find((f) => f.index === index);
  const cloth = String(value(`${path}/cloth`) ?? "");
  return (
    <p>
      A {kind} on the{" "}
      <Choice
        label={`Piece of the ${of}`}
        value={String(value(`${path}/on`) ?? "")}
        options={reckoning.slots.map((p) => ({ value: p.name, name: p.title.toLowerCase() }))}
        choose={(next) => rework((plan) => put(plan, `${path}/on`, next), `${of} on the ${next}`)}
      />
      {sizes.map((key) => (
        <span key={key}>
          , <Value path={`${path}/${key}`} label={`${labels[key] ?? upper(key)} of the ${of}`} /> {words[key]}
        </span>
      ))}
      {start?.count !== undefined && (
        <>
          ,{" "}
          <Value
            path={`${path}/count`}
            label={`How many of the ${of}`}
            kind="count"
            shown={String(value(`${path}/count`) || 1)}
          />{" "}
          of it
        </>
      )}
      {kind === "pocket" && <Pocket path={path} of={of} />}
      {padded?.includes(kind) && <Inside path={path} of={of} />}, of{" "}
      <Choice
        label={`Cloth of the ${of}`}
        value={cloth}
        options={[{ value: "", name: "the cloth of its piece" }, ...letters]}
        choose={(next) =>
          rework((plan) => put(plan, `${path}/cloth`, next || undefined), `${of} of ${next || "its piece's cloth"}`)
        }
      />
      : <Place index={index} of={of} direction="across" /> and <Place index={index} of={of} direction="up" />.{" "}
      {placed && (
        <span className="soft">
          <T>{placed.check}</T>{" "}
        </span>
      )}
      <button
        type="button"
        className="word-button"
        onClick={() => rework((plan) => put(plan, path, undefined), `${of} taken off`)}
      >
        Take the {kind} off
      </button>
    </p>
  );
}

const labels: Record<string, string> = {
  short: "Length of the short one",
  spread: "Distance of the ends",
  tape: "Tape",
};
const upper = (word: string) => word.replace(/^./, (c) => c.toUpperCase());

/** What lies inside a fitting. */
function Inside({ path, of }: { path: string; of: string }) {
  const { value, rework } = usePlan();
  const count = Number(value(`${path}/layers/batting/count`) ?? 0);
  const choose = (next: string) =>
    rework(
      (plan) => put(plan, `${path}/layers`, next === "0" ? undefined : { batting: { count: Number(next) } }),
      `${of} ${next === "0" ? "not padded" : "padded"}`,
    );
  return (
    <>
      ,{" "}
      <Choice
        label={`Padding of the ${of}`}
        value={String(count)}
        options={[
          { value: "0", name: "not padded" },
          { value: "1", name: "padded with one batting" },
          { value: "2", name: "padded with two battings" },
        ]}
        choose={choose}
      />
    </>
  );
}

/** How a pocket is made, and the pens it holds. */
function Pocket({ path, of }: { path: string; of: string }) {
  const { value } = usePlan();
  return (
    <>
      ,{" "}
      <PlanChoice
        path={`${path}/style`}
        label={`Style of the ${of}`}
        options={[
          { value: "flat", name: "hemmed at the top" },
          { value: "folded", name: "folded double" },
        ]}
      />
      , with{" "}
      <Value
        path={`${path}/slots`}
        label={`Pen slots of the ${of}`}
        kind="count"
        shown={String(value(`${path}/slots`) || "no")}
      />{" "}
      pen slots
      {Number(value(`${path}/slots`) ?? 0) > 0 && (
        <>
          {" "}
          of <Value path={`${path}/slot`} label={`Width of a pen slot of the ${of}`} />
        </>
      )}
    </>
  );
}

/** One direction of a place: from an edge, or in the middle. */
function Place({ index, of, direction }: { index: number; of: string; direction: "across" | "up" }) {
  const { plan, rework, value } = usePlan();
  const away = useStarts(String(value("/units") ?? "in")).data?.away ?? "2 in";
  const path = `/fittings/${index}/at`;
  const options = places[direction];
  const edges = direction === "across" ? ["left", "right"] : ["top", "bottom"];
  const on = get(plan, `${path}/edge`);
  const from = edges.find((edge) => get(plan, `${path}/${edge}`) !== undefined);
  const now = direction === "up" && edges.includes(String(on)) ? `edge-${on}` : (from ?? "middle");
  return (
    <>
      {now === from && (
        <>
          <Value path={`${path}/${now}`} label={`Distance of the ${of} from the ${now}`} />{" "}
        </>
      )}
      <Choice
        label={`Place of the ${of} ${direction}`}
        value={now}
        options={options}
        choose={(next) => rework((plan) => moved(plan, path, edges, next, away), `${of} ${next}`)}
      />
    </>
  );
}

export function moved(plan: Plan, path: string, edges: string[], next: string, away: string): Plan {
  const [word, edge] = next.split("-");
  const keys = edges.includes("top") ? [...edges, "edge"] : edges;
  const cleared = keys.reduce((p, key) => put(p, `${path}/${key}`, undefined), plan);
  if (word === "edge") return put(cleared, `${path}/edge`, edge);
  return next === "middle" ? put(cleared, `${path}/middle`, true) : put(cleared, `${path}/${next}`, away);
}

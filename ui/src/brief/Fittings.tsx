import type { Plan } from "../api/plan.gen";
import { usePlan } from "../plan/context";
import { get, put } from "../plan/path";
import { T } from "../words/T";
import { Choice } from "./Choice";
import { useLetters } from "./sentences";
import { Value } from "./Value";

/** The fittings that can be added, with the sizes each begins with. */
const kinds: Record<string, { name: string; sizes: Record<string, string>; more?: true; spread?: true }> = {
  handle: { name: "handle", sizes: { length: "10 in", width: "2 in", spread: "4 in" }, spread: true },
  pocket: { name: "pocket", sizes: { width: "5 in", height: "5 in" } },
  strap: { name: "strap", sizes: { length: "22 in", width: "2 in" }, more: true },
  loop: { name: "loop", sizes: { length: "3 in", width: "1 in" }, more: true },
  slit: { name: "slit", sizes: { length: "4 in" } },
  tape: { name: "tape", sizes: { length: "4 in", width: "3/4 in" }, more: true },
  button: { name: "button", sizes: { width: "3/4 in" }, more: true },
  label: { name: "label", sizes: { width: "2 in", height: "1 in" } },
};

const words: Record<string, string> = { length: "long", width: "wide", height: "high" };

const ways = {
  across: [
    { value: "middle", name: "in the middle across" },
    { value: "left", name: "from the left" },
    { value: "right", name: "from the right" },
  ],
  up: [
    { value: "middle", name: "in the middle up" },
    { value: "top", name: "from the top" },
    { value: "bottom", name: "from the bottom" },
    { value: "edge-top", name: "at the top edge" },
    { value: "edge-bottom", name: "at the bottom edge" },
  ],
};

/** What is sewn onto the pieces, each in its place. */
export function Fittings() {
  const { plan, rework, drawn } = usePlan();
  const list = plan.fittings ?? [];
  const first = drawn.pieces[0]?.name ?? "front";
  const add = (kind: string) =>
    rework(
      (now) => put(now, "/fittings", [...(now.fittings ?? []), { kind, on: first, ...kinds[kind]?.sizes, at: { middle: true } }]),
      `a ${kind} more`,
    );
  return (
    <>
      {list.map((fitting, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: fittings have no identity but their place in the list
        <One key={i} index={i} kind={String(fitting.kind)} />
      ))}
      <p>
        {list.length === 0 && "None. "}
        <Choice
          label="Add a fitting"
          value=""
          options={[{ value: "", name: "Add a fitting" }, ...Object.entries(kinds).map(([value, k]) => ({ value, name: `a ${k.name}` }))]}
          choose={(kind) => kind && add(kind)}
        />
      </p>
    </>
  );
}

function One({ index, kind }: { index: number; kind: string }) {
  const { value, rework, drawn } = usePlan();
  const letters = useLetters();
  const path = `/fittings/${index}`;
  const of = `${kind} ${index + 1}`;
  const shape = kinds[kind];
  const placed = drawn.fittings.find((f) => f.index === index);
  const cloth = String(value(`${path}/cloth`) ?? "");
  return (
    <p>
      A {shape?.name ?? kind} on the{" "}
      <Choice
        label={`Piece of the ${of}`}
        value={String(value(`${path}/on`) ?? "")}
        options={drawn.pieces.map((p) => ({ value: p.name, name: p.title.toLowerCase() }))}
        choose={(next) => rework((plan) => put(plan, `${path}/on`, next), `${of} on the ${next}`)}
      />
      {Object.keys(shape?.sizes ?? {})
        .filter((key) => key !== "spread")
        .map((key) => (
          <span key={key}>
            , <Value path={`${path}/${key}`} label={`${key.replace(/^./, (c) => c.toUpperCase())} of the ${of}`} /> {words[key]}
          </span>
        ))}
      {shape?.spread && (
        <>
          , its ends <Value path={`${path}/spread`} label={`Distance of the ends of the ${of}`} /> apart
        </>
      )}
      {shape?.more && (
        <>
          , <Value path={`${path}/count`} label={`How many of the ${of}`} kind="count" shown={String(value(`${path}/count`) || 1)} /> of it
        </>
      )}
      , of{" "}
      <Choice
        label={`Cloth of the ${of}`}
        value={cloth}
        options={[{ value: "", name: "the cloth of its piece" }, ...letters]}
        choose={(next) => rework((plan) => put(plan, `${path}/cloth`, next || undefined), `${of} of ${next || "its piece's cloth"}`)}
      />
      : <Place index={index} of={of} direction="across" /> and <Place index={index} of={of} direction="up" />.{" "}
      {placed && (
        <span className="soft">
          <T>{placed.check}</T>{" "}
        </span>
      )}
      <button type="button" className="word-button" onClick={() => rework((plan) => put(plan, path, undefined), `${of} taken off`)}>
        Take the {shape?.name ?? kind} off
      </button>
    </p>
  );
}

/** One direction of a place: from an edge, or in the middle. */
function Place({ index, of, direction }: { index: number; of: string; direction: "across" | "up" }) {
  const { plan, rework } = usePlan();
  const path = `/fittings/${index}/at`;
  const options = ways[direction];
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
        choose={(next) => rework((plan) => moved(plan, path, edges, next), `${of} ${next}`)}
      />
    </>
  );
}

export function moved(plan: Plan, path: string, edges: string[], next: string): Plan {
  const [word, edge] = next.split("-");
  const keys = edges.includes("top") ? [...edges, "edge"] : edges;
  const cleared = keys.reduce((p, key) => put(p, `${path}/${key}`, undefined), plan);
  if (word === "edge") return put(cleared, `${path}/edge`, edge);
  return next === "middle" ? put(cleared, `${path}/middle`, true) : put(cleared, `${path}/${next}`, "2 in");
}

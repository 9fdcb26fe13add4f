import type { Plan } from "../api/plan.gen";
import { usePlan } from "../plan/context";
import { get, put } from "../plan/path";
import { dressed } from "../words/fractions";
import { Choice } from "./Choice";
import { Field } from "./Field";
import { useLetters } from "./sentences";
import { said, Value } from "./Value";

const piece = "/pieces/front";

interface Line {
  pitch?: string | number;
  angle?: number;
}

/** The quilting patterns offered by name, as the angles of their lines. */
const patterns: Record<string, { name: string; angles: number[] }> = {
  none: { name: "not quilted", angles: [] },
  cross: { name: "quilted in a cross-hatch", angles: [45, -45] },
  squares: { name: "quilted in squares", angles: [0, 90] },
  diagonal: { name: "quilted in diagonals", angles: [45] },
  upright: { name: "quilted in upright lines", angles: [90] },
  level: { name: "quilted in level lines", angles: [0] },
};

function patternOf(lines: Line[]): string {
  const angles = lines.map((l) => l.angle ?? 0).join();
  return Object.keys(patterns).find((key) => patterns[key]?.angles.join() === angles) ?? "own";
}

/** What lies under the front, and how it is held. */
export function Layers() {
  const { value, rework, edit } = usePlan();
  const letters = useLetters();
  const lines = (value(`${piece}/quilting/lines`) ?? []) as Line[];
  const pattern = patternOf(lines);
  const count = Number(value(`${piece}/layers/batting/count`) ?? 0);
  const lining = String(value(`${piece}/layers/lining`) ?? "");
  const hasUnder = count > 0 || lining !== "";

  const choosePattern = (next: string) =>
    rework(
      (plan) =>
        put(plan, `${piece}/quilting`, {
          lines: patterns[next]?.angles.map((angle) => ({ pitch: lines[0]?.pitch ?? "1 in", angle })) ?? [],
        }),
      patterns[next]?.name ?? "quilting",
    );
  const chooseBatting = (next: string) =>
    rework((plan) => batted(plan, Number(next), value(`${piece}/layers/batting/loft`)), next === "0" ? "no batting" : `${next} batting`);
  return (
    <>
      <p>
        Over{" "}
        <Choice
          label="Layers of batting"
          value={String(count)}
          options={[
            { value: "0", name: "no batting" },
            { value: "1", name: "one batting" },
            { value: "2", name: "two battings" },
          ]}
          choose={chooseBatting}
        />
        {count > 0 && (
          <>
            {" "}
            <Value path={`${piece}/layers/batting/loft`} label="Loft of one batting" /> thick
          </>
        )}{" "}
        and{" "}
        <Choice
          label="Lining"
          value={lining}
          options={[{ value: "", name: "no lining" }, ...letters]}
          choose={(next) => edit(`${piece}/layers/lining`, next || undefined, next ? `lining of ${next}` : "no lining")}
        />
        {hasUnder && (
          <>
            , <Value path={`${piece}/layers/overhang`} label="Overhang of batting and lining" /> larger all round
          </>
        )}
        ,{" "}
        <Choice
          label="Quilting"
          value={pattern}
          options={Object.entries(patterns).map(([key, p]) => ({ value: key, name: p.name }))}
          choose={choosePattern}
        />
        {lines.length > 0 && (
          <>
            {" "}
            <Pitch lines={lines} /> apart, then trimmed from <Value path={`${piece}/squaring`} label="Squaring margin each side" /> spare
            all round
          </>
        )}
        .
      </p>
      {lines.length > 0 && <TakeUp />}
    </>
  );
}

function batted(plan: Plan, count: number, loft: unknown): Plan {
  if (count === 0) return put(plan, `${piece}/layers/batting`, undefined);
  const next = put(plan, `${piece}/layers/batting`, { count, loft: loft ?? "3 mm" });
  if (next.cloths?.batting) return next;
  return put(next, "/cloths/batting", {
    name: "cotton batting",
    width: "90 in",
    usable: "90 in",
    swatch: { motif: "plain", ground: "#f6f1e4", ink: "#f6f1e4" },
  });
}

/** One distance for all families: they are sewn alike. */
function Pitch({ lines }: { lines: Line[] }) {
  const { value } = usePlan();
  const same = lines.every((l) => String(l.pitch) === String(lines[0]?.pitch));
  if (same && lines.length > 1) return <PitchOfAll count={lines.length} text={String(value(`${piece}/quilting/lines/0/pitch`) ?? "")} />;
  return (
    <>
      {lines.map((line, i) => (
        <span key={line.angle}>
          {i > 0 && " and "}
          <Value path={`${piece}/quilting/lines/${i}/pitch`} label={`Distance between lines, set ${i + 1}`} />
        </span>
      ))}
    </>
  );
}

function TakeUp() {
  const { value, rework, reckoning } = usePlan();
  const from = String(value(`${piece}/take_up/from`) ?? "estimate");
  const front = reckoning.pieces.find((p) => p.name === "front");
  const bordered = ((value(`${piece}/face/borders`) ?? []) as unknown[]).length > 0;
  const grid = value(`${piece}/face/kind`) === "grid";
  const percent = (n: number) => `${n.toFixed(2)} %`;
  return (
    <p>
      Quilting pulls it in{" "}
      <Choice
        label="Where the take-up comes from"
        value={from}
        options={[
          { value: "estimate", name: "by an estimate" },
          { value: "given", name: "as I measured" },
        ]}
        choose={(next) =>
          rework(
            (plan) =>
              put(
                plan,
                `${piece}/take_up`,
                next === "estimate"
                  ? { from: "estimate" }
                  : { from: "given", across: round(front?.take_up[0]), along: round(front?.take_up[1]) },
              ),
            next === "estimate" ? "take-up estimated" : "take-up given",
          )
        }
      />
      {from === "given" ? (
        <>
          : <Value path={`${piece}/take_up/across`} label="Take-up across" kind="percent" /> across and{" "}
          <Value path={`${piece}/take_up/along`} label="Take-up up" kind="percent" /> up.
        </>
      ) : (
        front && (
          <>
            {" "}
            from geometry: <strong>{percent(front.take_up[0] ?? 0)}</strong> across, <strong>{percent(front.take_up[1] ?? 0)}</strong> up. A
            sewn test square is better.
          </>
        )
      )}
      {grid && !bordered && <Absorb />}
    </p>
  );
}

const round = (n: number | undefined) => Number((n ?? 0).toFixed(2));

/** Without a border something else has to take up the loss. */
function Absorb() {
  const { value, edit } = usePlan();
  return (
    <>
      {" "}
      The loss is taken by{" "}
      <Choice
        label="What takes the loss"
        value={String(value(`${piece}/absorb`) || "patch")}
        options={[
          { value: "patch", name: "larger patches" },
          { value: "accept", name: "a smaller cover" },
        ]}
        choose={(next) => edit(`${piece}/absorb`, next, next === "patch" ? "patches grow" : "smaller cover accepted")}
      />
      .
    </>
  );
}

function PitchOfAll({ count, text }: { count: number; text: string }) {
  const { session, rework, reckoning, value } = usePlan();
  const all = (plan: Plan, next: string) =>
    Array.from({ length: count }).reduce<Plan>((p, _, i) => put(p, `${piece}/quilting/lines/${i}/pitch`, next), plan);
  const path = `${piece}/quilting/lines/0/pitch`;
  const settled = get(reckoning.settled, path);
  return (
    <Field
      label="Distance between quilting lines"
      text={text}
      shown={dressed(String(settled ?? text), String(value("/units") ?? "in"))}
      path={path}
      wrong={reckoning.findings.some((f) => f.level === "stop" && f.about.startsWith(`${piece}/quilting`))}
      judge={async (next) => said(await session.preview(all(session.current().plan, next)), path)}
      keep={(next) => rework((plan) => all(plan, next), `quilting ${next} apart`)}
      drop={() => void session.settle()}
    />
  );
}

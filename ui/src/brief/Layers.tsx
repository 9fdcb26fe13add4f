import { useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import type { Piece } from "../api/api.gen";
import { ask } from "../api/client";
import type { Plan } from "../api/plan.gen";
import { startsQuery, useChange, useSamples } from "../api/queries";
import { forget } from "../plan/aside";
import { usePlan } from "../plan/context";
import { get, put, within } from "../plan/path";
import { dressed } from "../words/fractions";
import { Len } from "../words/T";
import { Aside } from "./Aside";
import { Choice } from "./Choice";
import { Field } from "./Field";
import { useConfigs } from "./Pieces";
import { type Line, type QuiltingDoc, some, usePatterns } from "./quilting";
import { useLetters } from "./sentences";
import { said, Value } from "./Value";

/** What lies under each piece, and how it is held. */
export function Layers() {
  const { value } = usePlan();
  const configs = useConfigs();
  if (value("/cover/kind") === "cushion") return <LayersOf name="front" lead="Over" />;
  return (
    <>
      {configs.map(({ name, title }) => (
        <LayersOf key={name} name={name} lead={`The ${title}: over`} />
      ))}
    </>
  );
}

/** A decision of a piece: its own, or that for all pieces. */
function usePiece(name: string) {
  const open = usePlan();
  const piece = `/pieces/${name}`;
  return {
    ...open,
    piece,
    of: (key: string, rest = "") => {
      const keeper = open.value(`${piece}/${key}`) === undefined ? "/pieces/*" : piece;
      return open.value(`${keeper}/${key}${rest}`);
    },
    /** Before one part of it changes, a piece takes over what was decided for all. */
    own: (plan: Plan, key: string) => {
      const common = get(plan, `/pieces/*/${key}`);
      return get(plan, `${piece}/${key}`) === undefined && common !== undefined
        ? put(plan, `${piece}/${key}`, common)
        : plan;
    },
  };
}

function LayersOf({ name, lead }: { name: string; lead: string }) {
  const open = usePiece(name);
  const { piece, of, own, rework } = open;
  const letters = useLetters();
  const quilting = (of("quilting") ?? {}) as QuiltingDoc;
  const lines = quilting.lines ?? [];
  const patterns = usePatterns(String(open.value("/units") ?? "in"));
  const pattern = patterns.of(quilting);
  const quilted = pattern !== "none";
  const thick = open.reckoning.pieces.find((p) => p.config === name)?.thick;
  const count = Number(of("layers", "/batting/count") ?? 0);
  const lining = String(of("layers", "/lining") ?? "");
  const ownLayers = (plan: Plan) => own(plan, "layers");
  const keeper = (key: string) =>
    open.value(`${piece}/${key}`) === undefined && open.value(`/pieces/*/${key}`) !== undefined ? "/pieces/*" : piece;
  const labelled = (label: string) => (name === "front" ? label : `${label}, ${name}`);
  const hasUnder = count > 0 || lining !== "";

  const choosePattern = (next: string) =>
    rework((plan) => put(plan, `${piece}/quilting`, patterns.otherwise(quilting, next)), patterns.name(next));
  const chooseBatting = (next: string) =>
    rework(
      (plan) => batted(ownLayers(plan), piece, Number(next), of("layers", "/batting/loft")),
      next === "0" ? "no batting" : `${next} batting`,
    );
  return (
    <>
      <p>
        {lead}{" "}
        <Choice
          label={labelled("Layers of batting")}
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
            <Value path={`${keeper("layers")}/layers/batting/loft`} label={labelled("Loft of one batting")} /> thick
          </>
        )}{" "}
        and{" "}
        <Choice
          label={labelled("Lining")}
          value={lining}
          options={[{ value: "", name: "no lining" }, ...letters]}
          choose={(next) =>
            rework(
              (plan) => put(ownLayers(plan), `${piece}/layers/lining`, next || undefined),
              next ? `lining of ${next}` : "no lining",
            )
          }
        />
        {count > 0 && (
          <>
            ,{" "}
            <Choice
              label={labelled("Where the batting comes from")}
              value={of("layers", "/batting/offcuts") === true ? "offcuts" : ""}
              options={[
                { value: "", name: "the batting in one" },
                { value: "offcuts", name: "the batting butted from offcuts" },
              ]}
              choose={(next) =>
                rework(
                  (plan) => put(ownLayers(plan), `${piece}/layers/batting/offcuts`, next ? true : undefined),
                  next ? "batting from offcuts" : "batting in one",
                )
              }
            />
          </>
        )}
        {lining !== "" && (
          <>
            ,{" "}
            <Choice
              label={labelled("Stiffener")}
              value={String(of("layers", "/stiffener") ?? "")}
              options={[
                { value: "", name: "not stiffened" },
                ...letters.map((l) => ({ value: l.value, name: `stiffened with ${l.name}` })),
              ]}
              choose={(next) =>
                rework(
                  (plan) => put(ownLayers(plan), `${piece}/layers/stiffener`, next || undefined),
                  next ? `stiffened with ${next}` : "not stiffened",
                )
              }
            />
          </>
        )}
        {hasUnder && (
          <>
            , <Value path={`${keeper("layers")}/layers/overhang`} label={labelled("Overhang of batting and lining")} />{" "}
            larger all round
            {count > 0 && lining !== "" && (
              <>
                {" "}
                (the batting{" "}
                <Value
                  path={`${keeper("layers")}/layers/batting/overhang`}
                  label={labelled("Overhang of the batting alone")}
                  shown={of("layers", "/batting/overhang") === undefined ? "as much" : undefined}
                />
                )
              </>
            )}
            ,{" "}
            <Choice
              label={labelled("Fusible web in the stack")}
              value={of("layers", "/web") === true ? "web" : ""}
              options={[
                { value: "", name: "laid together" },
                { value: "web", name: "bonded with fusible web" },
              ]}
              choose={(next) =>
                rework(
                  (plan) => put(ownLayers(plan), `${piece}/layers/web`, next ? true : undefined),
                  next ? "bonded with web" : "laid together",
                )
              }
            />
          </>
        )}
        ,{" "}
        <Choice
          label={labelled("Quilting")}
          value={pattern}
          options={patterns.list.map((p) => ({ value: p.key, name: p.name }))}
          choose={choosePattern}
        />
        {lines.length > 0 && (
          <>
            {" "}
            <Pitch lines={lines} keeper={keeper("quilting")} name={labelled("Distance between quilting lines")} /> apart
            <More lines={lines} path={`${keeper("quilting")}/quilting`} labelled={labelled} />
          </>
        )}
        {pattern === "echo" && (
          <>
            {" "}
            <Value path={`${keeper("quilting")}/quilting/echo`} label={labelled("Distance between rounds")} /> apart
          </>
        )}
        {pattern === "free" && (
          <>
            , <Value path={`${keeper("quilting")}/quilting/free`} label={labelled("Distance of free-motion lines")} />{" "}
            from line to line
          </>
        )}
        {quilted && (
          <>
            ,{" "}
            <Choice
              label={labelled("Guide for quilting")}
              value={of("layers", "/grid") === true ? "grid" : ""}
              options={[
                { value: "", name: "along drawn lines" },
                { value: "grid", name: "along a fusible grid behind the top" },
              ]}
              choose={(next) =>
                rework(
                  (plan) => put(ownLayers(plan), `${piece}/layers/grid`, next ? true : undefined),
                  next ? "a fusible grid" : "drawn lines",
                )
              }
            />
            , then trimmed from{" "}
            <Value path={`${keeper("squaring")}/squaring`} label={labelled("Squaring margin each side")} /> spare all
            round
          </>
        )}
        .
        {thick && (
          <span className="soft">
            {" "}
            The stack is about <Len of={thick} /> thick.
          </span>
        )}
      </p>
      <Aside
        kept={quilting.aside}
        of={labelled("quilting")}
        name={patterns.name}
        bring={choosePattern}
        drop={(key) => rework((plan) => put(plan, `${piece}/quilting`, forget(quilting, key)), "quilting forgotten")}
      />
      {quilted && <TakeUp name={name} />}
    </>
  );
}

/** What else is decided of straight lines: pairs, the ditch, and where the middle one lies. */
function More({ lines, path, labelled }: { lines: Line[]; path: string; labelled: (label: string) => string }) {
  const { value, edit } = usePlan();
  return (
    <>
      {some(lines[0]?.wave) ? (
        <>
          , swinging out <Value path={`${path}/lines/0/wave`} label={labelled("Swing of the serpentines")} />
        </>
      ) : (
        <>
          , in pairs <Value path={`${path}/pair`} label={labelled("Distance in a pair")} /> apart
        </>
      )}
      {lines.length === 1 && (
        <>
          , shifted by <Value path={`${path}/lines/0/shift`} label={labelled("Shift of the lines")} />
        </>
      )}
      ,{" "}
      <Choice
        label={labelled("Ditch")}
        value={value(`${path}/ditch`) === true ? "ditch" : ""}
        options={[
          { value: "", name: "not in the seams" },
          { value: "ditch", name: "and in the ditch of the seams" },
        ]}
        choose={(next) =>
          edit(`${path}/ditch`, next === "ditch" ? true : undefined, next ? "in the ditch" : "not in the ditch")
        }
      />
    </>
  );
}

function batted(plan: Plan, piece: string, count: number, loft: unknown): Plan {
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
function Pitch({ lines, keeper, name }: { lines: Line[]; keeper: string; name: string }) {
  const { value } = usePlan();
  const same = lines.every((l) => String(l.pitch) === String(lines[0]?.pitch));
  if (same && lines.length > 1)
    return (
      <PitchOfAll
        count={lines.length}
        text={String(value(`${keeper}/quilting/lines/0/pitch`) ?? "")}
        piece={keeper}
        name={name}
      />
    );
  return (
    <>
      {lines.map((line, i) => (
        <span key={line.angle}>
          {i > 0 && " and "}
          <Value path={`${keeper}/quilting/lines/${i}/pitch`} label={`${name}, set ${i + 1}`} />
        </span>
      ))}
    </>
  );
}

function TakeUp({ name }: { name: string }) {
  const { piece, value, rework, reckoning, of } = usePiece(name);
  const from = String(of("take_up", "/from") ?? "estimate");
  const front = reckoning.pieces.find((p) => p.config === name);
  const bordered = ((value(`${piece}/face/borders`) ?? []) as unknown[]).length > 0;
  const grid = value(`${piece}/face/kind`) === "grid";
  const samples = (useSamples().data ?? []).flatMap((one) => {
    const doc = one.settled as unknown as { kind: string; title: string };
    return doc.kind === "quilting" && (one.tells ?? []).length > 0 ? [{ id: one.id, title: doc.title }] : [];
  });
  const percent = (n: number) => `${n.toFixed(2)} %`;
  return (
    <p>
      Quilting pulls it in{" "}
      <Choice
        label="Where the take-up comes from"
        value={from === "sample" ? String(of("take_up", "/id")) : from}
        options={[
          { value: "estimate", name: "by an estimate" },
          ...samples.map((one) => ({ value: one.id, name: `as “${one.title}” did` })),
          { value: "given", name: "as I measured" },
        ]}
        choose={(next) =>
          rework(
            (plan) =>
              put(
                plan,
                `${piece}/take_up`,
                samples.some((one) => one.id === next)
                  ? { from: "sample", id: next }
                  : next === "estimate"
                    ? { from: "estimate" }
                    : { from: "given", across: round(front?.take_up[0]), along: round(front?.take_up[1]) },
              ),
            next === "estimate" ? "take-up estimated" : "take-up given",
          )
        }
      />
      {from === "given" ? (
        <>
          :{" "}
          <Value
            path={`${piece}/take_up/across`}
            label={name === "front" ? "Take-up across" : `Take-up across, ${name}`}
            kind="percent"
          />{" "}
          across and{" "}
          <Value
            path={`${piece}/take_up/along`}
            label={name === "front" ? "Take-up up" : `Take-up up, ${name}`}
            kind="percent"
          />{" "}
          up.
        </>
      ) : (
        front && (
          <>
            {from === "estimate" && " from geometry"}: <strong>{percent(front.take_up[0] ?? 0)}</strong> across,{" "}
            <strong>{percent(front.take_up[1] ?? 0)}</strong> up{between(front)}.{" "}
            {from === "estimate" && <SewSample piece={piece} title={String(value("/title") ?? "")} />}
          </>
        )
      )}
      {grid && !bordered && <Absorb piece={piece} />}
    </p>
  );
}

/** What an estimate lies between. */
function between(piece: Piece): string {
  const [across, up] = piece.take_up_range as unknown as [[number, number], [number, number]];
  if (!across || across[1] <= across[0]) return "";
  const range = ([low, high]: [number, number]) => `${low.toFixed(2)} to ${high.toFixed(2)} %`;
  return up && range(up) !== range(across)
    ? ` (between ${range(across)}, and ${range(up)})`
    : ` (between ${range(across)})`;
}

/** Begins a sample of the stack and the quilting at hand. */
function SewSample({ piece, title }: { piece: string; title: string }) {
  const { value } = usePlan();
  const client = useQueryClient();
  const navigate = useNavigate();
  const add = useChange((sample: unknown) => ask("POST", "/samples", { sample }));
  const begin = async () => {
    const starts = await client.ensureQueryData(startsQuery(String(value("/units") ?? "in")));
    const start = (starts.samples as unknown as { kind: string }[]).find((s) => s.kind === "quilting");
    await add.mutateAsync({
      ...start,
      title: `Square for ${title}`,
      layers: value(`${piece}/layers`),
      quilting: value(`${piece}/quilting`),
    });
    navigate("/samples");
  };
  return (
    <button type="button" className="word-button" onClick={() => void begin()}>
      Sew a sample of this stack
    </button>
  );
}

const round = (n: number | undefined) => Number((n ?? 0).toFixed(2));

/** Without a border something else has to take up the loss. */
function Absorb({ piece }: { piece: string }) {
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

function PitchOfAll({ count, text, piece, name }: { count: number; text: string; piece: string; name: string }) {
  const { session, rework, reckoning, value } = usePlan();
  const all = (plan: Plan, next: string) =>
    Array.from({ length: count }).reduce<Plan>((p, _, i) => put(p, `${piece}/quilting/lines/${i}/pitch`, next), plan);
  const path = `${piece}/quilting/lines/0/pitch`;
  const settled = get(reckoning.settled, path);
  return (
    <Field
      label={name}
      text={text}
      shown={dressed(String(settled ?? text), String(value("/units") ?? "in"))}
      path={path}
      wrong={reckoning.findings.some((f) => f.level === "stop" && within(f.about, `${piece}/quilting`))}
      judge={async (next) => said(await session.preview(all(session.current().plan, next)), path)}
      keep={(next) => rework((plan) => all(plan, next), `quilting ${next} apart`)}
      drop={() => void session.settle()}
    />
  );
}

import type { Plan } from "../api/plan.gen";
import { forget } from "../plan/aside";
import { usePlan } from "../plan/context";
import { put } from "../plan/path";
import { Len } from "../words/T";
import { Aside } from "./Aside";
import { Choice } from "./Choice";
import { useConfigs } from "./Pieces";
import { More, Pitch } from "./QuiltingLines";
import { isQuilted, type QuiltingDoc, usePatterns } from "./quilting";
import { useLetters } from "./sentences";
import { TakeUp } from "./TakeUp";
import { usePiece } from "./usePiece";
import { Value } from "./Value";

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

function LayersOf({ name, lead }: { name: string; lead: string }) {
  const open = usePiece(name);
  const { piece, of, own, rework } = open;
  const letters = useLetters();
  const quilting = (of("quilting") ?? {}) as QuiltingDoc;
  const lines = quilting.lines ?? [];
  const patterns = usePatterns(String(open.value("/units") ?? "in"));
  const pattern = patterns.of(quilting);
  const quilted = isQuilted(quilting);
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

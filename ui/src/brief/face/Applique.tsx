import { useEffect, useRef, useState } from "react";
import type { FormView, Shape, ShapesView } from "../../api/api.gen";
import { sendFile, sentence } from "../../api/client";
import { useStarts } from "../../api/queries";
import { usePlan } from "../../plan/context";
import { get, put, within } from "../../plan/path";
import { clothFor, renamed, type ShapeDoc } from "../../plan/shapes";
import { useHand } from "../../sheet/hand";
import { FileButton } from "../../shell/FileButton";
import { Len, T } from "../../words/T";
import { Choice } from "../Choice";
import { moved } from "../Fittings";
import { useLetters } from "../sentences";
import { Value } from "../Value";
import { ways } from "../ways";
import { useFace } from "./context";
import { drawable, Outline } from "./Outline";

const edges = [
  { value: "zigzag", name: "sewn in dense zigzag" },
  { value: "blanket", name: "sewn in blanket stitch" },
  { value: "hand", name: "sewn in blanket stitch by hand" },
  { value: "straight", name: "sewn straight, just inside" },
  { value: "none", name: "left as it is, as of felt" },
  { value: "loose", name: "left loose, held by shapes on it" },
  { value: "line", name: "no edge but a drawn line" },
];

const twins = [
  { value: "", name: "alone" },
  { value: "mirror", name: "with a mirrored twin" },
  { value: "same", name: "with a twin the same way round" },
];

/** A five-sided outline to begin with, in millimetres. */
const begun = "M0 30L40 0L80 30L80 80L0 80Z";

/** What is laid on a face: shapes in order, the lowest first. */
export function Applique() {
  const { path, at, set, title } = useFace();
  const { value, drawn } = usePlan();
  const letters = useLetters().filter((l) => /^[A-Z]$/.test(l.value));
  const list = (at("/applique") ?? []) as ShapeDoc[];
  const forms = useStarts(String(value("/units") ?? "in")).data?.forms ?? [];
  const hand = useHand();
  const add = (shapes: ShapeDoc[], label: string) => {
    set("/applique", [...list, ...renamed(shapes, list)], label);
    hand.take(`${path}/applique/${list.length}`);
  };
  const laid = drawn.pieces.flatMap((p) => p.shapes).filter((s) => within(s.about, `${path}/applique`) && !s.twin);
  // The cloth after the ground's own is more likely meant than the ground's.
  const cloth = letters[1]?.value ?? letters[0]?.value;
  return (
    <div className="applique">
      <p>{list.length === 0 ? `Nothing is laid on the ${title} yet.` : `On it lie, from the bottom up:`}</p>
      {list.length > 0 && (
        <ol className="shape-list" aria-label={`Shapes on the ${title}`}>
          {list.map((shape, i) => (
            <One
              key={shape.key ?? i}
              index={i}
              shape={shape}
              list={list}
              forms={forms}
              laid={laid.find((s) => s.about === `${path}/applique/${i}`)}
            />
          ))}
        </ol>
      )}
      <details className="add-shape">
        <summary>Lay a shape on</summary>
        <ul className="forms" aria-label="Forms">
          {forms.map((form) => (
            <li key={form.name}>
              <button
                type="button"
                title={form.title}
                aria-label={form.title}
                onClick={() =>
                  add([{ shape: form.name, cloth, at: { middle: true } }], `${form.title.toLowerCase()} laid on`)
                }
              >
                <FormPicture form={form} />
              </button>
            </li>
          ))}
        </ul>
        <p>
          <button
            type="button"
            className="word-button"
            onClick={() => add([{ shape: begun, cloth, at: { middle: true } }], "an outline laid on")}
          >
            Draw an outline by points
          </button>{" "}
          or <FromFile add={add} />
        </p>
      </details>
    </div>
  );
}

function FormPicture({ form }: { form: FormView }) {
  const [x, y, width, height] = form.box as [number, number, number, number];
  return (
    <svg viewBox={`${x} ${y} ${width} ${height}`} aria-hidden="true">
      <path d={form.path} />
    </svg>
  );
}

/** Reads shapes from an SVG file, and says what was left out. */
function FromFile({ add }: { add: (shapes: ShapeDoc[], label: string) => void }) {
  const { value } = usePlan();
  const [read, setRead] = useState<ShapesView | null>(null);
  const [refused, refuse] = useState<string | null>(null);
  const cloths = (value("/cloths") ?? {}) as Record<string, { swatch?: { ground?: string } }>;
  const take = async (file: File) => {
    setRead(null);
    refuse(null);
    try {
      const view = await sendFile<ShapesView>(`/shapes/read?units=${value("/units") ?? "in"}`, file);
      const cloth = clothFor(view.fills, cloths);
      add(
        (view.shapes as unknown as ShapeDoc[]).map((shape, i) => ({ ...shape, cloth: cloth(view.fills[i] ?? "") })),
        `${view.shapes.length} shapes from ${file.name}`,
      );
      setRead(view);
    } catch (error) {
      refuse(sentence(error));
    }
  };
  return (
    <>
      <FileButton label="SVG or DXF file with shapes" accept=".svg,.dxf,image/svg+xml" read={(file) => void take(file)}>
        {(choose) => (
          <button type="button" className="word-button" onClick={choose}>
            read them from an SVG or DXF file
          </button>
        )}
      </FileButton>
      {read && (
        <span role="status" className="soft">
          {" "}
          Read: {read.shapes.length === 1 ? "one shape" : `${read.shapes.length} shapes`},{" "}
          <Len of={read.width} by={read.height} /> in all.
          {(read.omitted ?? []).length > 0 && ` Left out: ${(read.omitted ?? []).join(", ")}.`}
        </span>
      )}
      {refused && (
        <span role="alert" className="problem">
          {" "}
          {refused}
        </span>
      )}
    </>
  );
}

/** What a shape is called where it is not drawn: by its name, or its form and its number. */
const titleOf = (shape: ShapeDoc, i: number, forms: FormView[]) =>
  shape.name || `${forms.find((f) => f.name === shape.shape)?.title.toLowerCase() ?? "shape"} ${i + 1}`;

/** One shape: what it is, where it lies and how it is held. */
function One({
  index,
  shape,
  list,
  forms,
  laid,
}: {
  index: number;
  shape: ShapeDoc;
  list: ShapeDoc[];
  forms: FormView[];
  laid?: Shape;
}) {
  const { path: face, set, title } = useFace();
  const { rework, value } = usePlan();
  const letters = useLetters().filter((l) => /^[A-Z]$/.test(l.value));
  const hand = useHand();
  const element = useRef<HTMLDetailsElement>(null);
  const path = `${face}/applique/${index}`;
  const open = hand.about === path;
  const form = forms.find((f) => f.name === shape.shape);
  const of = laid?.title ?? shape.name ?? form?.title ?? `Shape ${index + 1}`;
  const cloth = String(shape.cloth ?? letters[0]?.value ?? "A");
  const change = (key: string, next: unknown, label: string) =>
    rework((plan) => put(plan, `${path}/${key}`, next), `${of}: ${label}`);
  const line = shape.edge === "line";
  useEffect(() => {
    if (open) element.current?.scrollIntoView({ block: "nearest" });
  }, [open]);
  const swap = (other: number) => {
    const next = [...list];
    [next[index], next[other]] = [list[other] as ShapeDoc, shape];
    set("/applique", next, `${of} moved ${other > index ? "up" : "down"}`);
    hand.take(`${face}/applique/${other}`);
  };
  return (
    <li>
      <details
        ref={element}
        open={open}
        className={open ? "shape-open" : undefined}
        onToggle={(e) => e.currentTarget.open !== open && hand.take(e.currentTarget.open ? path : null)}
      >
        <summary>
          <strong>{of}</strong>{" "}
          <span className="soft">
            {line ? "on" : "of"} {letters.find((l) => l.value === cloth)?.name ?? cloth}
            {laid && (
              <>
                , <Len of={laid.size.width} by={laid.size.height} />
              </>
            )}
          </span>
        </summary>
        {open && (
          <>
            <p>
              Called <Value path={`${path}/name`} label={`Name of ${of}`} kind="text" shown={shape.name || "nothing"} />
              , a{" "}
              <Choice
                label={`Form of ${of}`}
                value={form ? form.name : "own"}
                options={[
                  ...(form ? [] : [{ value: "own", name: "drawn outline" }]),
                  ...forms.map((f) => ({ value: f.name, name: f.title.toLowerCase() })),
                ]}
                choose={(next) => next !== "own" && change("shape", next, next)}
              />{" "}
              {line ? "in a thread darker than" : "of"}{" "}
              <Choice
                label={`Cloth of ${of}`}
                value={cloth}
                options={letters}
                choose={(next) => change("cloth", next, `of ${next}`)}
              />
              ,{" "}
              <Value
                path={`${path}/width`}
                label={`Width of ${of}`}
                shown={shape.width ? undefined : laid?.size.width.text}
              />{" "}
              wide and{" "}
              <Value
                path={`${path}/height`}
                label={`Height of ${of}`}
                shown={shape.height ? undefined : `${laid?.size.height.text ?? "0"} (in proportion)`}
              />{" "}
              high, turned by{" "}
              <Value
                path={`${path}/turn`}
                label={`Turn of ${of}`}
                kind="count"
                shown={`${value(`${path}/turn`) || 0}°`}
              />{" "}
              and{" "}
              <Choice
                label={`Mirroring of ${of}`}
                value={shape.flip ? "flip" : ""}
                options={[
                  { value: "", name: "not mirrored" },
                  { value: "flip", name: "mirrored left to right" },
                ]}
                choose={(next) => change("flip", next ? true : undefined, next ? "mirrored" : "not mirrored")}
              />
              ; <Where path={path} of={of} direction="across" /> and <Where path={path} of={of} direction="up" /> of{" "}
              <Choice
                label={`What ${of} is placed from`}
                value={shape.from ?? ""}
                options={[
                  { value: "", name: `the ${title}` },
                  ...list.flatMap((s, i) =>
                    i === index || !s.key ? [] : [{ value: s.key, name: titleOf(s, i, forms) }],
                  ),
                ]}
                choose={(next) =>
                  rework(
                    (plan) => put(put(plan, `${path}/from`, next || undefined), `${path}/at`, { middle: true }),
                    `${of} from another place`,
                  )
                }
              />
              . Its edge is{" "}
              <Choice
                label={`Edge of ${of}`}
                value={String(shape.edge ?? "zigzag")}
                options={edges}
                choose={(next) => change("edge", next, edges.find((e) => e.value === next)?.name ?? next)}
              />
              ; it lies{" "}
              <Choice
                label={`Twin of ${of}`}
                value={String(shape.twin ?? "")}
                options={twins}
                choose={(next) => change("twin", next || undefined, twins.find((t) => t.value === next)?.name ?? next)}
              />
              , fused{" "}
              <Choice
                label={`When ${of} is fused`}
                value={shape.late ? "late" : ""}
                options={[
                  { value: "", name: "in its turn" },
                  { value: "late", name: "late, when the others are sewn" },
                ]}
                choose={(next) => change("late", next ? true : undefined, next ? "late" : "in its turn")}
              />
              .
            </p>
            {laid && <Lies laid={laid} />}
            {drawable(shape.shape) && <Outline path={path} of={of} shape={shape} laid={laid} />}
            <p className="shape-doings">
              <button
                type="button"
                className="word-button"
                disabled={index === list.length - 1}
                onClick={() => swap(index + 1)}
              >
                One up
              </button>{" "}
              <button type="button" className="word-button" disabled={index === 0} onClick={() => swap(index - 1)}>
                One down
              </button>{" "}
              <button
                type="button"
                className="word-button"
                onClick={() => {
                  hand.take(null);
                  rework((plan) => put(plan, path, undefined), `${of} taken off`);
                }}
              >
                Take it off
              </button>
            </p>
          </>
        )}
      </details>
    </li>
  );
}

/** Where a shape has come to lie, checked from all sides, and what of it is sewn. */
function Lies({ laid }: { laid: Shape }) {
  const { left, right, top, bottom } = laid.from;
  return (
    <p className="soft">
      <T>{`It lies ${left.text} from the left and ${right.text} from the right, ${top.text} from the top and ${bottom.text} from the bottom. ${laid.stitch ? `${laid.shows.text} of its ${laid.round.text} round show and are sewn.` : "Its edge takes no thread."}${laid.lap ? ` It reaches ${laid.lap.text} under what covers its edge.` : ""}`}</T>
    </p>
  );
}

/** One direction of a place. */
function Where({ path, of, direction }: { path: string; of: string; direction: "across" | "up" }) {
  const { plan, rework, value } = usePlan();
  const away = useStarts(String(value("/units") ?? "in")).data?.away ?? "2 in";
  const keys = direction === "across" ? ["left", "right"] : ["top", "bottom"];
  const from = keys.find((edge) => get(plan, `${path}/at/${edge}`) !== undefined);
  return (
    <>
      {from && (
        <>
          <Value path={`${path}/at/${from}`} label={`Distance of ${of} from the ${from}`} />{" "}
        </>
      )}
      <Choice
        label={`Place of ${of} ${direction}`}
        value={from ?? "middle"}
        options={ways[direction]}
        choose={(next) => rework((now) => moved(now, `${path}/at`, keys, next, away), `${of} ${next}`)}
      />
    </>
  );
}

import { memo, useEffect, useRef, useState } from "react";
import type { Block, FormView, Shape, ShapesView, Word } from "../../api/api.gen";
import { sendFile, sentence } from "../../api/client";
import { useStarts } from "../../api/queries";
import { useOf, usePlan } from "../../plan/context";
import { put } from "../../plan/path";
import { clothFor, laidAs, renamed, type ShapeDoc } from "../../plan/shapes";
import { useHand } from "../../sheet/hand";
import { FileButton } from "../../shell/FileButton";
import { Len, T } from "../../words/T";
import { useLetters } from "../letters";
import { Sentence } from "../Sentence";
import { useFace } from "./context";
import { drawable, Outline } from "./Outline";

/** A five-sided outline to begin with, in millimetres. */
const begun = "M0 30L40 0L80 30L80 80L0 80Z";

/** What is laid on a face: shapes in order, the lowest first. */
export function Applique({ of: block }: { of: Block }) {
  const { path, at, set, the } = useFace();
  const { value } = usePlan();
  const letters = useLetters().filter((l) => /^[A-Z]$/.test(l.value));
  const list = (at("/applique") ?? []) as ShapeDoc[];
  const forms = useStarts(String(value("/units") ?? "in")).data?.forms ?? [];
  const hand = useHand();
  const add = (shapes: ShapeDoc[], label: string) => {
    set("/applique", [...list, ...renamed(shapes, list)], label);
    hand.take(`${path}/applique/${list.length}`);
  };
  // The cloth after the ground's own is more likely meant than the ground's.
  const cloth = letters[1]?.value ?? letters[0]?.value;
  return (
    <div className="applique">
      <p>{list.length === 0 ? `Nothing is laid on ${the} yet.` : `On it lie, from the bottom up:`}</p>
      {list.length > 0 && (
        <ol className="shape-list" aria-label={`Shapes on ${the}`}>
          {list.map((shape, i) => (
            <One
              key={shape.key ?? i}
              index={i}
              shape={shape}
              list={list}
              forms={forms}
              words={block.blocks?.find((b) => b.key === shape.key)?.words ?? []}
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

const FormPicture = memo(function FormPicture({ form }: { form: FormView }) {
  const [x, y, width, height] = form.box as [number, number, number, number];
  return (
    <svg viewBox={`${x} ${y} ${width} ${height}`} aria-hidden="true">
      <path d={form.path} />
    </svg>
  );
});

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

/** One shape: what it is, where it lies and how it is held. */
function One({
  index,
  shape,
  list,
  forms,
  words,
}: {
  index: number;
  shape: ShapeDoc;
  list: ShapeDoc[];
  forms: FormView[];
  words: readonly Word[];
}) {
  const { path: face, set } = useFace();
  const { rework } = usePlan();
  const letters = useLetters().filter((l) => /^[A-Z]$/.test(l.value));
  const hand = useHand();
  const element = useRef<HTMLDetailsElement>(null);
  const path = `${face}/applique/${index}`;
  const laid = useOf((s) => laidAs(s.drawn, path));
  const open = hand.about === path;
  const form = forms.find((f) => f.name === shape.shape);
  const of = laid?.title ?? shape.name ?? form?.title ?? `Shape ${index + 1}`;
  const cloth = String(shape.cloth ?? letters[0]?.value ?? "A");
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
              <Sentence of={words} />
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
                Remove it
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

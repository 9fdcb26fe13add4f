import { useState } from "react";
import type { PhotoView, Swatch as SwatchData } from "../api/api.gen";
import { sendFile } from "../api/client";
import { useStarts } from "../api/queries";
import { refusalAt } from "../api/refusal";
import { Choice } from "../brief/Choice";
import { motifNames } from "../cloth/Pattern";
import { Swatch } from "../cloth/Swatch";
import { FileButton } from "../shell/FileButton";
import { KeepOrLeave } from "./held";
import { Weighing } from "./Weighing";

export interface OddDoc {
  width: string;
  length: string;
  count?: number | string;
  for?: string;
}

/** A cloth as it is saved. */
export interface ClothDoc {
  name?: string;
  width?: string;
  usable?: string;
  kind?: string;
  print?: string;
  weight?: string;
  have?: string;
  odd?: OddDoc[];
  repeat?: { across: string; along: string };
  stretch?: number | string;
  shrink?: number | string;
  prewashed?: boolean;
  upright?: boolean;
  price?: number | string;
  per?: string;
  match?: boolean;
  sold?: { by: string; length?: string };
  swatch?: SwatchData;
  [key: string]: unknown;
}

export const printWords: Record<string, string> = {
  plain: "plain",
  "all-over": "printed all over",
  "two-way": "printed two ways",
  "one-way": "printed one way",
};

const kindWords: Record<string, string> = {
  cloth: "a fabric",
  quilted: "a fabric that is quilted already",
  batting: "a batting",
  interlining: "an interlining",
  web: "fusible web",
};

/** What is typed as a number is one in the file; what is not is refused there by name. */
const number = (text: number | string | undefined) => {
  const trimmed = String(text ?? "").trim();
  const value = Number(trimmed.replace(",", "."));
  if (trimmed === "") return undefined;
  return Number.isFinite(value) ? value : trimmed;
};

/** The form's text as it is saved: what is empty is left out. */
export function cleaned(draft: ClothDoc): ClothDoc {
  const { have, usable, odd, repeat, stretch, shrink, price, prewashed, upright, match, sold, ...rest } = draft;
  const out: ClothDoc = { ...rest };
  if (have?.trim()) out.have = have.trim();
  if (usable?.trim()) out.usable = usable.trim();
  const pieces = (odd ?? [])
    .filter((o) => o.width.trim() || o.length.trim())
    .map((o) => ({ ...o, count: number(o.count) ?? 1 }) as OddDoc);
  if (pieces.length > 0) out.odd = pieces;
  if (repeat?.across.trim() || repeat?.along.trim()) out.repeat = repeat;
  for (const [key, value] of Object.entries({
    stretch: number(stretch),
    shrink: number(shrink),
    price: number(price),
  })) {
    if (value !== undefined) out[key] = value;
  }
  if (prewashed) out.prewashed = true;
  if (upright) out.upright = true;
  if (match) out.match = true;
  if (sold) out.sold = sold.by === "quarter" ? { by: sold.by } : sold;
  return out;
}

/** A cloth of the cupboard, to be described. */
export function ClothForm({
  doc,
  save,
  cancel,
}: {
  doc: ClothDoc;
  save: (doc: ClothDoc) => Promise<void>;
  cancel: () => void;
}) {
  const [draft, setDraft] = useState(doc);
  const { data: starts } = useStarts("in"); // its words are those of any unit
  const [problem, setProblem] = useState<{ path: string; text: string } | null>(null);
  const set = (part: Partial<ClothDoc>) => setDraft({ ...draft, ...part });
  const swatch = draft.swatch ?? {};
  const odd = draft.odd ?? [];
  const submit = async () => {
    try {
      await save(cleaned(draft));
    } catch (error) {
      setProblem(refusalAt(error));
    }
  };
  const picture = async (file: File) => {
    try {
      const photo = await sendFile<PhotoView>("/photos", file);
      setProblem(null);
      set({ swatch: { ...swatch, photo: photo.id, ground: photo.average, ink: photo.average } });
    } catch (error) {
      setProblem(refusalAt(error));
    }
  };
  const input = (
    path: string,
    label: string,
    hint: string,
    value: unknown,
    change: (text: string) => void,
    narrow = false,
  ) => (
    <label className={narrow ? "line-field narrow" : "line-field"}>
      <span>{label}</span>
      <input
        value={String(value ?? "")}
        placeholder={hint}
        aria-invalid={problem?.path === path || undefined}
        onChange={(e) => change(e.target.value)}
      />
    </label>
  );
  const setOdd = (i: number, part: Partial<OddDoc>) =>
    set({ odd: odd.map((o, j) => (j === i ? { ...o, ...part } : o)) });
  return (
    <form
      className="cloth-form"
      aria-label="A fabric"
      onSubmit={(e) => {
        e.preventDefault();
        void submit();
      }}
    >
      <Swatch of={swatch} width={150} height={72} />
      <div>
        <div className="line-fields">
          {input("/name", "Name", "ink leaf", draft.name, (name) => set({ name }))}
          {input("/width", "Width", "42 in", draft.width, (width) => set({ width }), true)}
          {input("/usable", "Between the selvedges", "40 in", draft.usable, (usable) => set({ usable }), true)}
          {input("/have", "Length left", "1 1/4 yd", draft.have, (have) => set({ have }), true)}
        </div>
        <p>
          It is{" "}
          <Choice
            label="What it is"
            value={draft.kind ?? "cloth"}
            options={Object.entries(kindWords).map(([value, name]) => ({ value, name }))}
            choose={(kind) => set({ kind })}
          />
          ,{" "}
          {(draft.kind ?? "cloth") === "cloth" && (
            <>
              <Choice
                label="Weight"
                value={draft.weight ?? starts?.weights[0]?.key ?? ""}
                options={(starts?.weights ?? []).map(({ key, name }) => ({ value: key, name }))}
                choose={(weight) => set({ weight })}
              />
              ,{" "}
            </>
          )}
          <Choice
            label="Print direction"
            value={draft.print ?? "plain"}
            options={Object.entries(printWords).map(([value, name]) => ({ value, name }))}
            choose={(print) => set({ print })}
          />{" "}
          and drawn{" "}
          <Choice
            label="How it is drawn"
            value={swatch.motif ?? "plain"}
            options={motifNames}
            choose={(motif) => set({ swatch: { ...swatch, motif: motif as SwatchData["motif"] } })}
          />{" "}
          in{" "}
          <label>
            <span className="sr-only">Colour of the motif</span>
            <input
              type="color"
              value={swatch.ink ?? "#7d6b3d"}
              onChange={(e) => set({ swatch: { ...swatch, ink: e.target.value } })}
            />
          </label>{" "}
          on{" "}
          <label>
            <span className="sr-only">Colour of the ground</span>
            <input
              type="color"
              value={swatch.ground ?? "#c9b98f"}
              onChange={(e) => set({ swatch: { ...swatch, ground: e.target.value } })}
            />
          </label>
          {swatch.photo ? (
            <>
              , shown by its photo.{" "}
              <button
                type="button"
                className="word-button"
                onClick={() => {
                  const { photo: _, ...drawn } = swatch;
                  set({ swatch: drawn });
                }}
              >
                Draw it instead
              </button>
            </>
          ) : (
            <>
              .{" "}
              <FileButton label="Photo of the fabric" accept="image/*" read={(file) => void picture(file)}>
                {(choose) => (
                  <button type="button" className="word-button" onClick={choose}>
                    Show it by a photo
                  </button>
                )}
              </FileButton>
            </>
          )}
        </p>
        <details open={odd.length > 0}>
          <summary>Offcuts, and squares and strips that are cut already</summary>
          {odd.map((o, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: odd pieces have no identity but their place
            <div className="line-fields odd-line" key={i}>
              {input(`/odd/${i}/count`, "How many", "1", o.count ?? 1, (count) => setOdd(i, { count }), true)}
              {input(
                `/odd/${i}/width`,
                "Width, across the fabric",
                "5",
                o.width,
                (width) => setOdd(i, { width }),
                true,
              )}
              {input(`/odd/${i}/length`, "Length", "5", o.length, (length) => setOdd(i, { length }), true)}
              <button type="button" className="word-button" onClick={() => set({ odd: odd.filter((_, j) => j !== i) })}>
                Remove<span className="sr-only"> offcut {i + 1}</span>
              </button>
            </div>
          ))}
          <button
            type="button"
            className="word-button"
            onClick={() => set({ odd: [...odd, { width: "", length: "", count: 1 }] })}
          >
            Add pieces
          </button>
        </details>
        <Weighing width={draft.usable || draft.width} take={(have) => set({ have })} />
        <details>
          <summary>Print, washing, price</summary>
          <div className="line-fields">
            {input(
              "/repeat/across",
              "Motif to motif, across",
              "4",
              draft.repeat?.across,
              (across) => set({ repeat: { along: "", ...draft.repeat, across } }),
              true,
            )}
            {input(
              "/repeat/along",
              "Along the fabric",
              "4 1/2",
              draft.repeat?.along,
              (along) => set({ repeat: { across: "", ...draft.repeat, along } }),
              true,
            )}
            {input("/stretch", "Can be pulled longer, %", "0", draft.stretch, (stretch) => set({ stretch }), true)}
            {input("/shrink", "Shrinks, %", "3", draft.shrink, (shrink) => set({ shrink }), true)}
            {input("/price", "Price", "12.50", draft.price, (price) => set({ price }), true)}
            {draft.sold &&
              draft.sold.by !== "quarter" &&
              input(
                "/sold/length",
                "Length it is sold by",
                "18",
                draft.sold.length,
                (length) => set({ sold: { by: draft.sold?.by ?? "", length } }),
                true,
              )}
          </div>
          <p>
            The price is for{" "}
            <Choice
              label="What the price is for"
              value={draft.per ?? ""}
              options={[
                { value: "", name: "a yard or a metre, by the units" },
                { value: "yd", name: "a yard" },
                { value: "m", name: "a metre" },
              ]}
              choose={(per) => {
                const { per: _, ...rest } = draft;
                setDraft(per ? { ...rest, per } : rest);
              }}
            />
            . It is sold{" "}
            <Choice
              label="How it is sold"
              value={draft.sold?.by ?? ""}
              options={[
                { value: "", name: "by the ⅛ yard or 10 cm, by the units" },
                { value: "length", name: "by another length" },
                { value: "bolt", name: "in whole bolts" },
                { value: "panel", name: "in panels" },
                { value: "quarter", name: "in quarters" },
              ]}
              choose={(by) => {
                const { sold, ...rest } = draft;
                setDraft(by ? { ...rest, sold: { by, length: sold?.length ?? "" } } : rest);
              }}
            />
            .{" "}
            <label>
              <input
                type="checkbox"
                checked={draft.match ?? false}
                onChange={(e) => set({ match: e.target.checked })}
              />{" "}
              Its print is matched where pieces meet
            </label>{" "}
            <label>
              <input
                type="checkbox"
                checked={draft.prewashed ?? false}
                onChange={(e) => set({ prewashed: e.target.checked })}
              />{" "}
              It is washed already
            </label>{" "}
            <label>
              <input
                type="checkbox"
                checked={draft.upright ?? false}
                onChange={(e) => set({ upright: e.target.checked })}
              />{" "}
              It has a nap: pieces are never turned
            </label>
          </p>
        </details>
        <KeepOrLeave problem={problem} leave={cancel} />
      </div>
    </form>
  );
}

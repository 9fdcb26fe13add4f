import { useEffect, useRef } from "react";
import type { Reckoning, Shape } from "../api/api.gen";
import { plainSwatch } from "../cloth/Pattern";
import { decided, useOf, useSession, useShownSum } from "../plan/context";
import { get } from "../plan/path";
import { laidAs } from "../plan/shapes";
import { letterOf } from "../sheet/Seams";
import { Len, T } from "../words/T";
import { BlockChoice } from "./face/Block";
import { TakeUp } from "./TakeUp";

/** What a reckoning tells in a sentence of the brief. It is left out where the plan cannot be cut. */
export const told: Record<string, (props: { of: string }) => React.ReactNode> = {
  finishes: Finishes,
  fibre: Fibre,
  opens: Opens,
  strips: StripsOf,
  seams: Seams,
  thick: Thick,
  "take-up": TakeUp,
  fitting: FittingCheck,
  used: Used,
  colours: Colours,
  block: BlockChoice,
  patch: Patch,
  unit: Unit,
  windows: Windows,
  sashes: Sashes,
  border: Border,
  gathers: Gathers,
  panel: Panel,
};

/** What stands in a field that nobody decided, as the reckoning has it. */
export const textTold: Record<string, (of: Reckoning, path: string) => string | undefined> = {
  buttons: (r) => (r.back?.buttons ? String(r.back.buttons) : undefined),
  "shape-width": (r, path) => shapeAt(r, path)?.size.width.text,
  "shape-height": (r, path) => {
    const height = shapeAt(r, path)?.size.height.text;
    return height && `${height} (in proportion)`;
  },
};

/** The colours a cloth is drawn in: its own, and that of its motif where it has one. */
function Colours({ of: letter }: { of: string }) {
  const at = `/cloths/${letter}/swatch`;
  const motif = useOf((s) => String(get(s.settled, `${at}/motif`) ?? "plain"));
  const name = useOf((s) => String(get(s.settled, `/cloths/${letter}/name`) || `fabric ${letter}`));
  const ground = useOf((s) => String(decided(s, `${at}/ground`) ?? plainSwatch.ground));
  const ink = useOf((s) => String(decided(s, `${at}/ink`) ?? plainSwatch.ink));
  return (
    <>
      {" in "}
      <Colour path={`${at}/ground`} label={`Colour of ${name}`} now={ground} />
      {motif !== "plain" && (
        <>
          {" and "}
          <Colour path={`${at}/ink`} label={`Colour of the motif of ${name}`} now={ink} />
        </>
      )}
    </>
  );
}

/** A colour, kept when it is chosen, not while it is looked for. */
function Colour({ path, label, now }: { path: string; label: string; now: string }) {
  const session = useSession();
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const field = input.current;
    const keep = () => field && field.value !== now && session.edit(path, field.value, label);
    field?.addEventListener("change", keep);
    return () => field?.removeEventListener("change", keep);
  }, [path, label, now, session]);
  return <input ref={input} key={now} type="color" aria-label={label} defaultValue={now} />;
}

/** The shape whose width or height stands at a path. */
function shapeAt(of: Reckoning, path: string): Shape | undefined {
  return laidAs(of, path.slice(0, path.lastIndexOf("/")));
}

/** The piece that the plan decides under a name, as it was drawn last. */
function usePieceOf(config: string) {
  return useOf((s) => s.drawn.pieces.find((p) => p.config === config));
}

function Finishes() {
  const first = useOf((s) => s.reckoning.pieces[0]);
  if (!first) return null;
  return (
    <>
      , so it finishes{" "}
      <strong>
        <Len of={first.finished.width} by={first.finished.height} />
      </strong>
    </>
  );
}

function Fibre() {
  const fibre = useOf((s) => s.reckoning.fibre);
  if (!fibre) return null;
  return (
    <span className="soft">
      , with {fibre.least} to {fibre.most} g of fibre
    </span>
  );
}

/** How far a back overlaps and how it opens, and what is bought for it. */
function Opens() {
  const back = useOf((s) => s.reckoning.back);
  if (!back) return null;
  return (
    <span className="soft">
      {back.overlap.nm > 0 && (
        <>
          It overlaps <Len of={back.overlap} />, {Math.round(back.share)}% of the width.{" "}
        </>
      )}
      It opens <Len of={back.opening} />
      {back.notions.map((n) => (
        <span key={n.what}>
          ; buy <Len of={n.length} /> of {n.what}
        </span>
      ))}
      {back.buttons > 0 && `; ${back.buttons} buttons`}.
    </span>
  );
}

/** How many strips, how wide, and how long they are together. */
function StripsOf({ of: what }: { of: string }) {
  const strips = useOf((s) => s.reckoning.edge_strips.find((strips) => strips.what === what));
  if (!strips) return null;
  return (
    <span className="soft">
      : {strips.lie.length} {strips.lie.length === 1 ? "strip" : "strips"} of <Len of={strips.width} />, joined{" "}
      <Len of={strips.joined} /> for <Len of={strips.need} />
    </span>
  );
}

/** Both sides of every seam. */
function Seams() {
  const joins = useOf((s) => s.reckoning.joins);
  return (
    <>
      {joins.map((join, i) => (
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

function Thick({ of: config }: { of: string }) {
  const thick = usePieceOf(config)?.thick;
  if (!thick) return null;
  return (
    <span className="soft">
      {" "}
      The layers are about <T>{thick.text.replace("≈", "")}</T> thick.
    </span>
  );
}

function FittingCheck({ of: index }: { of: string }) {
  const placed = useOf((s) => s.drawn.fittings.find((f) => String(f.index) === index));
  if (!placed) return null;
  return (
    <span className="soft">
      <T>{placed.check}</T>{" "}
    </span>
  );
}

function Used({ of: letter }: { of: string }) {
  const used = useOf((s) => s.reckoning.cloths.some((c) => c.cloth === letter));
  return used ? "." : <span className="soft">, not used yet.</span>;
}

function Patch({ of: config }: { of: string }) {
  const patch = usePieceOf(config)?.patch;
  return patch && <strong>{<Len of={patch.width} />}</strong>;
}

function Unit({ of: config }: { of: string }) {
  const takes = usePieceOf(config)?.windows;
  return takes && <strong>{<Len of={takes.unit} />}</strong>;
}

function Windows({ of: config }: { of: string }) {
  const takes = usePieceOf(config)?.windows;
  if (!takes) return null;
  return (
    <span className="soft">
      : {takes.whole} windows, {takes.half} half ones, {takes.points} points; the ground takes {takes.eats.toFixed(1)}{" "}
      times the fabric that shows
    </span>
  );
}

function Sashes() {
  const counts = useOf((s) => s.reckoning.counts);
  const parts = ["short sashing strips", "long sashing strips", "cornerstones"]
    .filter((name) => counts[name])
    .map((name) => `${counts[name]} ${name}`);
  if (parts.length === 0) return null;
  return <span className="soft">: {parts.join(", ")}</span>;
}

/** How wide a border is that takes the rest: the piece and the number of the border, as in front/1. */
function Border({ of }: { of: string }) {
  const [config, number] = of.split("/");
  const sum = `${config}.finished.width`;
  useShownSum(sum);
  const terms = useOf((s) => s.reckoning.sums[sum]);
  const shown = terms?.find((t) => t.term === `border ${number}`)?.amount;
  if (!shown) return null;
  return (
    <>
      : <strong>{<Len of={shown} />}</strong>
    </>
  );
}

function Gathers({ of: config }: { of: string }) {
  const takes = usePieceOf(config)?.gather;
  const sampled = useOf((s) => [config, "*"].some((of) => decided(s, `/pieces/${of}/face/sampled`) !== undefined));
  if (!takes) return null;
  return (
    <>
      {sampled && <strong>, {takes.ratio.toFixed(3)}</strong>}: <Len of={takes.wanted} /> takes{" "}
      <strong>
        <Len of={takes.needed} />
      </strong>
      ; from selvedge to selvedge, <Len of={takes.piece} /> gives <Len of={takes.yields} />
    </>
  );
}

/** Where a panel that is there already is cut. */
function Panel({ of: config }: { of: string }) {
  const panel = usePieceOf(config)?.panel;
  if (!panel) return null;
  const [left, right, top, bottom] = panel.from;
  return (
    <>
      {panel.squares[0] ? (
        <span className="soft">
          {" "}
          It is cut {panel.outside[0]} squares outside the design at the sides and {panel.outside[1]} above and below:{" "}
          {panel.squares[0]} × {panel.squares[1]} squares, <Len of={panel.size.width} by={panel.size.height} />.
        </span>
      ) : null}
      {left && (
        <span className="soft">
          {" "}
          <T>{`It is cut ${left.text} from the left and ${right?.text} from the right edge of the print, ${top?.text} from the top and ${bottom?.text} from the bottom.`}</T>
        </span>
      )}
    </>
  );
}

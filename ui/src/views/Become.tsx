import Button from "@mui/material/Button";
import { type FormEvent, useEffect, useRef, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import type { AskBecome, BecomeFront, BecomePieces, BecomeView, ClothView } from "../api/api.gen";
import { ApiError, sentence } from "../api/client";
import { askLines } from "../api/lines";
import type { Plan } from "../api/plan.gen";
import { useCloths, useNewPlan } from "../api/queries";
import { Swatch } from "../cloth/Swatch";
import { swatchesOf } from "../plan/swatches";
import { extent, PieceDrawing } from "../sheet/PieceDrawing";
import { Len, T } from "../words/T";

/** What is asked for, as it is typed. */
interface Draft {
  cloths: string[];
  pieces: BecomePieces[];
  width: string;
  height: string;
  largest: boolean;
}

const begun: Draft = { cloths: [], pieces: [], width: "16", height: "16", largest: false };

/** What fabric that is there can become: fronts found by search, each cut out of it. */
export function Become() {
  const [params] = useSearchParams();
  const plan = params.get("plan") ?? undefined;
  const [draft, setDraft] = useState(begun);
  const set = (part: Partial<Draft>) => setDraft({ ...draft, ...part });
  const search = useBecoming();
  const submit = (e: FormEvent) => {
    e.preventDefault();
    const { width, height, ...what } = draft;
    void search.begin(
      plan ? { ...what, largest: false, plan } : { ...what, ...(draft.largest ? {} : { width, height }) },
    );
  };
  return (
    <div className="page become">
      <header className="page-head">
        <h1>What can it become?</h1>
        <Link className="word-button" to={plan ? `/plans/${plan}/cut` : "/cloth"}>
          {plan ? "Back to the plan" : "Back to the cupboard"}
        </Link>
      </header>
      <p className="soft">
        Fronts of cushions that can be cut from what there is: grids, blocks, strips and borders are tried, and only
        what comes out is shown. The back is cut from something else.
      </p>
      <form aria-label="What there is" onSubmit={submit}>
        <FromCupboard chosen={draft.cloths} choose={(cloths) => set({ cloths })} />
        <Bundles pieces={draft.pieces} change={(pieces) => set({ pieces })} wrong={search.wrong} />
        {!plan && <Size draft={draft} set={set} wrong={search.wrong} />}
        {search.problem && (
          <p className="finding stop" role="alert">
            {search.problem}
          </p>
        )}
        <p className="page-head">
          {search.running ? (
            <Button variant="outlined" onClick={search.stop}>
              Stop
            </Button>
          ) : (
            <Button variant="contained" type="submit">
              Look what it can become
            </Button>
          )}{" "}
          <span role="status" className="soft">
            {search.view && told(search.view, search.running)}
          </span>
        </p>
      </form>
      {search.view?.fronts && <Fronts fronts={search.view.fronts} plan={plan} />}
    </div>
  );
}

/** How far a search is, or what it came to. */
function told(view: BecomeView, running: boolean) {
  if (running) return `${view.tried} of ${view.of} tried, ${view.found} can be cut.`;
  if (!view.done) return `Stopped after ${view.tried} of ${view.of}. Look again to see what they are.`;
  if (view.found > 0) return `${view.found} of ${view.tried} that were tried can be cut; the best are shown.`;
  if (view.tried === 0) return "It is too little for any insert that is sold.";
  return `None of ${view.tried} can be cut from it. Add more fabric, or take a smaller insert.`;
}

/** A search for what fabric can become, told as it goes on, and stopped when the place is left. */
function useBecoming() {
  const [view, setView] = useState<BecomeView | null>(null);
  const [running, setRunning] = useState(false);
  const [error, setError] = useState<unknown>(null);
  const going = useRef<AbortController | null>(null);
  const stop = () => going.current?.abort();
  useEffect(() => () => going.current?.abort(), []);
  const begin = async (what: AskBecome) => {
    const mine = new AbortController();
    going.current = mine;
    setError(null);
    setView(null);
    setRunning(true);
    try {
      await askLines<BecomeView>("/becomings", what, mine.signal, setView);
    } catch (problem) {
      if (!mine.signal.aborted) setError(problem);
    }
    if (going.current === mine) setRunning(false);
  };
  const wrong = error instanceof ApiError ? (error.problem.errors ?? []) : [];
  return { view, running, begin, stop, wrong: wrong.map((e) => e.path), problem: error ? sentence(error) : null };
}

/** The fabrics of the cupboard of which something is there. */
function FromCupboard({ chosen, choose }: { chosen: string[]; choose: (names: string[]) => void }) {
  const cloths = useCloths();
  const there = (cloths.data ?? []).filter((c) => c.kind === "cloth" && (c.have || c.odd.some((o) => !o.for)));
  const tick = (name: string, on: boolean) =>
    choose(there.map((c) => c.name).filter((other) => (other === name ? on : chosen.includes(other))));
  return (
    <fieldset className="what-there-is">
      <legend>From the cupboard</legend>
      {cloths.data && there.length === 0 && (
        <p className="soft">
          Nothing is in the cupboard of which anybody said how much there is.{" "}
          <Link className="word-button" to="/cloth">
            To the cupboard
          </Link>
        </p>
      )}
      <div className="there-are">
        {there.map((c) => (
          <label key={c.id} className="there">
            <input type="checkbox" checked={chosen.includes(c.name)} onChange={(e) => tick(c.name, e.target.checked)} />
            <Swatch of={c.swatch} width={44} height={32} />
            <span>
              {c.name} <span className="soft">{<T>{howMuch(c)}</T>}</span>
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}

function howMuch(cloth: ClothView): string {
  const odd = cloth.odd.filter((o) => !o.for);
  const pieces = odd.map((o) => `${o.count > 1 ? `${o.count} of ` : ""}${o.width.text} × ${o.length.text}`);
  return [...(cloth.have && cloth.have.nm > 0 ? [cloth.have_text] : []), ...pieces].join(", ");
}

interface BundlesProps {
  pieces: BecomePieces[];
  change: (pieces: BecomePieces[]) => void;
  /** Paths of what is typed wrong. */
  wrong: string[];
}

/** Bundles and odd pieces that are not in the cupboard. */
function Bundles({ pieces, change, wrong }: BundlesProps) {
  const set = (i: number, part: Partial<BecomePieces>) =>
    change(pieces.map((p, j) => (j === i ? { ...p, ...part } : p)));
  return (
    <fieldset className="what-there-is">
      <legend>A bundle, or pieces that are not in the cupboard</legend>
      {pieces.map((p, i) => {
        const at = (key: string) => wrong.includes(`/pieces/${i}/${key}`) || undefined;
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: bundles have no identity but their place
          <div className="line-fields odd-line" key={i}>
            <Field label="Fabrics" value={String(p.fabrics || "")} wrong={at("fabrics")} narrow>
              {(text) => set(i, { fabrics: whole(text) })}
            </Field>
            <Field label="Pieces of each" value={String(p.count || "")} wrong={at("count")} narrow>
              {(text) => set(i, { count: whole(text) })}
            </Field>
            <Field label="Width, across the fabric" value={p.width} wrong={at("width")} narrow>
              {(width) => set(i, { width })}
            </Field>
            <Field label="Length" value={p.length} wrong={at("length")} narrow>
              {(length) => set(i, { length })}
            </Field>
            <button type="button" className="word-button" onClick={() => change(pieces.filter((_, j) => j !== i))}>
              Remove<span className="sr-only"> bundle {i + 1}</span>
            </button>
          </div>
        );
      })}
      <button
        type="button"
        className="word-button"
        onClick={() => change([...pieces, { fabrics: 8, count: 1, width: "", length: "" }])}
      >
        Add a bundle
      </button>
    </fieldset>
  );
}

/** A whole number as it is typed; 0, which the server refuses by name, where it is none. */
const whole = (text: string) => {
  const n = Number(text.trim());
  return Number.isSafeInteger(n) ? n : 0;
};

interface FieldProps {
  label: string;
  value: string;
  wrong?: boolean;
  narrow?: boolean;
  children: (text: string) => void;
}

function Field({ label, value, wrong, narrow, children }: FieldProps) {
  return (
    <label className={narrow ? "line-field narrow" : "line-field"}>
      <span>{label}</span>
      <input value={value} aria-invalid={wrong} onChange={(e) => children(e.target.value)} />
    </label>
  );
}

interface SizeProps {
  draft: Draft;
  set: (part: Partial<Draft>) => void;
  wrong: string[];
}

/** The insert it is for. */
function Size({ draft, set, wrong }: SizeProps) {
  return (
    <fieldset className="what-there-is">
      <legend>For</legend>
      <label className="there">
        <input type="radio" name="for" checked={!draft.largest} onChange={() => set({ largest: false })} />
        An insert of this size
      </label>
      {!draft.largest && (
        <div className="line-fields">
          <Field label="Width" value={draft.width} wrong={wrong.includes("/width") || undefined} narrow>
            {(width) => set({ width })}
          </Field>
          <Field label="Height" value={draft.height} wrong={wrong.includes("/height") || undefined} narrow>
            {(height) => set({ height })}
          </Field>
        </div>
      )}
      <label className="there">
        <input type="radio" name="for" checked={draft.largest} onChange={() => set({ largest: true })} />
        The largest square insert it does for
      </label>
    </fieldset>
  );
}

/** What it can become, each drawn. */
function Fronts({ fronts, plan }: { fronts: BecomeFront[]; plan?: string }) {
  const go = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const create = useNewPlan();
  const take = async (front: BecomeFront) => {
    try {
      const made = await create.mutateAsync(titled(front));
      go(`/plans/${made.id}`);
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  return (
    <>
      {problem && (
        <p className="finding stop" role="alert">
          {problem}
        </p>
      )}
      <ul className="becomes">
        {fronts.map((front) => (
          <li key={`${front.title} ${front.width.nm}`}>
            <Drawn front={front} />
            <div>
              <h2>
                <T>{front.title}</T>
              </h2>
              {front.why.length > 0 && <p className="why">{front.why.join(", ")}</p>}
              <p>
                {!plan && (
                  <>
                    For an insert of <Len of={front.width} by={front.height} />.{" "}
                  </>
                )}
                {front.fabrics} {front.fabrics === 1 ? "fabric" : "fabrics"}, {front.cuts} cuts, {front.waste}% lost in
                scraps.
              </p>
              <details>
                <summary>What is left and lost</summary>
                <p className="soft">{front.lost}</p>
                <ul className="odd">
                  {front.left.map((left) => (
                    <li key={left}>
                      <T>{left}</T>
                    </li>
                  ))}
                </ul>
              </details>
              <button type="button" className="word-button" onClick={() => void take(front)}>
                Plan this<span className="sr-only">: {front.title}</span>
              </button>
            </div>
          </li>
        ))}
      </ul>
    </>
  );
}

/** The plan of a front under its own title. */
const titled = (front: BecomeFront): Plan => ({ ...(front.plan as unknown as Plan), title: front.title });

function Drawn({ front }: { front: BecomeFront }) {
  const box = extent(front.piece);
  const swatches = swatchesOf((front.plan as { cloths?: unknown }).cloths);
  return (
    <svg viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`} role="img" aria-label={front.title}>
      <PieceDrawing piece={front.piece} swatches={swatches} outlines={false} />
    </svg>
  );
}

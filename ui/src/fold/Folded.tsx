import { type KeyboardEvent, lazy, Suspense, useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { FoldInside, FoldShown, Piece, Reckoning, Swatch } from "../api/api.gen";
import { ask, sentence } from "../api/client";
import type { Plan } from "../api/plan.gen";
import { T } from "../words/T";
import { coarse, type Detail, depthOf, type Face, outsideOf, fine as refinedDetail } from "./faces";
import type { Hands } from "./Scene";
import { Still } from "./Still";

const Scene = lazy(() => import("./Scene"));

/** Whether the browser draws in three dimensions. */
function threeDimensions(): boolean {
  try {
    return document.createElement("canvas").getContext("webgl2") !== null;
  } catch {
    return false;
  }
}

interface Props {
  plan: Plan;
  reckoning: Reckoning;
  swatches: Record<string, Swatch>;
}

/** The cover between flat and closed. */
export default function Folded({ plan, reckoning, swatches }: Props) {
  const { fold, failed, again } = useFold(plan);
  const [ways, setWays] = useState(() => reckoning.pieces.some((p) => p.grain === "one-way"));
  const [solid, setSolid] = useState(threeDimensions);
  const { faces, fine } = useFaces(reckoning, fold, swatches, ways, solid);
  const [share, setShare] = useState(1);
  const [filled, setFilled] = useState(true);
  const [through, setThrough] = useState(false);
  const [turn, setTurn] = useState<[number, number]>([-0.41, 0.33]);
  const hands = useRef<Hands | null>(null);
  const still = useRef<HTMLCanvasElement | null>(null);
  const hold = useCallback((h: Hands | null) => {
    hands.current = h;
  }, []);
  const holdStill = useCallback((canvas: HTMLCanvasElement | null) => {
    still.current = canvas;
  }, []);
  const lost = useCallback(() => setSolid(false), []);
  const by = (across: number, up: number) => {
    hands.current?.turn(-across, up);
    if (!hands.current) setTurn(([a, u]) => [a + across, Math.max(-1.5, Math.min(1.5, u + up))]);
  };
  const keys = (e: KeyboardEvent) => {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key];
    if (!step || e.ctrlKey || e.metaKey || e.altKey) return;
    e.preventDefault();
    by((step[0] as number) * (Math.PI / 12), (step[1] as number) * (Math.PI / 12));
  };
  const save = async () => {
    const blob = await (hands.current ? hands.current.picture() : pictureOf(still.current));
    if (blob) download(blob, `${reckoning.title} folded.png`);
  };
  const tryAgain = failed && (
    <p className="empty" role="alert">
      {failed}{" "}
      <button type="button" className="word-button" onClick={again}>
        Try again
      </button>
    </p>
  );
  if (tryAgain && !fold) return tryAgain;
  if (!fold || !faces) return <p className="quiet">Folding…</p>;
  const fill = filled && fold.fills ? 1 : 0;
  return (
    <section className="folded" aria-label="The cover folded">
      <div
        className="fold-frame"
        role="application"
        data-fine={fine || undefined}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: it takes keys
        tabIndex={0}
        aria-label={`${reckoning.title}, ${stateOf(share)}. The arrow keys turn it.`}
        onKeyDown={keys}
      >
        {solid ? (
          <Suspense fallback={<p className="quiet">Folding…</p>}>
            <Scene fold={fold} faces={faces} share={share} fill={fill} through={through} hold={hold} lost={lost} />
          </Suspense>
        ) : (
          <Still fold={fold} faces={faces} share={share} fill={fill} turn={turn} hold={holdStill} />
        )}
      </div>
      <div className="fold-hands">
        <label className="fold-slider">
          <span>flat</span>
          <input
            type="range"
            min={0}
            max={100}
            value={Math.round(share * 100)}
            aria-label="From flat to closed"
            aria-valuetext={stateOf(share)}
            onChange={(e) => setShare(Number(e.target.value) / 100)}
          />
          <span>closed</span>
        </label>
        {fold.fills && (
          <label className="greys">
            <input type="checkbox" checked={filled} onChange={(e) => setFilled(e.target.checked)} /> filled
          </label>
        )}
        {fold.solids.length > 0 && solid && (
          <label className="greys">
            <input type="checkbox" checked={through} onChange={(e) => setThrough(e.target.checked)} /> see what is
            inside
          </label>
        )}
        {reckoning.pieces.some((p) => p.grain) && (
          <label className="greys">
            <input type="checkbox" checked={ways} onChange={(e) => setWays(e.target.checked)} /> which way the fabric
            runs
          </label>
        )}
        <button type="button" className="word-button" onClick={save}>
          Save this picture
        </button>
      </div>
      {tryAgain ? (
        <>
          <p className="soft fold-note">Folded as it was before the last change.</p>
          {tryAgain}
        </>
      ) : (
        <Room inside={fold.inside} />
      )}
      {!solid && (
        <p className="soft fold-note">
          Drawn still: this browser has no 3-D graphics. The arrow keys turn it here too.
        </p>
      )}
    </section>
  );
}

function stateOf(share: number): string {
  if (share === 0) return "flat";
  return share === 1 ? "closed" : `${Math.round(share * 100)}% closed`;
}

/** What the closed cover leaves room for, with its sums. */
function Room({ inside }: { inside: FoldInside[] }) {
  return (
    <p className="fold-room">
      <span className="soft">Closed it holds </span>
      {inside.map((one, i) => (
        <span key={one.name} title={one.text}>
          {i > 0 && <span className="soft"> × </span>}
          <strong>
            <T>{one.room.text}</T>
          </strong>{" "}
          <span className="soft">
            {one.name} (<T>{one.text}</T>){!one.fits && ", which is not what was wanted"}
          </span>
        </span>
      ))}
    </p>
  );
}

/** How a plan folds; what was asked before stays until its answer is there. */
function useFold(plan: Plan) {
  const [fold, setFold] = useState<FoldShown | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const [tries, setTries] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a further try asks the same once more
  useEffect(() => {
    const stop = new AbortController();
    ask<FoldShown>("POST", "/fold", plan, { signal: stop.signal }).then(
      (answer) => {
        setFailed(null);
        if (answer.leaves.length > 0) setFold(answer);
      },
      (error) => !stop.signal.aborted && setFailed(sentence(error)),
    );
    return () => stop.abort();
  }, [plan, tries]);
  return { fold, failed, again: () => setTries((n) => n + 1) };
}

/** The pictures of all pieces: soon coarse ones, then fine ones where they are wanted; what was drawn before stays until then. */
function useFaces(
  reckoning: Reckoning,
  fold: FoldShown | null,
  swatches: Record<string, Swatch>,
  ways: boolean,
  refined: boolean,
) {
  const shown = useMemo(() => new Map(fold?.pieces.map((p) => [p.name, p])), [fold]);
  const outside = useCallback(
    (p: Piece, detail: Detail) => outsideOf(p, shown.get(p.name), reckoning, swatches, ways, detail),
    [shown, reckoning, swatches, ways],
  );
  const depth = useCallback(
    (p: Piece, detail: Detail) => depthOf(p, shown.get(p.name), swatches, detail),
    [shown, swatches],
  );
  const soon = useDrawn(outside, reckoning.pieces, coarse);
  const later = useDrawn(outside, reckoning.pieces, refined && soon.fresh ? refinedDetail : null);
  const depths = useDrawn(depth, reckoning.pieces, coarse).drawn;
  const outsides = soon.fresh && !later.fresh ? soon.drawn : (later.drawn ?? soon.drawn);
  const faces = useMemo(() => {
    if (!outsides || !depths) return null;
    const out: Record<string, Face> = {};
    for (const [name, picture] of Object.entries(outsides)) {
      const below = depths[name];
      if (below) out[name] = { outside: picture, ...below };
    }
    return out;
  }, [outsides, depths]);
  return { faces, fine: later.fresh };
}

/** Something drawn of each piece, by its name, and whether it is what is asked for now. */
function useDrawn<Of>(draw: (piece: Piece, detail: Detail) => Promise<Of>, pieces: Piece[], detail: Detail | null) {
  const [done, setDone] = useState<{ drawn: Record<string, Of>; draw: unknown; pieces: Piece[] } | null>(null);
  useEffect(() => {
    if (!detail) return;
    let stale = false;
    const all = async () => {
      const list = await Promise.all(pieces.map(async (p) => [p.name, await draw(p, detail)] as const));
      if (!stale) setDone({ drawn: Object.fromEntries(list), draw, pieces });
    };
    const begun = setTimeout(() => void all(), detail.after);
    return () => {
      stale = true;
      clearTimeout(begun);
    };
  }, [draw, pieces, detail]);
  return { drawn: done?.drawn ?? null, fresh: done?.draw === draw && done.pieces === pieces };
}

/** A canvas as a PNG. */
export function pictureOf(canvas: HTMLCanvasElement | null): Promise<Blob | null> {
  return new Promise((resolve) => (canvas ? canvas.toBlob(resolve, "image/png") : resolve(null)));
}

function download(blob: Blob, name: string) {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000); // some browsers read it after the click
}

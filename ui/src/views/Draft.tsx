import { lazy, Suspense, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import type { Cell, Cut, Piece, Reckoning, Swatch as SwatchData } from "../api/api.gen";
import { Brief } from "../brief/Brief";
import { Swatch } from "../cloth/Swatch";
import { useDrawn, useOf, usePlan, useShownSum } from "../plan/context";
import { useMoving } from "../plan/moving";
import { put } from "../plan/path";
import { swatchesOf } from "../plan/swatches";
import { Colours, usePainting } from "../sheet/Colours";
import { Files } from "../sheet/Files";
import { HandProvider } from "../sheet/hand";
import { Older } from "../sheet/Older";
import { type Box, boxOf, mm } from "../sheet/PieceDrawing";
import { Sheet } from "../sheet/Sheet";
import { Stitches } from "../sheet/Stitches";
import { useKeys } from "../shell/keys";
import { Tape } from "../tape/Tape";
import { segments } from "../tape/terms";
import { pieces } from "../words/pieces";
import { Len, T } from "../words/T";

/** Loaded when it is opened: it brings three dimensions along. */
const Folded = lazy(() => import("../fold/Folded"));

/** The three sizes a piece goes through, with the line each is drawn in. */
const sizes = [
  { key: "finished", name: "finished", sum: ".finished", line: "finished" },
  { key: "trimmed", name: "trimmed", sum: "", line: "trimmed" },
  { key: "before_quilting", name: "before quilting", sum: ".before_quilting", line: "before" },
] as const;

type SizeKey = (typeof sizes)[number]["key"];
type Axis = "width" | "height";

/** What the tape explains: a piece at one of its sizes, or one cut. */
type Chosen = { piece: string; size: SizeKey } | { cut: string };

/** The brief, the sheet and the tape. */
export function Draft() {
  const { value, session, plan } = usePlan();
  const drawn = useDrawn();
  const older = useOf((s) => s.older);
  const [folded, setFolded] = useState(false);
  useKeys({ f: () => setFolded((now) => !now) });
  const [asked, choose] = useState<Chosen | null>(null);
  const [axis, setAxis] = useState<Axis>("width");
  const [lit, light] = useState<number | null>(null);
  const moving = useMoving();
  useEffect(() => () => session.leaveSheet(), [session]);
  useLaidOut(drawn);
  const cloths = value("/cloths");
  const swatches = useMemo(() => swatchesOf(cloths), [cloths]);
  const paint = usePainting();
  const [colours, setColours] = useState(false);
  const [brush, setBrush] = useState<string | null>(null);
  const [grey, setGrey] = useState(false);
  const [about, take] = useState<string | null>(null);
  const [stitching, setStitching] = useState(false);
  const [thread, setThread] = useState<number | null>(null);
  const [pointed, setPointed] = useState<{ piece: string; cell: Cell } | null>(null);
  const painting = useRef({ paint, brush: colours ? brush : null });
  painting.current = { paint, brush: colours ? brush : null };
  const hand = useMemo(() => ({ about, take }), [about]);
  const takeShape = useCallback(
    (shape: string) => {
      const cloth = painting.current.brush;
      take(shape);
      if (cloth) session.change(put(session.current().plan, `${shape}/cloth`, cloth), `a shape of ${cloth}`);
    },
    [session],
  );
  const selectCell = useCallback((cell: Cell, on: Piece) => {
    if (painting.current.brush) painting.current.paint(on, cell, painting.current.brush);
    choose({ cut: cell.cut });
    light(null);
  }, []);
  const usual = (piece: Piece | undefined): Chosen => ({
    piece: piece?.name ?? "",
    size: quilted(piece) ? "before_quilting" : "trimmed",
  });
  const chosen: Chosen = asked ?? usual(drawn.pieces[0]);
  const cut = "cut" in chosen ? drawn.cuts.find((c) => c.id === chosen.cut) : undefined;
  const piece = "piece" in chosen ? drawn.pieces.find((p) => p.name === chosen.piece) : undefined;
  const at = piece ?? drawn.pieces.find((p) => p.name === cut?.piece) ?? drawn.pieces[0];
  const sewn = stitching && !folded && (at?.shapes.length ?? 0) > 0;
  useShownSum(sumKey(chosen, axis));
  const selected = useMemo(() => new Set(cut ? [cut.id] : []), [cut]);
  return (
    <HandProvider value={hand}>
      <div className="draft">
        <Brief />
        <section className={older ? "desk stale" : "desk"} aria-label="The cover drawn to scale">
          <Older />
          {drawn.pieces.length === 0 ? (
            <p className="empty">Nothing can be cut yet: the brief says what is missing.</p>
          ) : (
            <>
              <Legend
                pieces={drawn.pieces}
                piece={at}
                chosen={chosen}
                choose={choose}
                usual={usual}
                folded={folded}
                setFolded={setFolded}
                colours={colours}
                setColours={setColours}
                stitching={stitching}
                setStitching={(on) => {
                  setStitching(on);
                  setThread(null);
                }}
              />
              {colours && at && (
                <Colours
                  piece={at}
                  brush={brush}
                  take={(letter) => setBrush((now) => (now === letter ? null : letter))}
                  grey={grey}
                  greyed={setGrey}
                  point={(cell) => setPointed(cell && { piece: at.name, cell })}
                />
              )}
              <div className="sheet-place">
                {folded ? (
                  <Suspense fallback={<p className="quiet">Folding…</p>}>
                    <Folded plan={plan} reckoning={drawn} swatches={swatches} />
                  </Suspense>
                ) : (
                  <Sheet
                    reckoning={drawn}
                    swatches={swatches}
                    selected={selected}
                    band={bandOf(drawn, chosen, axis, lit)}
                    select={selectCell}
                    moving={moving}
                    pointed={colours ? pointed : null}
                    each={colours}
                    grey={colours && grey}
                    atHand={about}
                    takeShape={takeShape}
                    stitching={sewn ? { thread } : null}
                  />
                )}
              </div>
              {sewn && at && <Stitches piece={at} reckoning={drawn} thread={thread} point={setThread} />}
              {!colours && !sewn && !folded && (
                <Cuts cuts={drawn.cuts} swatches={swatches} chosen={cut?.id} choose={(id) => choose({ cut: id })} />
              )}
              <Explained
                reckoning={drawn}
                piece={piece}
                cut={cut}
                chosen={chosen}
                axis={axis}
                setAxis={setAxis}
                lit={lit}
                light={light}
              />
            </>
          )}
        </section>
      </div>
    </HandProvider>
  );
}

/** Lays the page out as soon as something is drawn anew: waiting for the next frame it would begin with nothing done. */
function useLaidOut(drawn: Reckoning) {
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked for again with every reckoning
  useLayoutEffect(() => void document.body.getBoundingClientRect(), [drawn]);
}

const quilted = (piece: Piece | undefined) => piece?.quilting != null;

/** The stretch of the sheet that a term of a piece's sum stands for. */
function bandOf(
  reckoning: Reckoning,
  chosen: Chosen,
  axis: Axis,
  lit: number | null,
): { piece: string; box: Box } | null {
  if (lit === null || !("piece" in chosen)) return null;
  const piece = reckoning.pieces.find((p) => p.name === chosen.piece);
  const terms = reckoning.sums[sumKey(chosen, axis)];
  const segment = terms && segments(terms)[lit];
  if (!piece || !segment) return null;
  const whole = boxOf(piece, piece[chosen.size]);
  const [from, length] = [mm(segment.from), mm(segment.to - segment.from)];
  const box =
    axis === "width" ? { ...whole, x: whole.x + from, width: length } : { ...whole, y: whole.y + from, height: length };
  return { piece: piece.name, box };
}

function sumKey(chosen: Chosen, axis: Axis): string {
  if ("cut" in chosen) return `${chosen.cut}.${axis}`;
  return `${chosen.piece}${sizes.find((s) => s.key === chosen.size)?.sum ?? ""}.${axis}`;
}

interface LegendProps {
  pieces: Piece[];
  piece: Piece | undefined;
  chosen: Chosen;
  choose: (c: Chosen) => void;
  usual: (piece: Piece) => Chosen;
  folded: boolean;
  setFolded: (on: boolean) => void;
  colours: boolean;
  setColours: (on: boolean) => void;
  stitching: boolean;
  setStitching: (on: boolean) => void;
}

/** The pieces, and the sizes the one at hand goes through. */
function Legend({
  pieces,
  piece,
  chosen,
  choose,
  usual,
  folded,
  setFolded,
  colours,
  setColours,
  stitching,
  setStitching,
}: LegendProps) {
  if (!piece) return null;
  return (
    <div className="legends">
      <fieldset className="legend" aria-label="Pieces">
        {pieces.map((p) => (
          <button key={p.name} type="button" aria-pressed={p === piece} onClick={() => choose(usual(p))}>
            {p.title}
          </button>
        ))}
        <button type="button" className="try-cloths" aria-pressed={folded} onClick={() => setFolded(!folded)}>
          Fold it up
        </button>
        <button type="button" className="try-cloths" aria-pressed={colours} onClick={() => setColours(!colours)}>
          Try fabrics
        </button>
        {!folded && pieces.some((p) => p.shapes.length > 0) && (
          <button
            type="button"
            className="try-cloths"
            aria-pressed={stitching}
            onClick={() => setStitching(!stitching)}
          >
            Stitched edges
          </button>
        )}
      </fieldset>
      <fieldset className="legend" aria-label={`Sizes of the ${piece.title.toLowerCase()}`}>
        {sizes
          .filter((s) => s.key !== "before_quilting" || quilted(piece))
          .map((s) => (
            <button
              key={s.key}
              type="button"
              aria-pressed={"piece" in chosen && chosen.size === s.key && chosen.piece === piece.name}
              onClick={() => choose({ piece: piece.name, size: s.key })}
            >
              <svg width="28" height="8" aria-hidden="true">
                <line className={`outline ${s.line}`} x1="0" x2="28" y1="4" y2="4" />
              </svg>
              {s.name} <Len of={piece[s.key].width} by={piece[s.key].height} />
            </button>
          ))}
      </fieldset>
    </div>
  );
}

/** Every cut, each a piece of its cloth with what is cut from it. */
function Cuts({
  cuts,
  swatches,
  chosen,
  choose,
}: {
  cuts: Cut[];
  swatches: Record<string, SwatchData>;
  chosen?: string;
  choose: (id: string) => void;
}) {
  const { value } = usePlan();
  const name = (letter: string) => String(value(`/cloths/${letter}/name`) ?? letter);
  return (
    <ul className="cuts" aria-label="All cuts">
      {cuts.map((cut) => (
        <li key={cut.id}>
          <button type="button" aria-pressed={chosen === cut.id} onClick={() => choose(cut.id)}>
            <Swatch of={swatches[cut.cloth]} width={30} height={34} />
            <span>
              <strong>
                {pieces(cut.count)},{" "}
                <T>
                  {cut.width.nm === cut.height.nm && cut.shape !== "template"
                    ? `${cut.width.text} square`
                    : `${cut.width.text} × ${cut.height.text}`}
                </T>
              </strong>
              <span className="soft">
                {cut.title.toLowerCase()}
                {(cut.gives ?? 1) > 1 && `, ${cut.gives} from each`}
                <span className="sr-only"> of {name(cut.cloth)}</span>
              </span>
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

function Explained({
  reckoning,
  piece,
  cut,
  chosen,
  axis,
  setAxis,
  lit,
  light,
}: {
  reckoning: Reckoning;
  piece: Piece | undefined;
  cut: Cut | undefined;
  chosen: Chosen;
  axis: Axis;
  setAxis: (axis: Axis) => void;
  lit: number | null;
  light: (index: number | null) => void;
}) {
  const terms = reckoning.sums[sumKey(chosen, axis)];
  const total = cut?.[axis] ?? (piece && "size" in chosen ? piece[chosen.size][axis] : undefined);
  const direction = axis === "width" ? "across" : "up";
  const { value } = usePlan();
  const title = cut
    ? `${cut.title} of ${value(`/cloths/${cut.cloth}/name`) ?? cut.cloth}, ${direction}, as cut`
    : `${piece?.title}, ${direction}, ${sizes.find((s) => "size" in chosen && s.key === chosen.size)?.name}`;
  return (
    <section className="foot" aria-label="The sum of what is selected">
      <fieldset className="axis" aria-label="Direction of the sum">
        {(["width", "height"] as const).map((a) => (
          <button key={a} type="button" aria-pressed={axis === a} onClick={() => setAxis(a)}>
            {a === "width" ? "across" : "up"}
          </button>
        ))}
      </fieldset>
      {!total && <p className="quiet">Select a piece or a cut to see its sum.</p>}
      {total && !terms && <p className="quiet late">Its sum comes with the server’s answer.</p>}
      {total && terms && (
        <Tape
          title={title}
          terms={terms}
          total={total}
          lit={lit}
          light={light}
          aside={
            cut ? (
              <Files sort="template" of={cut.id} what={cut.title} />
            ) : (
              piece && <Files sort="piece" of={piece.name} what={piece.title} />
            )
          }
        />
      )}
    </section>
  );
}

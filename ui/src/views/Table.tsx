import { useEffect, useState } from "react";
import { Link } from "react-router";
import type { Cut as CutData, Placed } from "../api/api.gen";
import { Swatch } from "../cloth/Swatch";
import { Lay } from "../lay/Lay";
import { usePlan } from "../plan/context";
import { swatchesOf } from "../plan/swatches";
import { mm } from "../sheet/PieceDrawing";
import { T } from "../words/T";
import { howCut } from "./Cut";
import { keyOf, type Move, movesOf, nextOf, piecesOf, these } from "./moves";
import { useSpoil, useTick } from "./ticking";

/** Keeps the screen awake while it is open, where the device lets it. */
function useAwake() {
  useEffect(() => {
    let held: WakeLockSentinel | null = null;
    let left = false;
    const hold = () => {
      if (document.visibilityState !== "visible") return;
      navigator.wakeLock?.request("screen").then(
        (lock) => {
          held = lock;
          if (left) void lock.release();
        },
        () => {
          // The device saves its battery: it may sleep.
        },
      );
    };
    hold();
    document.addEventListener("visibilitychange", hold);
    return () => {
      left = true;
      document.removeEventListener("visibilitychange", hold);
      void held?.release();
    };
  }, []);
}

/** The cuts one at a time in large type, for one thumb at the cutting table. */
export function Table() {
  const { reckoning, value } = usePlan();
  const swatches = swatchesOf(value("/cloths"));
  const moves = movesOf(reckoning);
  const [key, go] = useState<string | null>(null);
  const tick = useTick();
  const spoil = useSpoil();
  const [note, setNote] = useState<string | null>(null);
  useAwake();
  const move = moves.find((m) => keyOf(m) === key) ?? moves[0];
  const waiting = reckoning.cuts.filter((c) => c.waits && !c.done);
  if (!move) {
    return (
      <div className="table-mode">
        <div className="table-move">
          <h1>All is cut</h1>
          <p>
            {waiting.length > 0
              ? `${waiting.map((c) => `${c.title.toLowerCase()}, cut after ${c.waits_for} is measured`).join("; ")}.`
              : "Nothing waits."}
          </p>
        </div>
        <Link className="table-leave" to="../cut">
          Back to the cutting layouts
        </Link>
      </div>
    );
  }
  const at = moves.indexOf(move);
  const done = () => {
    const next = nextOf(moves, move);
    go(next ? keyOf(next) : null);
    setNote(null);
    for (const cut of move.ends) tick(cut.id, true);
  };
  const back = () => {
    const before = moves[at - 1];
    if (before) go(keyOf(before));
  };
  const spoiled = (cut: CutData) => {
    spoil(cut.id);
    setNote(
      `“${cut.title}” is in the cutting layout once more: cut it from what is left of ${move.spread.cloth.name}.`,
    );
  };
  const { cloth } = move.spread;
  return (
    <div className="table-mode">
      <header>
        <Link className="table-leave" to="../cut">
          Back to the cutting layouts
        </Link>
        <span className="soft">
          {at + 1} of {moves.length}
        </span>
      </header>
      <section className="table-move" aria-live="polite">
        <p className="table-cloth">
          <Swatch of={swatches[cloth.cloth]} width={72} height={56} />
          <span>
            {cloth.name}
            {move.spread.odd && (
              <T>
                {move.spread.odd.count === 1
                  ? `, the offcut ${move.spread.odd.width.text} × ${move.spread.odd.length.text}`
                  : `, ${move.spread.odd.count} offcuts ${move.spread.odd.width.text} × ${move.spread.odd.length.text}`}
              </T>
            )}
          </span>
        </p>
        <Told move={move} />
        {cloth.short.nm > 0 && !move.spread.odd && (
          <p className="stop-text">
            <T>{`This fabric is ${cloth.short.text} short: ${cloth.buy_text} has to be bought in one piece.`}</T>
          </p>
        )}
        {note && <p>{note}</p>}
        <p className="caution">
          Close the rotary cutter after every cut, and keep your fingers behind the ruler’s edge.
        </p>
        <div className="table-lay">
          <Lay
            lay={move.spread.lay}
            whole={move.spread.odd?.length.nm}
            among={mm(cloth.lay.width.nm)}
            cuts={reckoning.cuts}
            pieces={reckoning.pieces}
            strips={reckoning.edge_strips}
            swatch={swatches[cloth.cloth]}
            about={(p) => shows(move, p, reckoning.cuts[p.cut])}
          />
        </div>
      </section>
      <footer>
        <button type="button" className="table-back" disabled={at === 0} onClick={back}>
          Back
        </button>
        {move.parts.map(({ cut }) => (
          <button key={cut.id} type="button" className="table-back" onClick={() => spoiled(cut)}>
            One spoiled{move.parts.length > 1 && `: ${cut.title.toLowerCase()}`}
          </button>
        ))}
        <button type="button" className="table-done" onClick={done}>
          {move.parts.length > 0 ? "Cut" : "Done"}
        </button>
      </footer>
    </div>
  );
}

/** Tells whether a piece is cut by a move; all of a strip are while the strip is. */
function shows(move: Move, placed: Placed, cut: CutData | undefined) {
  if (move.strips.length > 0 && !move.strips.includes(placed.strip)) return false;
  if (move.parts.length === 0) return move.strips.length > 0;
  return move.parts.some((p) => p.cut === cut) && (move.strips.length === 0 || placed.width.text === move.ruler);
}

function Told({ move }: { move: Move }) {
  const { strips, parts, columns, ruler, spread } = move;
  const from = strips[0] ?? 1;
  if (parts.length === 0 && strips.length === 0) return <h1>{spread.odd ? "Square one edge" : "Square the end"}</h1>;
  if (parts.length === 0) {
    const lead = !spread.lay.placed.some((p) => p.strip === from);
    return (
      <>
        <h1>
          <T>{`Ruler to ${ruler}`}</T>
        </h1>
        {lead && <p>Cut off so much of it that the first motif lies in the middle of the next strip.</p>}
        {!lead && strips.length === 1 && <p>Cut strip {from} all the way across.</p>}
        {!lead && strips.length > 1 && <p>Cut strips {these(strips)} and lay them on each other, edges even.</p>}
      </>
    );
  }
  const [only] = parts;
  const alone = parts.length === 1 && only?.count === 1;
  const where =
    strips.length === 0 ? "" : strips.length === 1 ? `from strip ${from}: ` : `from strips ${these(strips)} at once: `;
  return (
    <>
      <h1>
        <T>
          {move.asTheyAre
            ? `Take ${spread.odd?.count ?? 1} as they are`
            : strips.length === 0
              ? `Draw round ${only?.count}`
              : `${columns} × ${ruler}`}
        </T>
      </h1>
      {parts.map((part) => (
        <p key={`${part.cut.id} ${part.height.nm}`}>
          <T>{where}</T>
          {!alone && strips.length > 0 && (
            <T>{`${columns > 1 ? "each" : "it"} cut into ${part.count} × ${part.height.text}: `}</T>
          )}
          {part.cut.title.toLowerCase()}
          {howCut(part.cut)}
          {part.trimmed && <T>{`, trimmed to ${part.height.text}`}</T>}.{" "}
          <T>{`${piecesOf(move, part) === 1 ? "It is" : `${piecesOf(move, part)} pieces, each`} ${part.cut.width.text} × ${part.cut.height.text}.`}</T>
        </p>
      ))}
    </>
  );
}

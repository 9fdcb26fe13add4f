import { useEffect, useState } from "react";
import { Link } from "react-router";
import { Swatch } from "../cloth/Swatch";
import { usePlan } from "../plan/context";
import { swatchesOf } from "../plan/swatches";
import { T } from "../words/T";
import { howCut, Lay } from "./Cut";
import { keyOf, type Move, movesOf, nextOf } from "./moves";
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
              ? `${waiting.map((c) => c.title.toLowerCase()).join(", ")}: cut after the front is measured.`
              : "Nothing waits."}
          </p>
        </div>
        <Link className="table-leave" to="../cut">
          Back to the lays
        </Link>
      </div>
    );
  }
  const at = moves.indexOf(move);
  const done = () => {
    const next = nextOf(moves, move);
    go(next ? keyOf(next) : null);
    setNote(null);
    if (move.last && move.cut) tick(move.cut.id, true);
  };
  const back = () => {
    const before = moves[at - 1];
    if (before) go(keyOf(before));
  };
  const spoiled = () => {
    if (!move.cut) return;
    spoil(move.cut.id);
    setNote(`“${move.cut.title}” is in the lay once more: cut it from what is left of ${move.cloth.name}.`);
  };
  return (
    <div className="table-mode">
      <header>
        <Link className="table-leave" to="../cut">
          Back to the lays
        </Link>
        <span className="soft">
          {at + 1} of {moves.length}
        </span>
      </header>
      <section className="table-move" aria-live="polite">
        <p className="table-cloth">
          <Swatch of={swatches[move.cloth.cloth]} width={72} height={56} />
          {move.cloth.name}
        </p>
        <Told move={move} />
        {move.cloth.short.nm > 0 && (
          <p className="stop-text">
            <T>{`This cloth is ${move.cloth.short.text} short: ${move.cloth.buy_text} has to be bought in one piece.`}</T>
          </p>
        )}
        {note && <p>{note}</p>}
        <p className="caution">Close the rotary cutter after every cut, and keep your fingers behind the ruler's edge.</p>
        <div className="table-lay">
          <Lay
            cloth={move.cloth}
            cuts={reckoning.cuts}
            pieces={reckoning.pieces}
            strips={reckoning.edge_strips}
            swatch={swatches[move.cloth.cloth]}
            about={(p) => p.strip === move.strip && (!move.cut || reckoning.cuts[p.cut] === move.cut)}
          />
        </div>
      </section>
      <footer>
        <button type="button" className="table-back" disabled={at === 0} onClick={back}>
          Back
        </button>
        {move.cut && (
          <button type="button" className="table-back" onClick={spoiled}>
            One spoiled
          </button>
        )}
        <button type="button" className="table-done" onClick={done}>
          {move.cut ? "Cut" : "Done"}
        </button>
      </footer>
    </div>
  );
}

function Told({ move }: { move: Move }) {
  if (move.strip === 0) return <h1>Square the end</h1>;
  if (!move.cut) {
    return (
      <>
        <h1>
          <T>{`Ruler to ${move.ruler}`}</T>
        </h1>
        <p>Cut strip {move.strip} all the way across.</p>
      </>
    );
  }
  return (
    <>
      <h1>
        <T>{`${move.count} × ${move.ruler}`}</T>
      </h1>
      <p>
        from strip {move.strip}: {move.cut.title.toLowerCase()}
        {howCut(move.cut)}. <T>{`Each is ${move.cut.width.text} × ${move.cut.height.text}.`}</T>
      </p>
    </>
  );
}

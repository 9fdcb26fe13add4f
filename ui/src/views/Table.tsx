import { useEffect, useState } from "react";
import { Link } from "react-router";
import type { Cut as CutData } from "../api/api.gen";
import { Swatch } from "../cloth/Swatch";
import { Lay } from "../lay/Lay";
import { usePlan, useReckoning } from "../plan/context";
import { swatchesOf } from "../plan/swatches";
import { mm } from "../sheet/PieceDrawing";
import { T } from "../words/T";
import { howCut } from "./Cut";
import { cutsOf, keyOf, movesOf, nextOf } from "./moves";
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
  const { value } = usePlan();
  const reckoning = useReckoning();
  const swatches = swatchesOf(value("/cloths"));
  const moves = movesOf(reckoning);
  const [key, go] = useState<string | null>(null);
  const tick = useTick();
  const spoil = useSpoil();
  const [note, setNote] = useState<string | null>(null);
  useAwake();
  const shown = moves.find((m) => keyOf(m) === key) ?? moves[0];
  const waiting = reckoning.cuts.filter((c) => c.waits && !c.done);
  if (!shown) {
    return (
      <div className="table-mode">
        <div className="table-move">
          <h1>All is cut</h1>
          <p>
            {waiting.length > 0
              ? `${waiting.map((c) => `${c.title.toLowerCase()}, cut once ${c.waits_for} is measured`).join("; ")}.`
              : "Nothing waits."}
          </p>
        </div>
        <Link className="table-leave" to="../cut">
          Back to the cutting layouts
        </Link>
      </div>
    );
  }
  const at = moves.indexOf(shown);
  const { move, spread } = shown;
  const done = () => {
    const next = nextOf(moves, shown);
    go(next ? keyOf(next) : null);
    setNote(null);
    for (const end of move.ends) {
      const cut = reckoning.cuts[end];
      if (cut) tick(cut.id, true);
    }
  };
  const back = () => {
    const before = moves[at - 1];
    if (before) go(keyOf(before));
  };
  const spoiled = (cut: CutData) => {
    spoil(cut.id);
    setNote(`“${cut.title}” is in the cutting layout once more: cut it from what is left of ${spread.cloth.name}.`);
  };
  const { cloth } = spread;
  const given = cutsOf(move, reckoning.cuts);
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
            {spread.odd && (
              <T>
                {spread.odd.count === 1
                  ? `, the offcut ${spread.odd.width.text} × ${spread.odd.length.text}`
                  : `, ${spread.odd.count} offcuts ${spread.odd.width.text} × ${spread.odd.length.text}`}
              </T>
            )}
          </span>
        </p>
        <h1>
          <T>{move.title}</T>
        </h1>
        {move.text && (
          <p>
            <T>{move.text}</T>
          </p>
        )}
        {given.map((cut) => (
          <Further key={cut.id} cut={cut} />
        ))}
        {cloth.short.nm > 0 && !spread.odd && (
          <p className="stop-text">
            <T>{`This fabric is ${cloth.short.text} short: ${cloth.buy_text} has to be bought${cloth.pieces ? "" : " in one piece"}.`}</T>
          </p>
        )}
        {note && <p>{note}</p>}
        <p className="caution">
          Close the rotary cutter after every cut, and keep your fingers behind the ruler’s edge.
        </p>
        <div className="table-lay">
          <Lay
            lay={spread.lay}
            whole={spread.odd?.length.nm}
            among={mm(cloth.lay.width.nm)}
            cuts={reckoning.cuts}
            pieces={reckoning.pieces}
            strips={reckoning.edge_strips}
            swatch={swatches[cloth.cloth]}
            about={(i) => move.places.includes(i)}
          />
        </div>
      </section>
      <footer>
        <button type="button" className="table-back" disabled={at === 0} onClick={back}>
          Back
        </button>
        {given.map((cut) => (
          <button key={cut.id} type="button" className="table-back" onClick={() => spoiled(cut)}>
            One spoiled{given.length > 1 && `: ${cut.title.toLowerCase()}`}
          </button>
        ))}
        <button type="button" className="table-done" onClick={done}>
          {given.length > 0 ? "Cut" : "Done"}
        </button>
      </footer>
    </div>
  );
}

/** What is done with the pieces of a cut once the ruler. */
function Further({ cut }: { cut: CutData }) {
  const how = howCut(cut);
  return how === null ? null : (
    <p className="soft">
      {cut.title}
      {how}.
    </p>
  );
}

import { type KeyboardEvent, useMemo, useState } from "react";
import type { Cell, Cut, Piece } from "../api/api.gen";
import { Choice } from "../brief/Choice";
import { useLetters } from "../brief/letters";
import { Swatch } from "../cloth/Swatch";
import { useDrawn, usePlan } from "../plan/context";
import { type FaceDoc, painted, swapped } from "../plan/paint";
import { get, put } from "../plan/path";
import { swatchesOf } from "../plan/swatches";
import { aboutsOf } from "../sew/moment";

/** Gives cells another cloth: by the face that the plan has for their piece. */
export function usePainting() {
  const { plan, rework } = usePlan();
  const drawn = useDrawn();
  return (piece: Piece, cell: Cell, cloth: string) => {
    const own = `/pieces/${piece.config}/face`;
    const path = get(plan, own) === undefined && get(plan, "/pieces/*/face") !== undefined ? "/pieces/*/face" : own;
    const face = (get(plan, path) ?? { kind: "plain" }) as FaceDoc;
    const abouts = aboutsOf(drawn.cuts);
    const about = (c: Cell) => ({ cell: c, about: abouts(c) ?? { role: "" } });
    const next = painted(face, about(cell), piece.cells.map(about), cloth);
    if (next)
      rework(
        (now) => put(now, path, next),
        `${cell.row ? `row ${cell.row}, patch ${cell.column}` : "a part"} of ${cloth}`,
      );
  };
}

/** Cloths to be tried on the pieces: chosen here, laid on with the pointer or by key. */
export function Colours({
  piece,
  brush,
  take,
  grey,
  greyed,
  point,
}: {
  piece: Piece;
  brush: string | null;
  take: (letter: string) => void;
  grey: boolean;
  greyed: (on: boolean) => void;
  /** Shows a cell on the sheet as the one at hand. */
  point: (cell: Cell | null) => void;
}) {
  const { value, plan, rework } = usePlan();
  const drawn = useDrawn();
  const letters = useLetters().filter((l) => /^[A-Z]$/.test(l.value));
  const described = value("/cloths");
  const swatches = useMemo(() => swatchesOf(described), [described]);
  const counts = new Map<string, number>();
  for (const cell of piece.cells) counts.set(cell.cloth, (counts.get(cell.cloth) ?? 0) + 1);
  const [one, setOne] = useState("");
  const [other, setOther] = useState("");
  const a = one || letters[0]?.value || "A";
  const b = other || letters[1]?.value || a;
  const path = `/pieces/${piece.config}/face`;
  const swap = () =>
    rework((now) => put(now, path, swapped((get(plan, path) ?? {}) as FaceDoc, a, b)), `${a} and ${b} changed`);
  return (
    <section className="colours" aria-label="Fabrics to try">
      <fieldset className="brushes">
        <legend className="sr-only">Fabric to lay on</legend>
        {letters.map(({ value: letter, name }) => (
          <button key={letter} type="button" aria-pressed={brush === letter} onClick={() => take(letter)}>
            <Swatch of={swatches[letter]} width={26} height={26} />
            <span>
              <kbd>{letter}</kbd> {name} <span className="soft">× {counts.get(letter) ?? 0}</span>
            </span>
          </button>
        ))}
      </fieldset>
      <span className="swap">
        Change <Choice label="First fabric to change" value={a} options={letters} choose={setOne} /> and{" "}
        <Choice label="Second fabric to change" value={b} options={letters} choose={setOther} />{" "}
        <button type="button" className="word-button" disabled={a === b} onClick={swap}>
          over
        </button>
      </span>
      <label className="greys">
        <input type="checkbox" checked={grey} onChange={(e) => greyed(e.target.checked)} /> as greys
      </label>
      <ByKey
        piece={piece}
        cuts={drawn.cuts}
        name={(l) => String(value(`/cloths/${l}/name`) ?? l)}
        letters={letters.map((l) => l.value)}
        point={point}
      />
    </section>
  );
}

/** The patches by key: arrows go from one to the next, a letter gives it that cloth. */
function ByKey({
  piece,
  cuts,
  name,
  letters,
  point,
}: {
  piece: Piece;
  cuts: Cut[];
  name: (letter: string) => string;
  letters: string[];
  point: (cell: Cell | null) => void;
}) {
  const paint = usePainting();
  const [at, go] = useState(0);
  const order = useMemo(() => inReadingOrder(piece.cells), [piece.cells]);
  const cell = order[Math.min(at, order.length - 1)];
  if (!cell) return null;
  const keys = (e: KeyboardEvent) => {
    if (e.ctrlKey || e.metaKey || e.altKey) return;
    const letter = e.key.toUpperCase();
    const next = e.key.startsWith("Arrow") ? neighbour(order, cell, e.key) : null;
    if (next) {
      e.preventDefault();
      go(order.indexOf(next));
      point(next);
    } else if (e.key.length === 1) {
      e.stopPropagation(); // a letter is a cloth here, and no shortcut
      if (!letters.includes(letter)) return;
      e.preventDefault();
      paint(piece, cell, letter);
    }
  };
  const where =
    cell.row && cell.column
      ? `Row ${cell.row}, patch ${cell.column}`
      : (cuts.find((c) => c.id === cell.cut)?.title ?? "Part");
  return (
    <span
      className="by-key"
      role="application"
      // biome-ignore lint/a11y/noNoninteractiveTabindex: it takes keys
      tabIndex={0}
      aria-label="Patches by key: arrows go from one to the next, a letter gives it that fabric"
      onKeyDown={keys}
      onFocus={() => point(cell)}
      onBlur={() => point(null)}
    >
      <span aria-live="polite">
        {where}: {name(cell.cloth)}
      </span>
    </span>
  );
}

const middle = (c: Cell) => [c.x + c.width / 2, c.y + c.height / 2] as const;

function inReadingOrder(cells: readonly Cell[]): Cell[] {
  return [...cells].sort((p, q) => middle(p)[1] - middle(q)[1] || middle(p)[0] - middle(q)[0]);
}

/** The next cell in the direction of an arrow: the nearest one that lies more that way than aside. */
function neighbour(cells: Cell[], from: Cell, key: string): Cell | null {
  const [dx, dy] = (
    { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowDown: [0, 1], ArrowUp: [0, -1] } as Record<string, [number, number]>
  )[key] ?? [0, 0];
  const [x, y] = middle(from);
  let best: Cell | null = null;
  let least = Number.POSITIVE_INFINITY;
  for (const c of cells) {
    const [cx, cy] = middle(c);
    const along = (cx - x) * dx + (cy - y) * dy;
    const aside = Math.abs((cx - x) * dy) + Math.abs((cy - y) * dx);
    if (along <= 0 || aside > along || along + 2 * aside >= least) continue;
    least = along + 2 * aside;
    best = c;
  }
  return best;
}

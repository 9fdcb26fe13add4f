import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useState } from "react";
import { Link } from "react-router";
import type { ClothNeed, Cut as CutData, Reckoning, Swatch as SwatchData } from "../api/api.gen";
import { School } from "../brief/School";
import { Findings } from "../brief/Thread";
import { Swatch } from "../cloth/Swatch";
import { Lay } from "../lay/Lay";
import { usePlan } from "../plan/context";
import { within } from "../plan/path";
import { swatchesOf } from "../plan/swatches";
import { Files } from "../sheet/Files";
import { mm } from "../sheet/PieceDrawing";
import { pieces } from "../words/pieces";
import { Len, T } from "../words/T";
import { InCupboard } from "./InCupboard";
import { cutsOf, keyOf, type Move, type Spread, spreadsOf, these } from "./moves";
import { ShorterLay } from "./ShorterLay";
import { useTick } from "./ticking";

/** The lay of every cloth with its cuts in order. */
export function Cut() {
  const { id, reckoning, value } = usePlan();
  const swatches = swatchesOf(value("/cloths"));
  if (reckoning.cloths.length === 0) {
    return (
      <div className="page">
        <h1>Cut</h1>
        <p className="empty">Nothing can be cut yet.</p>
        <Findings of={reckoning.findings.filter((f) => f.level === "stop")} />
      </div>
    );
  }
  return (
    <div className="page cutting">
      <header className="page-head">
        <h1>Cut {reckoning.title}</h1>
        <button type="button" className="word-button no-print" onClick={() => window.print()}>
          Print the cutting list
        </button>
        <Link className="word-button no-print" to="table">
          Cut at the table
        </Link>
        <Link className="word-button no-print" to="cost">
          What it costs
        </Link>
        <a className="word-button no-print" href={`/api/v1/plans/${id}/cuts.csv`} download>
          Download as CSV
        </a>
      </header>
      <p className="caution">
        Close the rotary cutter after every cut, cut away from yourself, and keep your fingers behind the ruler’s edge.
      </p>
      <p>
        Pieces are cut <School of="lay" label="How pieces are cut" />.{" "}
        <span className="soft">On the drawings the selvedges lie left and right, the squared end at the top.</span>
      </p>
      <Findings of={reckoning.findings.filter((f) => within(f.about, "/cloths") || f.code === "back-cut-early")} />
      {reckoning.cloths.map((cloth) => (
        <ClothSection key={cloth.cloth} cloth={cloth} reckoning={reckoning} swatch={swatches[cloth.cloth]} />
      ))}
    </div>
  );
}

function ClothSection({ cloth, reckoning, swatch }: { cloth: ClothNeed; reckoning: Reckoning; swatch?: SwatchData }) {
  return (
    <section className="cloth-section" aria-label={`Fabric ${cloth.name}`}>
      <div className="cloth-head">
        <Swatch of={swatch} width={56} height={44} />
        <div>
          <h2>{cloth.name}</h2>
          <p>
            <Amounts cloth={cloth} /> <Shortest cloth={cloth} />
          </p>
          <ShorterLay cloth={cloth} />
          <InCupboard cloth={cloth} />
          {cloth.lay.placed.length > 0 && (
            <Files sort="lay" of={cloth.cloth} what={`The cutting layout of ${cloth.name}`} />
          )}
        </div>
      </div>
      {spreadsOf(cloth).map((spread) => (
        <div className="cloth-body" key={spread.key}>
          <Lay
            lay={spread.lay}
            whole={spread.odd?.length.nm}
            among={mm(cloth.lay.width.nm)}
            cuts={reckoning.cuts}
            pieces={reckoning.pieces}
            strips={reckoning.edge_strips}
            swatch={swatch}
          />
          <div className="cut-order">
            <Order spread={spread} cuts={reckoning.cuts} />
            {!spread.odd && <Ticks cloth={cloth} cuts={reckoning.cuts} />}
          </div>
        </div>
      ))}
      {cloth.lay.placed.length === 0 && <Ticks cloth={cloth} cuts={reckoning.cuts} />}
    </section>
  );
}

/** How much shorter the lay could be at best. */
function Shortest({ cloth: { lay, done } }: { cloth: ClothNeed }) {
  if (lay.placed.length === 0 || done) return null;
  const why = limits[lay.limit] ?? "";
  if (lay.length.nm <= lay.bound.nm) return <span className="soft">No cutting layout is shorter: {why}.</span>;
  return (
    <span className="soft">
      <T>
        {`The cutting layout is ${lay.length.text}; none is shorter than ${lay.bound.text}: ${why}${lay.certain ? ". With straight cuts all the way through, none is shorter than this" : ""}.`}
      </T>
    </span>
  );
}

const limits: Record<string, string> = {
  area: "its pieces cover that much",
  tallest: "its tallest piece takes that",
  width: "pieces too wide to lie side by side take that",
  heights: "no heights of its pieces add up to less",
};

/** Have, need, buy: in a sentence. */
function Amounts({ cloth }: { cloth: ClothNeed }) {
  if (cloth.need.nm === 0) return <>All of it comes from offcuts.</>;
  if (cloth.done) return <>All is cut.</>;
  const need = (
    <>
      Takes{" "}
      <strong>
        <Len of={cloth.need} />
      </strong>{" "}
      with its end squared
    </>
  );
  if (!cloth.have) {
    return (
      <>
        {need}. Buy{" "}
        <strong>
          <T>{cloth.buy_text}</T>
        </strong>
        .
      </>
    );
  }
  return (
    <>
      {need}; there are{" "}
      <strong>
        <Len of={cloth.have} />
      </strong>
      {cloth.short.nm > 0 ? (
        <>
          , <strong className="stop-text">{<Len of={cloth.short} />} short</strong>. Buy{" "}
          <strong>
            <T>{cloth.buy_text}</T>
          </strong>{" "}
          in one piece.
        </>
      ) : (
        <>: enough.</>
      )}
    </>
  );
}

/** The cuts of a piece of cloth in the order they are made: strips, columns, pieces. */
function Order({ spread, cuts }: { spread: Spread; cuts: CutData[] }) {
  const groups = grouped(cutsOf(spread, cuts, () => true));
  const waits = groups.map(
    (group) => group.flatMap((move) => move.parts).find(({ cut }) => cut.waits && !cut.done)?.cut.waits_for,
  );
  return (
    <>
      {spread.odd && (
        <h3>
          <T>
            {spread.odd.count === 1
              ? `From the offcut, ${spread.odd.width.text} × ${spread.odd.length.text}`
              : `From ${spread.odd.count} offcuts, ${spread.odd.width.text} × ${spread.odd.length.text} each, up to four on each other`}
          </T>
        </h3>
      )}
      {spread.odd && <p className="soft">Its grain runs up and down, as it is drawn.</p>}
      <ol>
        {groups.map(([first, ...out], i) => (
          <li key={`${keyOf(first)} ${first.columns}`}>
            {waits[i] && waits[i] !== waits[i - 1] && (
              <em className="waits-note">When {waits[i]} is measured; until then the rest stays uncut. </em>
            )}
            <Told move={first} />
            {out.length > 0 && (
              <ul className="sub-cuts">
                {out.map((move) => (
                  <li key={`${keyOf(move)} ${move.columns}`}>
                    <Told move={move} />
                  </li>
                ))}
              </ul>
            )}
          </li>
        ))}
      </ol>
    </>
  );
}

/** Every strip with what is cut out of it. */
function grouped(moves: Move[]): [Move, ...Move[]][] {
  const groups: [Move, ...Move[]][] = [];
  for (const move of moves) {
    const last = groups.at(-1);
    if (last && move.strips.length > 0 && move.parts.length > 0) last.push(move);
    else groups.push([move]);
  }
  return groups;
}

/** A move in a sentence. */
export function Told({ move }: { move: Move }) {
  const { spread, strips, parts, columns, ruler } = move;
  if (parts.length === 0 && strips.length === 0) return <>{spread.odd ? "Square one edge." : "Square the end."}</>;
  if (parts.length === 0) {
    const from = strips[0] ?? 1;
    if (!spread.lay.placed.some((p) => p.strip === from)) {
      return (
        <>
          Cut off up to{" "}
          <strong>
            <T>{ruler}</T>
          </strong>
          , just so much that the first motif lies in the middle of the next strip.
        </>
      );
    }
    return (
      <>
        Set the ruler to{" "}
        <strong>
          <T>{ruler}</T>
        </strong>{" "}
        and cut{" "}
        {strips.length === 1
          ? `strip ${from}`
          : `strips ${these(strips)}, lay them on each other with their edges even`}
        {strips.length === 1 ? " all the way across." : "."}
      </>
    );
  }
  if (move.asTheyAre) {
    const [part] = parts;
    return (
      <T>
        {`Take ${spread.odd?.count ?? 1} as they are, ${part?.cut.width.text} × ${part?.cut.height.text} (${part?.cut.title.toLowerCase()}): measure them, and square nothing off.`}
      </T>
    );
  }
  if (strips.length === 0) {
    const [part] = parts;
    return (
      <T>
        {`Draw round ${pieces(part?.count ?? 0)}, ${part?.cut.width.text} × ${part?.cut.height.text} (${part?.cut.title.toLowerCase()}) and cut them out.`}
      </T>
    );
  }
  const [only] = parts;
  if (only?.cut.centred) {
    return (
      <T>{`${columns} × ${ruler} × ${only.height.text}, each round its motif (${only.cut.title.toLowerCase()})`}</T>
    );
  }
  if (parts.length === 1 && only?.count === 1) {
    return (
      <T>{`${columns} × ${ruler}${only.trimmed ? `, trimmed to ${only.height.text}` : ""} (${only.cut.title.toLowerCase()})`}</T>
    );
  }
  return (
    <T>
      {`${columns} × ${ruler}, ${columns > 1 ? "each cut apart" : "cut apart"}: ${parts.map((p) => `${p.count} × ${p.height.text} (${p.cut.title.toLowerCase()})`).join(", ")}`}
    </T>
  );
}

/** The cuts of a cloth, to be ticked off. */
function Ticks({ cloth, cuts }: { cloth: ClothNeed; cuts: CutData[] }) {
  const { value } = usePlan();
  const mine = cuts.filter((cut) => cut.cloth === cloth.cloth);
  const ticked = (value("/progress/cut") ?? {}) as Record<string, unknown>;
  const copies = Number(value("/copies") ?? 1);
  const [early, ask] = useState<CutData | null>(null);
  const keep = useTick();
  const tick = (cut: CutData, done: boolean) => (done && cut.waits ? ask(cut) : keep(cut.id, done));
  return (
    <>
      <ul className="ticks">
        {mine.map((cut) => (
          <li key={cut.id}>
            <label>
              <input type="checkbox" checked={cut.id in ticked} onChange={(e) => tick(cut, e.target.checked)} />
              <span>
                {pieces(cut.total - (cut.spoiled ?? 0))}, <T>{`${cut.width.text} × ${cut.height.text}`}</T>{" "}
                <span className="soft">
                  {cut.title.toLowerCase()}
                  {howCut(cut)}
                  {copies > 1 && `, ${cut.count} for each cover`}
                </span>
                {(cut.spoiled ?? 0) > 0 && <strong> and {cut.spoiled} more for what was spoiled</strong>}
                {cut.waits && !cut.done && (
                  <em className="waits-note"> — cut after {cut.waits_for} is measured; its fabric is kept</em>
                )}
              </span>
            </label>
          </li>
        ))}
      </ul>
      <Dialog open={early !== null} onClose={() => ask(null)} aria-labelledby="early-title">
        <DialogTitle id="early-title">Cut it before {early?.waits_for} is measured?</DialogTitle>
        <DialogContent>
          <p>
            The {early?.title.toLowerCase()} is planned{" "}
            <T>{early ? `${early.width.text} × ${early.height.text}` : ""}</T>. Seams and quilting seldom come out as
            planned: cut to the planned size, it may not fit {early?.waits_for} you sew. Its fabric is kept for it
            meanwhile.
          </p>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => ask(null)} autoFocus>
            It waits
          </Button>
          <Button
            onClick={() => {
              if (early) keep(early.id, true);
              ask(null);
            }}
          >
            It is cut
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}

/** What is done with a piece after it is cut with the ruler. */
export function howCut(cut: CutData): React.ReactNode {
  return (
    <>
      {shaped(cut)}
      {cut.centred && ", a motif in its middle"}
      {cut.selvedge && ", one edge on a selvedge"}
    </>
  );
}

function shaped(cut: CutData): React.ReactNode {
  const give = cut.patches === undefined ? "" : ` for ${cut.patches} patches`;
  const finish = cut.as ? `, finished ${cut.as}` : "";
  switch (cut.shape) {
    case "template":
      return cut.patches === undefined ? ", then to its outline" : `,${give}`;
    case "strip":
      if (!cut.as) return null;
      return <T>{`, cut from a strip${give}${finish}`}</T>;
    case "half-square":
      return (
        <T>
          {(cut.gives ?? 2) > 2
            ? `, sewn in pairs along both diagonals${give}${finish}`
            : `, cut once on the diagonal${give}${finish}`}
        </T>
      );
    case "quarter-square":
      return <T>{`, cut twice on the diagonals${give}${finish}`}</T>;
  }
  return cut.as ? <T>{finish}</T> : null;
}

import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useState } from "react";
import { Link } from "react-router";
import type { ClothNeed, Cut as CutData, Move, Reckoning, Swatch as SwatchData, Term } from "../api/api.gen";
import { sentence } from "../api/client";
import { useSold } from "../api/queries";
import { School } from "../brief/School";
import { Findings } from "../brief/Thread";
import { Swatch } from "../cloth/Swatch";
import { Lay } from "../lay/Lay";
import { useOf, usePlan, useReckoning } from "../plan/context";
import { within } from "../plan/path";
import { swatchesOf } from "../plan/swatches";
import { PlanUnits } from "../sew/Units";
import { Files } from "../sheet/Files";
import { mm } from "../sheet/PieceDrawing";
import { Tape } from "../tape/Tape";
import { pieces } from "../words/pieces";
import { Len, T } from "../words/T";
import { InCupboard } from "./InCupboard";
import { grouped, keyOf, type Spread, spreadsOf } from "./moves";
import { ShorterLay } from "./ShorterLay";
import { useTick } from "./ticking";

/** The lay of every cloth with its cuts in order. */
export function Cut() {
  const { id, value } = usePlan();
  const reckoning = useReckoning();
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
        {reckoning.back && (
          <Link className="word-button no-print" to={`/cloth/become?plan=${id}`}>
            What else could it be?
          </Link>
        )}
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
      <Findings
        of={reckoning.findings.filter(
          (f) => within(f.about, "/cloths") || within(f.about, "/made") || f.code === "back-cut-early",
        )}
      />
      <PlanUnits />
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
          <HowMuch cloth={cloth} terms={reckoning.sums[`cloth.${cloth.cloth}`]} />
          <OtherWidths cloth={cloth} />
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
            <Order spread={spread} />
            {!spread.odd && <Ticks cloth={cloth} cuts={reckoning.cuts} />}
          </div>
        </div>
      ))}
      {cloth.lay.placed.length === 0 && <Ticks cloth={cloth} cuts={reckoning.cuts} />}
    </section>
  );
}

/** What is needed of a fabric as its sum. */
function HowMuch({ cloth, terms }: { cloth: ClothNeed; terms?: Term[] }) {
  const [lit, light] = useState<number | null>(null);
  if (!terms || cloth.done) return null;
  return (
    <details className="how-much no-print">
      <summary>How that adds up</summary>
      <Tape title={`${cloth.name}, along its length`} terms={terms} total={cloth.need} lit={lit} light={light} />
    </details>
  );
}

/** What would be bought of a fabric that is sold in other widths, or in quarters; looked up when it is opened. */
function OtherWidths({ cloth }: { cloth: ClothNeed }) {
  const { id } = usePlan();
  const revision = useOf((s) => s.revision);
  const [open, setOpen] = useState(false);
  const sold = useSold(id, cloth.cloth, revision, open);
  if (cloth.done || cloth.need.nm === 0) return null;
  return (
    <details className="how-much no-print" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>In other widths</summary>
      <p>
        {sold.isError
          ? sentence(sold.error)
          : sold.data && (
              <T>{sold.data.map((s) => `${s.says}: ${s.takes}`).join(" · ") || "It fits on no other width."}</T>
            )}
      </p>
    </details>
  );
}

/** How much shorter the cutting layout could be at best, and under which rule. */
function Shortest({ cloth: { lay, done, free } }: { cloth: ClothNeed }) {
  if (lay.placed.length === 0 || done) return null;
  const kept = lay.placed.some((p) => p.room.width.nm > p.width.nm || p.room.height.nm > p.height.nm);
  const why = `${limits[lay.limit] ?? ""}${kept ? ", with what is kept for what waits" : ""}`;
  if (lay.length.nm <= lay.bound.nm) return <span className="soft">No cutting layout is shorter: {why}.</span>;
  const straight = lay.certain ? " With straight cuts all the way through, none is shorter than this" : "";
  const freely = free ? `${straight ? "; placed" : " Placed"} freely it would take ${free.text}` : "";
  return (
    <span className="soft">
      <T>
        {`The cutting layout is ${lay.length.text}; none is shorter than ${lay.bound.text}: ${why}.${straight}${freely}${straight || freely ? "." : ""}`}
      </T>
    </span>
  );
}

const limits: Record<string, string> = {
  area: "its pieces cover that much",
  tallest: "its tallest piece takes that",
  width: "pieces too wide to lie side by side take that",
  heights: "no heights of its pieces add up to less",
  motifs: "its motifs are that far apart",
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
          </strong>
          {cloth.pieces ? "." : " in one piece."}
        </>
      ) : (
        <>: enough.</>
      )}
    </>
  );
}

/** The cuts of a piece of cloth in the order they are made: strips, columns, pieces. */
function Order({ spread }: { spread: Spread }) {
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
        {grouped(spread.moves).map(([first, ...out]) => (
          <li key={keyOf({ spread, move: first })}>
            <Told move={first} />
            {out.length > 0 && (
              <ul className="sub-cuts">
                {out.map((move) => (
                  <li key={keyOf({ spread, move })}>
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

/** A move in a sentence. */
function Told({ move }: { move: Move }) {
  return (
    <span className={move.done ? "soft" : undefined}>
      {move.done && "✓ "}
      <strong>
        <T>{move.title}</T>
      </strong>
      <T>{move.text ? `. ${move.text}` : "."}</T>
    </span>
  );
}

/** The cuts of a cloth, to be ticked off. */
function Ticks({ cloth, cuts }: { cloth: ClothNeed; cuts: CutData[] }) {
  const { value } = usePlan();
  const mine = cuts.filter((cut) => cut.cloth === cloth.cloth && cut.total > 0);
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
                  {copies > 1 && (together(cut) ? `, for all ${copies} covers` : `, ${cut.count} for each cover`)}
                  {cut.sewn !== undefined && `, ${cut.sewn} of them in units left from other covers`}
                  {cut.over !== undefined && `, ${cut.over} more than ${cut.over === 1 ? "is" : "are"} needed`}
                </span>
                {(cut.spoiled ?? 0) > 0 && <strong> and {cut.spoiled} more for what was spoiled</strong>}
                {cut.waits && !cut.done && (
                  <em className="waits-note"> — cut once {cut.waits_for} is measured; its fabric is kept</em>
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

/** Pieces that give several patches are cut for all covers together. */
const together = (cut: CutData) => (cut.gives ?? 1) > 1 && cut.patches !== undefined;

/** What is done with a piece after it is cut with the ruler; null where nothing is. */
export function howCut(cut: CutData): React.ReactNode {
  const how = shaped(cut);
  if (how === null && !cut.motif && !cut.selvedge) return null;
  return (
    <>
      {how}
      {cut.motif && `, ${cut.motif}`}
      {cut.selvedge && ", one edge on a selvedge"}
    </>
  );
}

/** Squares that are sewn in pairs are not cut before. */
function halved({ whole = 0, total, spoiled = 0 }: CutData): string {
  if (whole === 0) return "cut once on the diagonal";
  if (whole >= total - spoiled) return "kept whole and sewn in pairs along the diagonal";
  return `${whole} kept whole and sewn in pairs along the diagonal, the rest cut once on it`;
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
            : `, ${halved(cut)}${give}${finish}`}
        </T>
      );
    case "quarter-square":
      return <T>{`, cut twice on the diagonals${give}${finish}`}</T>;
  }
  return cut.as ? <T>{finish}</T> : null;
}

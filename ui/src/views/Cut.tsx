import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useId, useState } from "react";
import { Link } from "react-router";
import type { ClothNeed, Cut as CutData, Piece, Placed, Reckoning, Strips, Swatch as SwatchData, Vertex } from "../api/api.gen";
import { Findings } from "../brief/Thread";
import { Pattern } from "../cloth/Pattern";
import { Swatch } from "../cloth/Swatch";
import { usePlan } from "../plan/context";
import { swatchesOf } from "../plan/swatches";
import { turned } from "../sheet/net";
import { extent, mm, pathOf } from "../sheet/PieceDrawing";
import { SvgText } from "../sheet/SvgText";
import { Len, T } from "../words/T";
import { useTick } from "./ticking";

/** The lay of every cloth with its cuts in order. */
export function Cut() {
  const { reckoning, value } = usePlan();
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
        <p className="caution">
          Close the rotary cutter after every cut, cut away from yourself, and keep your fingers behind the ruler's edge.
        </p>
        <button type="button" className="word-button no-print" onClick={() => window.print()}>
          Print the cutting list
        </button>
        <Link className="word-button no-print" to="table">
          Cut at the table
        </Link>
      </header>
      <Findings of={reckoning.findings.filter((f) => f.about.startsWith("/cloths") || f.code === "back-cut-early")} />
      {reckoning.cloths.map((cloth) => (
        <ClothSection key={cloth.cloth} cloth={cloth} reckoning={reckoning} swatch={swatches[cloth.cloth]} />
      ))}
    </div>
  );
}

function ClothSection({ cloth, reckoning, swatch }: { cloth: ClothNeed; reckoning: Reckoning; swatch?: SwatchData }) {
  return (
    <section className="cloth-section" aria-label={`Cloth ${cloth.name}`}>
      <div className="cloth-head">
        <Swatch of={swatch} width={56} height={44} />
        <div>
          <h2>{cloth.name}</h2>
          <p>
            <Amounts cloth={cloth} /> <Shortest cloth={cloth} />
          </p>
        </div>
      </div>
      <div className="cloth-body">
        <Lay cloth={cloth} cuts={reckoning.cuts} pieces={reckoning.pieces} strips={reckoning.edge_strips} swatch={swatch} />
        <Order cloth={cloth} cuts={reckoning.cuts} />
      </div>
    </section>
  );
}

/** How much shorter the lay could be at best. */
function Shortest({ cloth: { lay } }: { cloth: ClothNeed }) {
  if (lay.placed.length === 0) return null;
  const why = limits[lay.limit] ?? "";
  if (lay.length.nm <= lay.bound.nm) return <span className="soft">No lay is shorter: {why}.</span>;
  return (
    <span className="soft">
      <T>{`The lay is ${lay.length.text}; none is shorter than ${lay.bound.text}: ${why}.`}</T>
    </span>
  );
}

const limits: Record<string, string> = {
  area: "its pieces cover that much",
  tallest: "its tallest piece takes that",
  width: "pieces too wide to lie side by side take that",
};

/** Have, need, buy: in a sentence. */
function Amounts({ cloth }: { cloth: ClothNeed }) {
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

interface LayProps {
  cloth: ClothNeed;
  cuts: CutData[];
  pieces: Piece[];
  strips: Strips[];
  swatch?: SwatchData;
  /** Pieces that stand out; all do when absent. */
  about?: (placed: Placed) => boolean;
}

/** The cloth to scale, selvedges left and right, its pieces where they are cut. */
export function Lay({ cloth, cuts, pieces, strips, swatch, about }: LayProps) {
  const id = useId();
  const { lay } = cloth;
  const width = mm(lay.width.nm);
  const length = mm(lay.length.nm);
  const unit = width / 470;
  const text = 13 * unit;
  return (
    <svg
      className="lay"
      viewBox={`${-unit} ${-text * 1.9} ${width + 2 * unit} ${length + text * 2.2}`}
      role="img"
      aria-label={`${lay.placed.length} pieces on ${lay.width.text} of usable width, using ${lay.length.text} of length`}
      fontSize={text}
    >
      <defs>
        <Pattern id={id} swatch={swatch} />
      </defs>
      <SvgText x={width / 2} y={-text * 0.5} text={text} anchor="middle">
        {`${lay.width.text} between the selvedges · ${lay.length.text} used`}
      </SvgText>
      <rect className="cloth-ground" width={width} height={length} fill={`url(#${id})`} />
      {lay.placed.map((p) => (
        <Laid
          key={`${p.x.nm} ${p.y.nm}`}
          placed={p}
          back={about !== undefined && !about(p)}
          cut={cuts[p.cut]}
          shape={shapeOf(cuts[p.cut], pieces)}
          bias={strips.find((s) => s.cut === cuts[p.cut]?.id && s.cut.endsWith(".bias"))}
          fill={`url(#${id})`}
          text={text}
        />
      ))}
      {lay.strips.map((s, i) => (
        <g key={s.y.nm}>
          <line className="strip-cut" x1={0} x2={width} y1={mm(s.y.nm + s.height.nm)} y2={mm(s.y.nm + s.height.nm)} />
          <text className="strip-number" x={width - text * 0.4} y={mm(s.y.nm) + text * 1.2} textAnchor="end">
            {i + 1}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** The outline that a panel is cut to by its template; none for what the ruler cuts, and for a back, whose template is the front. */
function shapeOf(cut: CutData | undefined, pieces: Piece[]): Piece | undefined {
  return cut?.shape === "template" && cut.patches === undefined && !cut.path && cut.piece !== "back"
    ? pieces.find((p) => p.name === cut.piece)
    : undefined;
}

interface LaidProps {
  placed: Placed;
  /** It stands back. */
  back: boolean;
  cut: CutData | undefined;
  shape: Piece | undefined;
  bias: Strips | undefined;
  fill: string;
  text: number;
}

function Laid({ placed, back, cut, shape, bias, fill, text }: LaidProps) {
  const [x, y, w, h] = [placed.x, placed.y, placed.width, placed.height].map((l) => mm(l.nm)) as [number, number, number, number];
  const label = cut ? `${cut.width.text} × ${cut.height.text}` : "";
  const fits = w > label.length * text * 0.52 && h > text * 1.5;
  return (
    <g opacity={back ? 0.3 : 1}>
      <rect className={`laid${cut?.waits ? " waits" : ""}${cut?.done ? " done" : ""}`} x={x} y={y} width={w} height={h} fill={fill} />
      <rect className="laid-edge halo" x={x} y={y} width={w} height={h} />
      <rect className={`laid-edge${cut?.waits ? " waits" : ""}${cut?.done ? " done" : ""}`} x={x} y={y} width={w} height={h} />
      {shape && <Template piece={shape} placed={placed} />}
      {cut?.line && <PatchTemplate line={cut.line} placed={placed} />}
      {cut?.path && <ShapeTemplate cut={cut} placed={placed} />}
      <Diagonals cut={cut} x={x} y={y} w={w} h={h} />
      {bias && <BiasStrips strips={bias} placed={placed} />}
      {cut?.waits && <path className="wait-mark" d={`M${x} ${y} L${x + w} ${y + h} M${x + w} ${y} L${x} ${y + h}`} />}
      {fits && (
        <foreignObject x={x} y={y} width={w} height={h}>
          <div className="on-cloth" style={{ fontSize: text }}>
            <span>
              <T>{label}</T>
            </span>
          </div>
        </foreignObject>
      )}
    </g>
  );
}

/** The outline of a shape that is laid on, as it is seen from the right side of its cloth. */
function ShapeTemplate({ cut, placed }: { cut: CutData; placed: Placed }) {
  const inset = mm(cut.inset ?? 0);
  const turn = placed.turned ? ` translate(${mm(placed.width.nm)} 0) rotate(90)` : "";
  const over = cut.mirrored ? ` translate(${mm(cut.width.nm) - 2 * inset} 0) scale(-1 1)` : "";
  const transform = `translate(${mm(placed.x.nm)} ${mm(placed.y.nm)})${turn} translate(${inset} ${inset})${over}`;
  return (
    <g className="no-pointer" transform={transform}>
      <path className="template halo" d={cut.path} />
      <path className="template" d={cut.path} />
    </g>
  );
}

/** The outline of a patch that is cut by its template. */
function PatchTemplate({ line, placed }: { line: Vertex[]; placed: Placed }) {
  const turn = placed.turned ? ` translate(${mm(placed.width.nm)} 0) rotate(90)` : "";
  const d = pathOf(line);
  return (
    <g className="no-pointer" transform={`translate(${mm(placed.x.nm)} ${mm(placed.y.nm)})${turn}`}>
      <path className="template halo" d={d} />
      <path className="template" d={d} />
    </g>
  );
}

/** The diagonals that squares are cut along into triangles. */
function Diagonals({ cut, x, y, w, h }: { cut: CutData | undefined; x: number; y: number; w: number; h: number }) {
  if (cut?.shape !== "half-square" && cut?.shape !== "quarter-square") return null;
  const once = `M${x} ${y + h}L${x + w} ${y}`;
  const both = cut.shape === "quarter-square" || (cut.gives ?? 0) > 2;
  const d = both ? `${once}M${x} ${y}L${x + w} ${y + h}` : once;
  return (
    <>
      <path className="diagonal halo no-pointer" d={d} />
      <path className="diagonal no-pointer" d={d} />
    </>
  );
}

/** A piece's outline within the rectangle it is cut out with: what falls off is struck out. */
function Template({ piece, placed }: { piece: Piece; placed: Placed }) {
  const box = turned(extent(piece), placed.turned ? 1 : 0);
  const [x, y, w, h] = [placed.x, placed.y, placed.width, placed.height].map((l) => mm(l.nm)) as [number, number, number, number];
  const at = `translate(${x + (w - box.width) / 2 - box.x} ${y + (h - box.height) / 2 - box.y})${placed.turned ? " rotate(90)" : ""}`;
  const path = pathOf(piece.cut_outline);
  const whole = extent(piece);
  return (
    <g transform={at} className="no-pointer">
      <path
        className="falls-off"
        fillRule="evenodd"
        d={`M${whole.x} ${whole.y} h${whole.width} v${whole.height} h${-whole.width} Z ${path}`}
      />
      <path className="template" d={path} />
    </g>
  );
}

/** Bias strips as they lie on the piece they are cut from. */
function BiasStrips({ strips, placed }: { strips: Strips; placed: Placed }) {
  return (
    <g className="no-pointer" transform={`translate(${mm(placed.x.nm)} ${mm(placed.y.nm)})`}>
      {strips.lie.map(({ corners, length }) => (
        <polygon
          key={`${corners[0]?.x} ${corners[0]?.y}`}
          className="bias-strip"
          points={corners.map((c) => `${mm(c.x)},${mm(c.y)}`).join(" ")}
        >
          <title>{length.text}</title>
        </polygon>
      ))}
    </g>
  );
}

/** The cuts of a cloth in the order they are made: strips, then pieces out of them. */
function Order({ cloth, cuts }: { cloth: ClothNeed; cuts: CutData[] }) {
  const { value } = usePlan();
  const mine = cuts.map((cut, index) => ({ cut, index })).filter(({ cut }) => cut.cloth === cloth.cloth);
  const ticked = (value("/progress/cut") ?? []) as string[];
  const copies = Number(value("/copies") ?? 1);
  const [early, ask] = useState<CutData | null>(null);
  const keep = useTick();
  const tick = (cut: CutData, done: boolean) => (done && cut.waits ? ask(cut) : keep(cut.id, done));
  return (
    <div className="cut-order">
      <ol>
        <li>Square the end.</li>
        {cloth.lay.strips.map((strip, i) => (
          <li key={strip.y.nm}>
            Set the ruler to{" "}
            <strong>
              <Len of={strip.height} />
            </strong>{" "}
            and cut strip {i + 1} all the way across. <SubCuts strip={i + 1} cloth={cloth} cuts={cuts} />
          </li>
        ))}
      </ol>
      <ul className="ticks">
        {mine.map(({ cut }) => (
          <li key={cut.id}>
            <label>
              <input type="checkbox" checked={ticked.includes(cut.id)} onChange={(e) => tick(cut, e.target.checked)} />
              <span>
                {cut.total - (cut.spoiled ?? 0)} × <T>{`${cut.width.text} × ${cut.height.text}`}</T>{" "}
                <span className="soft">
                  {cut.title.toLowerCase()}
                  {howCut(cut)}
                  {copies > 1 && `, ${cut.count} for each cover`}
                </span>
                {(cut.spoiled ?? 0) > 0 && <strong> and {cut.spoiled} more for what was spoiled</strong>}
                {cut.waits && !cut.done && <em className="waits-note"> — cut after the front is measured; its cloth is kept</em>}
              </span>
            </label>
          </li>
        ))}
      </ul>
      <Dialog open={early !== null} onClose={() => ask(null)} aria-labelledby="early-title">
        <DialogTitle id="early-title">Cut it before the front is measured?</DialogTitle>
        <DialogContent>
          <p>
            The {early?.title.toLowerCase()} is planned <T>{early ? `${early.width.text} × ${early.height.text}` : ""}</T>. Seams and
            quilting seldom come out as planned: cut to the planned size, it may not fit the front you sew. Its cloth is kept for it
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
    </div>
  );
}

/** What is done with a piece after it is cut with the ruler. */
export function howCut(cut: CutData): React.ReactNode {
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
          {(cut.gives ?? 2) > 2 ? `, sewn in pairs along both diagonals${give}${finish}` : `, cut once on the diagonal${give}${finish}`}
        </T>
      );
    case "quarter-square":
      return <T>{`, cut twice on the diagonals${give}${finish}`}</T>;
  }
  return cut.as ? <T>{finish}</T> : null;
}

/** What is cut out of one strip, alike pieces together. */
function SubCuts({ strip, cloth, cuts }: { strip: number; cloth: ClothNeed; cuts: CutData[] }) {
  const counts = new Map<string, number>();
  for (const p of cloth.lay.placed.filter((placed) => placed.strip === strip)) {
    const title = cuts[p.cut]?.title.toLowerCase() ?? "";
    const key = `${p.width.text}${p.height.nm < (cloth.lay.strips[strip - 1]?.height.nm ?? 0) ? `, trimmed to ${p.height.text}` : ""} (${title})`;
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  return (
    <>
      From it cut <T>{[...counts].map(([key, n]) => `${n} × ${key}`).join(", ")}</T>.
    </>
  );
}

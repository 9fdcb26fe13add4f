import { useId } from "react";
import type {
  Cut as CutData,
  Lay as LayData,
  Piece,
  Placed,
  Strips,
  Swatch as SwatchData,
  Vertex,
} from "../api/api.gen";
import { Pattern } from "../cloth/Pattern";
import { turned } from "../sheet/net";
import { extent, mm, pathOf } from "../sheet/PieceDrawing";
import { Chip, Lettered, SvgText } from "../sheet/SvgText";
import { ems } from "../words/ems";

interface LayProps {
  lay: LayData;
  /** How long the piece of cloth is; as long as the lay when absent. */
  whole?: number;
  /** The width it is drawn in proportion to, in millimetres; its own when absent. */
  among?: number;
  cuts: CutData[];
  pieces: Piece[];
  strips: Strips[];
  swatch?: SwatchData;
  /** Pieces that stand out; all do when absent. */
  about?: (place: number) => boolean;
}

/** The cloth to scale, selvedges left and right, its pieces where they are cut. */
export function Lay({ lay, whole, among, cuts, pieces, strips, swatch, about }: LayProps) {
  const id = useId();
  const width = mm(lay.width.nm);
  const length = mm(lay.length.nm);
  const wide = Math.max(width, among ?? 0);
  const unit = wide / 470;
  const text = 13 * unit;
  return (
    <svg
      className="lay"
      viewBox={`${-unit} ${-text * 1.9} ${wide + 2 * unit} ${Math.max(length, mm(whole ?? 0)) + text * 2.2}`}
      role="img"
      aria-label={`${lay.placed.length} pieces on ${lay.width.text} of usable width, using ${lay.length.text} of length`}
    >
      <defs>
        <Pattern id={id} swatch={swatch} />
      </defs>
      <SvgText x={width / 2} y={-text * 0.5} text={text} anchor="middle">
        {whole ? lay.width.text : `${lay.width.text} between the selvedges · ${lay.length.text} used`}
      </SvgText>
      <rect className="cloth-ground" width={width} height={Math.max(length, mm(whole ?? 0))} fill={`url(#${id})`} />
      {lay.placed.map((p, i) => (
        <Laid
          key={`${p.x.nm} ${p.y.nm}`}
          placed={p}
          back={about !== undefined && !about(i)}
          cut={cuts[p.cut]}
          shape={shapeOf(cuts[p.cut], pieces)}
          bias={strips.find((s) => s.cut === cuts[p.cut]?.id && s.bias)}
          fill={`url(#${id})`}
          text={text}
        />
      ))}
      {lay.strips.map((s, i) => (
        <g key={s.y.nm}>
          <line className="strip-cut" x1={0} x2={width} y1={mm(s.y.nm + s.height.nm)} y2={mm(s.y.nm + s.height.nm)} />
          {(i === 0 || lay.placed.some((p) => p.strip === i + 1)) && (
            <Lettered
              className="strip-number haloed"
              x={width - text * 0.4}
              y={mm(s.y.nm) + text * 1.2}
              text={text}
              anchor="end"
            >
              {i + 1}
            </Lettered>
          )}
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
  const waits = cut?.waits && !cut.done;
  const at = waits ? placed.room : placed; // what waits may still come out as large as its room
  const [x, y, w, h] = [at.x, at.y, at.width, at.height].map((l) => mm(l.nm)) as [number, number, number, number];
  const label = waits
    ? `${at.width.text} × ${at.height.text} kept`
    : cut
      ? `${cut.width.text} × ${cut.height.text}`
      : "";
  const fits = w > (ems(label) + 1) * text && h > text * 1.5;
  return (
    <g opacity={back ? 0.3 : 1}>
      <rect
        className={`laid${cut?.waits ? " waits" : ""}${cut?.done ? " done" : ""}`}
        x={x}
        y={y}
        width={w}
        height={h}
        fill={fill}
      />
      <rect className="laid-edge halo" x={x} y={y} width={w} height={h} />
      <rect
        className={`laid-edge${cut?.waits ? " waits" : ""}${cut?.done ? " done" : ""}`}
        x={x}
        y={y}
        width={w}
        height={h}
      />
      {shape && <Template piece={shape} placed={placed} />}
      {cut?.line && <PatchTemplate line={cut.line} placed={placed} />}
      {cut?.path && <ShapeTemplate cut={cut} placed={placed} />}
      <Diagonals cut={cut} x={x} y={y} w={w} h={h} />
      {bias && <BiasStrips strips={bias} placed={placed} />}
      {cut?.waits && <path className="wait-mark" d={`M${x} ${y} L${x + w} ${y + h} M${x + w} ${y} L${x} ${y + h}`} />}
      {fits && (
        <Chip x={x + w / 2} y={y + h / 2} text={text}>
          {label}
        </Chip>
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
  const [x, y, w, h] = [placed.x, placed.y, placed.width, placed.height].map((l) => mm(l.nm)) as [
    number,
    number,
    number,
    number,
  ];
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

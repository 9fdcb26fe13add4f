import { flushSync } from "react-dom";
import { createRoot } from "react-dom/client";
import type { BackLie, FoldPiece, Piece, Reckoning, Swatch } from "../api/api.gen";
import { Pattern, plainSwatch } from "../cloth/Pattern";
import { Mark } from "../sheet/Closure";
import { around, mm, PieceDrawing, pathOf, sidesOf } from "../sheet/PieceDrawing";

/** Pictures of a piece to lay on its surface. */
export interface Face {
  /** Its right side. */
  outside: HTMLCanvasElement;
  /** Its inside, and where it stands up: light is high. */
  inside: HTMLCanvasElement;
  relief: HTMLCanvasElement;
}

/** The longest side of a picture in pixels, and the most a millimetre gets. */
export interface Detail {
  longest: number;
  finest: number;
  /** How long is waited, in milliseconds, before it is worth drawing so finely. */
  after: number;
  /** Draws stitches as dashes, which takes its time. */
  dashed: boolean;
}
export const fine: Detail = { longest: 1280, finest: 3, after: 1200, dashed: true };
export const coarse: Detail = { longest: 640, finest: 1.5, after: 0, dashed: false };

function viewOf(piece: Piece, { longest, finest, dashed }: Detail): View {
  const box = around(piece.outline);
  return { ...box, scale: Math.min(finest, longest / Math.max(box.width, box.height)), dashed };
}

/** Draws the right side of a piece, with arrows the way its cloth runs where they are asked for. */
export const outsideOf = (
  piece: Piece,
  shown: FoldPiece | undefined,
  reckoning: Reckoning,
  swatches: Record<string, Swatch>,
  ways: boolean,
  detail: Detail,
) =>
  pictured(
    viewOf(piece, detail),
    <Outside piece={piece} shown={shown} reckoning={reckoning} swatches={swatches} ways={ways} />,
  );

/** Draws the inside of a piece, and where it stands up. */
export async function depthOf(
  piece: Piece,
  shown: FoldPiece | undefined,
  swatches: Record<string, Swatch>,
  detail: Detail,
) {
  const lining = shown?.lining ? (swatches[shown.lining] ?? {}) : undefined;
  const view = viewOf(piece, detail);
  return {
    inside: await pictured(view, <Inside piece={piece} lining={lining} swatches={swatches} />),
    relief: await pictured(view, <Relief piece={piece} />),
  };
}

/** The styles of what is drawn: a picture knows none of the page's. */
const styles = `.cell{stroke:#1e2742;stroke-opacity:.28;stroke-width:.5}.stitch{fill:none;stroke:#fffdf7;stroke-width:.9;stroke-dasharray:3.6 2.4;opacity:.85}
.stitch.shade{stroke:#1e2742;stroke-width:1.5;opacity:.28}.fold-shade{fill:none;stroke:#1e2742;opacity:.3}.outline{display:none}
.ditch{fill:none;stroke:#1e2742;stroke-opacity:.55;stroke-width:.9;stroke-dasharray:4 2.5}
.mark{fill:none;stroke:#1e2742;stroke-opacity:.7;stroke-width:.9}.hem-mark{stroke-dasharray:3 2}.button-mark{fill:#fffdf7}.zip-mark,.tape-mark{fill:#d9d0bd}
.zip-teeth{stroke-width:3;stroke-dasharray:1.5 1.5}.tie-mark{stroke-width:4}.gap-mark{display:none}.lap{stroke:#1e2742;stroke-opacity:.6;stroke-width:1.4}
.fitting{stroke:#1e2742;stroke-opacity:.75;stroke-width:1}.fitting-line{stroke:#1e2742;stroke-width:.8;stroke-dasharray:3 2}
.way path{fill:none;stroke:#1e2742;stroke-width:1.6}.way .halo{stroke:#fffdf7;stroke-width:4.5;stroke-opacity:.8}`;

interface View {
  x: number;
  y: number;
  width: number;
  height: number;
  scale: number;
  dashed: boolean;
}

/** A drawing in millimetres as a picture. */
async function pictured(view: View, drawing: React.ReactNode): Promise<HTMLCanvasElement> {
  const holder = document.createElement("div");
  const root = createRoot(holder);
  const [w, h] = [Math.max(1, Math.round(view.width * view.scale)), Math.max(1, Math.round(view.height * view.scale))];
  flushSync(() =>
    root.render(
      // biome-ignore lint/a11y/noSvgWithoutTitle: it is never read, only laid on a surface
      <svg
        xmlns="http://www.w3.org/2000/svg"
        width={w}
        height={h}
        viewBox={`${view.x} ${view.y} ${view.width} ${view.height}`}
      >
        <style>{view.dashed ? styles : `${styles}.stitch{stroke-dasharray:none;opacity:.5}`}</style>
        {drawing}
      </svg>,
    ),
  );
  await withPhotos(holder);
  const svg = new XMLSerializer().serializeToString(holder.firstChild as Node);
  root.unmount();
  const picture = new Image(w, h);
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await picture.decode();
  const canvas = document.createElement("canvas");
  [canvas.width, canvas.height] = [w, h];
  canvas.getContext("2d")?.drawImage(picture, 0, 0, w, h);
  return canvas;
}

/** A picture loads nothing: the photos of cloths are put into it. */
async function withPhotos(holder: HTMLElement) {
  await Promise.all(
    [...holder.querySelectorAll("image")].map(async (image) => {
      const photo = await fetch(image.getAttribute("href") ?? "").then(
        (answer) => (answer.ok ? answer.blob() : null),
        () => null,
      );
      if (photo) image.setAttribute("href", await dataOf(photo));
      else image.remove(); // the ground of the cloth lies under it
    }),
  );
}

function dataOf(blob: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(reader.error);
    reader.readAsDataURL(blob);
  });
}

interface OutsideProps {
  piece: Piece;
  shown?: FoldPiece;
  reckoning: Reckoning;
  swatches: Record<string, Swatch>;
  ways: boolean;
}

/** Where the edge of the piece lies that lies outside. */
const edgeOf = ({ label, box }: BackLie) => (label === "left" ? box.x + box.width : box.x);

function Outside({ piece, shown, reckoning, swatches, ways }: OutsideProps) {
  const back = piece.name === "back" ? reckoning.back : undefined;
  return (
    <>
      <PieceDrawing piece={piece} swatches={swatches} outlines={false} />
      {back?.lies[1] && (
        <line
          className="lap"
          x1={mm(edgeOf(back.lies[1]))}
          x2={mm(edgeOf(back.lies[1]))}
          y1={mm(back.lies[1].box.y)}
          y2={mm(back.lies[1].box.y + back.lies[1].box.height)}
        />
      )}
      {back?.marks.map((mark) => (
        <Mark key={`${mark.kind} ${mark.box.x} ${mark.box.y}`} mark={mark} />
      ))}
      {ways && <Ways piece={piece} />}
      <Fitted piece={piece} reckoning={reckoning} swatches={swatches} />
      {shown?.edgings.map((e, i) => (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: edgings alike differ by their place alone
          key={i}
          d={e.path[0] ? `M${mm(e.path[0].x)} ${mm(e.path[0].y)}${sidesOf(e.path, false)}` : ""}
          fill="none"
          stroke={swatches[e.cloth]?.ground || plainSwatch.ground}
          strokeWidth={2 * e.width}
        />
      ))}
    </>
  );
}

/** What is sewn onto a piece, in its cloth. */
function Fitted({
  piece,
  reckoning,
  swatches,
}: {
  piece: Piece;
  reckoning: Reckoning;
  swatches: Record<string, Swatch>;
}) {
  const cloths = (reckoning.settled as { fittings?: { cloth?: string }[] } | undefined)?.fittings ?? [];
  return reckoning.fittings
    .filter((f) => f.on === piece.name)
    .map((f) => (
      <g key={f.index}>
        {f.boxes.map((b) => (
          <rect
            key={`${b.x} ${b.y}`}
            className="fitting"
            fill={swatches[cloths[f.index]?.cloth ?? "A"]?.ground || plainSwatch.ground}
            x={mm(b.x)}
            y={mm(b.y)}
            width={mm(b.width)}
            height={mm(b.height)}
            rx={f.round ? mm(b.width) / 2 : 1}
          />
        ))}
        {f.lines.map((l) => (
          <line
            key={`${l.x1} ${l.y1} ${l.x2} ${l.y2}`}
            className="fitting-line"
            x1={mm(l.x1)}
            y1={mm(l.y1)}
            x2={mm(l.x2)}
            y2={mm(l.y2)}
          />
        ))}
      </g>
    ));
}

/** The way the print stands, three times along a piece of one cloth, so that it is seen on each side of a bend. */
function Ways({ piece }: { piece: Piece }) {
  if (!piece.grain) return null;
  const box = around(piece.outline);
  const size = Math.min(box.width, box.height) * 0.09;
  const long = box.height >= box.width;
  const head = `M0 ${-size}l${-size * 0.35} ${size * 0.5}M0 ${-size}l${size * 0.35} ${size * 0.5}`;
  const foot = `M0 ${size}l${-size * 0.35} ${-size * 0.5}M0 ${size}l${size * 0.35} ${-size * 0.5}`;
  const d = `M0 ${-size}V${size}${head}${piece.grain === "one-way" ? "" : foot}`;
  return [0.12, 0.5, 0.88].map((share) => {
    const [x, y] = long ? [0.5, share] : [share, 0.5];
    return (
      <g
        key={share}
        className="way"
        transform={`translate(${box.x + x * box.width} ${box.y + y * box.height})${piece.grain === "across" ? " rotate(90)" : ""}`}
      >
        <path className="halo" d={d} />
        <path d={d} />
      </g>
    );
  });
}

/** The inside of a piece: its lining, or its cloth from behind, paler, as it is seen from there. */
function Inside({ piece, lining, swatches }: { piece: Piece; lining?: Swatch; swatches: Record<string, Swatch> }) {
  const outline = pathOf(piece.outline);
  const cloth = lining ?? swatches[piece.cells[0]?.cloth ?? ""];
  return (
    <>
      <defs>
        <Pattern id="inside" swatch={cloth} />
      </defs>
      <path d={outline} fill="url(#inside)" />
      {!lining && <path d={outline} fill="#fffdf7" fillOpacity="0.6" />}
      {lining && <path className="stitch shade" d={(piece.quilting?.lines ?? []).map((l) => l.path).join("")} />}
    </>
  );
}

/** Where a piece stands up, in greys: low along its quilting and its edge, a little along its seams. */
function Relief({ piece }: { piece: Piece }) {
  const lines = (piece.quilting?.lines ?? []).map((l) => l.path).join("");
  const edge = pathOf(piece.outline);
  return (
    <>
      <defs>
        <filter id="soft" x="-5%" y="-5%" width="110%" height="110%">
          <feGaussianBlur stdDeviation="3.2" />
        </filter>
      </defs>
      <path d={edge} fill="#c0c0c0" />
      <g filter="url(#soft)" fill="none" stroke="#202020">
        <path d={lines} strokeWidth="6" />
        <path d={edge} strokeWidth="7" />
      </g>
      <g fill="none" stroke="#303030" strokeOpacity="0.5">
        <path d={lines} strokeWidth="1.2" />
        {piece.press.map((s) => (
          <path
            key={`${s.x1} ${s.y1} ${s.x2} ${s.y2}`}
            d={`M${mm(s.x1)} ${mm(s.y1)}L${mm(s.x2)} ${mm(s.y2)}`}
            strokeWidth="1.4"
          />
        ))}
      </g>
      {piece.shapes
        .filter((s) => !s.line)
        .map((s) => (
          <path key={`${s.about} ${s.twin}`} d={s.path} fill="#e8e8e8" fillOpacity="0.8" />
        ))}
    </>
  );
}

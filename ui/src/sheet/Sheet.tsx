import { useLayoutEffect, useRef, useState } from "react";
import type { Cell, Edge, Piece, Reckoning, Swatch } from "../api/api.gen";
import { ems } from "../words/ems";
import { Closure } from "./Closure";
import { EdgesOn } from "./EdgesOn";
import type { Moving } from "./Movable";
import { fitted, turned } from "./net";
import { OnPiece } from "./OnPiece";
import { around, type Box, extent, mm, PieceDrawing } from "./PieceDrawing";
import { Seams } from "./Seams";
import { ShapesOn, StitchPlan } from "./Shapes";
import { Lettered, SvgText } from "./SvgText";

interface Props {
  reckoning: Reckoning;
  swatches: Record<string, Swatch>;
  selected: ReadonlySet<string>;
  band: { piece: string; box: Box } | null;
  select?: (cell: Cell, piece: Piece) => void;
  moving?: Moving;
  /** One cell of a piece that is at hand. */
  pointed?: { piece: string; cell: Cell } | null;
  /** Draws each cell by itself, to be given another fabric. */
  each?: boolean;
  /** Draws the cloths by their lightness alone. */
  grey?: boolean;
  /** The shape at hand, by its path in the plan. */
  atHand?: string | null;
  /** Called when a shape is taken in hand. */
  takeShape?: (about: string) => void;
  /** What is worked at in a step, on whatever piece it is. */
  edges?: Edge[];
  /** Draws what is sewn of the shapes, and the one thread that is at hand. */
  stitching?: { thread: number | null } | null;
}

/** Said of a piece where there is room for it. */
const waits = " · waits for the measured front";

/** All pieces of the cover to one scale, laid out as they join. */
export function Sheet({
  reckoning,
  swatches,
  selected,
  band,
  select,
  moving,
  pointed,
  each,
  grey,
  atHand,
  takeShape,
  stitching,
  edges,
}: Props) {
  const { ref, width, height } = useExtent();
  const { places, view, text } = fitted(reckoning, width, height);
  const movable =
    moving !== undefined && (reckoning.fittings.length > 0 || reckoning.pieces.some((p) => p.shapes.length > 0));
  return (
    <svg
      ref={ref}
      className={grey ? "sheet grey" : "sheet"}
      viewBox={`${view.x} ${view.y} ${view.width} ${view.height}`}
      role={movable ? "group" : "img"} // what can be moved is not a picture
      aria-label={spoken(reckoning)}
    >
      {places.map(({ piece, quarters, box, transform, first }, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: pieces alike have no identity but their place
        <g key={i}>
          <Lettered className="piece-title" x={box.x} y={box.y - text * 0.55} text={text}>
            {piece.title}
            {piece.waits && ems(piece.title + waits) * text < view.x + view.width - box.x && (
              <tspan className="soft">{waits}</tspan>
            )}
          </Lettered>
          <g transform={transform}>
            <PieceDrawing
              piece={piece}
              swatches={swatches}
              selected={selected}
              band={band?.piece === piece.name ? band.box : null}
              select={select}
              each={each}
              pointed={pointed?.piece === piece.name ? pointed.cell : null}
            />
            {first && piece.name !== "back" && <Grain piece={piece} text={text} />}
            <Seams piece={piece} text={text} quarters={quarters} />
            {first && stitching && (
              <StitchPlan piece={piece} swatches={swatches} thread={stitching.thread} text={text} quarters={quarters} />
            )}
            {first && piece.shapes.length > 0 && (
              <ShapesOn
                piece={piece}
                text={text}
                quarters={quarters}
                moving={moving}
                atHand={atHand ?? null}
                take={takeShape}
              />
            )}
            {first && (
              <OnPiece
                fittings={reckoning.fittings.filter((f) => f.on === piece.name)}
                text={text}
                quarters={quarters}
                moving={moving}
              />
            )}
            {edges && <EdgesOn edges={edges.filter((e) => e.piece === piece.name)} text={text} quarters={quarters} />}
            {piece.name === "back" && reckoning.back && (
              <Closure back={reckoning.back} cuts={reckoning.cuts} text={text} />
            )}
          </g>
          {first && <Dimensions piece={piece} quarters={quarters} box={box} text={text} />}
        </g>
      ))}
    </svg>
  );
}

/** The size an element has on screen, so that writing in it keeps its own. */
function useExtent() {
  const ref = useRef<SVGSVGElement>(null);
  const [size, setSize] = useState({ width: 850, height: 420 });
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element || typeof ResizeObserver === "undefined") return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry && entry.contentRect.height > 100)
        setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { ref, ...size };
}

function spoken(reckoning: Reckoning): string {
  return `The pieces of ${reckoning.title} to scale. ${reckoning.pieces
    .map(
      (p) =>
        `${p.title}: finished ${p.finished.width.text} by ${p.finished.height.text}, trimmed ${p.trimmed.width.text} by ${p.trimmed.height.text}.`,
    )
    .join(" ")}`;
}

/** The way the cloth runs on a piece of one cloth, as on a pattern: an arrow at both ends, or at the top of a print with one direction. */
function Grain({ piece, text }: { piece: Piece; text: number }) {
  if (!piece.grain) return null;
  const box = around(piece.outline);
  const across = piece.grain === "across";
  const whole = across ? box.width : box.height;
  const other = across ? box.height : box.width;
  if (other < text * 4.5 || whole < text * 3.5) return null; // no room beside what is written there
  const half = Math.min(whole * 0.2, text * 3);
  const head = `l${-text * 0.3} ${text * 0.45} M0 ${-half} l${text * 0.3} ${text * 0.45}`;
  const foot = `M0 ${half} l${-text * 0.3} ${-text * 0.45} M0 ${half} l${text * 0.3} ${-text * 0.45}`;
  const d = `M0 ${half} V${-half} ${head} ${piece.grain === "one-way" ? "" : foot}`;
  const [x, y] = across
    ? [box.x + box.width / 2, box.y + box.height * 0.72]
    : [box.x + box.width * 0.28, box.y + box.height / 2];
  return (
    <g className="grain no-pointer" transform={`translate(${x} ${y})${across ? " rotate(90)" : ""}`}>
      <title>{piece.grain === "one-way" ? "the way the print stands" : "the length of the fabric"}</title>
      <path className="halo" d={d} />
      <path d={d} />
    </g>
  );
}

/** The finished size beside a piece, drawn as on a pattern: across under it, up at its left. */
function Dimensions({ piece, quarters, box, text }: { piece: Piece; quarters: number; box: Box; text: number }) {
  const lying = quarters % 2 === 1;
  const across = lying ? piece.finished.height : piece.finished.width;
  const up = lying ? piece.finished.width : piece.finished.height;
  const [wide, high] = [mm(across.nm), mm(up.nm)];
  const [line, whole] = [turned(around(piece.outline), quarters), turned(extent(piece), quarters)];
  const [x, y] = [box.x + line.x - whole.x, box.y + line.y - whole.y];
  return (
    <g className="dimension no-pointer">
      <g transform={`translate(${x} ${box.y + box.height + text * 0.95})`}>
        <Measured length={wide} text={text} label={across.text} />
      </g>
      <g transform={`translate(${box.x - text * 0.95} ${y + high}) rotate(-90)`}>
        <Measured length={high} text={text} label={up.text} />
      </g>
    </g>
  );
}

/** A length between two marks; where it is too short for its figure, the figure stands alone. */
function Measured({ length, text, label }: { length: number; text: number; label: string }) {
  const half = (ems(label) / 2 + 0.4) * text;
  return (
    <>
      {length / 2 > half && (
        <path
          d={`M0 ${-text * 0.4} v${text * 0.8} M${length} ${-text * 0.4} v${text * 0.8} M0 0 H${length / 2 - half} M${length / 2 + half} 0 H${length}`}
        />
      )}
      <SvgText x={length / 2} y={text * 0.35} text={text} anchor="middle">
        {label}
      </SvgText>
    </>
  );
}

import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import type { Shape } from "../../api/api.gen";
import { usePlan } from "../../plan/context";
import { put } from "../../plan/path";
import { type Corner, cornersOf, pathThrough, type ShapeDoc, trueSize } from "../../plan/shapes";
import { mm } from "../../sheet/PieceDrawing";

/** Whether an outline is of straight sides, so that it can be changed by its points. */
export const drawable = (shape: string) => cornersOf(shape) !== null;

/** The raster points stand on, by the plan's unit: ⅛ in or 2 mm. */
const raster = (units: string) => (units === "in" ? 25.4 / 8 : 2);

const arrows: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** An outline drawn by its points: dragged or moved by the arrow keys; a point more on every side, Delete takes one out. */
export function Outline({ path, of, shape, laid }: { path: string; of: string; shape: ShapeDoc; laid?: Shape }) {
  const { rework, value, session } = usePlan();
  const svg = useRef<SVGSVGElement>(null);
  const [held, hold] = useState<{ index: number; corners: Corner[] } | null>(null);
  const step = raster(String(value("/units") ?? "in"));
  const kept = cornersOf(shape.shape) ?? [];
  // An outline without a size of its own is drawn at true size already; what is laid may still be the one before it.
  const sized = shape.width !== undefined || shape.height !== undefined;
  const size = laid && sized && !shape.turn ? { width: mm(laid.box.width), height: mm(laid.box.height) } : null;
  const corners = held?.corners ?? (size ? trueSize(kept, size.width, size.height) : kept);
  const view = frame(size ? trueSize(kept, size.width, size.height) : kept);

  /** The plan with other corners: at true size, so width and height are what is drawn. */
  const drawn = (next: Corner[]) => {
    const plan = put(session.current().plan, `${path}/shape`, pathThrough(next));
    return put(put(plan, `${path}/width`, undefined), `${path}/height`, undefined);
  };
  const keep = (next: Corner[], label: string) => rework(() => drawn(next), `${of}: ${label}`);
  const onRaster = (c: Corner) => ({ x: Math.round(c.x / step) * step, y: Math.round(c.y / step) * step });
  const at = (event: PointerEvent) => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    const point = matrix && new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    return point ? onRaster(point) : null;
  };
  const drag = (event: PointerEvent) => {
    const to = held && at(event);
    if (!to) return;
    const next = corners.map((c, i) => (i === held.index ? to : c));
    hold({ index: held.index, corners: next });
    void session.preview(drawn(next), { sheet: true });
  };
  const release = () => {
    if (held) keep(held.corners, `point ${held.index + 1} moved`);
    hold(null);
  };
  const keys = (event: KeyboardEvent, index: number) => {
    const arrow = arrows[event.key];
    if (arrow) {
      event.preventDefault();
      const to = (c: Corner) => onRaster({ x: c.x + arrow[0] * step, y: c.y + arrow[1] * step });
      keep(
        corners.map((c, i) => (i === index ? to(c) : c)),
        `point ${index + 1} moved`,
      );
    }
    if ((event.key === "Delete" || event.key === "Backspace") && corners.length > 3) {
      event.preventDefault();
      keep(
        corners.filter((_, i) => i !== index),
        `point ${index + 1} taken out`,
      );
    }
  };
  const more = (index: number) => {
    const [a, b] = [corners[index], corners[(index + 1) % corners.length]];
    if (!a || !b) return;
    const between = onRaster({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
    keep([...corners.slice(0, index + 1), between, ...corners.slice(index + 1)], `a point more after ${index + 1}`);
  };
  const text = view.width / 26;
  return (
    <figure className="outline-editor">
      {/* biome-ignore lint/a11y/useSemanticElements: a drawing holds no fieldset */}
      <svg
        ref={svg}
        viewBox={`${view.x} ${view.y} ${view.width} ${view.height}`}
        role="group"
        aria-label={`Outline of ${of}, ${corners.length} points`}
        onPointerMove={drag}
        onPointerUp={release}
        onPointerCancel={() => {
          hold(null);
          void session.settle();
        }}
      >
        <defs>
          <pattern id="raster" width={step * 2} height={step * 2} patternUnits="userSpaceOnUse">
            <path className="raster" d={`M0 0H${step * 2}M0 0V${step * 2}`} />
          </pattern>
        </defs>
        <rect {...view} fill="url(#raster)" />
        <path className="outline-drawn" d={pathThrough(corners)} />
        {corners.map((c, i) => {
          const b = corners[(i + 1) % corners.length] as Corner;
          return (
            // biome-ignore lint/a11y/useSemanticElements: there is no button element in a drawing
            <g
              // biome-ignore lint/suspicious/noArrayIndexKey: a point has no identity but its place in the outline
              key={`more ${i}`}
              className="outline-more"
              role="button"
              tabIndex={0}
              aria-label={`A point more after point ${i + 1}`}
              transform={`translate(${(c.x + b.x) / 2} ${(c.y + b.y) / 2})`}
              onClick={() => more(i)}
              onKeyDown={(e) => {
                if (e.key !== "Enter" && e.key !== " ") return;
                e.preventDefault();
                more(i);
              }}
            >
              <circle className="grip" r={text} />
              <circle r={text * 0.4} />
            </g>
          );
        })}
        {corners.map((c, i) => (
          // biome-ignore lint/a11y/useSemanticElements: there is no button element in a drawing
          <g
            // biome-ignore lint/suspicious/noArrayIndexKey: a point has no identity but its place in the outline
            key={`point ${i}`}
            className="outline-point"
            role="button"
            tabIndex={0}
            aria-label={`Point ${i + 1} of ${of}. The arrow keys move it, Delete takes it out.`}
            transform={`translate(${c.x} ${c.y})`}
            onPointerDown={(e) => {
              e.currentTarget.setPointerCapture(e.pointerId);
              hold({ index: i, corners });
            }}
            onKeyDown={(e) => keys(e, i)}
          >
            <circle className="grip" r={text * 1.2} />
            <circle r={text * 0.6} />
          </g>
        ))}
      </svg>
      <figcaption className="soft">
        Drag the points, or move them by the arrow keys. A small dot puts a point more on its side; Delete takes one
        out.
      </figcaption>
    </figure>
  );
}

/** Room round an outline. */
function frame(corners: Corner[]) {
  const xs = corners.map((c) => c.x);
  const ys = corners.map((c) => c.y);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  const [w, h] = [Math.max(...xs) - x, Math.max(...ys) - y];
  const room = Math.max(w, h) * 0.18 + 4;
  return { x: x - room, y: y - room, width: w + 2 * room, height: h + 2 * room };
}

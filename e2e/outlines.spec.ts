import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { area, Clipper64, ClipType, FillRule, type Path64 } from "clipper2-ts";
import svgpath from "svgpath";
import { expect, type Server, test } from "./app";

/**
 * Outlines against general-purpose libraries: paths read by svgpath, what shows of
 * overlapping shapes by clipper2, and whole SVG files by the browser's own drawing of them.
 */
const corpus = join(import.meta.dirname, "../format/svgfile/testdata/sound");

interface Shape {
  path: string;
  box: { x: number; y: number };
  shows: { nm: number };
  round: { nm: number };
}
interface Reckoning {
  pieces: { shapes: Shape[] }[];
  findings: { level: string; text: string }[];
}

const plan = (applique: unknown[]) => ({
  format: "umschlag/plan/2",
  title: "Outlines",
  units: "mm",
  object: { kind: "form", width: "500", height: "500" },
  cover: { kind: "cushion", ease: { width: "0", height: "0" } },
  pieces: { front: { face: { kind: "plain", applique } } },
});

async function laid(server: Server, applique: unknown[]): Promise<Shape[]> {
  const response = await fetch(`${server.url}/api/v1/reckon`, { method: "POST", body: JSON.stringify(plan(applique)) });
  const { pieces, findings }: Reckoning = await response.json();
  expect(findings.filter((f) => f.level === "stop")).toEqual([]);
  return pieces[0]?.shapes ?? [];
}

/** Millimetres to a unit of the polygon library: a tenth of a micrometre. */
const unit = 1e4;

interface Point {
  x: number;
  y: number;
}

/** The runs of a path as points, its curves in 200 pieces each. */
function runs(path: string): Point[][] {
  const out: Point[][] = [];
  svgpath(path)
    .abs()
    .unshort()
    .unarc()
    .iterate(([command, ...v], _, x, y) => {
      const add = (px: number, py: number) => out.at(-1)?.push({ x: px, y: py });
      const n = v as number[];
      const at = (i: number) => n[i] as number;
      if (command === "M") out.push([{ x: at(0), y: at(1) }]);
      if (command === "L") add(at(0), at(1));
      if (command === "H") add(at(0), y);
      if (command === "V") add(x, at(0));
      if (command === "C" || command === "Q") {
        const points = [x, y, ...n];
        for (let i = 1; i <= 200; i++) add(curve(points, 0, i / 200), curve(points, 1, i / 200));
      }
    });
  return out;
}

/** One coordinate of a Bézier curve of any degree. */
function curve(points: number[], axis: number, t: number): number {
  let row = points.filter((_, i) => i % 2 === axis);
  while (row.length > 1) row = row.slice(1).map((b, i) => (row[i] as number) * (1 - t) + b * t);
  return row[0] as number;
}

const along = (line: Point[]) =>
  line.slice(1).reduce((sum, p, i) => sum + Math.hypot(p.x - (line[i]?.x ?? 0), p.y - (line[i]?.y ?? 0)), 0);
const closed = (line: Point[]) => [...line, line[0] as Point];

/** A path as polygons. */
const polygons = (path: string): Path64[] =>
  runs(path).map((line) => line.map(({ x, y }) => ({ x: Math.round(x * unit), y: Math.round(y * unit) })));

/** Polygons that enclose something the same way round: mirrored ones run against the others. */
const turned = (list: Path64[]) =>
  list.reduce((sum, p) => sum + area(p), 0) < 0 ? list.map((p) => [...p].reverse()) : list;

/** How much of a path shows beside what lies over it, in millimetres. */
function showing(path: string, above: Path64[]): number {
  const clipper = new Clipper64();
  for (const line of polygons(path)) clipper.addOpenSubject([closed(line)]);
  if (above.length > 0) clipper.addClip(above);
  const open: Path64[] = [];
  clipper.execute(ClipType.Difference, FillRule.NonZero, [], open);
  return open.reduce((sum, line) => sum + along(line), 0) / unit;
}

/** The same figures every time. */
function seeded(seed: number) {
  let state = seed;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}

test("path lengths against another library", async ({ demo }) => {
  const { forms } = await (await fetch(`${demo.url}/api/v1/starts?units=mm`)).json();
  const random = seeded(7);
  const at = () => Math.round(random() * 200);
  const drawn = Array.from(
    { length: 30 },
    () =>
      `M${at()} ${at()}C${at()} ${at()} ${at()} ${at()} ${at()} ${at()}S${at()} ${at()} ${at()} ${at()}Q${at()} ${at()} ${at()} ${at()}A${at() + 20} ${at() + 20} ${at()} 0 1 ${at()} ${at()}L${at()} ${at()}Z`,
  );
  for (const path of [...forms.map((f: { path: string }) => f.path), ...drawn]) {
    const [shape] = await laid(demo, [{ shape: path, at: { left: "0", top: "0" } }]);
    const there = runs(path).reduce((sum, line) => sum + along(closed(line)), 0);
    expect(Math.abs((shape?.round.nm ?? 0) / 1e6 - there), path).toBeLessThan(0.02 + there * 1e-4);
  }
});

test("what shows of overlapping shapes against another library", async ({ demo }) => {
  const { forms } = await (await fetch(`${demo.url}/api/v1/starts?units=mm`)).json();
  for (const seed of [1, 2, 3, 4, 5, 6]) {
    const random = seeded(seed * 101);
    const shapes = Array.from({ length: 12 }, () => ({
      shape: forms[Math.floor(random() * forms.length)].name,
      width: String(40 + Math.round(random() * 160)),
      turn: Math.round(random() * 360) - 180,
      flip: random() > 0.5,
      at: { left: String(Math.round(random() * 300)), top: String(Math.round(random() * 300)) },
    }));
    const layers = await laid(demo, shapes);
    expect(layers).toHaveLength(12);
    let covered = 0;
    layers.forEach((layer, i) => {
      const above = layers.slice(i + 1).flatMap((l) => turned(polygons(l.path)));
      const there = showing(layer.path, above);
      expect(Math.abs(layer.shows.nm / 1e6 - there), `${seed}: shape ${i + 1}`).toBeLessThan(0.1);
      if (layer.shows.nm < layer.round.nm) covered++;
    });
    expect(covered).toBeGreaterThan(2);
  }
});

test("SVG files against the browser’s own reading of them", async ({ page, demo }) => {
  for (const name of readdirSync(corpus)) {
    const text = readFileSync(join(corpus, name), "utf8");
    const response = await fetch(`${demo.url}/api/v1/shapes/read?units=mm`, { method: "POST", body: text });
    expect(response.status, name).toBe(200);
    const { shapes } = await response.json();
    const layers = await laid(demo, shapes);
    // The browser draws the file, and says how large each of its shapes is on the page.
    await page.setContent(`<!doctype html>${text.replace(/^<\?xml[\s\S]*?\?>|<!DOCTYPE[^>]*>/g, "")}`);
    const there = await page.evaluate(() =>
      [...document.querySelectorAll<SVGGeometryElement>("path, rect, circle, ellipse, polygon")]
        .filter((e) => !e.closest("defs, clipPath") && e.getBBox().width > 0 && getComputedStyle(e).display !== "none")
        .filter((e) => e.getAttribute("fill") !== "none" || e.hasAttribute("stroke"))
        .map((e) => {
          const [long, matrix] = [e.getTotalLength(), e.getScreenCTM() as DOMMatrix];
          const points = Array.from({ length: 4001 }, (_, i) =>
            e.getPointAtLength((long * i) / 4000).matrixTransform(matrix),
          );
          const span = (of: (p: DOMPoint) => number) =>
            ((Math.max(...points.map(of)) - Math.min(...points.map(of))) * 25.4) / 96;
          return { width: span((p) => p.x), height: span((p) => p.y) };
        }),
    );
    const boxes = layers.map((l) => {
      const points = polygons(l.path).flat();
      const span = (of: (p: { x: number; y: number }) => number) =>
        (Math.max(...points.map(of)) - Math.min(...points.map(of))) / unit;
      return { width: span((p) => p.x), height: span((p) => p.y) };
    });
    const kept = there.filter((box) =>
      boxes.some((b) => Math.abs(b.width - box.width) < 0.05 && Math.abs(b.height - box.height) < 0.05),
    );
    expect(kept.length, `${name}: ${JSON.stringify({ boxes, there })}`).toBeGreaterThanOrEqual(boxes.length);
  }
});

test("shapes out as SVG and in again: areas and places within a hundredth of a millimetre", async ({ demo }) => {
  const plans = await (await fetch(`${demo.url}/api/v1/plans/van-cushion-in-four-layers`)).json();
  const layers: Shape[] = plans.reckoning.pieces[0].shapes;
  const file = await (await fetch(`${demo.url}/api/v1/plans/van-cushion-in-four-layers/shapes/front`)).text();
  const response = await fetch(`${demo.url}/api/v1/shapes/read?units=mm`, { method: "POST", body: file });
  const { shapes, omitted } = await response.json();
  expect(omitted).toEqual([]);
  // All are placed from one, which is put back where it was.
  const at = shapes.findIndex((s: { from?: string }) => !s.from);
  shapes[at].at = { left: `${(layers[at]?.box.x ?? 0) / 1e6} mm`, top: `${(layers[at]?.box.y ?? 0) / 1e6} mm` };
  const again = await laid(demo, shapes);
  expect(again).toHaveLength(layers.length);
  const size = (path: string) => polygons(path).reduce((sum, p) => sum + area(p), 0) / unit ** 2;
  again.forEach((shape, i) => {
    const was = layers[i] as Shape;
    expect(Math.abs(shape.round.nm - was.round.nm) / 1e6).toBeLessThan(0.05);
    expect(Math.abs(size(shape.path) - size(was.path))).toBeLessThan(0.01 * (was.round.nm / 1e6));
    expect(Math.abs(shape.shows.nm - was.shows.nm) / 1e6, `what shows of shape ${i + 1}`).toBeLessThan(0.1);
  });
});

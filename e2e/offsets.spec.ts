import { EndType, inflatePaths, JoinType } from "clipper2-ts";
import { expect, test } from "./app";

/**
 * What patches are cut from, against clipper2, a general-purpose polygon library: the finished
 * outline of every patch of every block is moved out by the seam there, and here.
 */
interface Vertex {
  x: number;
  y: number;
}
interface Cut {
  id: string;
  shape: string;
  width: { nm: number };
  height: { nm: number };
  line?: Vertex[];
}

/** Nanometres to a unit of the library, which reckons in whole numbers. */
const unit = 10;

/** A polygon moved out, its corners kept sharp. */
function grown(line: Vertex[], by: number): Vertex[] {
  const path = line.map((v) => ({ x: Math.round(v.x / unit), y: Math.round(v.y / unit) }));
  const [out = []] = inflatePaths([path], by / unit, JoinType.Miter, EndType.Polygon, 100);
  return out.map(({ x, y }) => ({ x: x * unit, y: y * unit }));
}

const sides = (line: Vertex[]) =>
  line
    .map((v, i) => {
      const next = line[(i + 1) % line.length] ?? v;
      return Math.hypot(next.x - v.x, next.y - v.y);
    })
    .sort((a, b) => a - b);

const area = (line: Vertex[]) =>
  Math.abs(
    line.reduce((sum, v, i) => {
      const next = line[(i + 1) % line.length] ?? v;
      return sum + v.x * next.y - next.x * v.y;
    }, 0),
  ) / 2;

const plan = (block: unknown, seam: string) => ({
  format: "umschlag/plan/2",
  title: "Offsets",
  object: { kind: "form", width: "12", height: "12" },
  cover: { kind: "cushion", ease: { width: "0", height: "0" }, seam, piecing_seam: seam },
  pieces: {
    front: {
      face: {
        kind: "grid",
        columns: 1,
        rows: 1,
        patch: { width: "10", height: "10" },
        block,
        cloths: ["A", "B", "C", "D", "E"],
        borders: [{ width: "rest" }],
      },
    },
  },
});

/** A ruler step, in nanometres: pieces go up to it. */
const step = 25.4e6 / 8;
/** What rounding to whole nanometres and the other library's own rounding come to. */
const near = 200;

for (const [text, seam] of [
  ["1/4", 6.35e6],
  ["6 mm", 6e6],
  ["3/8", 9.525e6],
  ["1/2", 12.7e6],
] as const) {
  test(`patches with seams of ${text} against another library`, async ({ demo }) => {
    const { blocks } = await (await fetch(`${demo.url}/api/v1/starts?units=in`)).json();
    const own = ["(A / B) | (B \\ A)", "(A ^ B) | C", "(A x B x C x D) - 2 A", "3 (A o B) | (A v B)"].map((cells) => ({
      cells,
    }));
    let templates = 0;
    for (const block of [...blocks.map((b: { name: string }) => b.name), ...own]) {
      const response = await fetch(`${demo.url}/api/v1/reckon`, {
        method: "POST",
        body: JSON.stringify(plan(block, text)),
      });
      const reckoning = await response.json();
      const cuts = new Map<string, Cut>(reckoning.cuts.map((c: Cut) => [c.id, c]));
      for (const cell of reckoning.pieces[0].cells.filter((c: { line?: Vertex[] }) => c.line)) {
        const cut = cuts.get(cell.cut) as Cut;
        const there = grown(cell.line, seam);
        const [short = 0, , long = 0] = sides(there);
        const most = Math.max(cut.width.nm, cut.height.nm);
        switch (cut.shape) {
          case "half-square": // its short side is the square's
            expect(most).toBeGreaterThanOrEqual(short - near);
            expect(most).toBeLessThan(short + step + near);
            break;
          case "quarter-square": // its long side is the square's
            expect(most).toBeGreaterThanOrEqual(long - near);
            expect(most).toBeLessThan(long + step + near);
            break;
          case "template":
            templates++;
            expect(Math.abs(area(cut.line as Vertex[]) / area(there) - 1)).toBeLessThan(1e-6);
            expect(sides(cut.line as Vertex[]).length).toBe(there.length);
            break;
          default: // squares and rectangles, level or on their points
            expect(most).toBeGreaterThanOrEqual((sides(there).at(-1) ?? 0) - near);
            expect(most).toBeLessThan((sides(there).at(-1) ?? 0) + step + near);
        }
      }
    }
    expect(templates).toBeGreaterThan(0);
  });
}

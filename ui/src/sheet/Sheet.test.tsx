import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test, vi } from "vitest";
import type { Piece, Reckoning } from "../api/api.gen";
import { pieceOf } from "../test/piece";
import { boxOf, extent, pathOf } from "./PieceDrawing";
import { Sheet } from "./Sheet";

const mm = 1_000_000;
const size = (width: number, height = width) => ({
  width: { nm: width * mm, text: `${width} mm`, exact: String(width) },
  height: { nm: height * mm, text: `${height} mm`, exact: String(height) },
});

/** A square outline that stands out from the finished one, in millimetres. */
const square = (out: number) =>
  [
    [-out, -out],
    [100 + out, -out],
    [100 + out, 100 + out],
    [-out, 100 + out],
  ].map(([x, y]) => ({ x: (x ?? 0) * mm, y: (y ?? 0) * mm, bulge: 0 }));

const front: Piece = pieceOf({
  trimmed: size(112),
  before_quilting: size(140),
  take_up: [1, 1],
  trimmed_outline: square(6),
  cut_outline: square(20),
  cells: [
    { cut: "front.patch.A", cloth: "A", x: -20 * mm, y: -20 * mm, width: 70 * mm, height: 140 * mm, row: 1, column: 1 },
    { cut: "front.patch.B", cloth: "B", x: 50 * mm, y: -20 * mm, width: 70 * mm, height: 140 * mm, row: 1, column: 2 },
  ],
  quilting: {
    lines: [{ kind: "line", family: 0, path: "M0 0L5 5", length: size(7).width }],
    seam: size(7).width,
    thread: size(18).width,
    bobbins: 1,
    minutes: 1,
  },
});
const back: Piece = {
  ...front,
  name: "back",
  title: "Back",
  before_quilting: size(112),
  cut_outline: square(6),
  waits: true,
  cells: [
    { cut: "back.panel", cloth: "A", x: -6 * mm, y: -6 * mm, width: 70 * mm, height: 112 * mm },
    { cut: "back.panel", cloth: "A", x: 36 * mm, y: -6 * mm, width: 70 * mm, height: 112 * mm },
  ],
};
const cut = {
  id: "back.panel",
  about: { piece: "back", role: "closure-panel" },
  piece: "back",
  layer: "outer",
  width: size(80).width,
  height: size(112).height,
};
const reckoning = {
  title: "Cushion",
  pieces: [front, back],
  net: [[[{ piece: "front", quarters: 0 }], [{ piece: "back", quarters: 0 }]]],
  cuts: [cut],
  fittings: [],
  edge_strips: [],
  back: {
    overlap: size(28).width,
    lies: [
      { cut: "back.panel", label: "left", box: { x: -6 * mm, y: -6 * mm, width: 70 * mm, height: 112 * mm } },
      { cut: "back.panel", label: "right", box: { x: 36 * mm, y: -6 * mm, width: 70 * mm, height: 112 * mm } },
    ],
    marks: [
      { kind: "hem", box: { x: 60 * mm, y: -6 * mm, width: 0, height: 112 * mm } },
      { kind: "zip", box: { x: 40 * mm, y: 10 * mm, width: 20 * mm, height: 80 * mm } },
      { kind: "button", box: { x: 50 * mm, y: 20 * mm, width: 10 * mm, height: 10 * mm } },
    ],
  },
} as unknown as Reckoning;

function sheet(props: Partial<Parameters<typeof Sheet>[0]> = {}) {
  const select = vi.fn();
  const { container } = render(
    <Sheet reckoning={reckoning} swatches={{}} selected={new Set()} band={null} select={select} {...props} />,
  );
  return { container, select };
}

test("sizes are centred on the finished outline", () => {
  expect(boxOf(front, front.finished)).toEqual({ x: 0, y: 0, width: 100, height: 100 });
  expect(boxOf(front, front.trimmed)).toEqual({ x: -6, y: -6, width: 112, height: 112 });
  expect(extent(front)).toEqual({ x: -20, y: -20, width: 140, height: 140 });
});

test("arcs are drawn by their bulge", () => {
  const quarter = Math.tan(Math.PI / 8);
  const rounded = [
    { x: 0, y: 10 * mm, bulge: quarter },
    { x: 10 * mm, y: 0, bulge: 0 },
    { x: 10 * mm, y: 10 * mm, bulge: 0 },
  ];
  expect(pathOf(rounded)).toMatch(/^M0 10A(10|9\.9{5,}\d*|10\.0{5,}\d*) \S+ 0 0 1 10 0L10 10L0 10Z$/);
  expect(
    pathOf([
      { x: 0, y: 5 * mm, bulge: 1 },
      { x: 10 * mm, y: 5 * mm, bulge: 1 },
    ]),
  ).toBe("M0 5A5 5 0 0 1 10 5A5 5 0 0 1 0 5Z");
  expect(pathOf([])).toBe("");
});

test("the sheet says in words what it draws", () => {
  sheet();
  const name = screen.getByRole("img").getAttribute("aria-label");
  expect(name).toContain("Front: finished 100 mm by 100 mm, trimmed 112 mm by 112 mm.");
});

test("three outlines on what is quilted, two on what is not", () => {
  const { container } = sheet();
  const pieces = [...container.querySelectorAll(".piece")];
  expect(pieces.map((p) => p.querySelectorAll(".outline").length)).toEqual([3, 2]);
  expect(container.querySelectorAll(".stitch:not(.shade)")).toHaveLength(2); // a pair
});

test("a patch selects itself, and the selected are marked", async () => {
  const { container, select } = sheet({ selected: new Set(["back.panel"]) });
  expect(container.querySelectorAll(".chosen")).toHaveLength(2);
  const cell = container.querySelectorAll(".cell")[1];
  if (cell) await userEvent.setup().click(cell);
  expect(select).toHaveBeenCalledExactlyOnceWith(front.cells[1], front);
});

test("the back says that it waits, how its pieces are cut and how they close", () => {
  const { container } = sheet();
  expect(screen.getByText(/waits for the measured front/)).toBeTruthy();
  expect(screen.getAllByText(/80 mm × 112 mm/)).toHaveLength(2);
  expect(screen.getByText(/overlap 28 mm/)).toBeTruthy();
  expect(container.querySelector(".zip-teeth")?.getAttribute("x1")).toBe("50"); // down the middle of the zip
  expect(container.querySelector(".button-mark")?.getAttribute("r")).toBe("5");
  expect(container.querySelectorAll(".hem-mark")).toHaveLength(1);
});

test("a band lies on its piece only", () => {
  const { container } = sheet({ band: { piece: "front", box: { x: 0, y: 0, width: 10, height: 100 } } });
  expect(container.querySelectorAll(".band")).toHaveLength(1);
});

test("a seam is drawn with its letter, its marks and where it is clipped", () => {
  const seam = {
    join: 2,
    path: [
      { x: 0, y: 100 * mm, bulge: 0 },
      { x: 0, y: 0, bulge: 0 },
    ],
    marks: [75, 50, 25].map((y) => ({ x: 0, y: y * mm, direction: -90 })),
    clips: [20, 10].map((y) => ({ x: 0, y: y * mm, direction: -90 })),
  };
  const { container } = sheet({ reckoning: { ...reckoning, pieces: [{ ...front, seams: [seam] }, back] } });
  expect(container.querySelector(".seam-line")?.getAttribute("d")).toBe("M0 100L0 0");
  expect(container.querySelectorAll(".seam-mark")).toHaveLength(3);
  expect(container.querySelectorAll(".seam-clip")).toHaveLength(2);
  expect(container.querySelector(".seam-letter")?.textContent).toBe("B");
  expect(Number(container.querySelector(".seam-disc")?.getAttribute("cx"))).toBeGreaterThan(0); // inside the piece
});

test("a fitting lies where the core says", () => {
  const strap = {
    index: 0,
    key: "k1",
    title: "Strap",
    on: "front",
    check: "",
    fixing: "",
    lines: [],
    round: false,
    from: { left: size(10).width, right: size(80).width, top: size(5).width, bottom: size(83).width },
    boxes: [10, 80].map((x) => ({ x: x * mm, y: 5 * mm, width: 10 * mm, height: 12 * mm })),
  };
  const { container } = sheet({
    reckoning: { ...reckoning, fittings: [strap, { ...strap, index: 1, on: "nowhere" }] },
  });
  const boxes = [...container.querySelectorAll(".fitting")];
  expect(boxes.map((b) => b.getAttribute("x"))).toEqual(["10", "80"]);
  expect(screen.getByText("strap")).toBeTruthy();
});

test("the grain is drawn on a piece of one fabric: an arrow at both ends, or one where the print stands upright", () => {
  const heads = (grain: string) => {
    const { container } = sheet({ reckoning: { ...reckoning, pieces: [{ ...front, grain }, back] } });
    return container.querySelector(".grain path:not(.halo)")?.getAttribute("d")?.split("M").length ?? 0;
  };
  expect(heads("")).toBe(0);
  expect(heads("up")).toBeGreaterThan(heads("one-way"));
});

import { expect, test } from "vitest";
import type { Cell, Step } from "../api/api.gen";
import { pieceOf } from "../test/piece";
import { aboutsOf, apartAt, asItIs, momentOf } from "./moment";

const step = (id: string, more: Partial<Step> = {}): Step => ({
  id,
  stage: "piece",
  title: id,
  text: "",
  needs: [],
  cuts: [],
  done: false,
  minutes: 1,
  piece: "front",
  about: { role: "" },
  ...more,
});

const steps = [
  step("cut.front", { stage: "cut" }),
  step("row.1", { act: "row", bands: [1] }),
  step("row.2", { act: "row", bands: [2] }),
  step("rows", { act: "rows", bands: [1, 2] }),
  step("border.1.side", { act: "border", about: { role: "border", of: "b1", pair: 1 } }),
  step("border.1.run", { act: "border", about: { role: "border", of: "b1", pair: 2 } }),
  step("layers", { stage: "quilt" }),
  step("quilt", { stage: "quilt", act: "quilt" }),
  step("cut.back", { stage: "back", piece: "back" }),
];

const cell = (x: number, y: number, band: number, cut = "front.patch.A"): Cell => ({
  cut,
  cloth: "A",
  x,
  y,
  width: 10,
  height: 10,
  band,
});
const cells = [
  cell(10, 10, 1),
  cell(20, 10, 1),
  cell(10, 20, 2),
  cell(20, 20, 2),
  { ...cell(0, 10, 0, "front.border.1.side"), height: 20 },
  { ...cell(0, 0, 0, "front.border.1.run"), width: 40 },
];
const abouts = aboutsOf([
  { id: "front.patch.A", about: { role: "patch", cloth: "A" } },
  { id: "front.border.1.side", about: { role: "border-first", of: "b1", ring: 1 } },
  { id: "front.border.1.run", about: { role: "border-second", of: "b1", ring: 1 } },
]);
const front = pieceOf({ name: "front", cells });

const at = (id: string) => momentOf(step(id), steps, front);

test("a moment holds what its step and those before it have done", () => {
  expect([...at("cut.front").sewn]).toEqual([]);
  expect([...at("row.2").sewn]).toEqual([1, 2]);
  expect([...at("row.2").joined]).toEqual([]);
  expect([...at("rows").joined]).toEqual([1, 2]);
  expect(at("border.1.side").borders).toEqual([{ of: "b1", pair: 1 }]);
  expect(at("border.1.run").whole).toBe(false);
  expect([at("layers").whole, at("layers").quilted]).toEqual([true, false]);
  expect(at("quilt").quilted).toBe(true);
  expect(at("cut.back").quilted, "what is done to the back leaves the front as it was").toBe(true);
});

test("what is not sewn lies apart, and nothing does in the end", () => {
  const still = (id: string) => apartAt(at(id), cells, abouts).map(([x, y]) => x === 0 && y === 0);
  expect(still("cut.front")).toEqual([false, false, false, false, false, false]);
  expect(still("rows")).toEqual([true, true, true, true, false, false]);
  expect(still("border.1.side")).toEqual([true, true, true, true, true, false]);
  expect(still("border.1.run").every(Boolean)).toBe(true);
  const rows = apartAt(at("row.1"), cells, abouts);
  expect(rows[0], "a sewn row moves as one").toEqual(rows[1]);
  expect(rows[2], "loose patches each by itself").not.toEqual(rows[3]);
});

test("a border of patches lies where it belongs when it is sewn on, and not when its strips are made", () => {
  const made = step("border.1.patches", { act: "border", about: { role: "border-patches", of: "b1" } });
  const on = step("border.1.side", { act: "border", about: { role: "border", of: "b1" } });
  const still = (last: Step) =>
    apartAt(momentOf(last, [...steps.slice(0, 4), made, on], front), cells, abouts).map(([x, y]) => x === 0 && y === 0);
  expect(still(made)).toEqual([true, true, true, true, false, false]);
  expect(still(on).every(Boolean)).toBe(true);
});

test("the strips of one border are not those of another", () => {
  const other = aboutsOf([
    { id: "front.border.1.side", about: { role: "border-first", of: "p2b1", ring: 1, part: "p2" } },
  ]);
  expect(apartAt(at("border.1.run"), cells, other)[4]).not.toEqual([0, 0]);
});

test("what was trimmed off is gone after, and a cover turned out hides its seams", () => {
  const square = (by: number) => [
    { x: 0 - by, y: 0 - by, bulge: 0 },
    { x: 40 + by, y: 0 - by, bulge: 0 },
    { x: 40 + by, y: 40 + by, bulge: 0 },
    { x: 0 - by, y: 40 + by, bulge: 0 },
  ];
  const piece = { ...pieceOf({}), outline: square(0), trimmed_outline: square(1), cut_outline: square(3) };
  const way = [
    ...steps,
    step("trim", { stage: "quilt", about: { role: "trim" } }),
    step("measure", { stage: "quilt", about: { role: "measure-front" } }),
    step("turn", { stage: "close", about: { role: "turn" } }),
    step("inspect", { stage: "close", about: { role: "inspect" } }),
  ];
  const at = (id: string) => {
    const one = way.find((s) => s.id === id) as Step;
    const { cut_outline, trimmed_outline } = asItIs(piece, momentOf(one, way, piece));
    return [cut_outline[0]?.x, trimmed_outline[0]?.x];
  };
  expect(at("quilt")).toEqual([-3, -1]);
  expect(at("trim")).toEqual([-3, -1]);
  expect(at("measure")).toEqual([-1, -1]);
  expect(at("turn")).toEqual([0, 0]);
  expect(at("inspect")).toEqual([0, 0]);
});

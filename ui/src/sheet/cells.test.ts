import { expect, test } from "vitest";
import type { Cell } from "../api/api.gen";
import { cellAt, marksOf } from "./cells";

const cell = (x: number, y: number, cloth: string, more: Partial<Cell> = {}): Cell => ({
  cut: cloth.toLowerCase(),
  cloth,
  x,
  y,
  width: 10,
  height: 10,
  ...more,
});
const checked = [cell(0, 0, "A"), cell(10, 0, "B"), cell(0, 10, "B"), cell(10, 10, "A")];
const plain = { each: false, faint: () => false };

test("one mark has all cells of a fabric, wherever they lie", () => {
  const marks = marksOf(checked, plain);
  expect(marks.map((m) => [m.cloth, m.cells])).toEqual([
    ["A", [checked[0], checked[3]]],
    ["B", [checked[1], checked[2]]],
  ]);
});

test("what stands back, and what is drawn apart, is a mark of its own", () => {
  expect(marksOf(checked, { ...plain, faint: (c) => c.x > 0 }).map((m) => [m.cloth, m.faint, m.cells.length])).toEqual([
    ["A", false, 1],
    ["B", true, 1],
    ["B", false, 1],
    ["A", true, 1],
  ]);
  const apart = checked.map((c) => [c.x, 0] as const);
  expect(marksOf(checked, { ...plain, apart }).map((m) => m.apart)).toEqual(apart);
});

test("cells that are changed one by one, or lie over each other, are drawn one by one", () => {
  expect(marksOf(checked, { ...plain, each: true })).toHaveLength(4);
  expect(marksOf([...checked, cell(5, 5, "A", { over: true })], plain)).toHaveLength(5);
});

test("a point finds the cell it lies in", () => {
  expect(cellAt(checked, 4, 4)).toBe(checked[0]);
  expect(cellAt(checked, 14, 4)).toBe(checked[1]);
  expect(cellAt(checked, 24, 4)).toBeUndefined();
  const corner = (x: number, y: number, bulge = 0) => ({ x, y, bulge });
  const upper = cell(0, 0, "A", { line: [corner(0, 0), corner(10, 0), corner(0, 10)] });
  const lower = cell(0, 0, "A", { line: [corner(10, 0), corner(10, 10), corner(0, 10)] });
  expect(cellAt([upper, lower], 3, 3)).toBe(upper);
  expect(cellAt([upper, lower], 7, 7)).toBe(lower);
});

test("an arc bulges to the left of its way", () => {
  const corner = (x: number, y: number, bulge = 0) => ({ x, y, bulge });
  const round = cell(0, 0, "A", { line: [corner(0, 50, 1), corner(100, 50, 1)] }); // two halves of a circle
  for (const [x, y] of [
    [50, 2],
    [50, 98],
    [15, 20],
  ] as const)
    expect(cellAt([round], x, y)).toBe(round);
  expect(cellAt([round], 8, 12)).toBeUndefined(); // within its box, and outside of it
  expect(marksOf([round, { ...round, over: true }], plain)).toHaveLength(2);
});

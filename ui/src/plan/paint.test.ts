import { expect, test } from "vitest";
import type { Cell } from "../api/api.gen";
import { type FaceDoc, type Painted, painted, rowsOf, swapped } from "./paint";

const cell = (row: number, column: number, cloth: string): Cell => ({
  cut: "",
  cloth,
  x: 0,
  y: 0,
  width: 1,
  height: 1,
  row,
  column,
});
const patch = (c: Cell, part?: string): Painted => ({
  cell: c,
  about: { role: "patch", cloth: c.cloth, paints: part ? "/parts/1/face/order" : "/order", ...(part && { part }) },
});
const laid = [cell(1, 1, "A"), cell(1, 2, "B"), cell(2, 1, "B"), cell(2, 2, "A")].map((c) => patch(c));

test("patches in turn are laid by hand from the first one that is changed", () => {
  const face = { kind: "grid", cloths: ["A", "B"], order: "alternate" };
  const next = painted(face, patch(cell(2, 1, "B")), laid, "C");
  expect(next?.order).toEqual([
    ["A", "B"],
    ["C", "A"],
  ]);
});

test("mixed patches are kept, each once", () => {
  const face = { kind: "grid", cloths: ["A", "B"], order: "scrap", keep: [{ row: 1, column: 1, cloth: "B" }] };
  const next = painted(face, patch(cell(1, 1, "B")), laid, "C");
  expect(next?.keep).toEqual([{ row: 1, column: 1, cloth: "C" }]);
  expect(next?.cloths).toEqual(["A", "B", "C"]);
});

test.each([
  ["/cloth", { cloth: "Z" }],
  ["/ground", { ground: "Z" }],
  ["/show", { show: "Z" }],
  ["/sash/cloth", { sash: { width: "1", cloth: "Z" } }],
  ["/sash/post_cloth", { sash: { width: "1", cloth: "A", post_cloth: "Z" } }],
  ["/strips/1/cloth", { strips: [{ cloth: "A" }, { cloth: "Z" }] }],
  ["/borders/0/cloth", { borders: [{ cloth: "Z" }, { pieced: { cloths: ["A", "B"] } }] }],
  ["/borders/0/corner_cloth", { borders: [{ cloth: "A", corner_cloth: "Z" }, { pieced: { cloths: ["A", "B"] } }] }],
  ["/borders/1/pieced/cloths", { borders: [{ cloth: "A" }, { pieced: { cloths: ["A", "Z"] } }] }],
  ["/cloths", { cloths: ["A", "Z"] }],
])("%s is where a fabric stands", (paints, want) => {
  const face = {
    cloths: ["A", "B"],
    cloth: "A",
    sash: { width: "1", cloth: "A" },
    strips: [{ cloth: "A" }, { cloth: "B" }],
    borders: [{ cloth: "A" }, { pieced: { cloths: ["A", "B"] } }],
  };
  expect(painted(face as unknown as FaceDoc, { cell: cell(1, 1, "B"), about: { role: "", paints } }, [], "Z")).toEqual({
    ...face,
    ...want,
  });
});

test("a part of a stack counts its own rows", () => {
  const face = {
    kind: "stack",
    parts: [{ face: { kind: "plain" } }, { face: { kind: "grid", cloths: ["A", "B"], order: "alternate" } }],
  };
  const cells = [
    { cell: cell(0, 0, "A"), about: { role: "panel", part: "p1", paints: "/parts/0/face/cloth" } },
    ...laid.map((c) => patch({ ...c.cell, row: (c.cell.row ?? 0) + 1 }, "p2")),
  ];
  const next = painted(face as unknown as FaceDoc, patch(cell(3, 2, "A"), "p2"), cells, "C") as unknown as {
    parts: { face: { order: unknown } }[];
  };
  expect(next.parts[1]?.face.order).toEqual([
    ["A", "B"],
    ["B", "C"],
  ]);
});

test("what has no fabric of its own stays", () =>
  expect(painted({}, { cell: cell(1, 1, "A"), about: { role: "lining" } }, [], "B")).toBeNull());

test("two fabrics change places wherever they stand, and no other word does", () => {
  const face = {
    kind: "A",
    cloths: ["A", "B", "C"],
    order: [["A", "B"]],
    sash: { width: "B", cloth: "B" },
    colourways: [{ face: { cloth: "A" } }],
  };
  expect(swapped(face, "A", "B")).toEqual({
    kind: "A",
    cloths: ["B", "A", "C"],
    order: [["B", "A"]],
    sash: { width: "B", cloth: "A" },
    colourways: [{ face: { cloth: "A" } }],
  });
});

test("a block shows the fabric of its first patch", () =>
  expect(rowsOf([cell(1, 1, "A"), cell(1, 1, "B")])).toEqual([["A"]]));

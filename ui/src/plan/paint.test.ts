import { expect, test } from "vitest";
import type { Cell } from "../api/api.gen";
import { type FaceDoc, painted, rowsOf, swapped } from "./paint";

const cell = (row: number, column: number, cloth: string): Cell => ({ cut: "", cloth, x: 0, y: 0, width: 1, height: 1, row, column });
const laid = [cell(1, 1, "A"), cell(1, 2, "B"), cell(2, 1, "B"), cell(2, 2, "A")].map((c) => ({ cell: c, part: `patch.${c.cloth}` }));

test("patches in turn are laid by hand from the first one that is changed", () => {
  const face = { kind: "grid", cloths: ["A", "B"], order: "alternate" };
  const next = painted(face, cell(2, 1, "B"), "patch.B", laid, "C");
  expect(next?.order).toEqual([
    ["A", "B"],
    ["C", "A"],
  ]);
});

test("mixed patches are kept, each once", () => {
  const face = { kind: "grid", cloths: ["A", "B"], order: "scrap", keep: [{ row: 1, column: 1, cloth: "B" }] };
  const next = painted(face, cell(1, 1, "B"), "patch.B", laid, "C");
  expect(next?.keep).toEqual([{ row: 1, column: 1, cloth: "C" }]);
  expect(next?.cloths).toEqual(["A", "B", "C"]);
});

test.each([
  ["panel", { cloth: "Z" }],
  ["corner.4.B", { cloth: "Z" }],
  ["short-sash", { sash: { width: "1", cloth: "Z" } }],
  ["post.3.4", { sash: { width: "1", cloth: "A", post_cloth: "Z" } }],
  ["strip.2", { strips: [{ cloth: "A" }, { cloth: "Z" }] }],
  ["border.1.run", { borders: [{ cloth: "Z" }, { pieced: { cloths: ["A", "B"] } }] }],
  ["border.1.corner", { borders: [{ cloth: "A", corner_cloth: "Z" }, { pieced: { cloths: ["A", "B"] } }] }],
  ["border.2.side.B", { borders: [{ cloth: "A" }, { pieced: { cloths: ["A", "Z"] } }] }],
  ["block.1.B", { cloths: ["A", "Z"] }],
])("%s changes where its cloth stands", (part, want) => {
  const face = {
    cloths: ["A", "B"],
    cloth: "A",
    sash: { width: "1", cloth: "A" },
    strips: [{ cloth: "A" }, { cloth: "B" }],
    borders: [{ cloth: "A" }, { pieced: { cloths: ["A", "B"] } }],
  };
  expect(painted(face as unknown as FaceDoc, cell(1, 1, "B"), part, [], "Z")).toEqual({ ...face, ...want });
});

test("a part of a stack counts its own rows", () => {
  const face = { kind: "stack", parts: [{ face: { kind: "plain" } }, { face: { kind: "grid", cloths: ["A", "B"], order: "alternate" } }] };
  const cells = [
    { cell: cell(0, 0, "A"), part: "part.1.panel" },
    ...laid.map((c) => ({ cell: { ...c.cell, row: (c.cell.row ?? 0) + 1 }, part: `part.2.${c.part}` })),
  ];
  const next = painted(face as unknown as FaceDoc, cell(3, 2, "A"), "part.2.patch.A", cells, "C") as unknown as {
    parts: { face: { order: unknown } }[];
  };
  expect(next.parts[1]?.face.order).toEqual([
    ["A", "B"],
    ["B", "C"],
  ]);
});

test("what has no cloth of its own stays", () => expect(painted({}, cell(1, 1, "A"), "lining", [], "B")).toBeNull());

test("two cloths change places wherever they stand, and no other word does", () => {
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

test("a block shows the cloth of its first patch", () => expect(rowsOf([cell(1, 1, "A"), cell(1, 1, "B")])).toEqual([["A"]]));

import { render } from "@testing-library/react";
import { expect, test } from "vitest";
import type { Cell, Piece } from "../api/api.gen";
import { pieceOf } from "../test/piece";
import { cellPath, extent, PieceDrawing } from "./PieceDrawing";

const mm = 1e6;
const corner = (x: number, y: number) => ({ x: x * mm, y: y * mm, bulge: 0 });

const side = { nm: 100 * mm, text: "10 cm", exact: "10 cm" };

const piece = (cells: Cell[], more: Partial<Piece> = {}) => pieceOf({ cells, ...more });

const upper: Cell = {
  cut: "a",
  cloth: "A",
  x: 0,
  y: 0,
  width: 100 * mm,
  height: 100 * mm,
  row: 1,
  column: 1,
  line: [corner(0, 0), corner(100, 0), corner(0, 100)],
};
const lower: Cell = {
  cut: "b",
  cloth: "B",
  x: 0,
  y: 0,
  width: 100 * mm,
  height: 100 * mm,
  row: 1,
  column: 1,
  line: [corner(100, 0), corner(100, 100), corner(0, 100)],
};
const level: Cell = { cut: "c", cloth: "A", x: 10 * mm, y: 20 * mm, width: 30 * mm, height: 40 * mm };

const inSvg = (drawing: React.ReactElement) =>
  render(
    <svg aria-label="a piece" role="img">
      {drawing}
    </svg>,
  ).container;

test("a cell is drawn as its rectangle, or as its own outline", () => {
  expect(cellPath(level)).toBe("M10 20h30v40h-30Z");
  expect(cellPath(upper)).toBe("M0 0L100 0L0 100L0 0Z");
});

test("triangles lie beside each other, each in its fabric", () => {
  const container = inSvg(<PieceDrawing piece={piece([upper, lower])} swatches={{}} />);
  const cells = [...container.querySelectorAll(".cell")];
  expect(cells.map((c) => c.getAttribute("d"))).toEqual([cellPath(upper), cellPath(lower)]);
  expect(cells[0]?.getAttribute("fill")).not.toBe(cells[1]?.getAttribute("fill"));
});

test("what is selected and what is at hand are outlined by themselves", () => {
  const container = inSvg(
    <PieceDrawing piece={piece([upper, lower])} swatches={{}} selected={new Set(["b"])} pointed={upper} />,
  );
  expect(container.querySelectorAll(".chosen")).toHaveLength(2);
  expect(container.querySelector(".chosen.pointed")?.getAttribute("d")).toBe(cellPath(upper));
});

test("cells that stand back are faint", () => {
  const container = inSvg(
    <PieceDrawing piece={piece([upper, lower])} swatches={{}} dimmed={(cell) => cell.cut === "a"} />,
  );
  expect([...container.querySelectorAll(".cell")].map((c) => Number(c.getAttribute("opacity")))).toEqual([0.22, 1]);
});

test.each([
  ["across", "rotate(0)"],
  ["along", "rotate(90)"],
  ["diagonal", "rotate(45)"],
])("the folds of gathers drawn in %s lie %s", (direction, turn) => {
  const gather = { direction, ratio: 2.5, wanted: side, needed: side, piece: side, yields: side };
  const container = inSvg(<PieceDrawing piece={piece([level], { gather })} swatches={{}} />);
  expect(
    [...container.querySelectorAll("pattern")].some(
      (p) => p.getAttribute("patternTransform") === turn && p.querySelector(".fold-shade"),
    ),
  ).toBe(true);
});

test("without gathers there are no folds, and the drawing keeps within its outlines", () => {
  expect(inSvg(<PieceDrawing piece={piece([level])} swatches={{}} />).querySelectorAll(".fold-shade")).toHaveLength(0);
  expect(extent(piece([level]))).toEqual({ x: 0, y: 0, width: 100, height: 100 });
});

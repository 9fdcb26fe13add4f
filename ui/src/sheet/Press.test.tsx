import { render, screen } from "@testing-library/react";
import { expect, test } from "vitest";
import type { PressSeam, Step } from "../api/api.gen";
import { pieceOf } from "../test/piece";
import { isPressed, PressView, turns } from "./Press";

const seam = (kind: string, band: number, side: string): PressSeam => ({
  kind,
  band,
  side,
  x1: 50e6,
  y1: band * 100e6,
  x2: 50e6,
  y2: (band - 1) * 100e6,
});
const piece = (press: PressSeam[], conflicts: { x: number; y: number }[] = []) =>
  pieceOf({
    cells: [{ cut: "front.patch.A", cloth: "A", x: 0, y: 0, width: 100e6, height: 100e6, row: 1, column: 1, band: 1 }],
    press,
    press_conflicts: conflicts,
  });

const step = (act: string, row: number | undefined, bands: number[]): Step => ({
  id: act,
  act,
  about: { role: act },
  stage: "piece",
  title: "",
  text: "",
  needs: [],
  cuts: [],
  done: false,
  minutes: 5,
  bands,
  ...(row && { row }),
});

test("a row presses its own seams, and the joining of rows those between them", () => {
  expect(isPressed(step("row", 2, [2]), seam("row", 2, "left"))).toBe(true);
  expect(isPressed(step("row", 2, [2]), seam("row", 1, "left"))).toBe(false);
  expect(isPressed(step("rows", undefined, [1, 2]), seam("between", 1, "down"))).toBe(true);
  expect(isPressed(step("rows", undefined, [1, 2]), seam("between", 7, "down"))).toBe(false);
  expect(isPressed(step("border", undefined, []), seam("border", 0, "left"))).toBe(false);
});

test.each([
  ["left", 1],
  ["right", 1],
  ["open", 2],
  ["dark", 0],
])("a seam pressed %s shows %d bands", (side, bands) => {
  const { container } = render(<PressView piece={piece([seam("row", 1, side)])} step={step("row", 1, [1])} />);
  expect(container.querySelectorAll(".press-band")).toHaveLength(bands);
  expect(container.querySelectorAll(".press-seam")).toHaveLength(1);
});

test("the band lies on the side it is pressed to, and all is mirrored", () => {
  const { container } = render(<PressView piece={piece([seam("row", 1, "left")])} step={step("row", 1, [1])} />);
  const xs = [...(container.querySelector(".press-band")?.getAttribute("d") ?? "").matchAll(/[ML]([\d.]+) /g)].map(
    (m) => Number(m[1]),
  );
  expect(Math.min(...xs)).toBeLessThan(50);
  expect(Math.max(...xs)).toBe(50);
  expect(container.querySelector("svg > g")?.getAttribute("transform")).toContain("scale(-1 1)");
});

test("what does not lock is ringed and counted, and the plan can be read out", () => {
  const { container } = render(
    <PressView
      piece={piece([seam("row", 1, "left"), seam("row", 2, "right")], [{ x: 50e6, y: 50e6 }])}
      step={step("rows", undefined, [1, 2])}
    />,
  );
  expect(container.querySelectorAll(".press-conflict")).toHaveLength(1);
  expect(screen.getByText(/one place where two lie/)).toBeTruthy();
  expect(container.querySelector("svg")?.getAttribute("aria-label")).toContain("row 1 left, row 2 right");
});

test("every side has an arrow", () => {
  for (const side of ["left", "right", "up", "down", "up-left", "up-right", "down-left", "down-right"])
    expect(turns[side]).toBeDefined();
});

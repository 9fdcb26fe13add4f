import { render } from "@testing-library/react";
import { expect, test } from "vitest";
import type { Shape } from "../api/api.gen";
import { darker, LaidOn, threadOf } from "./LaidOn";

test("thread is darker than its fabric, and that of a line darker still", () => {
  expect(darker("#804020", 0.5)).toBe("#402010");
  expect(darker(undefined, 0)).toBe("#808080");
  const lightness = (hex: string) => Number.parseInt(hex.slice(1, 3), 16);
  const swatch = { motif: "plain", ground: "#c08040", ink: "#000000" } as const;
  expect(lightness(threadOf({ line: true }, swatch))).toBeLessThan(lightness(threadOf({}, swatch)));
});

const shape = (more: Partial<Shape>) =>
  ({ path: "M0 0L9 0L9 9Z", sewn: "M0 0L9 0", stitch: "satin stitch", ...more }) as Shape;
const drawn = (more: Partial<Shape>, dimmed = false) =>
  render(
    <svg>
      <title>test</title>
      <LaidOn shape={shape(more)} cloth="B" dimmed={dimmed} />
    </svg>,
  ).container;

test("a patch is its fabric with what is sewn of its edge", () => {
  const paths = [...drawn({}).querySelectorAll("path")].map((p) => p.getAttribute("d"));
  expect(paths).toEqual(["M0 0L9 0L9 9Z", "M0 0L9 0"]);
});

test("felt has no stitching, and a line no fabric", () => {
  expect(drawn({ stitch: "" }).querySelectorAll("path")).toHaveLength(1);
  expect(drawn({ stitch: "satin line", line: true }).querySelector(".cell")).toBeNull();
});

test("what is not at hand stands back", () => {
  expect(drawn({}, true).querySelector(".laid-on")?.getAttribute("opacity")).toBe("0.25");
});

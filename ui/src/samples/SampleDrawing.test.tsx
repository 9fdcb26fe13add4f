import { render } from "@testing-library/react";
import { expect, test } from "vitest";
import { SampleDrawing } from "./SampleDrawing";

const square = { title: "Square", kind: "quilting", quilting: { lines: [{ angle: 45 }, { angle: -45 }] } };
const measured = { ...square, after: [{ width: "9 7/8", height: "9 7/8" }] };

test("samples beside each other are each cut off at their own edge", () => {
  const { container } = render(
    <>
      <SampleDrawing sample={square} />
      <SampleDrawing sample={measured} />
    </>,
  );
  const clips = [...container.querySelectorAll("clipPath")];
  const ids = clips.map((c) => c.id);
  expect(new Set(ids).size).toBe(2);
  expect([...container.querySelectorAll("g[clip-path]")].map((g) => g.getAttribute("clip-path"))).toEqual(
    ids.map((id) => `url(#${id})`),
  );
  const widths = clips.map((c) => Number(c.querySelector("rect")?.getAttribute("width")));
  expect(widths[1]).toBeLessThan(widths[0] ?? 0);
  expect(container.querySelectorAll("path.lines")).toHaveLength(4);
});

test("a strip is gathered once it is measured", () => {
  const lines = (sample: typeof measured) =>
    render(<SampleDrawing sample={sample} />).container.querySelectorAll(".after").length;
  expect(lines({ ...square, kind: "gather" } as typeof measured)).toBe(0);
  expect(lines({ ...measured, kind: "gather" })).toBe(1);
});

test("a sample of no known kind draws nothing", () => {
  expect(
    render(<SampleDrawing sample={{ ...square, kind: "?" }} />).container.querySelector("svg")?.children,
  ).toHaveLength(0);
});

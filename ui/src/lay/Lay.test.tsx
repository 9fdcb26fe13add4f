import { render, screen } from "@testing-library/react";
import { expect, test } from "vitest";
import type { Cut, Lay as LayData, Placed } from "../api/api.gen";
import { Lay } from "./Lay";

const inches = (n: number) => ({ nm: n * 25.4e6, text: `${n}″`, exact: String(n) });
const placed = (x: number, y: number, w: number, h: number, strip: number): Placed => ({
  cut: 0,
  x: inches(x),
  y: inches(y),
  width: inches(w),
  height: inches(h),
  room: { x: inches(x), y: inches(y), width: inches(w), height: inches(h) },
  turned: false,
  strip,
  column: 1,
});
const cut = {
  id: "patch",
  title: "Patch",
  shape: "square",
  width: inches(5),
  height: inches(5),
  waits: "",
  done: false,
} as unknown as Cut;
const lay = (more: Partial<LayData> = {}): LayData =>
  ({
    width: inches(40),
    length: inches(10),
    strips: [
      { y: inches(0), height: inches(5) },
      { y: inches(5), height: inches(5) },
    ],
    placed: [placed(0, 0, 5, 5, 1), placed(0, 5, 5, 5, 2)],
    ...more,
  }) as unknown as LayData;

const boxOf = (svg: Element) => (svg.getAttribute("viewBox") ?? "").split(" ").map(Number);

test("a lay says what it is, with a line and a number for every strip", () => {
  const { container } = render(<Lay lay={lay()} cuts={[cut]} pieces={[]} strips={[]} />);
  expect(screen.getByRole("img", { name: "2 pieces on 40″ of usable width, using 10″ of length" })).toBeTruthy();
  expect(container.querySelectorAll(".strip-cut")).toHaveLength(2);
  expect([...container.querySelectorAll(".strip-number")].map((n) => n.textContent)).toEqual(["1", "2"]);
  expect(container.querySelectorAll("rect.laid")).toHaveLength(2);
});

test("an offcut is drawn whole, and in proportion to the width of its fabric", () => {
  const odd = lay({ width: inches(8), length: inches(5), placed: [placed(0, 0, 5, 5, 1)] });
  const { container } = render(
    <Lay lay={odd} whole={inches(9).nm} among={1016} cuts={[cut]} pieces={[]} strips={[]} />,
  );
  const svg = container.querySelector("svg.lay") as Element;
  expect(boxOf(svg)[2]).toBeGreaterThan(1016);
  expect(Number(container.querySelector(".cloth-ground")?.getAttribute("height"))).toBeCloseTo(9 * 25.4);
});

test("what a move is not about stands back", () => {
  const { container } = render(<Lay lay={lay()} cuts={[cut]} pieces={[]} strips={[]} about={(place) => place === 1} />);
  const opacity = [...container.querySelectorAll("svg.lay > g[opacity]")].map((g) => g.getAttribute("opacity"));
  expect(opacity).toEqual(["0.3", "1"]);
});

test("what waits is drawn as large as what is kept for it, and as large as it is when it is measured", () => {
  const back = { ...placed(0, 0, 5, 5, 1), room: { x: inches(0), y: inches(0), width: inches(6), height: inches(5) } };
  const shown = (waits: string) => {
    const kept = lay({ placed: [back] } as Partial<LayData>);
    const { container } = render(<Lay lay={kept} cuts={[{ ...cut, waits } as Cut]} pieces={[]} strips={[]} />);
    return Number(container.querySelector("rect.laid")?.getAttribute("width"));
  };
  expect(shown("front")).toBeCloseTo(6 * 25.4);
  expect(shown("")).toBeCloseTo(5 * 25.4);
});

import { render, screen } from "@testing-library/react";
import { expect, test } from "vitest";
import type { Sheet } from "../api/api.gen";
import { StackFigure } from "./StackFigure";

test("a stack is told from above, and the right side of every fabric is marked where it is", () => {
  const stack: Sheet[] = [
    { what: "lining", up: "wrong", cloth: "L" },
    { what: "batting" },
    { what: "front", up: "right", cloth: "A" },
  ];
  const { container } = render(<StackFigure stack={stack} swatches={{}} />);
  expect(
    screen.getByRole("img", { name: "From above: front, right side up, on batting, on lining, wrong side up" }),
  ).toBeTruthy();
  const at = (el: Element | undefined, name: string) => Number(el?.getAttribute(name));
  const sheets = [...container.querySelectorAll("rect.sheet-side")];
  const lines = [...container.querySelectorAll("line.right-side")];
  expect(lines).toHaveLength(2);
  const [lining, , front] = sheets;
  expect(at(lines[0], "y1")).toBe(at(lining, "y") + at(lining, "height"));
  expect(at(lines[1], "y1")).toBe(at(front, "y"));
  expect(at(front, "y")).toBeLessThan(at(lining, "y"));
});

import { render, screen } from "@testing-library/react";
import { expect, test } from "vitest";
import type { Strips } from "../api/api.gen";
import { StripsFigure } from "./StripsFigure";

const size = (mm: number) => ({ nm: mm * 1e6, text: `${mm} mm`, exact: `${mm} mm` });
const corner = (x: number, y: number) => ({ x: x * 1e6, y: y * 1e6 });

const strips: Strips = {
  what: "piping",
  cut: "piping",
  width: size(40),
  need: size(900),
  joined: size(950),
  area: size(1000),
  cloth: { width: size(600), height: size(450) },
  lie: [
    { length: size(500), corners: [corner(0, 450), corner(450, 0), corner(507, 0), corner(57, 450)] },
    { length: size(20), corners: [corner(0, 30), corner(30, 0), corner(0, 0)] },
  ],
};

test("strips are marked where they lie, and the long ones say how long they are", () => {
  const { container } = render(<StripsFigure strips={strips} cloth="ink canvas" swatch={undefined} />);
  expect(screen.getByRole("img", { name: "2 strips, 40 mm wide, marked on a piece of ink canvas" })).toBeTruthy();
  const marked = [...container.querySelectorAll("path.marked")].map((p) => p.getAttribute("d"));
  expect(marked).toEqual(["M0 450L450 0L507 0L57 450Z", "M0 30L30 0L0 0Z"]);
  expect(container.textContent).toContain("500 mm");
  expect(container.textContent, "nobody writes on a bit that is left").not.toContain("20 mm");
});

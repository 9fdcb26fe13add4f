import { expect, test } from "vitest";
import { ems } from "./ems";

test("wide letters take more room than narrow ones", () => {
  expect(ems("mm")).toBeGreaterThan(ems("nn"));
  expect(ems("nn")).toBeGreaterThan(ems("il"));
});

test("a fraction takes less room than its figures side by side", () => {
  expect(ems("½")).toBeLessThan(ems("12"));
  expect(ems("³¹⁄₃₂")).toBeLessThan(ems("31/32"));
});

test("parts of a text take as much as the whole", () =>
  expect(ems("14½″ × 21″")).toBeCloseTo(ems("14½″") + ems(" × 21″")));

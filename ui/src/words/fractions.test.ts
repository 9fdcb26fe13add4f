import Fraction from "fraction.js";
import { describe, expect, test } from "vitest";
import { dressed, runs } from "./fractions";

describe("runs", () => {
  test.each([
    ["19½″", [{ text: "19" }, { top: "1", under: "2" }, { text: "″" }]],
    ["2¹¹⁄₁₆″", [{ text: "2" }, { top: "11", under: "16" }, { text: "″" }]],
    ["≈³⁄₃₂″ of 1 yd", [{ text: "≈" }, { top: "3", under: "32" }, { text: "″ of 1 yd" }]],
    [
      "13¼″ × 19½″",
      [{ text: "13" }, { top: "1", under: "4" }, { text: "″ × 19" }, { top: "1", under: "2" }, { text: "″" }],
    ],
    ["no fraction", [{ text: "no fraction" }]],
    ["", []],
  ])("%s", (text, want) => expect(runs(text)).toEqual(want));

  test("every sixty-fourth keeps its value, by an independent library", () => {
    for (let n = 1; n < 64; n++) {
      const [run] = runs(dressed(new Fraction(n, 64).toFraction(), "in"));
      if (!run || "text" in run) throw new Error(`no fraction in ${n}/64`);
      expect(new Fraction(Number(run.top), Number(run.under)).equals(new Fraction(n, 64))).toBe(true);
    }
  });
});

describe("dressed", () => {
  test.each([
    ["19 1/2", "in", "19¹⁄₂″"],
    ["-1", "in", "−1″"],
    ["1/4", "in", "¹⁄₄″"],
    ["50.8", "cm", "50.8 cm"],
    ["3 mm", "in", "3 mm"],
    ["3 mm", "cm", "3 mm"],
    ["4 1/2 cut", "in", "4¹⁄₂″ cut"],
  ])("%s in a plan in %s", (plain, units, want) => expect(dressed(plain, units)).toBe(want));
});

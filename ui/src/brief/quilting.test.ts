import { describe, expect, it } from "vitest";
import { patternOf, patterns, some } from "./quilting";

describe("quilting patterns", () => {
  it.each(Object.keys(patterns))("%s is known again by what it makes", (name) => {
    expect(patternOf(patterns[name]?.make("1 in") ?? {})).toBe(name);
  });

  it("lines of one's own have no name", () => {
    expect(patternOf({ lines: [{ pitch: "1", angle: 30 }] })).toBe("own");
  });

  it("lines with stitching in the ditch keep the name of the lines", () => {
    expect(patternOf({ lines: [{ pitch: "1", angle: 90 }], ditch: true })).toBe("upright");
  });

  it("nothing is no length", () => {
    expect([undefined, "0", 0, "1/4"].map(some)).toEqual([false, false, false, true]);
  });
});

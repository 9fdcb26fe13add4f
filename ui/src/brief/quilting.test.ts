import { describe, expect, it } from "vitest";
import type { QuiltingPattern } from "../api/api.gen";
import { patternsOf } from "./quilting";

const pattern = (key: string, quilting: object) =>
  ({ key, name: `quilted ${key}`, quilting }) as unknown as QuiltingPattern;
const patterns = patternsOf([
  pattern("none", {}),
  pattern("cross", {
    lines: [
      { pitch: "1", angle: 45 },
      { pitch: "1", angle: -45 },
    ],
  }),
  pattern("upright", { lines: [{ pitch: "1", angle: 90 }] }),
  pattern("level", { lines: [{ pitch: "1" }] }),
  pattern("wave", { lines: [{ pitch: "1", wave: "1/4" }] }),
  pattern("echo", { echo: "1" }),
  pattern("ditch", { ditch: true }),
  pattern("free", { free: "1" }),
]);

describe("quilting patterns", () => {
  it.each(patterns.list.map((p) => p.key))("%s is known again by what it makes, whatever its size", (key) => {
    expect(patterns.of(patterns.make(key, { free: "2 1/2" }))).toBe(key);
  });

  it("lines of one’s own have no name", () => {
    expect(patterns.of({ lines: [{ pitch: "1", angle: 30 }] })).toBe("own");
  });

  it("lines with stitching in the ditch keep the name of the lines", () => {
    expect(patterns.of({ lines: [{ pitch: "1", angle: 90 }], ditch: true })).toBe("upright");
  });
});

import { describe, expect, it } from "vitest";
import type { QuiltingPattern } from "../api/api.gen";
import { isQuilted, patternsOf, some } from "./quilting";

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

  it("lines of one's own have no name", () => {
    expect(patterns.of({ lines: [{ pitch: "1", angle: 30 }] })).toBe("own");
    expect(patterns.name("own")).toBe("quilted in lines of my own");
  });

  it("lines with stitching in the ditch keep the name of the lines", () => {
    expect(patterns.of({ lines: [{ pitch: "1", angle: 90 }], ditch: true })).toBe("upright");
  });

  it("another pattern is as far apart, and what was decided comes back", () => {
    const own = { lines: [{ pitch: "3/4", angle: 90 }], pair: "1/8" };
    const rounds = patterns.otherwise(own, "echo");
    expect(rounds).toEqual({ echo: "3/4", aside: { upright: own } });
    expect(patterns.otherwise(rounds, "upright")).toEqual(own);
    expect(patterns.otherwise({ echo: "3/4" }, "free")).toEqual({ free: "3/4" });
  });

  it("whether anything is quilted does not wait for the names", () => {
    expect([{}, { lines: [] }, { echo: "0" }].map(isQuilted)).toEqual([false, false, false]);
    expect([{ lines: [{ pitch: "1" }] }, { ditch: true }, { free: "1/2" }].map(isQuilted)).toEqual([true, true, true]);
  });

  it("nothing is no length", () => {
    expect([undefined, "0", 0, "1/4"].map(some)).toEqual([false, false, false, true]);
  });
});

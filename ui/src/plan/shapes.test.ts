import { describe, expect, it } from "vitest";
import { clothFor, cornersOf, pathThrough, renamed, trueSize } from "./shapes";

describe("shapes that join others", () => {
  it("get names that are free, and stay placed from what they were", () => {
    const joined = renamed(
      [
        { key: "k1", shape: "van", name: "body" },
        { shape: "circle", from: "k1" },
      ],
      [
        { shape: "square", name: "body" },
        { shape: "circle", name: "body 2" },
      ],
    );
    expect(joined.map((s) => s.name)).toEqual(["body 3", undefined]);
    expect(joined.map((s) => s.from)).toEqual([undefined, "k1"]);
  });

  it("take the fabric of their colour, else the fabrics in turn", () => {
    const cloths = { A: { swatch: { ground: "#27345f" } }, B: { swatch: { ground: "#E3C27A" } }, batting: {} };
    const cloth = clothFor(["#e3c27a", "#ff0000", "", "#ff0000"], cloths);
    expect(["#e3c27a", "#ff0000", "", "#ff0000"].map(cloth)).toEqual(["B", "B", "A", "B"]);
    expect(clothFor(["#123456"], {})("#123456")).toBe("A");
  });
});

describe("outlines by points", () => {
  it("are read and written, as long as all sides are straight", () => {
    const path = "M0 30L40 0L80 30.5L80 80Z";
    expect(cornersOf(path)).toHaveLength(4);
    expect(pathThrough(cornersOf(path) ?? [])).toBe(path);
    for (const other of ["star", "M0 0C1 1 2 2 3 3Z", "M0 0L5 5", "M0 0L1 1Z M2 2L3 3Z"])
      expect(cornersOf(other)).toBeNull();
  });

  it("come to the size they are laid at", () => {
    expect(
      trueSize(
        [
          { x: 10, y: 10 },
          { x: 20, y: 10 },
          { x: 20, y: 30 },
        ],
        50,
        40,
      ),
    ).toEqual([
      { x: 0, y: 0 },
      { x: 50, y: 0 },
      { x: 50, y: 40 },
    ]);
    expect(
      trueSize(
        [
          { x: 0, y: 0 },
          { x: 0, y: 5 },
        ],
        0,
        10,
      )[1],
    ).toEqual({ x: 0, y: 10 });
  });
});

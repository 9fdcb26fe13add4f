import { describe, expect, it } from "vitest";
import { cleaned } from "./ClothForm";

describe("what a fabric is saved as", () => {
  it("leaves out what is empty, and makes numbers of numbers", () => {
    expect(
      cleaned({
        name: "leaf",
        have: " 1 yd ",
        usable: " ",
        stretch: "",
        shrink: "3",
        price: "12,50",
        prewashed: false,
        odd: [],
        repeat: { across: "", along: " " },
      }),
    ).toEqual({ name: "leaf", have: "1 yd", shrink: 3, price: 12.5 });
  });

  it("keeps what is no number, so that it is refused by name", () => {
    expect(cleaned({ price: "cheap" })).toEqual({ price: "cheap" });
  });

  it("counts an offcut once where nobody said, and drops lines that are empty", () => {
    expect(
      cleaned({
        odd: [
          { width: "5", length: "5", count: "" },
          { width: " ", length: "" },
          { width: "2 1/2", length: "40", count: "3", for: "pad" },
        ],
      }),
    ).toEqual({
      odd: [
        { width: "5", length: "5", count: 1 },
        { width: "2 1/2", length: "40", count: 3, for: "pad" },
      ],
    });
  });
});

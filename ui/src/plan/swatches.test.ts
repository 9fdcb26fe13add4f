import { expect, test } from "vitest";
import { swatchesOf } from "./swatches";

test("every fabric of a plan has its swatch, or an empty one", () =>
  expect(swatchesOf({ A: { name: "ink", swatch: { motif: "dot", ground: "#111111" } }, B: { name: "bare" } })).toEqual({
    A: { motif: "dot", ground: "#111111" },
    B: {},
  }));

test("a plan without fabrics has none", () => expect(swatchesOf(undefined)).toEqual({}));

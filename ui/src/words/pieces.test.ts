import { expect, test } from "vitest";
import { pieces } from "./pieces";

test("one piece is one, and none are several", () => {
  expect([0, 1, 2].map(pieces)).toEqual(["0 pieces", "1 piece", "2 pieces"]);
});

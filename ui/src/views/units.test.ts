import { expect, test } from "vitest";
import { exact } from "./units";

test.each([
  ["1/4", "in", "1/4 in"],
  ["16½", "in", "16½ in"],
  ["7 ", "mm", "7 mm"],
  ["1/4 in", "mm", "1/4 in"],
  ["¼″", "mm", "¼″"],
  ["0.7 cm", "in", "0.7 cm"],
])("%s typed in %s is %s", (typed, units, is) => {
  expect(exact(typed, units)).toBe(is);
});

import { describe, expect, test } from "vitest";
import type { Term } from "../api/api.gen";
import { groups, segments } from "./terms";

const term = (name: string, nm: number, again?: boolean): Term => ({
  term: name,
  kind: "part",
  amount: { nm, text: String(nm), exact: String(nm) },
  again,
});

describe("segments", () => {
  test("lie end to end", () =>
    expect(segments([term("a", 3), term("b", 4)]).map((s) => [s.from, s.to, s.back])).toEqual([
      [0, 3, false],
      [3, 7, false],
    ]));
  test("what takes away lies back over what is before it", () =>
    expect(
      segments([term("pad", 20), term("smaller", -1), term("seam", 2)]).map((s) => [s.from, s.to, s.back]),
    ).toEqual([
      [0, 20, false],
      [19, 20, true],
      [19, 21, false],
    ]));
});

describe("groups", () => {
  test("take terms alike and side by side together", () =>
    expect(
      groups([term("seam", 1), term("patch", 4), term("patch", 4, true), term("patch", 5), term("seam", 1)]).map(
        (g) => [g.count, g.term.term, g.first],
      ),
    ).toEqual([
      [1, "seam", 0],
      [2, "patch", 1],
      [1, "patch", 3],
      [1, "seam", 4],
    ]));
});

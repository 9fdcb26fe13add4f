import { describe, expect, test } from "vitest";
import type { Term } from "../api/api.gen";
import { groups, segments } from "./terms";

const term = (name: string, nm: number): Term => ({
  term: name,
  kind: "part",
  amount: { nm, text: String(nm), exact: String(nm) },
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
      groups([term("seam", 1), term("patch", 4), term("patch", 4), term("patch", 5), term("seam", 1)]).map((g) => [
        g.count,
        g.term.term,
        g.first,
      ]),
    ).toEqual([
      [1, "seam", 0],
      [2, "patch", 1],
      [1, "patch", 3],
      [1, "seam", 4],
    ]));

  test("take what dividing leaves over for nothing", () => {
    const third = (nm: number): Term => ({
      term: "patch",
      kind: "part",
      amount: { nm, text: "≈5⅜″", exact: String(nm) },
    });
    expect(
      groups([third(135466666), third(135466666), third(135466668), third(135500000)]).map((g) => g.count),
    ).toEqual([3, 1]);
  });
});

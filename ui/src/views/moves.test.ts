import { describe, expect, it } from "vitest";
import type { Reckoning } from "../api/api.gen";
import { cutsOf, keyOf, movesOf, nextOf, piecesOf, spreadsOf } from "./moves";

const l = (inches: number) => ({ nm: inches * 25.4e6, text: `${inches}″`, exact: `${inches}` });
const cut = (id: string, more = {}) => ({ id, title: id, cloth: "A", done: false, width: l(4), height: l(4), ...more });
const placed = (index: number, strip: number, column: number, width: number, height = 4) => ({
  cut: index,
  strip,
  column,
  x: l(0),
  y: l(0),
  width: l(width),
  height: l(height),
  turned: false,
});
const strips = (...heights: number[]) => heights.map((height) => ({ y: l(0), height: l(height) }));

const reckoning = (cuts: object[], lay: object, odd: object[] = []) =>
  ({ cuts, cloths: [{ cloth: "A", odd, lay }] }) as unknown as Reckoning;

const two = {
  strips: strips(4, 4),
  stacks: [[1], [2]],
  placed: [placed(0, 1, 1, 4), placed(0, 1, 2, 4), placed(1, 1, 3, 2), placed(0, 2, 1, 4)],
};

const told = (r: Reckoning) =>
  movesOf(r).map(
    (m) =>
      `${m.strips.join("+")}:${m.columns}×${m.ruler}${m.parts.map((p) => ` ${piecesOf(m, p)} ${p.cut.id}`).join("")}${m.ends.map((c) => ` !${c.id}`).join("")}`,
  );

describe("the cuts at the table", () => {
  it("square the end, then each strip and what comes out of it", () => {
    expect(told(reckoning([cut("patch"), cut("post")], two))).toEqual([
      ":1×",
      "1:1×4″",
      "1:2×4″ 2 patch",
      "1:1×2″ 1 post !post",
      "2:1×4″",
      "2:1×4″ 1 patch !patch",
    ]);
  });

  it("take squares that are cut already as they are, and square nothing off what is all wanted", () => {
    const square = { width: l(4), length: l(4), count: 3 };
    const just = { strips: strips(4), stacks: [[1]], placed: [placed(0, 1, 1, 4)] };
    const none = { strips: [], stacks: [], placed: [] };
    const whole = reckoning([cut("patch")], none, [{ ...square, lay: just }]);
    expect(told(whole)).toEqual([":1×4″ 3 patch !patch"]);
    expect(movesOf(whole)[0]?.asTheyAre).toBe(true);
    const halves = { strips: strips(2, 2), stacks: [[1, 2]], placed: [placed(0, 1, 1, 4, 2), placed(0, 2, 1, 4, 2)] };
    expect(told(reckoning([cut("post")], none, [{ ...square, lay: halves }]))[0]).toBe("1+2:1×2″");
    const wide = { width: l(8), length: l(4), count: 1 };
    const twice = { ...just, placed: [placed(0, 1, 1, 4), placed(0, 1, 2, 4)] };
    expect(told(reckoning([cut("patch")], none, [{ ...wide, lay: twice }]))).toEqual(["1:2×4″ 2 patch !patch"]);
    const larger = reckoning([cut("patch")], none, [{ width: l(4), length: l(5), count: 1, lay: just }]);
    expect(told(larger)[0]).toBe(":1×");
  });

  it("leave out what is cut and what waits", () => {
    expect(told(reckoning([cut("patch", { done: true }), cut("post")], two))).toEqual([
      ":1×",
      "1:1×4″",
      "1:1×2″ 1 post !post",
    ]);
    expect(told(reckoning([cut("patch", { waits: "front.sewn" }), cut("post", { done: true })], two))).toEqual([]);
  });

  it("cut strips that lie on each other in one go", () => {
    const lay = {
      strips: strips(4, 4, 4),
      stacks: [[1, 2, 3]],
      placed: [1, 2, 3].flatMap((s) => [placed(0, s, 1, 4), placed(0, s, 2, 4)]),
    };
    expect(told(reckoning([cut("patch")], lay))).toEqual([":1×", "1+2+3:1×4″", "1+2+3:2×4″ 6 patch !patch"]);
  });

  it("cut a column apart, and trim what is alone in it", () => {
    const lay = {
      strips: strips(9),
      stacks: [[1]],
      placed: [placed(0, 1, 1, 4), placed(0, 1, 1, 4), placed(1, 1, 2, 2, 8)],
    };
    const [, , column, alone] = movesOf(reckoning([cut("patch"), cut("post")], lay));
    expect(column?.parts).toMatchObject([{ count: 2, trimmed: false }]);
    expect(alone?.parts).toMatchObject([{ count: 1, trimmed: true, height: l(8) }]);
  });

  it("trim nothing that only looks alone because what shares its column is cut already", () => {
    const lay = { strips: strips(9), stacks: [[1]], placed: [placed(0, 1, 1, 4), placed(1, 1, 1, 4)] };
    const [, , column] = movesOf(reckoning([cut("patch", { done: true }), cut("post")], lay));
    expect(column?.parts).toMatchObject([{ count: 1, trimmed: false, height: l(4) }]);
  });

  it("begin with offcuts", () => {
    const odd = {
      width: l(8),
      length: l(5),
      count: 3,
      lay: { strips: strips(4), stacks: [[1]], placed: [placed(0, 1, 1, 4), placed(0, 1, 2, 4)] },
    };
    const r = reckoning([cut("patch"), cut("post")], two, [odd]);
    expect(spreadsOf(r.cloths[0] as never).map((s) => s.key)).toEqual(["A odd 0", "A"]);
    expect(told(r).slice(0, 3)).toEqual([":1×", "1:1×4″", "1:2×4″ 6 patch"]);
  });

  it("draw round each piece where pieces lie freely", () => {
    const lay = { strips: [], stacks: [], placed: [placed(0, 0, 0, 4), placed(1, 0, 0, 4), placed(0, 0, 0, 4)] };
    expect(told(reckoning([cut("patch"), cut("post")], lay))).toEqual([":1×4″ 2 patch !patch", ":1×4″ 1 post !post"]);
  });

  it("cut off what lies before the first motif", () => {
    const lay = { strips: strips(5, 4), stacks: [[1], [2]], placed: [placed(0, 2, 1, 4)] };
    const spread = spreadsOf(reckoning([cut("patch")], lay).cloths[0] as never)[0];
    const moves = cutsOf(spread as never, [cut("patch")] as never, () => true);
    expect(moves.map((m) => [m.strips, m.parts.length])).toEqual([
      [[], 0],
      [[1], 0],
      [[2], 0],
      [[2], 1],
    ]);
  });

  it("go on with the next that is still there", () => {
    const moves = movesOf(reckoning([cut("patch"), cut("post")], two));
    const at = (i: number) => moves[i] as (typeof moves)[0];
    expect(nextOf(moves, at(2))).toBe(at(3));
    expect(nextOf(moves, at(3))).toBe(at(4));
    expect(nextOf(moves, at(5))).toBeUndefined();
    expect(new Set(moves.map(keyOf)).size).toBe(moves.length);
  });
});

import { describe, expect, it } from "vitest";
import type { Reckoning } from "../api/api.gen";
import { keyOf, movesOf, nextOf } from "./moves";

const l = (inches: number) => ({ nm: inches * 25.4e6, text: `${inches}″`, exact: `${inches}` });
const cut = (id: string, more = {}) => ({ id, title: id, cloth: "A", done: false, width: l(4), height: l(4), ...more });
const placed = (index: number, strip: number, width: number) => ({
  cut: index,
  strip,
  x: l(0),
  y: l(0),
  width: l(width),
  height: l(4),
  turned: false,
});

const reckoning = (cuts: object[]) =>
  ({
    cuts,
    cloths: [
      {
        cloth: "A",
        lay: {
          strips: [
            { y: l(0), height: l(4) },
            { y: l(4), height: l(4) },
          ],
          placed: [placed(0, 1, 4), placed(0, 1, 4), placed(1, 1, 2), placed(0, 2, 4)],
        },
      },
    ],
  }) as unknown as Reckoning;

const told = (r: Reckoning) => movesOf(r).map((m) => `${m.strip}:${m.cut?.id ?? "-"}×${m.count}${m.last ? "!" : ""}`);

describe("the cuts at the table", () => {
  it("square the end, then each strip and what comes out of it", () => {
    expect(told(reckoning([cut("patch"), cut("post")]))).toEqual(["0:-×1", "1:-×1", "1:patch×2", "1:post×1!", "2:-×1", "2:patch×1!"]);
  });

  it("leave out what is cut and what waits", () => {
    expect(told(reckoning([cut("patch", { done: true }), cut("post")]))).toEqual(["0:-×1", "1:-×1", "1:post×1!"]);
    expect(told(reckoning([cut("patch", { waits: "front.sewn" }), cut("post", { done: true })]))).toEqual([]);
  });

  it("go on with the next that is still there", () => {
    const moves = movesOf(reckoning([cut("patch"), cut("post")]));
    const at = (i: number) => moves[i] as (typeof moves)[0];
    expect(nextOf(moves, at(2))).toBe(at(3));
    expect(nextOf(moves, at(3))).toBe(at(4));
    expect(nextOf(moves, at(5))).toBeUndefined();
    expect(new Set(moves.map(keyOf)).size).toBe(moves.length);
  });
});

import { describe, expect, it } from "vitest";
import type { Move, Reckoning } from "../api/api.gen";
import { cutsOf, grouped, keyOf, movesOf, nextOf, spreadsOf } from "./moves";

const move = (kind: string, title: string, more = {}): Move =>
  ({ kind, title, strips: [], parts: [], places: [], ends: [], ...more }) as Move;
const of = (cut: number, count = 1) => [{ cut, count }];

const strip = [
  move("square", "Square the end", { now: true }),
  move("across", "Ruler to 16″", { strips: [1], now: true }),
  move("out", "Ruler to 16″", { strips: [1], parts: of(0), ends: [0], gives: true, within: true, now: true }),
  move("out", "Ruler to 2″", { strips: [1], parts: of(1, 4), ends: [1], gives: true, within: true, now: true }),
  move("leave", "Leave the rest whole", { strips: [1], parts: of(2), waits: "the front", within: true, now: true }),
  move("uncut", "Leave the rest uncut", { strips: [2], parts: of(2), waits: "the front" }),
];

const reckoning = (moves: Move[], odd: object[] = []) =>
  ({ cuts: [], cloths: [{ cloth: "A", odd, lay: { placed: [{}] }, moves }] }) as unknown as Reckoning;
const titles = (r: Reckoning) => movesOf(r).map(({ move }) => `${move.kind} ${move.title}`);

describe("the cuts at the table", () => {
  it("tell what stays whole beside what is cut now, and nothing of what only waits", () => {
    expect(titles(reckoning(strip))).toEqual([
      "square Square the end",
      "across Ruler to 16″",
      "out Ruler to 16″",
      "out Ruler to 2″",
      "leave Leave the rest whole",
    ]);
  });

  it("give the cuts they give pieces of, and none where something is left", () => {
    const cuts = [{ id: "front" }, { id: "post" }, { id: "back" }] as never[];
    expect(strip.map((m) => cutsOf(m, cuts).map((c) => c.id))).toEqual([[], [], ["front"], ["post"], [], []]);
  });

  it("begin with the odd pieces", () => {
    const taken = move("take", "Take 3 as they are", { parts: of(0, 3), ends: [0], gives: true, now: true });
    expect(titles(reckoning(strip, [{ lay: { placed: [{}] }, moves: [taken] }]))[0]).toBe("take Take 3 as they are");
  });

  it("leave the length out where nothing is cut from it", () => {
    const none = { cloth: "A", odd: [], lay: { placed: [] }, moves: [] } as unknown as Parameters<typeof spreadsOf>[0];
    expect(spreadsOf(none)).toEqual([]);
  });

  it("go on with what is left when a cut is done", () => {
    const moves = movesOf(reckoning(strip));
    const [, , front, small, left] = moves as Required<typeof moves>;
    expect(nextOf(moves, front as never)).toBe(small);
    expect(nextOf(moves, small as never)).toBe(left);
    expect(nextOf(moves, left as never)).toBeUndefined();
    const twice = movesOf(reckoning([strip[1], strip[2], { ...strip[2], strips: [2] }, strip[3]] as Move[]));
    expect(nextOf(twice, twice[1] as never)?.move.title).toBe("Ruler to 2″");
  });

  it("are told apart by what they cut, and keep their names when others are gone", () => {
    const keys = movesOf(reckoning(strip)).map(keyOf);
    expect(new Set(keys).size).toBe(keys.length);
    expect(keys).toContain(keyOf(movesOf(reckoning(strip.slice(1)))[0] as never));
  });

  it("stand under the strip they are cut from", () => {
    expect(grouped(strip).map((group) => group.length)).toEqual([1, 4, 1]);
  });
});

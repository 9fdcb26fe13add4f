import { expect, test } from "vitest";
import type { Piece, Spot } from "../api/api.gen";
import { fitted, laidOut, unturned } from "./net";

const mm = 1_000_000;
const piece = (name: string, width: number, height: number) => {
  const outline = [
    [-1, -1],
    [width + 1, -1],
    [width + 1, height + 1],
    [-1, height + 1],
  ].map(([x, y]) => ({ x: (x ?? 0) * mm, y: (y ?? 0) * mm, bulge: 0 }));
  return { name, cut_outline: outline, trimmed_outline: outline } as unknown as Piece;
};
const spot = (name: string, quarters = 0): Spot => ({ piece: name, quarters });
const pieces = [piece("main", 18, 26), piece("end", 14, 6)];
const net = [[[spot("end", 1)], [spot("main")], [spot("end", 3)]]];
const none = { above: 0, below: 0, beside: 0 };

/** Where a point of a piece's own frame comes to lie. */
function at(transform: string, x: number, y: number) {
  const [, tx, ty, turn] = (/translate\((\S+) (\S+)\) rotate\((\S+)\)/.exec(transform) ?? []).map(Number);
  const angle = ((turn ?? 0) * Math.PI) / 180;
  const [cos, sin] = [Math.round(Math.cos(angle)), Math.round(Math.sin(angle))];
  return { x: (tx ?? 0) + x * cos - y * sin, y: (ty ?? 0) + x * sin + y * cos };
}

test("both ends lie at the middle of the main panel, their tops towards it", () => {
  const { places, width, height } = laidOut(net, pieces, none);
  expect([width, height]).toEqual([8 + 20 + 8, 28]);
  const [left, main, right] = places;
  if (!left || !main || !right) throw new Error("a piece is missing");
  expect(main.box).toEqual({ x: 8, y: 0, width: 20, height: 28 });
  expect(left.box).toEqual({ x: 0, y: 6, width: 8, height: 16 });
  expect(at(left.transform, 7, -1)).toEqual({ x: 8, y: 14 });
  expect(at(right.transform, 7, -1)).toEqual({ x: 28, y: 14 });
  expect(places.map((p) => p.first)).toEqual([true, true, false]);
});

test.each([0, 1, 2, 3])("turned by %d quarters, a piece fills its box", (quarters) => {
  const [place] = laidOut([[[spot("end", quarters)]]], pieces, { above: 3, below: 2, beside: 5 }).places;
  if (!place) throw new Error("no place");
  const corners = [at(place.transform, -1, -1), at(place.transform, 15, 7)];
  const [xs, ys] = [corners.map((c) => c.x), corners.map((c) => c.y)];
  expect([Math.min(...xs), Math.max(...xs)]).toEqual([place.box.x, place.box.x + place.box.width]);
  expect([Math.min(...ys), Math.max(...ys)]).toEqual([place.box.y, place.box.y + place.box.height]);
  expect(place.box.x).toBe(5);
  expect(place.box.y).toBe(3);
  const right = at(place.transform, 1, 0);
  const origin = at(place.transform, 0, 0);
  expect(unturned(right.x - origin.x, right.y - origin.y, quarters)).toEqual({ x: 1, y: expect.closeTo(0) });
});

test("what is not drawn takes no place", () => {
  const { places } = laidOut([...net, [[spot("lost")]]], pieces.slice(0, 1), none);
  expect(places.map((p) => p.piece.name)).toEqual(["main"]);
});

const pad = (side: number) => ({
  net: [[[spot("main")], [spot("end")]]],
  pieces: [piece("main", side, side), piece("end", side, side)],
});

test("a piece that grows a little is drawn larger, and what is written beside it as it was", () => {
  const sizes = [500, 502, 504].map((side) => fitted(pad(side), 850, 400));
  const scales = new Set(sizes.map(({ view, text }) => [view.width, view.height, text].join(" ")));
  expect(scales.size).toBe(1);
  expect(sizes.map(({ places }) => Math.round(places[0]?.box.width ?? 0))).toEqual([502, 504, 506]);
});

test("whatever its size all of a cover is seen, as large as the steps of the scale let it be", () => {
  for (const [width, height] of [
    [850, 400],
    [330, 260],
    [1400, 120],
  ] as const)
    for (let side = 20; side < 3000; side *= 1.13) {
      const { places, view, text } = fitted(pad(side), width, height);
      const [left, right] = [places[0]?.box, places[1]?.box];
      if (!left || !right) throw new Error("no places");
      const ends = [left.x - view.x, left.y - view.y, view.x + view.width - right.x - right.width];
      expect(Math.min(...ends, view.y + view.height - left.y - left.height)).toBeGreaterThanOrEqual(0);
      expect((view.width * 15) / text).toBeCloseTo(width, 6);
      const used = Math.max((right.x + right.width - left.x) / view.width, (left.height + text * 3.6) / view.height);
      expect(used).toBeGreaterThan(0.82);
    }
});

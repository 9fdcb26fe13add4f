import { type Matrix4, Vector3 } from "three";
import { describe, expect, it } from "vitest";
import type { FoldLeaf } from "../api/api.gen";
import { ball, poses, positions, type Surface, surfaces } from "./pose";
import { affine, triangles } from "./Still";

const square: [number, number][] = [
  [0, 0],
  [100, 0],
  [100, 100],
  [0, 100],
];
const leaf = (more: Partial<FoldLeaf>): FoldLeaf => ({
  piece: "top",
  copy: 0,
  parent: -1,
  own: [50, 50, 0],
  on: [0, 0, 0],
  turn: 0,
  from: 0,
  to: 1,
  points: square,
  lifts: [],
  triangles: [
    [0, 1, 2],
    [0, 2, 3],
  ],
  ...more,
});
/** A top that comes to face up, and a wall at its lower edge. */
const two = [
  leaf({ turn: -Math.PI / 2 }),
  leaf({ piece: "wall", parent: 0, own: [50, 0, 0], on: [50, 100, 0], turn: Math.PI / 2 }),
];
const moved = (leaves: FoldLeaf[], share: number, i: number, x: number, y: number) =>
  new Vector3(x, y, 0).applyMatrix4(poses(leaves, share)[i] as Matrix4);
const where = (share: number, i: number, x: number, y: number) => {
  return moved(two, share, i, x, y)
    .toArray()
    .map((n) => Math.round(n * 1000) / 1000 + 0);
};

describe("folding", () => {
  it("lays pieces side by side before it begins", () => {
    expect(where(0, 0, 0, 0)).toEqual([-50, 50, 0]);
    expect(where(0, 1, 0, 0)).toEqual([-50, -50, 0]);
    expect(where(0, 1, 100, 100)).toEqual([50, -150, 0]);
  });
  it("closes with the top up and the wall in front, hanging down", () => {
    expect(where(1, 0, 0, 0)).toEqual([-50, 0, -50]);
    expect(where(1, 1, 0, 0)).toEqual([-50, 0, 50]);
    expect(where(1, 1, 0, 100)).toEqual([-50, -100, 50]);
  });
  it("turns a leaf in its own part of the folding only", () => {
    const late = [
      leaf({}),
      leaf({ piece: "wall", parent: 0, own: [50, 0, 0], on: [50, 100, 0], turn: Math.PI, from: 0.5 }),
    ];
    const lower = (share: number) => moved(late, share, 1, 0, 100).y;
    expect(lower(0.5)).toBeCloseTo(-150);
    expect(lower(0.75)).toBeCloseTo(-50);
    expect(lower(1)).toBeCloseTo(50);
  });
});

describe("surfaces", () => {
  it("joins the leaves of a piece and shows their right sides outwards", () => {
    const [top] = surfaces(two) as [Surface];
    expect(top.key).toBe("top 0");
    expect(top.uv.slice(0, 2)).toEqual([0, 1]);
    const points = positions(top, poses(two, 0), 0);
    const [a, b, c] = top.index.slice(0, 3).map((i) => new Vector3().fromArray(points, 3 * i)) as [
      Vector3,
      Vector3,
      Vector3,
    ];
    expect(b.clone().sub(a).cross(c.clone().sub(a)).z).toBeGreaterThan(0);
  });
  it("moves what is filled by its lifts, outwards", () => {
    const full = [leaf({ lifts: square.map(() => [0, 0, -30]) })];
    const [s] = surfaces(full) as [Surface];
    expect(positions(s, poses(full, 0), 1)[2]).toBeCloseTo(30);
    expect(positions(s, poses(full, 0), 0.5)[2]).toBeCloseTo(15);
  });
  it("finds the middle of what is drawn", () => {
    const { middle, radius } = ball([new Float32Array([0, 0, 0, 6, 0, 8])]);
    expect(middle.toArray()).toEqual([3, 0, 4]);
    expect(radius).toBeCloseTo(5);
  });
});

describe("the still drawing", () => {
  const fold = { leaves: two, pieces: [], solids: [], inside: [], size: 200, fills: false };
  it("draws the farthest first, and of a closed cover its inside before its outside", () => {
    const list = triangles(fold, 1, 0, [0, 0.4]);
    expect(list.map((t) => `${t.piece} ${t.outside}`)).toEqual(["top true", "top true", "wall true", "wall true"]);
    const below = triangles(fold, 1, 0, [0, -0.4]);
    expect(below.map((t) => `${t.piece} ${t.outside}`)).toEqual(["top false", "top false", "wall true", "wall true"]);
  });
  it("maps three points to three others", () => {
    const map = affine(
      [
        [0, 0],
        [10, 0],
        [0, 10],
      ],
      [
        [5, 5],
        [25, 5],
        [5, 35],
      ],
    );
    expect(map).toEqual([2, 0, 0, 3, 5, 5]);
    expect(
      affine(
        [
          [0, 0],
          [1, 1],
          [2, 2],
        ],
        square,
      ),
    ).toBeNull();
  });
});

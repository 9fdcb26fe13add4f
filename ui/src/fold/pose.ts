import { Matrix4, Vector3 } from "three";
import type { FoldLeaf } from "../api/api.gen";

/** Turns the frame of the pieces, in which y goes down and z inwards, into that of the picture. */
const upright = new Matrix4().makeScale(1, -1, -1);

/** How far a leaf is turned at a share of the folding, in radians. */
export function turned(leaf: FoldLeaf, share: number): number {
  return leaf.turn * Math.max(0, Math.min(1, (share - leaf.from) / (leaf.to - leaf.from)));
}

/** Brings a leaf's piece beside its parent's, flat, and turns it about their common axis. */
function hinge(leaf: FoldLeaf, share: number): Matrix4 {
  const [ox, oy, own] = leaf.own;
  const [x, y, on] = leaf.on;
  const axis = new Vector3(Math.cos(on), Math.sin(on), 0);
  return new Matrix4()
    .makeTranslation(x, y, 0)
    .multiply(new Matrix4().makeRotationAxis(axis, turned(leaf, share)))
    .multiply(new Matrix4().makeRotationZ(on - own))
    .multiply(new Matrix4().makeTranslation(-ox, -oy, 0));
}

/** Where the leaves are at a share of the folding: 0 is flat, 1 is closed. */
export function poses(leaves: FoldLeaf[], share: number): Matrix4[] {
  const out: Matrix4[] = [];
  for (const leaf of leaves) {
    const parent = leaf.parent < 0 ? upright : (out[leaf.parent] as Matrix4);
    out.push(new Matrix4().multiplyMatrices(parent, hinge(leaf, share)));
  }
  return out;
}

/** All leaves of one piece as one surface of triangles. */
export interface Surface {
  piece: string;
  key: string;
  /** For each point the leaf it belongs to, its place on the piece and what filling moves it by. */
  leaf: number[];
  flat: [number, number][];
  lifts: [number, number, number][];
  /** Its place on the picture of the piece, from its lower left corner. */
  uv: number[];
  /** Triangles, anticlockwise as seen from the outside. */
  index: number[];
}

/** The surfaces of a fold, one for each piece that is cut. */
export function surfaces(leaves: FoldLeaf[]): Surface[] {
  const out = new Map<string, Surface>();
  leaves.forEach((leaf, i) => {
    const key = `${leaf.piece} ${leaf.copy}`;
    const s = out.get(key) ?? { piece: leaf.piece, key, leaf: [], flat: [], lifts: [], uv: [], index: [] };
    out.set(key, s);
    const first = s.leaf.length;
    leaf.points.forEach((p, k) => {
      s.leaf.push(i);
      s.flat.push([p[0] as number, p[1] as number]);
      const [x, y, z] = leaf.lifts[k] ?? [0, 0, 0];
      s.lifts.push([x as number, y as number, z as number]);
    });
    for (const [a, b, c] of leaf.triangles)
      s.index.push(first + (a as number), first + (c as number), first + (b as number));
  });
  for (const s of out.values()) s.uv = placed(s.flat);
  return [...out.values()];
}

function placed(flat: [number, number][]): number[] {
  const xs = flat.map((p) => p[0]);
  const ys = flat.map((p) => p[1]);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  const [w, h] = [Math.max(...xs) - x || 1, Math.max(...ys) - y || 1];
  return flat.flatMap((p) => [(p[0] - x) / w, 1 - (p[1] - y) / h]);
}

/** Where the points of a surface are, three numbers each; filling comes with the closing. */
export function positions(s: Surface, at: Matrix4[], fill: number): Float32Array {
  const out = new Float32Array(3 * s.leaf.length);
  const v = new Vector3();
  s.flat.forEach(([x, y], i) => {
    const [dx, dy, dz] = s.lifts[i] as [number, number, number];
    v.set(x + fill * dx, y + fill * dy, fill * dz).applyMatrix4(at[s.leaf[i] as number] as Matrix4);
    v.toArray(out, 3 * i);
  });
  return out;
}

/** The middle of the box round some points, and half its diagonal. */
export function ball(lists: Float32Array[]): { middle: Vector3; radius: number } {
  const least = new Vector3(Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY);
  const most = least.clone().negate();
  const v = new Vector3();
  for (const list of lists) {
    for (let i = 0; i < list.length; i += 3) {
      v.fromArray(list, i);
      least.min(v);
      most.max(v);
    }
  }
  return { middle: least.clone().add(most).multiplyScalar(0.5), radius: Math.max(1, most.distanceTo(least) / 2) };
}

import { execFileSync } from "node:child_process";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import highs from "highs";
import { expect, takes, test } from "./app";

/** Pieces for one cloth, in sixteenths of an inch. */
interface Need {
  usable: number;
  items: { w: number; h: number; count: number; turn: boolean; late?: number }[];
}

interface Laid {
  length: number;
  searched: number;
  free: number;
  bound: number;
  millis: number;
}

/** The lays of the app. */
function laid(needs: Need[]): Laid[] {
  const root = join(dirname(fileURLToPath(import.meta.url)), "..");
  return JSON.parse(
    execFileSync("go", ["run", "./cmd/lays"], { cwd: root, input: JSON.stringify(needs), encoding: "utf8" }),
  );
}

/** Numbers that are the same in every run: the minimal standard generator of Park and Miller (1988). */
function generator(seed: number) {
  let state = seed;
  return (below: number) => {
    state = (state * 48271) % 2147483647;
    return state % below;
  };
}

const sum = (of: number[]) => of.reduce((all, n) => all + n, 0);

/**
 * The shortest lay in strips, columns and pieces, as a model for a general-purpose solver in the
 * LP format: x says that a piece stands in a column, begun by one of the same width that is listed
 * no later; y that a column lies in a strip, begun by a column listed no later; a strip holds what
 * is as wide as the cloth together and is as high as each of its columns. What waits shares no column
 * with what is cut before it. Source: Puchinger and
 * Raidl, Models and Algorithms for Three-Stage Two-Dimensional Bin Packing, European Journal of
 * Operational Research 183 (2007); from memory, with turning added.
 */
function model({ usable, items }: Need): string {
  const stands: { piece: number; w: number; h: number; late?: number }[] = [];
  let pieces = 0;
  for (const it of items) {
    for (let n = 0; n < it.count; n++, pieces++) {
      if (it.w <= usable) stands.push({ piece: pieces, w: it.w, h: it.h, late: it.late });
      if (it.turn && it.w !== it.h && it.h <= usable) stands.push({ piece: pieces, w: it.h, h: it.w, late: it.late });
    }
  }
  stands.sort((a, b) => b.h - a.h);
  const at = (i: number) => stands[i] as (typeof stands)[0];
  const shares = (j: number, s: number) =>
    at(s).w === at(j).w && at(s).late === at(j).late && (s === j || at(s).piece !== at(j).piece);
  const from = (j: number) => Array.from({ length: stands.length - j }, (_, k) => j + k);
  const rows: string[] = [];
  const binary: string[] = [];
  for (let piece = 0; piece < pieces; piece++) {
    const ways = from(0).flatMap((j) =>
      from(j)
        .filter((s) => at(s).piece === piece && shares(j, s))
        .map((s) => `x${j}_${s}`),
    );
    rows.push(`${ways.join(" + ")} = 1`);
  }
  for (const j of from(0)) {
    rows.push(`${Array.from({ length: j + 1 }, (_, k) => `y${k}_${j}`).join(" + ")} - x${j}_${j} = 0`);
    rows.push(
      `${from(j)
        .map((s) => `${at(s).w} y${j}_${s}`)
        .join(" + ")} - ${usable} y${j}_${j} <= 0`,
    );
    for (const s of from(j)) {
      binary.push(`y${j}_${s}`, ...(shares(j, s) ? [`x${j}_${s}`] : []));
      if (s > j) rows.push(`y${j}_${s} - y${j}_${j} <= 0`, ...(shares(j, s) ? [`x${j}_${s} - x${j}_${j} <= 0`] : []));
      const column = from(s).filter((e) => shares(s, e));
      const all = sum(column.map((e) => at(e).h));
      rows.push(`${column.map((e) => `${at(e).h} x${s}_${e}`).join(" + ")} + ${all} y${j}_${s} - H${j} <= ${all}`);
    }
  }
  const heights = from(0).map((j) => `H${j}`);
  return `Minimize\nobj: ${heights.join(" + ")}\nSubject To\n${rows.map((row, i) => `r${i}: ${row}`).join("\n")}\nBinary\n${binary.join("\n")}\nEnd\n`;
}

test("up to ten pieces, waiting ones among them, are laid as short as a solver proves they can be", async () => {
  takes(30);
  const solver = await highs();
  const random = generator(20261127);
  const needs = Array.from({ length: 14 }, () => {
    const usable = 20 + random(25);
    const items: Need["items"] = [];
    for (let left = 2 + random(9); left > 0; ) {
      const count = 1 + random(Math.min(left, 3));
      const late = Math.max(0, random(4) - 1);
      items.push({ w: 2 + random(usable - 2), h: 2 + random(20), count, turn: random(3) > 0, late });
      left -= count;
    }
    return { usable, items };
  });
  const lays = laid(needs);
  let beyond = 0;
  for (const [i, need] of needs.entries()) {
    const solved = solver.solve(model(need));
    expect(solved.Status).toBe("Optimal");
    expect(lays[i]?.length, JSON.stringify(need)).toBe(Math.round(solved.ObjectiveValue));
    if ((lays[i]?.length ?? 0) > (lays[i]?.bound ?? 0) + 0.01) beyond++;
  }
  expect(beyond, "some are the shortest though their bound is below them").toBeGreaterThan(0);
});

type Packing = typeof import("maxrects-packer");

/** How long a cloth a general-purpose packer needs without straight cuts all the way through. */
function packed({ MaxRectsPacker }: Packing, { usable, items }: Need, bound: number): number {
  for (let high = Math.ceil(bound); ; high++) {
    const packer = new MaxRectsPacker(usable, high, 0, { smart: true, pot: false, square: false, allowRotation: true });
    const pieces = items.flatMap((it) => Array.from({ length: it.count }, () => it));
    pieces.sort((a, b) => Math.max(b.w, b.h) - Math.max(a.w, a.h));
    for (const it of pieces) packer.add(it.w, it.h, { allowRotation: it.turn });
    if (
      packer.bins.length === 1 &&
      packer.bins.every((bin) => bin.rects.every((r) => !("oversized" in r && r.oversized)))
    )
      return high;
  }
}

test("beside a general-purpose packer that cuts anyhow", async () => {
  takes(30);
  const random = generator(8);
  const needs = Array.from({ length: 12 }, () => {
    const items: Need["items"] = [];
    for (let left = 30 + random(60); left > 0; ) {
      const count = 1 + random(12);
      items.push({ w: 24 + 2 * random(92), h: 24 + 2 * random(92), count, turn: random(2) === 0 });
      left -= count;
    }
    return { usable: 640, items };
  });
  const lays = laid(needs);
  // Its main entry names no exports that can be imported; this one does.
  const entry: string = "maxrects-packer/dist/maxrects-packer.mjs";
  const packing: Packing = await import(entry);
  const began = performance.now();
  const others = needs.map((need, i) => packed(packing, need, lays[i]?.bound ?? 0));
  const took = (performance.now() - began) / needs.length;
  const over = (lengths: number[]) => sum(lengths.map((l, i) => l / (lays[i]?.bound ?? 1))) / needs.length;
  const ours = over(lays.map((l) => l.length));
  const theirs = over(others);
  console.log(
    `length/bound: ruler ${ours.toFixed(3)}, ruler searched ${over(lays.map((l) => l.searched)).toFixed(3)}, free ${over(lays.map((l) => l.free)).toFixed(3)}, packer ${theirs.toFixed(3)}; ruler ${(sum(lays.map((l) => l.millis)) / needs.length).toFixed(1)} ms, packer ${took.toFixed(1)} ms`,
  );
  for (const [i, other] of others.entries())
    expect(other, "no packing is shorter than the bound").toBeGreaterThanOrEqual((lays[i]?.bound ?? 0) - 0.01);
  expect(ours / theirs, "straight cuts cost little").toBeLessThan(1.08);
});

import { expect, test } from "vitest";
import { steady } from "./steady";

const before = {
  pieces: [
    { name: "front", line: [{ x: 1 }, { x: 2 }] },
    { name: "back", line: [] },
  ],
  sums: { a: [1, 2] },
  net: null,
};

const again = <T>(one: T): T => JSON.parse(JSON.stringify(one));

test("what is the same throughout is what it was before", () => expect(steady(before, again(before))).toBe(before));

test("of what changed, the rest keeps its identity", () => {
  const now = again(before);
  now.pieces[0]?.line.push({ x: 3 });
  const out = steady(before, now);
  expect(out).toEqual(now);
  expect(out).not.toBe(before);
  expect(out.sums).toBe(before.sums);
  expect(out.pieces[1]).toBe(before.pieces[1]);
  expect(out.pieces[0]).not.toBe(before.pieces[0]);
  expect(out.pieces[0]?.line[1]).toBe(before.pieces[0]?.line[1]);
});

test("neither side is changed", () => {
  const [was, now] = [again(before), { ...again(before), net: 1 }];
  const written = JSON.stringify(now);
  steady(before, now as unknown as typeof before);
  expect(before).toEqual(was);
  expect(JSON.stringify(now)).toBe(written);
});

test.each([
  ["a list that became shorter", [1, 2, 3], [1, 2]],
  ["one that became longer", [{ a: 1 }], [{ a: 1 }, { a: 2 }]],
  ["a part that is gone", { a: 1, b: 2 }, { a: 1 }],
  ["a part that is new", { a: 1 }, { a: 1, b: null }],
  ["a part for another", { a: 1, b: 2 }, { a: 1, c: 2 }],
  ["a list for an object", { 0: 1 }, [1]],
  ["an object for a list", [1], { 0: 1 }],
  ["nothing for something", { a: { b: 1 } }, { a: null }],
  ["something for nothing", { a: null }, { a: { b: 1 } }],
  ["one text for another", "a", "b"],
])("%s", (_, was, is) => {
  const now: unknown = is;
  const out = steady<unknown>(was, now);
  expect(out).toEqual(is);
  expect(out).not.toBe(was);
});

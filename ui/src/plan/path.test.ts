import { describe, expect, test } from "vitest";
import { differences, get, put } from "./path";

const doc = { a: { b: [1, { c: "x" }] }, d: null };

describe("get", () => {
  test.each([
    ["/a/b/0", 1],
    ["/a/b/1/c", "x"],
    ["/d", null],
    ["/d/e", undefined],
    ["/nothing/there", undefined],
  ])("%s", (path, want) => expect(get(doc, path)).toBe(want));
});

describe("put", () => {
  test("changes a copy and nothing else", () => {
    const next = put(doc, "/a/b/1/c", "y");
    expect(next).toEqual({ a: { b: [1, { c: "y" }] }, d: null });
    expect(doc.a.b[1]).toEqual({ c: "x" });
    expect(next.d).toBe(doc.d);
  });
  test("makes the way where there is none", () => expect(put({}, "/a/b", 1)).toEqual({ a: { b: 1 } }));
  test("takes a key out", () => expect(put(doc, "/d", undefined)).toEqual({ a: doc.a }));
  test("takes an element out of a list", () =>
    expect(put(doc, "/a/b/0", undefined)).toEqual({ a: { b: [{ c: "x" }] }, d: null }));
  test("adds an element to a list", () => expect(get(put(doc, "/a/b/2", 3), "/a/b")).toEqual([1, { c: "x" }, 3]));
});

describe("differences", () => {
  test("names the paths that differ", () =>
    expect(differences({ a: 1, b: { c: [1, 2] } }, { b: { c: [1, 3] }, e: "x" })).toEqual([
      { path: "/a", a: 1, b: undefined },
      { path: "/b/c/1", a: 2, b: 3 },
      { path: "/e", a: undefined, b: "x" },
    ]));
  test("says nothing of the same", () => expect(differences(doc, structuredClone(doc))).toEqual([]));
});

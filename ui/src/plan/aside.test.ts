import { expect, test } from "vitest";
import type { Plan } from "../api/plan.gen";
import { alike, become, forget, otherHood, trimmed, untrimmed } from "./aside";

interface Back {
  kind: string;
  flap?: string;
  aside?: Record<string, Back>;
}

test("what was decided comes back with its kind", () => {
  const zip: Back = { kind: "zip", flap: "2 in" };
  const envelope = become<Back>(zip, "zip", "envelope", { kind: "envelope" }, true);
  expect(envelope).toEqual({ kind: "envelope", aside: { zip } });
  expect(become<Back>(envelope, "envelope", "zip", { kind: "zip" }, false)).toEqual(zip);
  expect(become<Back>(envelope, "envelope", "zip", { kind: "zip" }, true)).toEqual({
    ...zip,
    aside: { envelope: { kind: "envelope" } },
  });
});

test("what was only looked at is not kept", () => {
  expect(become<Back>({ kind: "zip" }, "zip", "envelope", { kind: "envelope" }, false)).toEqual({ kind: "envelope" });
  expect(become<Back>(undefined, "none", "envelope", { kind: "envelope" }, false)).toEqual({ kind: "envelope" });
});

test("a kind that is aside and now changes over with itself", () => {
  const both: Back = { kind: "zip", flap: "1 in", aside: { zip: { kind: "zip", flap: "2 in" } } };
  expect(become<Back>(both, "zip", "zip", { kind: "zip" }, true)).toEqual({
    kind: "zip",
    flap: "2 in",
    aside: { zip: { kind: "zip", flap: "1 in" } },
  });
});

test("one that is forgotten leaves the others", () => {
  const back: Back = { kind: "sewn", aside: { zip: { kind: "zip" }, tied: { kind: "tied" } } };
  const less = forget(back, "zip");
  expect(less).toEqual({ kind: "sewn", aside: { tied: { kind: "tied" } } });
  expect(forget(less, "tied")).toEqual({ kind: "sewn" });
});

test("decisions are alike in any order", () => {
  expect(alike({ a: 1, b: [{ c: 2, d: 3 }] }, { b: [{ d: 3, c: 2 }], a: 1 })).toBe(true);
  expect(alike({ b: [1, 2] }, { b: [2, 1] })).toBe(false);
});

test("the pieces of a hood come back with its kind", () => {
  const pieces = {
    "*": { face: { kind: "plain", cloth: "A" } },
    end: { face: { kind: "plain", cloth: "B" } },
  } as Plan["pieces"];
  const plan = { cover: { kind: "wrap-hood" }, pieces } as Plan;
  const banded = otherHood(plan, "band-hood");
  expect(banded.pieces).toEqual({ "*": pieces?.["*"] });
  expect(banded.cover).toEqual({ kind: "band-hood", aside: { "wrap-hood": pieces } });
  const again = otherHood(banded, "wrap-hood");
  expect(again).toEqual(plan);
});

test("what was decided for all pieces of a hood since is not lost either", () => {
  const own = {
    "*": { face: { kind: "plain", cloth: "A" } },
    end: { face: { kind: "plain", cloth: "B" } },
  } as Plan["pieces"];
  const banded = otherHood({ cover: { kind: "wrap-hood" }, pieces: own } as Plan, "band-hood");
  const changed = { ...banded, pieces: { "*": { face: { kind: "plain", cloth: "C" } } } } as Plan;
  const back = otherHood(changed, "wrap-hood");
  expect(back.pieces).toEqual(own);
  expect(back.cover.aside).toEqual({ "band-hood": changed.pieces });
  expect(otherHood(back, "band-hood").pieces).toEqual(changed.pieces);
});

test("piping goes and comes back, and nothing else of the edges is written", () => {
  const cord = { cord: "1/4", cloth: "A" };
  const piped = { edges: { piping: cord } } as Plan;
  const plain = untrimmed(piped, "piping", true);
  expect(plain.edges).toEqual({ aside: { piping: cord } });
  expect(trimmed(plain, "piping", cord)).toEqual(piped);
  expect(untrimmed(piped, "piping", false).edges).toEqual({});
  const both = trimmed({ edges: { aside: { piping: cord, binding: { shows: "1/2" } } } } as Plan, "piping", cord);
  expect(both.edges).toEqual({ piping: cord, aside: { binding: { shows: "1/2" } } });
});

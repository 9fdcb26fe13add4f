import { expect, test } from "vitest";
import type { Plan } from "../api/plan.gen";
import { keyed, newKey } from "./keys";

/** Keys in turn: a, b, c. */
function inTurn() {
  let n = 0;
  return () => String.fromCharCode(97 + n++);
}

const doc = (more: object) =>
  ({ format: "umschlag/plan/2", title: "t", object: { kind: "form" }, cover: { kind: "cushion" }, ...more }) as Plan;

test("a key is made of small letters and digits, and begins with a letter", () => {
  const made = Array.from({ length: 200 }, newKey);
  for (const key of made) expect(key).toMatch(/^[a-z][a-z2-7]{5}$/);
  expect(new Set(made).size).toBe(200);
});

test("parts without keys get them, each its own", () => {
  const plan = keyed(
    doc({
      fittings: [
        { key: "b", kind: "pocket", on: "front" },
        { kind: "slit", on: "front" },
        { kind: "slit", on: "front" },
      ],
      pieces: {
        front: {
          face: {
            kind: "stack",
            parts: [{ height: "3", face: { kind: "grid", borders: [{ width: "1" }], applique: [{ shape: "leaf" }] } }],
          },
        },
        back: { face: { kind: "strips", strips: [{ width: "1" }] } },
      },
    }),
    inTurn(),
  );
  const own = plan.fittings?.map((f) => f.key);
  expect(own?.[0], "what has one keeps it").toBe("b");
  expect(new Set(own).size).toBe(3);
  const part = plan.pieces?.front?.face?.parts?.[0];
  const keys = [part?.key, part?.face?.borders?.[0]?.key, part?.face?.applique?.[0]?.key];
  expect(new Set(keys).size).toBe(3);
  expect(keys.every(Boolean)).toBe(true);
  expect(plan.pieces?.back?.face?.strips?.[0]?.key).toBeTruthy();
});

test("what has its keys stays the same object", () => {
  const plan = keyed(
    doc({
      fittings: [{ kind: "pocket", on: "front" }],
      pieces: { front: { face: { kind: "grid", borders: [{ width: "1" }] } } },
    }),
  );
  expect(keyed(plan)).toBe(plan);
  expect(keyed(doc({}))).toEqual(doc({}));
});

test("a copy gets a key of its own, the first one keeps it", () => {
  const plan = keyed(
    doc({
      fittings: [
        { key: "x", kind: "pocket", on: "front" },
        { key: "x", kind: "pocket", on: "front" },
      ],
    }),
    inTurn(),
  );
  expect(plan.fittings?.map((f) => f.key)).toEqual(["x", "a"]);
});

test("a colourway has the keys of the parts it stands for", () => {
  const face = {
    kind: "grid",
    borders: [{ width: "1" }, { width: "2" }],
    colourways: [{ name: "blue", face: { kind: "grid", borders: [{ width: "1" }, { width: "2" }] } }],
  };
  const plan = keyed(doc({ pieces: { "*": { face } } }));
  const kept = plan.pieces?.["*"]?.face;
  expect(kept?.colourways?.[0]?.face?.borders?.map((b) => b.key)).toEqual(kept?.borders?.map((b) => b.key));
  expect(kept?.colourways?.[0]?.key).toBeTruthy();
});

import { expect, test } from "vitest";
import type { Plan } from "../api/plan.gen";
import { patched } from "./patch";

const plan = { title: "t", cover: { kind: "cushion", flange: "9" }, copies: 2 } as unknown as Plan;

test("a patch changes a copy", () => {
  const next = patched(plan, [
    { op: "replace", path: "/copies", value: 3 },
    { op: "remove", path: "/cover/flange" },
    { op: "add", path: "/back", value: { kind: "sewn" } },
  ]);
  expect(next).toEqual({ title: "t", cover: { kind: "cushion" }, copies: 3, back: { kind: "sewn" } });
  expect(plan.copies).toBe(2);
});

test("a patch that does not fit changes nothing", () =>
  expect(
    patched(plan, [
      { op: "replace", path: "/copies", value: 3 },
      { op: "remove", path: "/nothing/there" },
    ]),
  ).toBe(plan));

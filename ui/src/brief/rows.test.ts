import { expect, test } from "vitest";
import type { Plan } from "../api/plan.gen";
import { get } from "../plan/path";
import { refit } from "./rows";

const laid = (columns: unknown, rows: unknown, order: unknown) =>
  ({ pieces: { front: { face: { kind: "grid", columns, rows, order } } } }) as unknown as Plan;
const order = (plan: Plan) => get(plan, "/pieces/front/face/order");

test.each([
  ["larger", 3, 3, ["ABA", "CDC", "ABA"]],
  ["smaller", 1, 1, ["A"]],
  ["as it was", 2, 2, ["AB", "CD"]],
] as const)("a grid that becomes %s", (_, columns, rows, want) =>
  expect(
    order(
      refit(
        laid(columns, rows, [
          ["A", "B"],
          ["C", "D"],
        ]),
      ),
    ),
  ).toEqual(want.map((row) => [...row])),
);

test.each([
  ["an order by name", 3, 3, "alternate"],
  ["a count that is none", "many", 3, [["A"]]],
  ["a count that is too large", 1e9, 3, [["A"]]],
  ["no rows", 2, 2, []],
])("%s stays as it is", (_, columns, rows, given) => {
  const plan = laid(columns, rows, given);
  expect(refit(plan)).toBe(plan);
});

import { expect, test } from "vitest";
import type { Plan } from "../api/plan.gen";
import { get } from "../plan/path";
import { refit } from "./rows";

const face = "/pieces/front/face";
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
      refit(face)(
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
  expect(refit(face)(plan)).toBe(plan);
});

test("on point every other row is one shorter", () => {
  const plan = laid(2, 2, [["A"], ["B", "C"]]) as unknown as { pieces: { front: { face: Record<string, unknown> } } };
  plan.pieces.front.face.set = "on-point";
  expect(order(refit(face)(plan as unknown as Plan))).toEqual([["A", "A"], ["B"], ["A", "A"]]);
});

test("kept patches that are no longer there are let go", () => {
  const plan = laid(2, 1, "scrap") as unknown as { pieces: { front: { face: Record<string, unknown> } } };
  plan.pieces.front.face.keep = [
    { row: 1, column: 2, cloth: "A" },
    { row: 2, column: 1, cloth: "B" },
  ];
  expect(get(refit(face)(plan as unknown as Plan), `${face}/keep`)).toEqual([{ row: 1, column: 2, cloth: "A" }]);
});

import { expect, test } from "vitest";
import type { Plan } from "../api/plan.gen";
import { get } from "../plan/path";
import { moved } from "./Fittings";

const at = { left: "1 in", bottom: "3 in", middle: true };
const plan = { fittings: [{ kind: "slit", on: "top", at }] } as unknown as Plan;
const path = "/fittings/0/at";

test.each([
  [["left", "right"], "right", { bottom: "3 in", middle: true, right: "2 in" }],
  [["left", "right"], "middle", { bottom: "3 in", middle: true }],
  [["top", "bottom"], "edge-bottom", { left: "1 in", middle: true, edge: "bottom" }],
  [["top", "bottom"], "top", { left: "1 in", middle: true, top: "2 in" }],
])("of %j moved to %s", (edges, next, want) => expect(get(moved(plan, path, edges, next, "2 in"), path)).toEqual(want));

test("leaving an edge clears it", () => {
  const there = moved(plan, path, ["top", "bottom"], "edge-top", "2 in");
  expect(get(moved(there, path, ["top", "bottom"], "middle", "2 in"), path)).toEqual({ left: "1 in", middle: true });
});

import { expect, test } from "vitest";
import type { Plan } from "../api/plan.gen";
import { measuredAt } from "./measured";

test("a measurement goes into the plan as it is by then, and in its own place", () => {
  const plan = { progress: { done: ["a"] }, measured: [{ gate: "one", width: "1" }] } as unknown as Plan;
  const first = measuredAt(plan, "two", (m) => ({ ...m, width: "2" }));
  expect(first.measured).toEqual([
    { gate: "one", width: "1" },
    { gate: "two", width: "2" },
  ]);
  const again = measuredAt(first, "one", (m) => ({ ...m, height: "3" }));
  expect(again.measured?.[0]).toEqual({ gate: "one", width: "1", height: "3" });
  expect(again.progress).toEqual({ done: ["a"] });
  expect(measuredAt({ title: "" } as Plan, "one", (m) => m).measured).toEqual([{ gate: "one" }]);
});

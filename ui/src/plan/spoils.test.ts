import { expect, test } from "vitest";
import type { Spoil } from "../api/api.gen";
import type { Plan } from "../api/plan.gen";
import { cutAgain } from "./spoils";

const size = (exact: string) => ({ nm: 1, text: exact, exact });
const spoil = (cut: string, again: boolean): Spoil => ({
  cut,
  again,
  misfit: again ? "too-small" : "trimmed",
  text: "",
  width: size("4 in"),
  height: size("3 in"),
  step: "cut.front",
  sewn: [],
});

test("what is too small is cut again, what is too large is trimmed, and the rest stays", () => {
  const plan = {
    title: "a cushion",
    progress: {
      cut: ["small", "large", "other"],
      sizes: {
        small: { width: "1 in", height: "1 in" },
        large: { width: "9 in", height: "9 in" },
        other: { width: "2 in", height: "2 in" },
      },
      done: ["cut.front", "row.1"],
    },
  } as unknown as Plan;
  const after = cutAgain(plan, [spoil("small", true), spoil("large", false)]);
  expect(after.progress?.cut).toEqual(["large", "other"]);
  expect(after.progress?.sizes).toEqual({ large: { width: "4 in", height: "3 in" }, other: { width: "2 in", height: "2 in" } });
  expect(after.progress?.done).toEqual(["row.1"]);
  expect(after.title).toBe("a cushion");
});

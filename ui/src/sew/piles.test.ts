import { expect, it } from "vitest";
import { piles } from "./Several";

const step = (id: string, done = false) => ({ id, title: id, done });

it("every cover is in one pile", () => {
  const steps = [step("cut", true), step("piece"), step("close")];
  expect(piles(steps, { piece: 7, close: 2 }, 12)).toEqual([
    { step: "piece", count: 5 },
    { step: "close", count: 5 },
    { step: "done", count: 2 },
  ]);
  expect(piles(steps, undefined, 3)).toEqual([{ step: "piece", count: 3 }]);
  expect(piles(steps, { piece: 1, close: 9 }, 3), "no more can be through than came").toEqual([
    { step: "piece", count: 2 },
    { step: "done", count: 1 },
  ]);
});

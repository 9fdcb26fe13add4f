import { expect, test } from "vitest";
import { ApiError, Unreachable } from "../api/client";
import { Unanswered } from "./unanswered";

const refusal = (status: number) => new ApiError({ type: "", title: "", detail: "", status });

test("what is pressed again is the same, and anything else is not", () => {
  const sent = new Unanswered();
  const first = sent.pressed(4, "undo");
  expect(sent.pressed(4, "undo")).toBe(first);
  const others = [sent.pressed(5, "undo"), sent.pressed(5, "redo"), sent.pressed(5, "redo", { notes: "n" })];
  expect(new Set([first, ...others]).size).toBe(4);
});

test("what has no answer stands behind what is sent after it, until one comes", () => {
  const sent = new Unanswered();
  expect(sent.standing(4, "a")).toEqual({ base: 4, save: "a", sent: [] });
  sent.refused(new Unreachable(), "a");
  sent.refused(refusal(503), "a");
  expect(sent.standing(4, "b"), "it may have been kept").toEqual({ base: 4, save: "b", sent: ["a"] });
  sent.refused(refusal(409), "b");
  expect(sent.standing(4, "c"), "it was not").toEqual({ base: 4, save: "c", sent: ["a"] });
  sent.answered();
  expect(sent.ids).toEqual([]);
});

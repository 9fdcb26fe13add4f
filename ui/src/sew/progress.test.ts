import { describe, expect, it } from "vitest";
import type { Cut, Step } from "../api/api.gen";
import { atHand, booked, elapsed, ended, undone, without } from "./progress";

describe("time that is taken", () => {
  const at = (time: string) => new Date(`2026-11-27T${time}Z`);

  it("is told to a tenth of a minute", () => {
    expect(elapsed("2026-11-27T19:00:00Z", at("19:12:33"))).toBe(12.6);
    expect(elapsed("2026-11-27T19:00:00Z", at("19:00:00"))).toBe(0);
  });

  it("is not believed where the clock jumped or ran over night", () => {
    expect(elapsed("2026-11-27T19:00:00Z", at("18:59:00"))).toBeNull();
    expect(elapsed("2026-11-26T19:00:00Z", at("19:00:00"))).toBeNull();
    expect(elapsed("some day", at("19:00:00"))).toBeNull();
  });
});

describe("what a step cuts", () => {
  const l = (exact: string) => ({ nm: 0, text: exact, exact });
  const cut = (id: string) => ({ id, width: l("4 1/2"), height: l("5"), total: 16 }) as Cut;
  const step = { id: "cut-outer", cuts: ["patch", "sash"] } as Step;

  it("is ticked off with it, as it is reckoned, and what was ticked off before stays", () => {
    const before = { cut: { patch: { width: "4", height: "4", count: 12 } } };
    expect(booked(before, step, [cut("patch"), cut("sash"), cut("back")])).toEqual({
      cut: { ...before.cut, sash: { width: "4 1/2", height: "5", count: 16 } },
    });
    expect(booked(before, { ...step, cuts: ["patch"] }, [cut("patch")])).toBe(before);
    expect(booked({}, { ...step, cuts: [] }, [cut("patch")])).toEqual({});
  });
});

describe("the step at hand of several covers", () => {
  const step = (id: string, stage: string, done = false): Step => ({
    id,
    stage,
    done,
    title: id,
    text: "",
    needs: [],
    cuts: [],
    minutes: 1,
    about: { role: "" },
  });
  const steps = [step("cut", "cut", true), step("sew", "piece"), step("press", "piece"), step("turn", "close")];

  it("is the first that is not done where each step is done for all", () => {
    expect(atHand(steps, {}, 3)).toBe(1);
    expect(atHand(steps, { made: { sew: 2 } }, 3)).toBe(1);
    expect(atHand(steps, { each: true }, 1)).toBe(1);
  });

  it("is where the cover in work has come to where they are sewn one after the other", () => {
    expect(atHand(steps, { each: true }, 3)).toBe(1);
    expect(atHand(steps, { each: true, made: { sew: 1 } }, 3)).toBe(2);
    expect(atHand(steps, { each: true, made: { sew: 1, press: 1, turn: 1 } }, 3)).toBe(1);
    const last = steps.map((s) => (s.id === "sew" ? { ...s, done: true } : s));
    expect(atHand(last, { each: true, made: { sew: 3, press: 2, turn: 2 } }, 3)).toBe(2);
  });

  it("is cut for all of them first, and none when all is done", () => {
    const uncut = steps.map((s) => ({ ...s, done: false }));
    expect(atHand(uncut, { each: true, made: { sew: 1 } }, 3)).toBe(0);
    expect(
      atHand(
        steps.map((s) => ({ ...s, done: true })),
        { each: true },
        3,
      ),
    ).toBe(-1);
  });
});

it("what is not done any more is through no cover", () => {
  const before = { done: ["cut", "sew", "turn"], made: { sew: 3, press: 1 }, times: { sew: 9 } };
  expect(undone(before, ["sew", "turn"])).toEqual({ done: ["cut"], made: { press: 1 }, times: { sew: 9 } });
  expect(undone({}, ["sew"])).toEqual({ done: [], made: {} });
});

it("a clock ends with its step and leaves that of another running", () => {
  const running = { step: "sew", since: "2026-11-27T19:00:00Z" };
  const now = new Date("2026-11-27T19:12:00Z");
  expect(ended({ running, times: { sew: 3 } }, "sew", now)).toEqual({ times: { sew: 15 } });
  expect(ended({ running }, "turn", now)).toEqual({ running });
  expect(ended({ running }, "sew", new Date("2026-11-28T19:00:00Z")), "it was left running over night").toEqual({});
});

it("a record goes on without a key", () => {
  expect(without({ a: 1, b: 2 }, "a")).toEqual({ b: 2 });
  expect(without(undefined, "a")).toEqual({});
});

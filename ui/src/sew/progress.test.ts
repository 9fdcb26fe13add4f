import { describe, expect, it } from "vitest";
import { elapsed, without } from "./progress";

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

it("a record goes on without a key", () => {
  expect(without({ a: 1, b: 2 }, "a")).toEqual({ b: 2 });
  expect(without(undefined, "a")).toEqual({});
});

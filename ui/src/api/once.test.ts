import { afterEach, expect, test, vi } from "vitest";
import { ApiError, Unreachable } from "./client";
import { Making, takeAway } from "./once";

afterEach(() => vi.unstubAllGlobals());

/** A server that answers with these statuses one after the other, or not at all; the ids it is told under. */
function answering(...statuses: (number | "lost")[]) {
  const told: (string | null)[] = [];
  vi.stubGlobal("fetch", async (_: string, init: RequestInit) => {
    told.push(new Headers(init.headers).get("idempotency-key"));
    const status = statuses.shift();
    if (status === "lost" || status === undefined) throw new TypeError("no answer");
    const type = status < 400 ? "application/json" : "application/problem+json";
    return new Response(status === 204 ? null : JSON.stringify({ status, title: "", detail: "" }), {
      status,
      headers: { "content-type": type },
    });
  });
  return told;
}

test("what is asked for again after its answer was lost is the same, until an answer comes", async () => {
  const told = answering("lost", 503, 201, 201);
  const making = new Making();
  const make = () => making.make("/cloths", { name: "heather" });
  await expect(make()).rejects.toThrow(Unreachable);
  await expect(make()).rejects.toThrow(ApiError);
  await make();
  await make();
  expect(told[0]).toMatch(/^\w{8,64}$/);
  expect(told.slice(1, 3)).toEqual([told[0], told[0]]);
  expect(told[3]).not.toBe(told[0]);
});

test("what is changed meanwhile, asked for elsewhere or refused is another", async () => {
  const told = answering("lost", "lost", "lost", 400, "lost");
  const making = new Making();
  for (const [place, name] of [
    ["/cloths", "heather"],
    ["/cloths", "moss"],
    ["/notions", "moss"],
    ["/notions", "moss"],
    ["/notions", "moss"],
  ] as const)
    await expect(making.make(place, { name })).rejects.toThrow();
  expect(told[3]).toBe(told[2]);
  expect(new Set(told).size).toBe(4);
});

test("what is gone already is taken away, and anything else is said", async () => {
  answering("lost", 404, 204, 409);
  await expect(takeAway("/cloths/1")).rejects.toThrow(Unreachable);
  await takeAway("/cloths/1");
  await takeAway("/cloths/1");
  await expect(takeAway("/cloths/1")).rejects.toThrow(ApiError);
});

import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { ask } from "./client";
import { whenFree } from "./press";

let happened: string[] = [];

beforeEach(() => {
  happened = [];
  vi.useFakeTimers();
  vi.stubGlobal("fetch", async () => new Response(JSON.stringify({}), { status: 200 }));
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** Presses, while an answer is on its way and something wants to be shown. */
async function press() {
  dispatchEvent(Object.assign(new Event("pointerdown"), { clientX: 0, clientY: 0 }));
  void ask("GET", "/plans").then(() => happened.push("answer"));
  whenFree(() => happened.push("shown"));
  await vi.advanceTimersByTimeAsync(100);
}

test("what changes the page waits until what is pressed is let go of and clicked", async () => {
  await press();
  expect(happened).toEqual([]);
  dispatchEvent(new Event("pointerup"));
  happened.push("click");
  await vi.advanceTimersByTimeAsync(0);
  expect(happened[0]).toBe("click");
  expect(happened.slice(1).sort()).toEqual(["answer", "shown"]);
});

test("what moves, or is held on, is no press: a drag is followed", async () => {
  await press();
  dispatchEvent(Object.assign(new Event("pointermove"), { clientX: 3, clientY: 4 }));
  await vi.advanceTimersByTimeAsync(0);
  expect(happened, "a finger is never still").toEqual([]);
  dispatchEvent(Object.assign(new Event("pointermove"), { clientX: 9, clientY: 0 }));
  await vi.advanceTimersByTimeAsync(0);
  expect(happened.splice(0).sort()).toEqual(["answer", "shown"]);
  await press();
  await vi.advanceTimersByTimeAsync(2000);
  expect(happened.sort()).toEqual(["answer", "shown"]);
});

test("nothing waits where nothing is pressed", () => {
  whenFree(() => happened.push("shown"));
  expect(happened).toEqual(["shown"]);
});

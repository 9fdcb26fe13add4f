import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { renderHook } from "@testing-library/react";
import type { ReactNode } from "react";
import { expect, test, vi } from "vitest";
import { useShelf } from "./queries";

test("a shelf of which some is still worked out is asked for again, and no more once it is there", async () => {
  vi.useFakeTimers();
  const answers = [
    [{ id: "a", coming: true }, { id: "b" }],
    [{ id: "a" }, { id: "b" }],
  ];
  const fetched = vi.fn(async () => Response.json(answers[Math.min(fetched.mock.calls.length, 2) - 1]));
  vi.stubGlobal("fetch", fetched);
  const client = new QueryClient();
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  const shelf = renderHook(() => useShelf(), { wrapper });
  await vi.advanceTimersByTimeAsync(10);
  expect(shelf.result.current.data?.[0]?.coming).toBe(true);
  await vi.advanceTimersByTimeAsync(1500);
  expect(shelf.result.current.data?.[0]?.coming).toBeUndefined();
  await vi.advanceTimersByTimeAsync(10_000);
  expect(fetched).toHaveBeenCalledTimes(2);
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

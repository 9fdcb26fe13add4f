import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test, vi } from "vitest";
import type { SearchView } from "../api/api.gen";
import { outcome, Searching } from "./Searching";

const inches = (n: number) => ({ nm: n * 25.4e6, text: `${n}″`, exact: String(n) });
const view = (before: number, now: number, more: Partial<SearchView> = {}) =>
  ({
    id: "1",
    round: 2,
    rounds: 8,
    tried: 512,
    before: inches(before),
    lay: { length: inches(now) },
    over: 4.26,
    way: [],
    done: false,
    stopped: false,
    ...more,
  }) as unknown as SearchView;

test("a search tells how far it is and is ended by a button", async () => {
  const stop = vi.fn();
  render(<Searching view={view(31, 30)} stop={stop} />);
  expect(screen.getByRole("status").textContent).toContain(
    "Round 2 of 8: 30″ so far, 4.3% over what no cutting layout can be shorter than.",
  );
  expect(Math.abs(Number(screen.getByRole("progressbar").getAttribute("aria-valuenow")) - 12.5)).toBeLessThanOrEqual(
    0.5,
  );
  await userEvent.click(screen.getByRole("button", { name: "Stop here" }));
  expect(stop).toHaveBeenCalledOnce();
});

test("what it came to", () => {
  expect(outcome(view(31, 30))).toBe("A cutting layout of 30″ was found; it was 31″.");
  expect(outcome(view(31, 31))).toBe("Nothing shorter was found.");
  expect(outcome(view(31, 31, { stopped: true }))).toBe("Nothing shorter was found so far.");
});

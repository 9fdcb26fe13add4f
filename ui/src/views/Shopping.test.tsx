import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test, vi } from "vitest";
import type { ShoppingView } from "../api/api.gen";
import { Shopping } from "./Shopping";

const inches = (n: number) => ({ nm: n * 25.4e6, text: `${n}″`, exact: String(n) });
const titles = { pad: "Story pad", hood: "Desk hood" };

/** A shelf of two plans that want the same stripe, 18 in of which are there. */
function answer(chosen: string[]): ShoppingView {
  const all = chosen.length === 0;
  const on = (id: string) => all || chosen.includes(id);
  const shares = [
    ...(on("pad") ? [{ plan: titles.pad, need: inches(12), from: "cupboard", odd: 1 }] : []),
    ...(on("hood") ? [{ plan: titles.hood, need: inches(20), from: "shop", odd: 0 }] : []),
  ];
  return {
    plans: Object.entries(titles).map(([id, title]) => ({ id, title, chosen: on(id) })),
    cloths: [
      {
        name: "stripe",
        need: inches(on("hood") ? 32 : 12),
        have: inches(18),
        left: inches(6),
        buy: inches(on("hood") ? 22.5 : 0),
        buy_text: on("hood") ? "5/8 yd" : "",
        shares,
        cost: on("hood") ? "€7.75" : "",
        instead: on("hood") ? ["Desk hood: look for a shorter cutting layout on Cut; 2″ less would do."] : [],
      },
    ],
    passed: on("pad") && on("hood") ? ["1 half-square triangle is over in Mat pad."] : [],
    things: [
      { what: "zip", notion: "blue zip", need: "2 of 16″", have: "1", buy: "1 of 16″", cost: "", plans: [titles.pad] },
    ],
    cost: on("hood") ? "€7.75" : "",
    unpriced: ["zip"],
  };
}

const asked: string[] = [];

function shown(at: string) {
  vi.stubGlobal("fetch", async (url: string) => {
    asked.push(url);
    const chosen = new URL(url, "http://localhost").searchParams.getAll("plan");
    if (chosen.includes("gone"))
      return Response.json(
        { type: "not-found", title: "Gone", status: 404, detail: "It may have been put away." },
        { status: 404 },
      );
    return Response.json(answer(chosen));
  });
  return render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter initialEntries={[at]}>
        <Shopping />
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

afterEach(() => {
  vi.unstubAllGlobals();
  asked.length = 0;
});

test("what is bought says for which plan, and what the cupboard keeps for the other", async () => {
  shown("/cloth/shopping");
  const row = within(await screen.findByRole("row", { name: /^stripe/ }));
  expect(row.getByText("5/8 yd")).toBeTruthy();
  const passed = within(screen.getByRole("region", { name: "Units one leaves another" }));
  expect(passed.getByText("1 half-square triangle is over in Mat pad.")).toBeTruthy();
  expect(row.getByText("to buy in one piece:").parentElement?.textContent).toContain("Desk hood 20″");
  expect(row.getByText("from the cupboard:").parentElement?.textContent).toContain("Story pad 12″ and 1 offcut");
  expect(row.getByText("€7.75")).toBeTruthy();
  expect(row.getByText(/look for a shorter cutting layout/)).toBeTruthy();
  expect(row.getByRole("link", { name: "Lay them together on stripe" }).getAttribute("href")).toBe(
    "/cloth/together?cloth=stripe",
  );
  const zip = within(screen.getByRole("row", { name: /^zip/ }));
  expect(zip.getByText("1 of 16″")).toBeTruthy();
  expect(screen.getByText(/Nobody said what these cost: zip/).parentElement?.textContent).toContain("that costs €7.75");
  expect(screen.queryByRole("heading", { name: "In the cupboard" })).toBeNull();
});

test("for one plan only that is asked for, and it cannot be left out as well", async () => {
  shown("/cloth/shopping");
  await userEvent.click(await screen.findByText("For all 2 plans"));
  await userEvent.click(screen.getByRole("checkbox", { name: "Desk hood" }));
  expect(await screen.findByText("For 1 of 2 plans")).toBeTruthy();
  expect(asked.at(-1)).toMatch(/plan=pad$/);
  expect(await screen.findByText("The cupboard has enough of every fabric.")).toBeTruthy();
  expect(within(screen.getByRole("row", { name: /^stripe/ })).getByText("6″")).toBeTruthy();
  expect(screen.getByRole<HTMLInputElement>("checkbox", { name: "Story pad" }).disabled).toBe(true);
  await userEvent.click(screen.getByRole("button", { name: "All plans" }));
  expect(await screen.findByText("For all 2 plans")).toBeTruthy();
});

test("a plan that is not there is said, with the way out", async () => {
  shown("/cloth/shopping?plan=gone");
  expect((await screen.findByRole("alert")).textContent).toContain("It may have been put away.");
  await userEvent.click(screen.getByRole("button", { name: "Shop for all plans" }));
  expect(await screen.findByText("For all 2 plans")).toBeTruthy();
  expect(screen.queryByRole("alert")).toBeNull();
});

import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test, vi } from "vitest";
import type { HabitsView } from "../api/api.gen";
import { Habits } from "./Habits";

interface Kept {
  base: number;
  units: string;
  habits: Record<string, string>;
}

/** A server that takes a save only on the revision it has, and answers when it is let. */
function serving() {
  let revision = 1;
  let kept = { units: "in", habits: { seam: "1/4" } as Record<string, string> };
  const saves: Kept[] = [];
  const waiting: (() => void)[] = [];
  const view = () =>
    ({
      revision,
      ...kept,
      chosen: { seam: kept.habits.seam ?? "", ease: kept.habits.ease ?? "" },
      decided: [],
      help: [
        {
          key: "seam",
          name: "Seam",
          about: "",
          schools: ["1/4", "1/2"].map((value) => ({ value, name: `seam ${value}`, reason: "" })),
        },
        {
          key: "ease",
          name: "Ease",
          about: "",
          schools: ["-1", "-2"].map((value) => ({ value, name: `ease ${value}`, reason: "" })),
        },
      ],
    }) as unknown as HabitsView;
  vi.stubGlobal("fetch", async (_: string, init?: RequestInit) => {
    if (init?.method !== "PUT") return Response.json(view());
    const body = JSON.parse(String(init.body)) as Kept;
    saves.push(body);
    await new Promise<void>((resolve) => waiting.push(resolve));
    if (body.base !== revision)
      return Response.json(
        { type: "stale", title: "", status: 409, detail: "It was changed in another window." },
        { status: 409 },
      );
    revision++;
    kept = { units: body.units, habits: body.habits };
    return Response.json(view());
  });
  return { saves, answer: () => waiting.shift()?.() };
}

afterEach(() => vi.unstubAllGlobals());

test("choices made faster than they are saved are all kept", async () => {
  const server = serving();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <Habits />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  await userEvent.click(await screen.findByRole("radio", { name: "ease -2" }));
  await userEvent.click(screen.getByRole("radio", { name: "seam 1/2" }));
  await userEvent.click(screen.getByRole("radio", { name: /^centimetres/ }));
  for (const n of [1, 2, 3]) {
    await vi.waitFor(() => expect(server.saves).toHaveLength(n));
    server.answer();
  }
  expect(server.saves.map((s) => s.base)).toEqual([1, 2, 3]);
  expect(server.saves.at(-1)).toMatchObject({ units: "cm", habits: { ease: "-2 in", seam: "1/2 in" } });
  expect(screen.queryByRole("alert")).toBeNull();
});

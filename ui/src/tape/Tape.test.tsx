import { render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test, vi } from "vitest";
import type { Term } from "../api/api.gen";
import { Tape } from "./Tape";

const inch = 25_400_000;
const term = (name: string, inches: number, text: string, kind = "part"): Term => ({
  term: name,
  kind,
  amount: { nm: inches * inch, text, exact: text },
});
const length = (inches: number, text: string) => ({ nm: inches * inch, text, exact: text });

const chain = [
  term("insert across", 20, "20″", "object"),
  term("cover smaller than the insert", -1, "−1″", "ease"),
  term("seam allowance", 0.25, "¼″", "seam"),
];

function tape(terms = chain, lit: number | null = null) {
  const light = vi.fn();
  const { container } = render(
    <Tape title="Front, across" terms={terms} total={length(19.25, "19¼″")} lit={lit} light={light} />,
  );
  return {
    light,
    segments: [...container.querySelectorAll<HTMLElement>(".seg")],
    sum: screen.getByRole("list", { name: "The sum of Front, across" }),
  };
}

test("the sum is read out with its signs and its total", () => {
  const { sum } = tape();
  const items = within(sum).getAllByRole("listitem");
  expect(items.map((i) => i.textContent)).toEqual([
    "20″ insert across",
    "− 1″ cover smaller than the insert",
    "+ 1/4″ seam allowance",
    "= 191/4″",
  ]);
});

test("segments are to scale, and what takes away lies back", () => {
  const { segments } = tape();
  expect(segments.map((s) => [s.style.left, s.style.width])).toEqual([
    ["0%", "100%"],
    ["95%", "5%"],
    ["95%", "1.25%"],
  ]);
  expect(segments[1]?.className).toContain("back");
});

test("terms alike are one in the sum and each a segment on the tape", () => {
  const patch = term("patch", 4, "4″");
  const { segments, sum } = tape([patch, { ...patch, again: true }, { ...patch, again: true }]);
  expect(segments).toHaveLength(3);
  expect(within(sum).getAllByRole("listitem")[0]?.textContent).toBe("3 × 4″ patch");
});

test("pointing at a segment or at its term lights it", async () => {
  const { light, segments, sum } = tape();
  const user = userEvent.setup();
  if (segments[2]) await user.hover(segments[2]);
  expect(light).toHaveBeenLastCalledWith(2);
  await user.hover(within(sum).getByText("cover smaller than the insert"));
  expect(light).toHaveBeenLastCalledWith(1);
  await user.unhover(within(sum).getByText("cover smaller than the insert"));
  expect(light).toHaveBeenLastCalledWith(null);
});

test("what is lit is marked in both", () => {
  const { segments, sum } = tape(chain, 1);
  expect(segments.map((s) => s.className.includes("lit"))).toEqual([false, true, false]);
  expect(within(sum).getByText("cover smaller than the insert").closest("li")?.className).toBe("lit");
});

import { act, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test, vi } from "vitest";
import { Field } from "./Field";

function field(judge: (text: string) => Promise<string | null> = async () => null) {
  const keep = vi.fn();
  const drop = vi.fn();
  render(<Field label="Overlap" text="5" shown="5″" judge={judge} keep={keep} drop={drop} />);
  return { input: screen.getByRole("textbox", { name: "Overlap" }), keep, drop, user: userEvent.setup() };
}

test("is a labelled field with its value", () => {
  const { input } = field();
  expect((input as HTMLInputElement).value).toBe("5");
  expect(screen.getByText("5″").getAttribute("aria-hidden")).toBe("true");
});

test("Enter keeps what is typed", async () => {
  const { input, keep, user } = field();
  await user.clear(input);
  await user.type(input, " 6 1/2 {Enter}");
  await vi.waitFor(() => expect(keep).toHaveBeenCalledExactlyOnceWith("6 1/2"));
});

test("leaving keeps what is typed", async () => {
  const { input, keep, user } = field();
  await user.clear(input);
  await user.type(input, "7");
  await user.tab();
  await vi.waitFor(() => expect(keep).toHaveBeenCalledExactlyOnceWith("7"));
});

test("Escape puts it back", async () => {
  const { input, keep, drop, user } = field();
  await user.type(input, "7{Escape}");
  expect((input as HTMLInputElement).value).toBe("5");
  expect(keep).not.toHaveBeenCalled();
  expect(drop).toHaveBeenCalledOnce();
});

test("the same text is no change", async () => {
  const { input, keep, user } = field();
  await user.clear(input);
  await user.type(input, "5{Enter}");
  expect(keep).not.toHaveBeenCalled();
});

test("what cannot be read stays as typed, with what to type instead", async () => {
  const { input, keep, user } = field(async (text) => (text === "twelve" ? "Type a number." : null));
  await user.clear(input);
  await user.type(input, "twelve{Enter}");
  expect(await screen.findByRole("alert")).toHaveProperty("textContent", "Type a number.");
  expect((input as HTMLInputElement).value).toBe("twelve");
  expect(input.getAttribute("aria-invalid")).toBe("true");
  expect(input.getAttribute("aria-describedby")).toBe(screen.getByRole("alert").id);
  expect(keep).not.toHaveBeenCalled();
  await user.type(input, "{Escape}");
  expect(screen.queryByRole("alert")).toBeNull();
});

test("nothing is said in the middle of typing, until typing pauses", async () => {
  vi.useFakeTimers({ shouldAdvanceTime: true });
  const { input } = field(async (text) => (text === "16 3" ? "Type a fraction." : null));
  const user = userEvent.setup({ advanceTimers: vi.advanceTimersByTime });
  await user.clear(input);
  await user.type(input, "16 3");
  expect(screen.queryByRole("alert")).toBeNull();
  await user.type(input, "/8");
  await act(() => vi.advanceTimersByTimeAsync(2000));
  expect(screen.queryByRole("alert")).toBeNull();
  await user.type(input, "{Backspace}{Backspace}");
  await act(() => vi.advanceTimersByTimeAsync(2000));
  expect(screen.getByRole("alert").textContent).toBe("Type a fraction.");
  vi.useRealTimers();
});

test("only the newest judgement counts", async () => {
  const answers: Record<string, (said: string | null) => void> = {};
  const { input, user } = field((text) => new Promise((resolve) => (answers[text] = resolve)));
  await user.clear(input);
  await user.type(input, "12");
  answers["12"]?.(null);
  answers["1"]?.("late and about another text");
  await Promise.resolve();
  expect(screen.queryByRole("alert")).toBeNull();
});

import { act, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test, vi } from "vitest";
import { Field } from "./Field";

function field(judge: (text: string, meant: boolean) => Promise<string | null> = async () => null) {
  const keep = vi.fn();
  const drop = vi.fn();
  const { unmount } = render(<Field label="Overlap" text="5" shown="5″" judge={judge} keep={keep} drop={drop} />);
  return { input: screen.getByRole("textbox", { name: "Overlap" }), keep, drop, user: userEvent.setup(), unmount };
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

test("what is left is meant; of a field that is gone meanwhile the plan says what is wrong with it", async () => {
  let answer: (said: string) => void = () => {};
  const judge = vi.fn((_: string, meant: boolean) => {
    return meant ? new Promise<string>((resolve) => (answer = resolve)) : Promise.resolve(null);
  });
  const { input, keep, user, unmount } = field(judge);
  await user.clear(input);
  await user.type(input, "x{Enter}");
  expect(judge.mock.calls.map(([text, meant]) => [text, meant])).toEqual([
    ["", false],
    ["x", false],
    ["x", true],
  ]);
  await act(async () => answer("Type a fraction."));
  expect([keep.mock.calls, screen.getByRole("alert").textContent]).toEqual([[], "Type a fraction."]);
  await user.type(input, "{Enter}");
  unmount();
  await act(async () => answer("Type a fraction."));
  expect(keep.mock.calls).toEqual([["x"]]);
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

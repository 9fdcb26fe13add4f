import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test, vi } from "vitest";
import { FileButton } from "./FileButton";

test("a file is read, also the same one twice", async () => {
  const read = vi.fn();
  render(
    <FileButton label="A table" accept=".csv" read={read}>
      {(choose) => (
        <button type="button" onClick={choose}>
          Read
        </button>
      )}
    </FileButton>,
  );
  const input = screen.getByLabelText<HTMLInputElement>("A table");
  const opened = vi.spyOn(input, "click");
  await userEvent.click(screen.getByRole("button", { name: "Read" }));
  expect(opened).toHaveBeenCalledOnce();
  const file = new File(["name"], "cloths.csv", { type: "text/csv" });
  await userEvent.upload(input, file);
  await userEvent.upload(input, file);
  expect(read.mock.calls).toEqual([[file], [file]]);
  expect(input.value).toBe("");
});

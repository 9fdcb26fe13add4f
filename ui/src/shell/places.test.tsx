import { render, screen } from "@testing-library/react";
import { Suspense } from "react";
import { afterEach, expect, test, vi } from "vitest";
import { later, Mistakes, place } from "./places";

afterEach(() => vi.restoreAllMocks());

const Here = () => <p>here</p>;
const There = place(async () => ({ There: Here }), "There");
const Gone = place(() => Promise.reject(new Error("404")) as Promise<{ Gone: () => null }>, "Gone");
function Broken(): never {
  throw new Error("nothing to filter");
}

test("a place comes when its script does, and what does not come is told", async () => {
  render(
    <Suspense fallback="coming">
      <There />
      <Gone />
    </Suspense>,
  );
  expect(await screen.findByText("here")).toBeDefined();
  expect(screen.getByRole("alert").textContent).toMatch(/could not be read.*kept.*Read the page again/);
});

test("a place whose script is there is shown at once", async () => {
  await There.load();
  const { container } = render(
    <Suspense fallback="coming">
      <There />
    </Suspense>,
  );
  expect(container.textContent).toBe("here");
});

test("a part of the frame comes when its script does, and what does not come is told", async () => {
  const Asked = later(async () => Here);
  const Lost = later(() => Promise.reject(new Error("404")));
  render(
    <Suspense fallback="coming">
      <Asked />
      <Lost />
    </Suspense>,
  );
  expect(await screen.findByText("here")).toBeDefined();
  expect(screen.getByRole("alert").textContent).toMatch(/Read the page again/);
});

test("a mistake in one place leaves the others as they are", () => {
  vi.spyOn(console, "error").mockImplementation(() => undefined);
  const { rerender } = render(
    <Mistakes at="/cut">
      <Broken />
    </Mistakes>,
  );
  expect(screen.getByRole("alert").textContent).toMatch(/cannot be shown as it stands/);
  rerender(
    <Mistakes at="/sew">
      <Here />
    </Mistakes>,
  );
  expect(screen.getByText("here")).toBeDefined();
});

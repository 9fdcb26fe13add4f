import { accessible, expect, open, shown, test } from "./app";

test("what to buy, for all plans and for one", async ({ page, demo }) => {
  await open(page, `${demo.url}/cloth`);
  await page.getByRole("link", { name: "What to buy" }).click();
  await expect(page.getByRole("heading", { name: "To buy", exact: true })).toBeVisible();
  await shown(page);
  await accessible(page);
  const all = await page.getByRole("row").count();
  await page.getByText(/^For all \d+ plans$/).click();
  await page.getByRole("button", { name: /^only this.*Reading-corner cushion$/ }).click();
  await expect(page.getByText(/^For 1 of \d+ plans$/)).toBeVisible();
  await expect.poll(() => page.getByRole("row").count()).toBeLessThan(all);
  const stripe = page.getByRole("row", { name: /madder stripe/ });
  await expect(stripe).toContainText("1/2 yd");
  await expect(stripe).toContainText("to buy in one piece");
  await expect(page.getByRole("checkbox", { name: "Reading-corner cushion" })).toBeDisabled();
  await accessible(page);
  // The choice is in the address: taken up again as it was left.
  await page.reload();
  await expect(page.getByText(/^For 1 of \d+ plans$/)).toBeVisible();
  await page.getByText(/^For 1 of/).click();
  await page.getByRole("checkbox", { name: /hood, listening corner/ }).click();
  await expect(page.getByText(/^For 2 of \d+ plans$/)).toBeVisible();
  await page.getByRole("button", { name: "All plans" }).click();
  await expect.poll(() => page.getByRole("row").count()).toBe(all);
});

test("a plan that is not there is said, and all can be shopped for", async ({ page, demo }) => {
  await open(page, `${demo.url}/cloth/shopping?plan=nowhere`);
  await expect(page.getByRole("alert")).toBeVisible();
  await page.getByRole("button", { name: "Shop for all plans" }).click();
  await expect(page.getByText(/^For all \d+ plans$/)).toBeVisible();
});

import { accessible, expect, open, saved, stored, test } from "./app";

const reading = "reading-corner-cushion";

test("at the table: cut by cut, stopped and taken up again, one spoiled", async ({ page, demo }) => {
  await page.setViewportSize({ width: 820, height: 1180 });
  await open(page, `${demo.url}/plans/${reading}/cut`);
  await page.getByRole("link", { name: "Cut at the table" }).click();
  await expect(page.getByRole("heading", { name: "Square the end" })).toBeVisible();
  await accessible(page);
  await page.getByRole("button", { name: "Done" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText(/^Ruler to/);
  await page.getByRole("button", { name: "Done" }).click();
  const heading = page.getByRole("heading", { level: 1 });
  await expect(heading).toHaveText(/ × /);
  const count = page.getByText(/^\d+ of \d+$/);
  const before = await count.textContent();
  await page.getByRole("button", { name: "One spoiled" }).click();
  await expect(page.getByText(/is in the cutting layout once more: cut it from what is left/)).toBeVisible();
  await expect(count).not.toHaveText(before ?? ""); // it is in the lay
  await saved(page);
  const { plan } = await stored(demo, reading);
  expect(Object.values(plan.progress.spoiled)).toEqual([1]);
  const cuts = () => page.getByRole("button", { name: "Cut", exact: true });
  await expect(cuts()).toBeVisible();
  const done = async () => Object.keys((await stored(demo, reading)).plan.progress?.cut ?? {}).length;
  while ((await done()) === 0) {
    const next = page.getByRole("button", { name: /^(Cut|Done)$/ });
    await next.click();
    await saved(page);
  }
  await page.getByRole("link", { name: "Back to the cutting layouts" }).click();
  await expect(page.getByRole("checkbox", { checked: true })).toHaveCount(1);
  await page.getByRole("link", { name: "Cut at the table" }).click();
  // Taken up again: what is cut is not asked for any more.
  const now = await stored(demo, reading);
  const [ticked] = Object.keys(now.plan.progress.cut);
  const { cloth } = now.reckoning.cuts.find((c: { id: string }) => c.id === ticked);
  await expect(page.getByText(new RegExp(`patch ${cloth}$`))).toHaveCount(0);
  await expect(page.getByRole("heading", { name: "Square the end" })).toBeVisible();
});

test("what several covers take is cut at once, and told for each", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/story-mat-seat-pad/cut`);
  const { plan } = await stored(demo, "story-mat-seat-pad");
  expect(plan.copies).toBe(2);
  const first = page.getByRole("checkbox").first();
  await expect(first).toBeVisible();
  const [, total, each] =
    (await page.locator(".ticks label").first().textContent())?.match(/^(\d+) × .*, (\d+) for each cover/) ?? [];
  expect(Number(total)).toBe(2 * Number(each));
  await accessible(page);
});

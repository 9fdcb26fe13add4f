import { accessible, expect, open, posted, put, saved, stored, test } from "./app";

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
  await expect(heading).toHaveText(/^Ruler to/);
  await expect(page.getByText(/^Cut \d+ pieces off strip 1/)).toBeVisible();
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
    (await page.locator(".ticks label").first().textContent())?.match(/^(\d+) pieces, .*, (\d+) for each cover/) ?? [];
  expect(Number(total)).toBe(2 * Number(each));
  await accessible(page);
});

test("the backs are cut from the rest of the strip of their front, once it is measured", async ({ page, workshop }) => {
  const plan = {
    format: "umschlag/plan/2",
    title: "One strip",
    units: "in",
    object: { kind: "form", width: "16", height: "16", fill: "feather" },
    cover: { kind: "cushion" },
    cloths: { A: { name: "moss" } },
    pieces: { "*": { face: { kind: "plain", cloth: "A" } } },
    back: { kind: "envelope", wait: "yes" },
  };
  const made = await posted(workshop, plan);
  await open(page, `${workshop.url}/plans/${made.id}/cut`);
  await expect(page.getByText(/^Leave the rest whole. At least .* of strip 1 for the back piece/)).toBeVisible();
  await page.getByText("How that adds up").click();
  await expect(page.getByRole("list", { name: "The sum of moss, along its length" })).toContainText("strip 1");
  await accessible(page);
  await page.getByRole("link", { name: "Cut at the table" }).click();
  const heading = page.getByRole("heading", { level: 1 });
  const next = page.getByRole("button", { name: /^(Cut|Done)$/ });
  for (const title of ["Square the end", /^Ruler to/, /^Ruler to/]) {
    await expect(heading).toHaveText(title);
    await next.click();
  }
  await expect(heading).toHaveText("All is cut");
  await saved(page);
  const { reckoning } = await stored(workshop, made.id);
  const strips = (r: typeof reckoning) => r.cloths[0].lay.strips.length;
  expect(strips(reckoning)).toBe(1);

  const gate = reckoning.cuts.find((c: { waits?: string }) => c.waits).waits;
  await open(page, `${workshop.url}/plans/${made.id}/sew`);
  await page.getByRole("button", { name: /Measure the front/ }).click();
  await put(page, "Measured across", "16 5/8");
  await put(page, "Measured up", "16 5/8");
  await saved(page);
  expect((await stored(workshop, made.id)).plan.measured[0].gate).toBe(gate);
  await open(page, `${workshop.url}/plans/${made.id}/cut/table`);
  // The strip is cut: only the backs are left, from its rest, as large as the front wants them.
  await expect(page.getByText(/^Cut 2 pieces off strip 1/)).toBeVisible();
  await expect(page.getByText("1 of 1")).toBeVisible();
  const after = (await stored(workshop, made.id)).reckoning;
  expect(after.cloths[0].moves.at(-1).text).toMatch(/: back piece, 11⅜″ × 16⅝″\.$/);
  expect(strips(after)).toBe(1);
  expect(after.cloths[0].length.nm).toBe(reckoning.cloths[0].length.nm);
});

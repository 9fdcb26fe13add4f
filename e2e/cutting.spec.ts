import type { Page } from "@playwright/test";
import { accessible, expect, open, put, saved, stored, takes, test } from "./app";

const reading = "reading-corner-cushion";
/** A search ends by itself after half a minute. */
const ended = { timeout: 120_000 };
/** What the app says in passing. */
const said = (page: Page) => page.locator(".MuiSnackbar-root");

test("a shorter cutting layout is looked for, and what is found stays in the plan", async ({ page, demo }) => {
  takes(35);
  const plan = "returns-scanner-hood-sashed-top";
  await open(page, `${demo.url}/plans/${plan}/cut`);
  const check = page.getByRole("region", { name: "Fabric ink canvas" });
  await check.getByRole("button", { name: /Look for a shorter cutting layout/ }).click();
  await expect(check.getByText(/(A cutting layout of .* was found|Nothing shorter was found)/)).toBeVisible(ended);
  await saved(page);
  const { plan: kept } = await stored(demo, plan);
  const found = await check.getByText(/A cutting layout of .* was found/).count();
  expect(Object.keys(kept.lays ?? {}).length).toBe(found);
  await accessible(check);
});

test("several plans on one lay; a search is ended when it will do", async ({ page, demo }) => {
  takes(35);
  await open(page, `${demo.url}/cloth/shopping`);
  await page.getByRole("link", { name: "Lay them together on moss leaf" }).click();
  await expect(page.getByRole("heading", { name: "On one cutting layout of moss leaf" })).toBeVisible();
  await expect(page.getByText(/^Laid together they take/)).toBeVisible();
  await accessible(page);
  await page.getByRole("button", { name: "Look for a shorter cutting layout" }).click();
  await page.getByRole("button", { name: "Stop here" }).click();
  await expect(page.getByText(/(A cutting layout of .* was found|Nothing shorter was found)/)).toBeVisible(ended);
  const plans = page.getByRole("group").getByRole("checkbox");
  for (let n = (await plans.count()) - 1; n > 0; n--) {
    await plans.nth(n).click();
    await expect(plans.nth(n)).not.toBeChecked();
  }
  await expect(plans.first()).toBeDisabled();
  await expect(page.getByText("Laying them together saves nothing.")).toBeVisible();
});

test("fabric is kept for a plan and let go again", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${reading}/cut`);
  const calico = page.getByRole("region", { name: "Fabric calico" });
  await expect(calico.getByText("All of it comes from offcuts.")).toBeVisible();
  await calico.getByRole("button", { name: /^Keep it for this plan/ }).click();
  await expect(calico.getByText("Kept for this plan: 1 offcut.")).toBeVisible();
  await open(page, `${demo.url}/plans/pinwheel-cushion-for-the-reading-corner/cut`);
  await expect(page.getByRole("region", { name: "Fabric calico" }).getByText(/^Takes/)).toBeVisible();
  await open(page, `${demo.url}/cloth`);
  await expect(page.getByText("kept for Reading-corner cushion")).toBeVisible();
  await open(page, `${demo.url}/plans/${reading}/cut`);
  await calico.getByRole("button", { name: /^Release it/ }).click();
  await expect(calico.getByRole("button", { name: /^Keep it for this plan/ })).toBeVisible();
  await said(page).getByRole("button", { name: "Undo" }).click();
  await expect(calico.getByText("Kept for this plan: 1 offcut.")).toBeVisible();
});

test("units left from other covers are taken out of the cupboard, and what is over goes in", async ({ page, demo }) => {
  const plan = "pinwheel-cushion-for-the-reading-corner";
  await open(page, `${demo.url}/plans/${plan}/cut`);
  const units = page.locator(".units");
  await expect(units.getByText("6 in the cupboard.")).toBeVisible();
  const fewer = page.getByText(/6 of them in units left from other covers/).first();
  await accessible(units);
  await units.getByRole("button", { name: /^Take 6/ }).click();
  const many = units.getByRole("textbox", { name: /^How many half-square triangles/ });
  await expect(many).toHaveValue("6");
  await expect(fewer).toBeVisible();
  await expect(units.getByText("6 in the cupboard.")).toBeHidden();
  await saved(page);
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(units.getByText("6 in the cupboard.")).toBeVisible();
  await expect(many).toHaveValue("0");
  await expect(fewer).toBeHidden();

  await many.fill("70"); // more than the 64 it needs
  await many.press("Enter");
  await expect(units.getByText("6 of those are not needed.")).toBeVisible();
  const note = page.getByText(/70 half-square triangles of .* are left from other covers, and 64 are needed/);
  await expect(note).toBeVisible();
  await units.getByRole("button", { name: /^Put 6 into the cupboard/ }).click();
  await expect(units.getByText("6 put into the cupboard.")).toBeVisible();
  await expect(note).toBeHidden();
  await saved(page);
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(note).toBeVisible();
  await many.fill("some");
  await expect(units.getByText("Type a whole number from 0 to 2000.")).toBeVisible();
  await many.fill("63");
  await many.press("Enter");
  await expect(units.getByText(/^1 more comes? of what is cut/)).toBeVisible();
  await units.getByRole("button", { name: /^Put 1 into the cupboard/ }).click();
  await expect(units.getByText("1 put into the cupboard.")).toBeVisible();
  await saved(page);
  expect((await stored(demo, plan)).plan.progress.over?.[0]?.count).toBe(1);

  await open(page, `${demo.url}/plans/${plan}/sew`);
  await page.getByRole("button", { name: /^Sew 1 half-square triangle$/ }).click();
  await expect(page.getByText(/The other 63 are left from other covers/)).toBeVisible();

  await open(page, `${demo.url}/cloth`);
  const row = page.getByRole("listitem").filter({ hasText: "as sewn, of chalk dot and ink leaf" });
  await expect(row).toContainText("7 half-square triangles");
  await row.getByRole("button", { name: /^One less/ }).click();
  await expect(row).toContainText("6 half-square triangles");
  await accessible(page.getByRole("region", { name: "Units left from covers" }));
  await row.getByRole("button", { name: /^Remove/ }).click();
  await expect(row).toHaveCount(0);
  await said(page).getByRole("button", { name: "Put them back" }).click();
  await expect(row).toContainText("6 half-square triangles");
});

test("what is left when all is cut goes back into the cupboard, and out again", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${reading}/cut`);
  const leaf = page.getByRole("region", { name: "Fabric ink leaf" });
  await leaf.getByRole("checkbox").check();
  await saved(page);
  await leaf.getByRole("button", { name: /^Put what is left back/ }).click();
  await expect(leaf.getByText("What was left over is back in the cupboard.")).toBeVisible();
  await saved(page);
  expect((await stored(demo, reading)).plan.progress.returned).toEqual(["A"]);
  await said(page).getByRole("button", { name: "Undo" }).click();
  await expect(leaf.getByRole("button", { name: /^Put what is left back/ })).toBeVisible();
  await saved(page);
  expect((await stored(demo, reading)).plan.progress.returned).toEqual([]);
  await leaf.getByRole("button", { name: /^Put what is left back/ }).click();
  await expect(leaf.getByText("What was left over is back in the cupboard.")).toBeVisible();
  await saved(page);
  await open(page, `${demo.url}/cloth`);
  await expect(
    page.getByRole("listitem").filter({ has: page.getByRole("heading", { name: "ink leaf" }) }),
  ).toContainText("An offcut");

  // The cupboard has it, whatever is undone in the plan.
  await open(page, `${demo.url}/plans/${reading}/cut`);
  await page.getByRole("button", { name: "Undo" }).click();
  await saved(page);
  expect((await stored(demo, reading)).plan.progress.returned).toEqual([]);
  await expect(leaf.getByText("What was left over is back in the cupboard.")).toBeVisible();
});

test("what goes back into the cupboard goes there once, where the answer is lost", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${reading}/cut`);
  const leaf = page.getByRole("region", { name: "Fabric ink leaf" });
  await leaf.getByRole("checkbox").check();
  await saved(page);
  await page.route(
    "**/return",
    async (route) => {
      await route.fetch();
      await route.abort();
    },
    { times: 1 },
  );
  await page.route("**/return", (route) => route.abort(), { times: 1 }); // before the one whose answer is lost
  await leaf.getByRole("button", { name: /^Put what is left back/ }).click();
  await expect(leaf.getByRole("alert")).toContainText("does not answer");
  await leaf.getByRole("button", { name: /^Put what is left back/ }).click();
  await expect(leaf.getByText("What was left over is back in the cupboard.")).toBeVisible();
  await expect(leaf.getByRole("alert")).toHaveCount(0); // it is there: nothing is wrong
  await page.reload();
  await expect(leaf.getByText("What was left over is back in the cupboard.")).toBeVisible();
});

test("pieces are drawn round where templates are the school", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${reading}/cut`);
  await page.getByRole("combobox", { name: "How pieces are cut" }).selectOption("template");
  const leaf = page.getByRole("region", { name: "Fabric ink leaf" });
  await expect(leaf.getByText(/^Draw round 8 pieces/)).toBeVisible();
  await expect(leaf.getByText(/^Ruler to/)).toHaveCount(0);
  await page.getByRole("link", { name: "Cut at the table" }).click();
  await expect(page.getByRole("heading", { name: "Draw round 8 pieces" })).toBeVisible();
  await accessible(page);
  await page.getByRole("button", { name: "Cut", exact: true }).click();
  await saved(page);
  expect(Object.values((await stored(demo, reading)).plan.progress.cut)).toEqual([
    expect.objectContaining({ count: 8 }),
  ]);
});

test("what a batch costs, every sum with how it comes about", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/lavender-mini-first-of-a-dozen/cut`);
  await page.getByRole("link", { name: "What it costs" }).click();
  const row = (name: string) => page.getByRole("row", { name: new RegExp(`^${name}`) });
  await expect(row("Work")).toContainText("€198.00"); // twelve times 55 minutes at 18 an hour
  await accessible(page);
  await put(page, "Minutes of work on one cover", "50");
  await expect(row("Work")).toContainText("€180.00");
  await expect(row("moss leaf")).toContainText("at €11.50 a yard");
  await expect(page.getByRole("heading", { name: "Left out" })).toBeVisible();
  const margin = page.getByRole("textbox", { name: "Margin" });
  await margin.click();
  await margin.fill("-5");
  await margin.press("Enter");
  await expect(page.getByText(/The margin cannot be -5/).first()).toBeVisible();
});

test("thread, zips and offcuts in the cupboard", async ({ page, demo }) => {
  await open(page, `${demo.url}/cloth`);
  await page.getByRole("button", { name: "Put a thing in" }).click();
  const form = page.getByRole("form", { name: "A thing" });
  await form.getByLabel("Name").fill("red zips");
  await form.getByLabel("What plans use it as").fill("zip");
  await form.getByLabel("How many there are").fill("-1");
  await form.getByLabel("Length of one").fill("12");
  await accessible(form);
  await form.getByRole("button", { name: "Save" }).click();
  await expect(form.getByRole("alert")).toBeVisible();
  await form.getByLabel("How many there are").fill("3");
  await form.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText("as zip, 3 of 12″")).toBeVisible();
  await page.getByRole("button", { name: "Remove red zips" }).click();
  await expect(page.getByText("as zip, 3 of 12″")).toHaveCount(0);
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(page.getByText("as zip, 3 of 12″")).toBeVisible();

  await page.getByRole("button", { name: "Change slate" }).click();
  const cloth = page.getByRole("form", { name: "A fabric" });
  await cloth.getByText(/^Offcuts/).click();
  await cloth.getByRole("button", { name: "Add pieces" }).click();
  await cloth.getByLabel("How many").fill("24");
  await cloth.getByLabel("Width, across the fabric").fill("5");
  await cloth.getByLabel("Length", { exact: true }).fill("0");
  await cloth.getByRole("button", { name: "Save" }).click();
  await expect(cloth.getByRole("alert")).toContainText("The length of an offcut cannot be 0");
  await cloth.getByLabel("Length", { exact: true }).fill("5");
  await cloth.getByRole("button", { name: "Save" }).click();
  const kept = page.locator(".cloth-row").filter({ hasText: "24 pieces 5" });
  await expect(kept).toBeVisible();
  await accessible(kept);
});

test("a fabric is shown by its photo, and drawn again", async ({ page, demo }) => {
  await open(page, `${demo.url}/cloth`);
  await page.getByRole("button", { name: "Change slate" }).click();
  const cloth = page.getByRole("form", { name: "A fabric" });
  const photo = cloth.getByLabel("Photo of the fabric");
  await photo.setInputFiles({ name: "list.csv", mimeType: "text/csv", buffer: Buffer.from("name\nleaf\n") });
  await expect(cloth.getByRole("alert")).toContainText("no picture that can be read");
  await photo.setInputFiles({ name: "slate.png", mimeType: "image/png", buffer: await page.screenshot() });
  await expect(cloth.getByText("shown by its photo.")).toBeVisible();
  await expect(cloth.locator("pattern image")).toHaveAttribute("href", /photos\/1$/);
  await cloth.getByRole("button", { name: "Save" }).click();
  const row = page.getByRole("listitem").filter({ has: page.getByRole("heading", { name: "slate" }) });
  await expect(row.locator("pattern image")).toHaveCount(1);
  await page.getByRole("button", { name: "Change slate" }).click();
  await cloth.getByRole("button", { name: "Draw it instead" }).click();
  await cloth.getByRole("button", { name: "Save" }).click();
  await expect(row.locator("pattern image")).toHaveCount(0);
});

import type { Page } from "@playwright/test";
import { accessible, expect, open, put, shown, stored, test } from "./app";

const away = "The app’s server does not answer.";

/** The server does what it is next asked for at a place, and its answer is lost on the way. */
const loseAnswer = (page: Page, method: string, place: string) => {
  let lost = false;
  return page.route(`**/api/v1${place}`, async (route) => {
    if (lost || route.request().method() !== method) return route.fallback();
    lost = true;
    await route.fetch();
    await route.abort();
  });
};

/** How many of a kind are kept. */
const kept = async (url: string, place: string) => (await (await fetch(`${url}/api/v1${place}`)).json()).length;

test("a plan whose answer is lost is begun once, and the next one is another", async ({ page, workshop }) => {
  await open(page, workshop.url);
  await put(page, "Width of the insert", "16");
  await loseAnswer(page, "POST", "/plans");
  const begin = page.getByRole("button", { name: "Plan this cover" });
  await begin.click();
  await expect(page.getByRole("alert")).toContainText(away);
  await begin.click();
  await expect(page).toHaveURL(/plans\/a-new-cover$/);
  await shown(page);
  expect(await kept(workshop.url, "/plans")).toBe(1);

  await page.getByRole("link", { name: "Umschlag, to the shelf" }).click();
  await begin.click();
  await expect(page).toHaveURL(/plans\/a-new-cover-2$/);
  expect(await kept(workshop.url, "/plans")).toBe(2);
});

test("nothing is begun with a size that stood there before what is typed", async ({ page, workshop }) => {
  await open(page, workshop.url);
  const width = page.getByRole("textbox", { name: "Width of the insert" });
  const begin = page.getByRole("button", { name: "Plan this cover" });
  await width.fill("about 12");
  await begin.click();
  const alert = page.getByRole("alert").filter({ hasText: "Nothing was begun" });
  await expect(alert).toHaveText("Nothing was begun: the width of the insert is to be put right first.");
  await accessible(page.getByRole("region", { name: "Start a plan" }));
  await width.press("Escape");
  await page.route("**/api/v1/reckon", (route) => route.abort());
  await width.fill("12");
  await begin.click();
  await expect(page.getByRole("alert").filter({ hasText: away })).toHaveCount(2); // at the size, and at what was pressed
  expect(await kept(workshop.url, "/plans")).toBe(0);
  await page.unrouteAll();
  await begin.click();
  await expect(page).toHaveURL(/plans\/a-new-cover$/);
  await shown(page);
  expect((await stored(workshop, "a-new-cover")).plan.object.width).toBe("12");
});

test("what goes into the cupboard is put in once", async ({ page, workshop }) => {
  await open(page, `${workshop.url}/cloth`);
  await loseAnswer(page, "POST", "/cloths");
  await page.getByRole("button", { name: "Put a fabric in" }).click();
  await page.getByLabel("Name", { exact: true }).fill("heather");
  const put = page.getByRole("button", { name: "Save", exact: true });
  await put.click();
  await expect(page.getByRole("alert")).toContainText(away);
  await put.click();
  await expect(page.getByRole("heading", { name: "heather" })).toBeVisible();
  expect(await kept(workshop.url, "/cloths")).toBe(1);

  // Taken out and put back, each with its answer lost.
  await loseAnswer(page, "DELETE", "/cloths/*");
  await page.getByRole("button", { name: "Remove heather" }).click();
  const failed = page.getByRole("alert").filter({ hasText: away });
  await accessible(failed);
  await page.getByRole("button", { name: "Try again" }).click();
  await expect(page.getByText("heather is out of the cupboard.")).toBeVisible();
  expect(await kept(workshop.url, "/cloths")).toBe(0);
  await page.unrouteAll();
  await loseAnswer(page, "POST", "/cloths");
  const back = page.getByRole("button", { name: "Put it back" });
  await back.click();
  await expect(failed).toBeVisible();
  await back.click();
  await expect(page.getByRole("heading", { name: "heather" })).toBeVisible();
  expect(await kept(workshop.url, "/cloths")).toBe(1);
});

test("what is put away while the server is away is said, and tried again", async ({ page, demo }) => {
  await open(page, demo.url);
  const card = page.getByRole("listitem").filter({ hasText: "Reading-corner cushion" });
  let asked = 0;
  await page.route("**/api/v1/plans/*", (route) => {
    asked++;
    return route.abort();
  });
  await card.getByRole("button", { name: "Put away Reading-corner cushion" }).click();
  const failed = page.getByRole("alert").filter({ hasText: away });
  await expect(failed).toBeVisible();
  await page.getByRole("button", { name: "Try again" }).click(); // still away
  await expect.poll(() => asked).toBe(2);
  await expect(failed).toBeVisible();
  await page.unrouteAll();
  await page.getByRole("button", { name: "Try again" }).click();
  await expect(card).toHaveCount(0);
  await page.route("**/bring-back", (route) => route.abort(), { times: 1 });
  const back = page.getByRole("button", { name: "Bring it back" });
  await back.click();
  await expect(failed).toBeVisible();
  await back.click();
  await expect(card).toBeVisible();
});

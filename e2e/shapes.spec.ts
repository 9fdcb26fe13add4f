import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { Page } from "@playwright/test";
import { accessible, expect, open, pick, put, saved, stored, test } from "./app";

const van = "van-cushion-in-four-layers";
const plan = `/plans/${van}`;
const testdata = join(import.meta.dirname, "../format/svgfile/testdata");
const shape = (page: Page, name: RegExp) => page.getByRole("button", { name });
const list = (page: Page) => page.getByRole("list", { name: "Shapes on the front" });
const text = (page: Page) => page.locator(".shape-open .soft").last();

test("a shape is dragged, and what is sewn follows at once", async ({ page, demo }) => {
  await open(page, demo.url + plan);
  await shape(page, /^Body on the front/).focus();
  await expect(text(page)).toContainText("≈267/8″ of its ≈317/8″ round show");
  const box = await shape(page, /^Book on the front/)
    .locator(".shape-hit")
    .boundingBox();
  if (!box) throw new Error("the book is not drawn");
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 40, y, { steps: 4 });
  await page.mouse.move(x + 75, y, { steps: 4 });
  // Before it is let go the brief and the sheet show it where it is: off the shelf, on the cab window.
  await expect(text(page)).not.toContainText("53/8″ from the left");
  await page.getByRole("button", { name: "Stitched edges" }).dispatchEvent("click");
  const threads = page.getByRole("region", { name: "Stitched edges of the shapes" });
  await expect(threads).toContainText("cab window");
  await expect(threads).not.toContainText("cab window ≈71/2″");
  await page.mouse.up();
  const place = async () => (await stored(demo, van)).plan.pieces.front.face.applique[9].at;
  await expect.poll(place).not.toEqual({ middle: true });
  await saved(page);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(place).toEqual({ middle: true });
  await expect(threads).toContainText("cab window ≈71/2″");
});

test("shapes by the keyboard: moved, placed, turned, set aside and taken off", async ({ page, demo }) => {
  await open(page, demo.url + plan);
  await shape(page, /^Sun on the front/).focus();
  await page.keyboard.press("ArrowLeft");
  await page.keyboard.press("ArrowDown");
  await expect(shape(page, /^Sun on the front: 12⅜″ from the left, 1⅞″ from the top/)).toBeVisible();
  await pick(page, "Edge of Sun", "none");
  await expect(text(page)).toContainText("Its edge takes no thread.");
  await pick(page, "Edge of Sun", "hand");
  await put(page, "Turn of Sun", "15");
  await put(page, "Width of Sun", "3");
  await pick(page, "Twin of Sun", "mirror");
  await expect(page.locator(".laid-on")).toHaveCount(15);
  await accessible(list(page));
  await page.getByRole("button", { name: "One up" }).click();
  await expect(list(page).locator("summary").nth(1)).toContainText("Sun");
  await pick(page, "What Sun is placed from", "hill");
  await pick(page, "Place of Sun up", "top");
  await put(page, "Distance of Sun from the top", "-3");
  await page.getByRole("button", { name: "Remove it" }).click();
  await expect(list(page)).not.toContainText("Sun");
  await saved(page);
  const { plan: kept } = await stored(demo, van);
  expect(kept.pieces.front.face.applique).toHaveLength(10);
});

test("what cannot be sewn is said where it stands", async ({ page, demo }) => {
  await open(page, demo.url + plan);
  await shape(page, /^Road on the front/).focus();
  await pick(page, "Place of Road across", "left");
  await put(page, "Distance of Road from the left", "-2");
  await expect(
    page.getByText("Road reaches 2″ beyond the seam line of the front and is caught in the seam."),
  ).toBeVisible();
  await put(page, "Width of Road", "30");
  await put(page, "Height of Road", "1/10");
  await put(page, "Distance of Road from the left", "40");
  await expect(page.getByText("Road lies off the front altogether.")).toBeVisible();
  await expect(page.locator(".stale-note")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.locator(".stale-note")).toHaveCount(0);
});

test("an outline is drawn by its points", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/reading-corner-cushion`);
  await page.getByText("Lay a shape on").click();
  await page.getByRole("button", { name: "Draw an outline by points" }).click();
  await expect(page.getByRole("group", { name: "Outline of Shape 1, 5 points" })).toBeVisible();
  await page.getByRole("button", { name: "A point more after point 3" }).press("Enter");
  await expect(page.getByRole("group", { name: "Outline of Shape 1, 6 points" })).toBeVisible();
  const point = page.getByRole("button", { name: /^Point 2 of Shape 1/ });
  const wide = await page.locator(".laid-on .cell").boundingBox();
  await point.press("ArrowUp");
  await point.press("ArrowUp");
  await expect
    .poll(async () => (await page.locator(".laid-on .cell").boundingBox())?.height)
    .toBeGreaterThan((wide?.height ?? 0) + 3);
  const at = await point.locator("circle").last().boundingBox();
  if (!at) throw new Error("the point is not drawn");
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
  await page.mouse.down();
  await page.mouse.move(at.x + 60, at.y + 10, { steps: 5 });
  await page.mouse.up();
  await page.getByRole("button", { name: /^Point 1 of Shape 1/ }).press("Delete");
  await expect(page.getByRole("group", { name: "Outline of Shape 1, 5 points" })).toBeVisible();
  await accessible(page.locator(".sheet"));
  await saved(page);
  const face = (await stored(demo, "reading-corner-cushion")).plan.pieces.front.face;
  expect(face.applique[0].shape).toMatch(/^M[-\d. L]+Z$/);
});

test("a form is laid on, and its steps come before the quilting", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/reading-corner-cushion`);
  await page.getByText("Lay a shape on").click();
  await page.getByRole("button", { name: "Blossom", exact: true }).click();
  await expect(page.getByRole("list", { name: "All cuts" })).toContainText("web for “blossom”");
  await saved(page);
  await page.getByRole("link", { name: "Sew", exact: true }).click();
  const list = page.getByRole("list", { name: "Steps" }).getByRole("button");
  await expect(list.first()).toBeVisible();
  const steps = await list.allTextContents();
  const at = (title: string) => steps.findIndex((s) => s.startsWith(title));
  expect(at("Place and fuse layer 1")).toBeGreaterThan(
    at("Sew the border on") === -1 ? at("Join the rows") : at("Sew the border on"),
  );
  expect(at("Place and fuse layer 1")).toBeLessThan(at("Quilt"));
  await page.getByRole("button", { name: "Cut the shapes" }).click();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "Templates as SVG" }).click(),
  ]);
  const file = readFileSync(await download.path(), "utf8");
  expect(file).toContain("<title>Reading-corner cushion, front, templates</title>");
  expect(file.match(/<path /g)).toHaveLength(1);
});

test("shapes are read from a file; what cannot be read changes nothing", async ({ page, demo }) => {
  await open(page, demo.url + plan);
  await page.getByText("Lay a shape on").click();
  const input = page.getByLabel("SVG or DXF file with shapes");
  const before = await stored(demo, van);
  for (const [file, said] of [
    ["hostile/script.svg", "The file has a <script>: it does more than draw."],
    ["hostile/outside-use.svg", "A <use> in the file points outside it."],
    ["broken/only-text.svg", "Nothing in the file can be cut out: it has 1 text."],
    ["broken/cut-off.svg", "Line 1 of the file"],
  ] as const) {
    await input.setInputFiles(join(testdata, file));
    await expect(page.getByRole("alert").filter({ hasText: said })).toBeVisible();
  }
  const many = `<svg xmlns="http://www.w3.org/2000/svg">${"<g/>".repeat(100_000)}</svg>`;
  await input.setInputFiles({ name: "many.svg", mimeType: "image/svg+xml", buffer: Buffer.from(many) });
  await expect(page.getByText("The file has more than 20000 elements.")).toBeVisible();
  expect((await stored(demo, van)).revision).toBe(before.revision);

  await input.setInputFiles(join(testdata, "sound/partly.svg"));
  await expect(page.getByText(/Read: 2 shapes.*Left out: 1 clipping/)).toBeVisible();
  await expect(list(page).locator("summary")).toHaveCount(13);
  await saved(page);
  const { plan: kept } = await stored(demo, van);
  expect(kept.pieces.front.face.applique).toHaveLength(13);
  expect(kept.pieces.front.face.applique[11].from).toBe(kept.pieces.front.face.applique[12].key);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(list(page).locator("summary")).toHaveCount(11);
});

test("the cutting layout shows each shape as it is cut", async ({ page, demo }) => {
  await open(page, `${demo.url}${plan}/cut`);
  const straw = page.getByRole("region", { name: "Fabric straw dot" });
  await expect(straw.locator(".template:not(.halo)")).toHaveCount(2);
  await expect(page.getByRole("region", { name: "Fabric fusible web" })).toBeVisible();
});

import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import type { BrowserContext, Page } from "@playwright/test";
import { accessible, expect, open, put, saved, stored, test } from "./app";
import type { Server } from "./server";

const id = "reading-corner-cushion";

test("what cannot be read gets one message at its value and loses nothing", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${id}`);
  for (const [n, [label, text, says]] of (
    [
      ["Width of the insert", "16 1/0", "divided by 0"],
      ["Width of the insert", "1 2/3/4", "one line a fraction"],
      ["Width of the insert", "twelve", "start with a number"],
      ["Overlap of the back", "4 km", "is not a unit here"],
      ["Patches across", "many", "whole number"],
    ] as const
  ).entries()) {
    const field = page.getByRole("textbox", { name: label, exact: true });
    const before = await stored(demo, id);
    await field.fill(text);
    await field.press("Enter");
    await expect(page.getByRole("alert")).toHaveCount(1);
    await expect(page.getByRole("alert")).toContainText(says);
    await expect(field).toHaveAttribute("aria-invalid", "true");
    await page.getByRole("heading", { name: "Edges" }).click();
    await expect(field).toHaveValue(text); // stays as typed
    expect((await stored(demo, id)).revision).toBe(before.revision);

    // Another value can be changed meanwhile.
    await put(page, "Loft of one batting", `${4 + n} mm`);
    await expect.poll(async () => (await stored(demo, id)).plan.pieces.front.layers.batting.loft).toBe(`${4 + n} mm`);
    await expect(field).toHaveValue(text);
    await field.press("Escape");
    await expect(page.getByRole("alert")).toHaveCount(0);
  }
});

for (const [kind, at, field] of [
  ["hood", "turntable-hood-listening-corner", "Bottom edge"],
  ["jacket", "jacket-for-the-visitors-log", "Style of the flaps"],
  ["pad", "story-mat-seat-pad", "Shape of what is covered"],
  ["boxed cushion", "listening-stool-cushion", "Closure of the band"],
] as const) {
  test(`a ${kind} that stops is mended from its brief after a reload`, async ({ page, demo }) => {
    const { plan, revision } = await stored(demo, at);
    const face = { kind: "grid", columns: 3, rows: 3, patch: { width: "100" }, cloths: ["A"], order: "alternate" };
    const sent = await fetch(`${demo.url}/api/v1/plans/${at}`, {
      method: "PUT",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({
        base: revision,
        plan: { ...plan, pieces: { "*": { ...plan.pieces["*"], face } } },
        label: "too large",
      }),
    });
    expect(sent.status).toBe(200);
    await open(page, `${demo.url}/plans/${at}`);
    await expect(page.getByRole("alert").first()).toBeVisible();
    await expect(page.getByRole("combobox", { name: field })).toBeVisible();
    // The last good state stands beside it, marked as older, and gives out no files.
    await expect(page.getByText("as it was before the stop in the brief")).toBeVisible();
    await expect(page.locator(".sheet")).toBeVisible();
    await expect(page.getByText("No files: the plan cannot be cut as it stands.")).toBeVisible();
    await accessible(page);
    const file = await fetch(`${demo.url}/api/v1/plans/${at}/cuts.csv`, { headers: { accept: "text/html" } });
    expect(file.headers.get("content-type")).toContain("text/html");
    expect(await file.text()).toContain("The plan cannot be cut as it stands");
    for (const of of await page.getByRole("combobox", { name: /^Kind of/ }).all()) await expect(of).toBeEnabled();
    // One press mends it, and one undo takes that back.
    const mends = page.getByRole("list", { name: "What mends it" }).getByRole("button");
    await mends.first().click();
    await saved(page);
    await expect(page.getByRole("alert")).toHaveCount(0);
    await page.getByRole("button", { name: "Undo" }).click();
    await expect(page.getByRole("alert").first()).toBeVisible();
    await mends.first().click();
    await saved(page);
    await expect(page.getByText("as it was before the stop in the brief")).toHaveCount(0);
    await expect(page.getByRole("alert")).toHaveCount(0);
  });
}

test("what cannot be cut stops the plan where it stands, with what to type instead", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${id}`);
  for (const [label, text, says] of [
    ["Width of the insert", "-3", "The width of an insert cannot be −3″"],
    ["Finished width of a patch", "22", "larger than the front"],
    ["Overlap of the back", "25", "wider than the back itself"],
  ] as const) {
    await put(page, label, text);
    await saved(page);
    await expect(page.getByRole("alert")).toHaveCount(1);
    await expect(page.getByRole("alert")).toContainText(says);
    await expect(page.getByRole("textbox", { name: label, exact: true })).toHaveAttribute("aria-invalid", "true");
    await expect(page.getByText("as it was before the stop in the brief")).toBeVisible();
    await page.getByRole("link", { name: "Cut", exact: true }).click();
    await expect(page.getByText("Nothing can be cut yet.")).toBeVisible();
    await expect(page.getByRole("alert")).toContainText(says);
    await page.getByRole("button", { name: "Undo" }).click();
    await expect(page.getByRole("heading", { name: "ink leaf" })).toBeVisible();
    await page.getByRole("link", { name: "Draft", exact: true }).click();
  }
});

test("a measurement that stops the plan keeps its step and can be put right", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/story-hour-patchwork-cushion/sew`);
  await page.getByRole("button", { name: /Measure the front/ }).click();
  const across = page.getByRole("textbox", { name: "Measured across" });
  await across.fill("1");
  await across.press("Enter");
  await expect(page.getByRole("alert")).toContainText("overlap");
  await expect(across).toHaveValue("1");
  await page.getByRole("link", { name: "Draft", exact: true }).click();
  await put(page, "Front as measured, across", "16 3/8");
  await expect(page.getByRole("alert")).toHaveCount(0);
  await expect(page.getByRole("note").first()).toContainText("163/8″ across");
});

test("borders wider than the cover", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${id}`);
  await page.getByRole("combobox", { name: "Width of border 1" }).selectOption("given");
  await put(page, "Finished width of border 1", "10");
  await expect(page.getByRole("alert")).toContainText("The borders take 20″ across; the front finishes 19″");
  await expect(page.getByRole("alert")).toHaveCount(1);
});

const head = `"format": "umschlag/plan/2", "title": "From a file", "object": {"kind": "form", "width": "12", "height": "12"}, "cover": {"kind": "cushion"`;

test("files that are no plans are refused by name, and the shelf stays as it is", async ({ page, demo }) => {
  await open(page, demo.url);
  const file = join(mkdtempSync(join(tmpdir(), "umschlag-e2e-")), "plan.json");
  for (const [content, says] of [
    [`{${head}, "semm": "1/4"}}`, "/cover/semm: unknown key"],
    ["twelve inches", "is not a plan file"],
    [" ".repeat(50 << 20), "too large for a plan file"],
  ] as const) {
    writeFileSync(file, content);
    await page.getByLabel("A plan file").setInputFiles(file);
    await expect(page.getByRole("alert")).toContainText(says);
    await expect(page.getByRole("heading", { level: 2 })).toHaveCount(23);
  }
  rmSync(dirname(file), { recursive: true });
});

test("a plan file is opened, and saved as it was", async ({ page, demo }) => {
  await open(page, demo.url);
  await page
    .getByLabel("A plan file")
    .setInputFiles({ name: "plan.json", mimeType: "application/json", buffer: Buffer.from(`{${head}}}`) });
  await expect(page.getByRole("textbox", { name: "Title of the plan" })).toHaveValue("From a file");
  const waiting = page.waitForEvent("download");
  await page.getByRole("button", { name: "Plan file" }).click();
  const file = await waiting;
  expect(file.suggestedFilename()).toBe("from-a-file.json");
  const chunks: Buffer[] = [];
  for await (const chunk of await file.createReadStream()) chunks.push(chunk as Buffer);
  expect(JSON.parse(Buffer.concat(chunks).toString())).toEqual(JSON.parse(`{${head}}}`));
});

/** Two windows on one plan: this one is cut off while it changes the overlap to 7, and the other changes what it is told to. */
async function twoWindows(page: Page, context: BrowserContext, demo: Server, others: Record<string, string>) {
  const other = await context.newPage();
  await open(page, `${demo.url}/plans/${id}`);
  await other.goto(`${demo.url}/plans/${id}`);
  await page.route(`**/api/v1/plans/${id}`, (route) => route.abort());
  await put(page, "Overlap of the back", "7");
  await expect(page.getByRole("status").first()).toHaveText(/kept on this device/);
  for (const [label, text] of Object.entries(others)) await put(other, label, text);
  await saved(other);
  await page.unroute(`**/api/v1/plans/${id}`);
  return other;
}

for (const keep of ["Keep this window’s", "Take the other window’s"]) {
  test(`a plan saved from two windows: ${keep}`, async ({ page, context, demo }) => {
    await twoWindows(page, context, demo, { "Overlap of the back": "6", "How many are made": "3" });
    const dialog = page.getByRole("dialog", { name: "The plan was changed in another window" });
    await expect(dialog).toContainText("Overlap of the back");
    await expect(dialog).toContainText("here 7, there 6");
    await expect(dialog.getByRole("listitem"), "what only one changed is not asked about").toHaveCount(1);
    expect((await stored(demo, id)).plan.back.overlap).toBe("6");
    await dialog.getByRole("button", { name: keep }).click();
    await expect(dialog).toBeHidden();
    await saved(page);
    const kept = keep.startsWith("Keep") ? "7" : "6";
    await expect(page.getByRole("textbox", { name: "Overlap of the back" })).toHaveValue(kept);
    const { plan } = await stored(demo, id);
    expect([plan.back.overlap, plan.copies]).toEqual([kept, 3]);
  });
}

test("two windows change different things: both are kept, and each shows both", async ({ page, context, demo }) => {
  const other = await twoWindows(page, context, demo, { "How many are made": "3" });
  await saved(page);
  for (const window of [page, other]) {
    await expect(window.getByRole("textbox", { name: "Overlap of the back" })).toHaveValue("7");
    await expect(window.getByRole("textbox", { name: "How many are made" })).toHaveValue("3");
  }
  const { plan } = await stored(demo, id);
  expect([plan.back.overlap, plan.copies]).toEqual(["7", 3]);
});

test("the server stopped in the middle of typing: nothing is lost", async ({ page, workshop }) => {
  await open(page, workshop.url);
  await page.getByRole("button", { name: "Plan this cover" }).click();
  await put(page, "Overlap of the back", "5");
  await saved(page);

  const field = page.getByRole("textbox", { name: "Overlap of the back" });
  await field.fill("6");
  await workshop.stop("SIGKILL");
  await field.press("Enter");
  await expect(page.getByRole("status").first()).toHaveText(/kept on this device/);
  await put(page, "Width of the insert", "18");
  await page.getByRole("combobox", { name: "Finish of the seams inside" }).selectOption("pinked");

  // The acknowledged save survived, the rest follows by itself.
  await workshop.again();
  expect((await stored(workshop, "a-new-cover")).plan.back.overlap).toBe("5");
  await saved(page);
  const plan = (await stored(workshop, "a-new-cover")).plan;
  expect([plan.back.overlap, plan.object.width, plan.edges.inside]).toEqual(["6", "18", "pinked"]);
});

test("a window closed while the server is away is taken up again", async ({ page, context, workshop }) => {
  await open(page, workshop.url);
  await page.getByRole("button", { name: "Plan this cover" }).click();
  await expect(page.getByRole("textbox", { name: "Title of the plan" })).toBeVisible();
  await workshop.stop();
  await put(page, "Width of the insert", "15");
  await expect(page.getByRole("status").first()).toHaveText(/kept on this device/);
  const url = page.url();
  await page.close();
  await workshop.again();
  const again = await context.newPage();
  await again.goto(url);
  await saved(again);
  await expect(again.getByRole("textbox", { name: "Width of the insert" })).toHaveValue("15");
  expect((await stored(workshop, "a-new-cover")).plan.object.width).toBe("15");
});

test("places that are not there lead back", async ({ page, demo }) => {
  for (const path of ["/plans/nothing", "/nowhere"]) {
    await open(page, demo.url + path);
    await expect(page.getByRole("heading", { name: "Not here" })).toBeVisible();
    await page.getByRole("link", { name: "Go to the shelf" }).click();
    await expect(page.getByRole("heading", { name: "Reading-corner cushion" })).toBeVisible();
  }
});

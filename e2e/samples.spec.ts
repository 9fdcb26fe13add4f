import type { Page } from "@playwright/test";
import { accessible, cuts, expect, open, pick, put, saved, stored, test } from "./app";

const reading = "reading-corner-cushion";
const step = (page: Page, name: string) =>
  page
    .getByRole("list", { name: "Steps" })
    .getByRole("button", { name: new RegExp(`^${name}`) })
    .click();

test("a sample of the stack at hand: sewn, measured, and the cuts follow", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${reading}`);
  await expect(cuts(page)).toContainText("25/8″ × 161/2″border, sides");
  await expect(page.getByText("between 0.48 to 1.34%")).toBeVisible();
  await page.getByRole("button", { name: "Sew a sample of these layers" }).click();
  const sample = page
    .getByRole("listitem")
    .filter({ has: page.getByRole("textbox", { name: /^Name, Square for Reading-corner/ }) });
  await expect(sample).toContainText("quilted in a cross-hatch");
  await sample.getByRole("button", { name: "Enter what it measures" }).click();
  const of = ", Square for Reading-corner cushion";
  const after = page.getByRole("textbox", { name: `Width after, 1${of}` });
  await after.fill("12");
  await after.press("Enter");
  await expect(sample.getByRole("alert")).toContainText("was 10″ before, and is 12″ now?");
  await after.press("Escape");
  await put(page, `Width after, 1${of}`, "9 3/4");
  await put(page, `Height after, 1${of}`, "9 3/4");
  await expect(sample).toContainText("2.50%");
  await accessible(sample);
  await sample.getByRole("button", { name: "Go by it in Reading-corner cushion" }).click();
  await expect(sample.getByText("goes by it")).toBeVisible();
  await sample.getByRole("link", { name: "Reading-corner cushion" }).click();
  await expect(cuts(page)).toContainText("27/8″ × 161/2″border, sides");
  await expect(page.getByRole("region", { name: "The sum of what is selected" })).toContainText("quilting takes 2.50%");
  await pick(page, "Quilting", "squares");
  await expect(page.getByText(/was quilted otherwise: its loft of .* mm a side gives the figures here/)).toBeVisible();
  await pick(page, "Layers of batting", "2");
  await expect(page.getByText(/was sewn of other layers: with 1 battings, not 2/)).toBeVisible();
  for (const _ of [1, 2, 3]) await page.getByRole("button", { name: "Undo" }).click();
  await expect(cuts(page)).toContainText("25/8″ × 161/2″border, sides");
});

test("the other samples tell their figures", async ({ page, demo }) => {
  await open(page, `${demo.url}/samples`);
  await expect(page.getByRole("listitem").filter({ hasText: "each seam is fat by" })).toContainText("1/64″");
  await expect(page.getByText("2.545")).toBeVisible();
  await expect(page.getByText("−3.75%")).toBeVisible();
  await page.getByRole("button", { name: "Go by it in Poetry-corner cushion" }).first().click();
  await expect.poll(async () => (await stored(demo, "poetry-corner-cushion")).plan.cover.wash).toBe(3.75);
  await expect(page.getByText(/Poetry-corner cushion goes by it now/)).toBeVisible();
  await page.getByRole("button", { name: "Put away Three strips, November" }).click();
  await expect(page.getByText("each seam is fat by")).toHaveCount(0);
  await page.getByRole("button", { name: "Bring it back" }).click();
  await expect(page.getByText("each seam is fat by")).toBeVisible();
  await page.getByRole("button", { name: "a gathered strip" }).click();
  await expect(page.getByRole("textbox", { name: "Name, Gathered strip" })).toBeVisible();
  await accessible(page.locator("main"));
});

test("measurements entered faster than they are saved are all kept", async ({ page, demo }) => {
  await open(page, `${demo.url}/samples`);
  const of = ", Cotton batting, cross-hatched";
  let held: (() => void) | undefined;
  await page.route("**/api/v1/samples/cotton-batting-cross-hatched", async (route) => {
    if (!held)
      await new Promise<void>((resolve) => {
        held = resolve;
      });
    await route.continue();
  });
  for (const [label, text] of [
    ["Width after, 1", "9 3/4"],
    ["Height after, 1", "9 5/8"],
  ] as const) {
    const field = page.getByRole("textbox", { name: `${label}${of}`, exact: true });
    await field.fill(text);
    await field.press("Enter");
  }
  await expect.poll(() => held !== undefined).toBe(true);
  held?.();
  const kept = async () => {
    const all = (await (await page.request.get(`${demo.url}/api/v1/samples`)).json()) as {
      id: string;
      sample: { after: unknown[] };
    }[];
    return all.find((s) => s.id === "cotton-batting-cross-hatched")?.sample.after[0];
  };
  await expect.poll(kept).toMatchObject({ width: "9 3/4", height: "9 5/8" });
  await expect(page.getByRole("alert")).toHaveCount(0);
});

test("the border follows the measured centre, and what is cut stays", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${reading}/sew`);
  await step(page, "Join the rows");
  await put(page, "Measured across", "16 1/4");
  await put(page, "Measured up", "16 3/8");
  await saved(page);
  await page.getByRole("link", { name: "Cut", exact: true }).click();
  const stripe = page.getByRole("region", { name: "Fabric madder stripe" });
  await expect(stripe).toContainText("2 pieces, 23/4″ × 163/8″ border, sides");
  await stripe.getByRole("checkbox", { name: /border, sides/ }).check();
  await saved(page);
  await page.getByRole("link", { name: "Sew", exact: true }).click();
  await step(page, "Join the rows");
  await put(page, "Measured across", "16");
  await expect(page.getByText(/is cut already/)).toHaveCount(0); // said where the border is decided
  await page.getByRole("link", { name: "Cut", exact: true }).click();
  await expect(stripe).toContainText("2 pieces, 23/4″ × 163/8″ border, sides");
  await page.getByRole("link", { name: "Draft", exact: true }).click();
  await expect(
    page.getByText(/Border, sides is cut already, 23\/4″ × 163\/8″; as things are it would be 27\/8″ × 163\/8″/),
  ).toBeVisible();
});

test("a remedy is taken by one press, and taken back", async ({ page, demo }) => {
  const patchwork = "story-hour-patchwork-cushion";
  await open(page, `${demo.url}/plans/${patchwork}/sew`);
  await step(page, "Measure the front");
  const remedies = page.getByRole("list", { name: "Remedies" });
  await remedies.getByRole("button", { name: /closing seams across at/ }).click();
  await expect(page.getByText("The closing seams take it up.")).toBeVisible();
  await saved(page);
  expect((await stored(demo, patchwork)).plan.measured[0].across).toBe("seam");
  await step(page, "Sew front and back together");
  await expect(page.getByText(/Sew the seams at the left and the right 5\/32″ instead of 1\/4″/)).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText(/Take the seam at the left and the right/)).toHaveCount(0);
});

test("where to trim a quilted front that is out of square", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${reading}/sew`);
  await step(page, "Trim square");
  for (const [label, text] of [
    ["Upper side", "20 1/2"],
    ["Right side", "20 1/2"],
    ["Lower side", "20 1/2"],
    ["Left side", "20 1/2"],
    ["Falling diagonal", "29 1/8"],
  ] as const)
    await put(page, label, text);
  await expect(page.getByRole("img", { name: /and within it the four cuts/ })).toHaveCount(0);
  await put(page, "Rising diagonal", "28 7/8");
  await expect(page.getByRole("img", { name: /and within it the four cuts/ })).toBeVisible();
  await expect(page.getByText("The diagonals differ by 1/4″.")).toBeVisible();
  await accessible(page.locator(".gate"));
  await put(page, "Rising diagonal", "60");
  await expect(page.getByText("No panel has these sides and these diagonals.")).toBeVisible();
});

test("every quilting pattern is drawn, and says what it takes", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${reading}`);
  const stitched = () => page.locator(".sheet .quilting .stitch").last().getAttribute("d");
  const seen = new Set<string | null>();
  for (const pattern of ["squares", "diagonal", "upright", "level", "wave", "echo", "ditch", "free"]) {
    await pick(page, "Quilting", pattern);
    await expect(page.getByRole("combobox", { name: "Quilting", exact: true })).toHaveValue(pattern);
    await expect.poll(async () => !seen.has(await stitched())).toBe(true);
    seen.add(await stitched());
    await expect(page.getByText("Quilting pulls it in")).toBeVisible();
  }
});

test("lines beside a seam are found, and a stack is stiffened", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${reading}`);
  await pick(page, "Quilting", "upright");
  await put(page, "Shift of the lines", "1/16");
  await expect(page.getByText(/Lines run 1\/16″ beside seams/)).toBeVisible();
  await put(page, "Shift of the lines", "1/2");
  await expect(page.getByText(/beside seams/)).toHaveCount(0);
  await pick(page, "Stiffener", "L");
  await pick(page, "Guide for quilting", "yes");
  await expect(cuts(page)).toContainText("stiffener");
  await expect(cuts(page)).toContainText("fusible grid");
});

test("how true a front is likely to come out", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${reading}`);
  await page.getByText("How true it is likely to come out").click();
  await expect(page.getByText(/by 3 strips of yours/).first()).toBeVisible();
  await accessible(page.locator(".brief"));
});

import { accessible, cuts, expect, open, pick, put, saved, stored, test } from "./app";

const sampler = "counted-sampler-for-the-driver-s-cab";

test("the cover follows a counted panel", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${sampler}`);
  await expect(page.getByText("162 × 120 squares")).toBeVisible();
  await put(page, "Squares of the design across", "168");
  await expect(page.getByText("finishes 18″ × 13″")).toBeVisible();
  await put(page, "Squares to the inch", "2");
  await expect(page.getByText("Counted fabric does not have 2 squares to the inch.")).toBeVisible();
  await put(page, "Squares to the inch", "14");
  await accessible(page.locator(".brief"));
  await page.getByRole("link", { name: "Sew", exact: true }).click();
  await page.getByRole("button", { name: "Cut the panel by its squares" }).click();
  await expect(
    page.getByText(/11 squares outside the design at the left and the right.*190 × 120 squares/),
  ).toBeVisible();
});

test("a panel to be made up, hooked, and cut from a print", async ({ page, workshop }) => {
  await open(page, workshop.url);
  await page.getByRole("combobox", { name: "What is to be covered" }).selectOption("panel");
  await put(page, "Width of the panel as it shows", "14");
  await put(page, "Height of the panel as it shows", "12");
  await page.getByRole("button", { name: "Plan this cover" }).click();
  await expect(page.getByText("finishes 14″ × 12″")).toBeVisible();
  await pick(page, "Seam allowances of the panel", "included");
  await expect(page.getByText("finishes 131/2″ × 111/2″")).toBeVisible();
  await pick(page, "Seam allowances of the panel", "excluded");
  await pick(page, "How the panel was made", "worked");
  await expect(page.getByText("A hooked or knitted panel gives, and sags between its seams.")).toBeVisible();
  await pick(page, "Backing of the panel", "A");
  await expect(cuts(page)).toContainText("firm backing of the panel");
  await expect(cuts(page)).toContainText("131/2″back piece"); // an inch more than the front
  await pick(page, "How the panel was made", "printed");
  await expect(
    page.getByText("It is cut 43/4″ from the left and 43/4″ from the right edge of the print"),
  ).toBeVisible();
  await pick(page, "What stays in the middle", "yes");
  await put(page, "Distance of the motif’s middle from the left edge", "6");
  await expect(page.getByText(/The print ends 11\/4″ too soon at the left/)).toBeVisible();
  await put(page, "Distance of the motif’s middle from the left edge", "9");
  await expect(page.getByText("It is cut 13/4″ from the left")).toBeVisible();
  await accessible(page.locator(".brief"));
});

test("gathers by a sample", async ({ page, demo }) => {
  const plan = "gathered-jacket-for-the-guest-album";
  await open(page, `${demo.url}/plans/${plan}`);
  await page.getByRole("combobox", { name: "Where the ratio comes from" }).first().selectOption("yes");
  await put(page, "The sample before, outer piece", "14");
  await put(page, "The sample after, outer piece", "5 1/2");
  await expect(page.getByText("2.545")).toBeVisible();
  await saved(page);
  const { plan: kept } = await stored(demo, plan);
  const faces = Object.values(kept.pieces as Record<string, { face?: { sampled?: unknown } }>).map(
    (p) => p.face?.sampled,
  );
  expect(faces).toContainEqual({ before: "14", after: "5 1/2" });
});

import { accessible, expect, put, saved, test } from "./app";

const covers = [
  {
    thing: "appliance",
    sizes: { "Length of the box": "17 1/2", "Depth of the box": "14", "Height of the box": "6" },
    decide: async (page: Parameters<typeof put>[0]) => {
      await put(page, "Seam allowance", "1/2");
      await page.getByRole("combobox", { name: "Corners" }).selectOption("radius");
    },
    cuts: ["1 × 19″ × 261/4″", "2 × 151/2″ × 7″"],
    step: "Sew main panel to end",
  },
  {
    thing: "book",
    sizes: { "Round the book": "13", "Height of the book": "8" },
    decide: async (page: Parameters<typeof put>[0]) => put(page, "Depth of the flaps", "3 1/4"),
    cuts: ["1 × 141/4″ × 83/4″", "2 × 7″ × 83/4″"],
    step: "Turn the jacket",
  },
  {
    thing: "flat",
    sizes: { "Width to be covered": "16", "Height to be covered": "12" },
    decide: async (page: Parameters<typeof put>[0]) => put(page, "Ease across", "1/2"),
    cuts: ["1 × 17″ × 121/2″"],
    step: "Turn the pad",
  },
  {
    thing: "boxed",
    sizes: { "Width of the pad": "36", "Height of the pad": "16", "Thickness of the pad": "3" },
    decide: async (page: Parameters<typeof put>[0]) => put(page, "Seam allowance", "1/2"),
    cuts: ["2 × 37″ × 17″", "1 × 105″ × 4″"],
    step: "Turn it and put the pad in",
  },
];

for (const { thing, sizes, decide, cuts, step } of covers) {
  test(`${thing}: from an empty plan to its cuts and its steps`, async ({ page, workshop }) => {
    await page.goto(workshop.url);
    await page.getByRole("combobox", { name: "What is to be covered" }).selectOption(thing);
    for (const [label, size] of Object.entries(sizes)) await put(page, label, size);
    await page.getByRole("button", { name: "Plan its cover" }).click();
    await decide(page);
    const list = page.getByRole("list", { name: "All cuts" });
    for (const cut of cuts) await expect(list).toContainText(cut);
    await saved(page);
    await accessible(page);
    await page.getByRole("link", { name: "Cut", exact: true }).click();
    await expect(page.getByRole("heading", { name: /^Cut A new cover/ })).toBeVisible();
    await page.getByRole("link", { name: "Sew", exact: true }).click();
    await page.getByRole("button", { name: step, exact: true }).click();
    await expect(page.getByRole("heading", { name: step, exact: true })).toBeVisible();
    await accessible(page);
  });
}

test("the three hoods over one box, and a band that is already cut", async ({ page, demo }) => {
  await page.goto(`${demo.url}/plans/label-printer-hood`);
  await expect(page.getByRole("note").filter({ hasText: "11/4″ short" })).toBeVisible();
  await put(page, "Length of the band", "22 1/4");
  await expect(page.getByRole("note").filter({ hasText: "The band is" })).toContainText("trim");
  const hood = page.getByRole("combobox", { name: "Kind of hood" });
  await hood.selectOption("skirt-hood");
  await expect(page.getByRole("list", { name: "All cuts" })).toContainText("wall, in a ring");
  await hood.selectOption("wrap-hood");
  await page.getByRole("combobox", { name: "Top of the hood" }).selectOption("split");
  await expect(page.getByRole("list", { name: "All cuts" })).toContainText("main panel, half");
  await page.getByRole("combobox", { name: "Bottom edge" }).selectOption("hem");
  await put(page, "Width of the hem", "1 1/4");
  await expect(page.getByRole("textbox", { name: "Width of the hem" })).toHaveValue("1 1/4");
});

for (const [label, text, says] of [
  ["Diameter of the plate", "30", "does not fit a panel"],
  ["Ease in depth", "-20", "the cover would finish"],
  ["Length of the box", "0", "cannot be 0″"],
] as const) {
  test(`a hood with ${label} ${text}: said at the sentence, the last drawing stays`, async ({ page, demo }) => {
    await page.goto(`${demo.url}/plans/label-printer-hood`);
    await put(page, label, text);
    await expect(page.getByRole("alert")).toHaveCount(1);
    await expect(page.getByRole("alert")).toContainText(says);
    await expect(page.getByText("As it was before the stop in the brief.")).toBeVisible();
    await expect(page.locator(".sheet .piece")).toHaveCount(2);
  });
}

test("flaps that meet in the middle", async ({ page, demo }) => {
  await page.goto(`${demo.url}/plans/jacket-for-the-visitors-log`);
  await put(page, "Depth of the front flap", "30");
  await expect(page.getByRole("alert")).toContainText("meet in a jacket of");
});

test("the tape is shown where to be held", async ({ page, demo }) => {
  for (const [id, says] of [
    ["turntable-hood-listening-corner", "over the knob"],
    ["jacket-for-the-visitors-log", "round the spine"],
    ["story-mat-seat-pad", "across the middle"],
  ] as const) {
    await page.goto(`${demo.url}/plans/${id}`);
    await expect(page.getByRole("img", { name: says })).toBeVisible();
  }
});

test("a pocket is added, placed, found off its piece, and taken off", async ({ page, demo }) => {
  await page.goto(`${demo.url}/plans/reading-corner-cushion`);
  await page.getByRole("combobox", { name: "Add a fitting" }).selectOption("pocket");
  await expect(page.locator(".fitting")).toHaveCount(1);
  await expect(page.getByRole("list", { name: "All cuts" })).toContainText("1 × 51/2″ × 61/4″");
  await page.getByRole("combobox", { name: "Place of the pocket 1 across" }).selectOption("left");
  await put(page, "Distance of the pocket 1 from the left", "1 1/4");
  await expect(page.getByText("11/4″ from the left and 123/4″ from the right", { exact: false })).toBeVisible();
  await put(page, "Distance of the pocket 1 from the left", "15");
  await expect(page.getByRole("alert")).toContainText("The pocket reaches 1″ beyond the seam line of the front.");
  await put(page, "Distance of the pocket 1 from the left", "2");
  await saved(page);
  await page.getByRole("link", { name: "Sew", exact: true }).click();
  await page.getByRole("button", { name: "Sew the pocket on the front" }).click();
  await expect(page.getByText("Hem the top")).toBeVisible();
  await page.getByRole("link", { name: "Draft", exact: true }).click();
  await page.getByRole("button", { name: "Take the pocket off" }).click();
  await expect(page.locator(".fitting")).toHaveCount(0);
});

test("straps and handles carry their caution", async ({ page, demo }) => {
  await page.goto(`${demo.url}/plans/story-mat-seat-pad/sew`);
  await page.getByRole("button", { name: "Sew the strap on the top" }).click();
  await expect(page.getByText("A padded strap is no restraint")).toBeVisible();
});

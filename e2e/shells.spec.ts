import type { Page } from "@playwright/test";
import { accessible, expect, open, pick, put, type Server, saved, shown, stored, takes, test } from "./app";

const covers = [
  {
    thing: "appliance",
    sizes: { "Length of the box": "17 1/2", "Depth of the box": "14", "Height of the box": "6" },
    decide: async (page: Parameters<typeof put>[0]) => {
      await put(page, "Seam allowance", "1/2");
      await page.getByRole("combobox", { name: "Corners" }).selectOption("radius");
    },
    cuts: ["1 piece, 19″ × 261/4″", "2 pieces, 151/2″ × 7″"],
    step: "Sew main panel to end",
    sewn: true,
  },
  {
    thing: "book",
    sizes: { "Round the book": "13", "Height of the book": "8" },
    decide: async (page: Parameters<typeof put>[0]) => put(page, "Depth of the flaps", "3 1/4"),
    cuts: ["1 piece, 141/4″ × 83/4″", "2 pieces, 7″ × 83/4″"],
    step: "Turn the jacket",
    sewn: true,
  },
  {
    thing: "flat",
    sizes: { "Width to be covered": "16", "Height to be covered": "12" },
    decide: async (page: Parameters<typeof put>[0]) => put(page, "Ease across", "1/2"),
    cuts: ["1 piece, 17″ × 121/2″"],
    step: "Turn the seat pad",
    sewn: true,
  },
  {
    thing: "boxed",
    sizes: { "Width of the insert": "36", "Height of the insert": "16", "Thickness of the insert": "3" },
    decide: async (page: Parameters<typeof put>[0]) => put(page, "Seam allowance", "1/2"),
    cuts: ["2 pieces, 37″ × 17″", "band, joined from 3"],
    step: "Turn it and put the insert in",
    sewn: true,
  },
  {
    thing: "round",
    sizes: { "Diameter of the insert": "16" },
    decide: async (page: Parameters<typeof put>[0]) => put(page, "Ease across", "0"),
    cuts: ["1 piece, 161/2″ × 161/2″", "back piece"],
    step: "Cut the front round",
  },
  {
    thing: "stool",
    sizes: { "Diameter of the insert": "14", "Thickness of the insert": "2" },
    decide: async (page: Parameters<typeof put>[0]) => {
      await page.getByRole("combobox", { name: "Closure of the band" }).selectOption("zip");
      await put(page, "Gap in the band", "12");
    },
    cuts: ["2 pieces, 141/2″ × 141/2″", "2 pieces, 14″ × 11/2″"],
    step: "Sew zip between the halves",
  },
  {
    thing: "binder",
    sizes: { "Width of a board": "10", "Width of the spine": "2", "Height of the binder": "12" },
    decide: async (page: Parameters<typeof put>[0]) => {
      await page.getByRole("combobox", { name: "Style of the flaps" }).selectOption("flip");
      await page.getByRole("combobox", { name: "Depths of the flaps" }).selectOption("yes");
      await put(page, "Depth of the back flap", "2");
    },
    cuts: ["1 piece, 231/4″ × 123/4″", "1 piece, 41/4″ × 123/4″", "1 piece, 31/4″ × 123/4″"],
    step: "Sew back flap to the outer piece",
  },
];

for (const { thing, sizes, decide, cuts, step, sewn } of covers) {
  test(`${thing}: from an empty plan to its cuts and its steps`, async ({ page, workshop }) => {
    await open(page, workshop.url);
    await page.getByRole("combobox", { name: "What is to be covered" }).selectOption(thing);
    for (const [label, size] of Object.entries(sizes)) await put(page, label, size);
    await page.getByRole("button", { name: "Plan this cover" }).click();
    await decide(page);
    const list = page.getByRole("list", { name: "All cuts" });
    for (const cut of cuts) await expect(list).toContainText(cut);
    await saved(page);
    await accessible(page.locator(".brief"));
    await page.getByRole("link", { name: "Cut", exact: true }).click();
    await expect(page.getByRole("heading", { name: /^Cut A new cover/ })).toBeVisible();
    await page.getByRole("link", { name: "Sew", exact: true }).click();
    await page.getByRole("button", { name: step, exact: true }).click();
    await expect(page.getByRole("heading", { name: step, exact: true })).toBeVisible();
    await accessible(page.locator(".sew"));
    if (sewn) await sewThrough(page, workshop);
  });
}

/** Sews a cover from its first step to the log, a measurement off at each gate, and the page reloaded on the way. */
async function sewThrough(page: Page, workshop: Server) {
  takes(25);
  const id = new URL(page.url()).pathname.split("/")[2] ?? "";
  const { reckoning } = await stored(workshop, id);
  const heading = page.getByRole("heading", { level: 1 });
  const off = (l: { nm: number }) => ((l.nm * 1.004) / 25.4e6).toFixed(3);
  await page.reload();
  await shown(page);
  for (const [i, s] of reckoning.steps.entries()) {
    await expect(heading).toHaveText(s.title);
    await expect(page.locator(".bench > .at-hand > .soft").first()).toContainText(`Step ${i + 1} of`);
    if (s.gate && s.reads === "edge") await put(page, "Measured along the seam line", off(s.expect.width));
    if (i === 3) {
      await saved(page);
      await page.reload();
      await shown(page);
    }
    await page.getByRole("button", { name: "Done, next step" }).click();
  }
  await expect(heading).toHaveText("All steps are done");
  await expect(page.getByRole("alert")).toHaveCount(0);
  await page.keyboard.press("Control+z");
  await expect(heading).not.toHaveText("All steps are done");
  await page.keyboard.press("Control+Shift+z");
  await expect(heading).toHaveText("All steps are done");
  for (const box of await page.getByRole("group", { name: "Final check" }).getByRole("checkbox").all())
    await box.check();
  await saved(page);
  await page.getByRole("button", { name: "Write it into the log" }).click();
  await expect(page).toHaveURL(/log$/);
  await expect(page.locator(".log-entry")).toHaveCount(1);
  const { plan } = await stored(workshop, id);
  expect(plan.progress.done).toHaveLength(reckoning.steps.length);
  expect(Object.keys(plan.progress.cut)).toHaveLength(reckoning.cuts.length);
}

test("what is pressed right after typing does not move away from under the press", async ({ page, workshop }) => {
  await open(page, workshop.url);
  await page.getByRole("combobox", { name: "What is to be covered" }).selectOption("appliance");
  for (const [label, size] of [
    ["Length of the box", "12"],
    ["Depth of the box", "8"],
    ["Height of the box", "7"],
  ] as const)
    await put(page, label, size);
  await page.getByRole("button", { name: "Plan this cover" }).click();
  await page.getByRole("combobox", { name: "Kind of hood" }).selectOption("skirt-hood");
  await expect(page.getByRole("list", { name: "All cuts" })).toContainText("wall, sides");
  await page.getByRole("link", { name: "Sew", exact: true }).click();
  const done = page.getByRole("button", { name: "Done, next step" });
  for (const next of [
    "Cut the pieces",
    "Sew walls to a ring",
    "Finish the seam, walls to a ring",
    "Sew top to front and back",
  ]) {
    await done.click();
    await expect(page.getByRole("heading", { level: 1 })).toHaveText(next);
  }
  // What is typed stands in a line more once it is kept, and what is said of it in two.
  await page.getByRole("textbox", { name: "Measured along the seam line" }).fill("12.55");
  await done.hover();
  const before = await done.boundingBox();
  await page.mouse.down();
  await expect(page.getByRole("textbox", { name: "Measured along the seam line" })).not.toBeFocused();
  expect(await done.boundingBox()).toEqual(before);
  await page.mouse.up();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Finish the seam, top to front and back");
  await saved(page);
  const { plan } = await stored(workshop, new URL(page.url()).pathname.split("/")[2] ?? "");
  expect(plan.measured).toHaveLength(1);
});

test("the three hoods over one box, and a band that is already cut", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/label-printer-hood`);
  await expect(page.getByRole("note").filter({ hasText: "11/4″ short" })).toBeVisible();
  await put(page, "Length of the band", "22 1/4");
  await expect(page.getByRole("note").filter({ hasText: "The band is" })).toContainText("trim");
  const hood = page.getByRole("combobox", { name: "Kind of hood" });
  await hood.selectOption("skirt-hood");
  await expect(page.getByRole("list", { name: "All cuts" })).toContainText("wall, in a ring");
  await hood.selectOption("wrap-hood");
  await page.getByRole("combobox", { name: "Top of the hood" }).selectOption("yes");
  await expect(page.getByRole("list", { name: "All cuts" })).toContainText("main panel, half");
  await page.getByRole("combobox", { name: "Bottom edge" }).selectOption("hem");
  await put(page, "Width of the hem", "1 1/4");
  await expect(page.getByRole("textbox", { name: "Width of the hem" })).toHaveValue("1 1/4");
});

test("a hood that cannot be cut: said at the sentence, the last drawing stays", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/label-printer-hood`);
  for (const [label, text, says] of [
    ["Diameter of the plate", "30", "does not fit a panel"],
    ["Ease in depth", "-20", "the cover would finish"],
    ["Length of the box", "0", "cannot be 0″"],
  ] as const) {
    await put(page, label, text);
    await expect(page.getByRole("alert")).toHaveCount(1);
    await expect(page.getByRole("alert")).toContainText(says);
    await expect(page.getByText("As it was before the stop in the brief.")).toBeVisible();
    await expect(page.locator(".sheet .piece")).toHaveCount(3); // two faces and a band
    await page.getByRole("button", { name: "Undo" }).click();
    await expect(page.getByRole("alert")).toHaveCount(0);
  }
});

test("flaps that meet in the middle", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/jacket-for-the-visitors-log`);
  await put(page, "Depth of the front flap", "30");
  await expect(page.getByRole("alert")).toContainText("meet in a jacket of");
});

test("the tape is shown where to be held", async ({ page, demo }) => {
  for (const [id, says] of [
    ["turntable-hood-listening-corner", "over the knob"],
    ["jacket-for-the-visitors-log", "round the spine"],
    ["story-mat-seat-pad", "across the middle"],
  ] as const) {
    await open(page, `${demo.url}/plans/${id}`);
    await expect(page.getByRole("img", { name: says })).toBeVisible();
  }
});

test("a pocket is added, placed, found off its piece, and taken off", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/reading-corner-cushion`);
  await page.getByRole("combobox", { name: "Add a fitting" }).selectOption("pocket");
  await expect(page.locator(".fitting")).toHaveCount(1);
  await expect(page.getByRole("list", { name: "All cuts" })).toContainText("1 piece, 51/2″ × 61/4″");
  await page.getByRole("combobox", { name: "Place of the pocket 1 across" }).selectOption("left");
  await put(page, "Distance of the pocket 1 from the left", "1 1/4");
  await expect(page.getByText("11/4″ from the left and 123/4″ from the right", { exact: false })).toBeVisible();
  await put(page, "Distance of the pocket 1 from the left", "15");
  await expect(page.getByRole("alert")).toContainText("The pocket reaches 1″ beyond the seam line of the front.");
  await put(page, "Distance of the pocket 1 from the left", "2");
  await saved(page);
  await page.getByRole("link", { name: "Sew", exact: true }).click();
  await page.getByRole("button", { name: "Make the pocket" }).click();
  await expect(page.getByText("twice at the top")).toBeVisible();
  await page.getByRole("link", { name: "Draft", exact: true }).click();
  // Pressed twice by an unsteady hand, one goes: not the one that takes its place.
  await pick(page, "Add a fitting", "pocket");
  await expect(page.locator(".fitting")).toHaveCount(2);
  await page.getByRole("button", { name: "Take the pocket off" }).first().dblclick();
  await expect(page.locator(".fitting")).toHaveCount(1);
  await saved(page);
  const { plan: kept } = await stored(demo, "reading-corner-cushion");
  expect(kept.fittings).toHaveLength(1);
  await page.getByRole("button", { name: "Take the pocket off" }).click();
  await expect(page.locator(".fitting")).toHaveCount(0);
});

test("straps and handles carry their caution", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/story-mat-seat-pad/sew`);
  await page.getByRole("button", { name: "Sew the strap on the top" }).click();
  await expect(page.getByText("A padded strap is no restraint")).toBeVisible();
});

test("a strap is dragged on the sheet: it snaps to the ruler, and it can be undone", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/story-mat-seat-pad`);
  const box = await page.locator(".fitting").first().boundingBox();
  if (!box) throw new Error("the strap is not drawn");
  const from = { x: box.x + 10, y: box.y + box.height / 2 };
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 21, from.y + 53, { steps: 6 });
  await expect(page.getByText(/^2″ from the left/)).toHaveCount(0); // follows while it is held
  await page.mouse.up();
  for (const [edge, before] of [
    ["left", "2"],
    ["top", "1"],
  ] as const) {
    const distance = page.getByRole("textbox", { name: `Distance of the strap 1 from the ${edge}` });
    await expect(distance).not.toHaveValue(before);
    await expect(distance).toHaveValue(/^\d+( [1357]\/8| [13]\/4| 1\/2)?$/); // on eighths
  }
  await saved(page);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("textbox", { name: "Distance of the strap 1 from the top" })).toHaveValue("1");
});

test("a fitting is moved by the keyboard, one ruler step at a time", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/story-mat-seat-pad`);
  await page.getByRole("button", { name: /^Strap 1 on the top/ }).focus();
  for (const key of ["ArrowRight", "ArrowRight", "ArrowDown"]) await page.keyboard.press(key);
  await expect(page.getByRole("textbox", { name: "Distance of the strap 1 from the left" })).toHaveValue("2 1/4");
  await expect(page.getByRole("textbox", { name: "Distance of the strap 1 from the top" })).toHaveValue("1 1/8");
  await expect(page.locator(".from-edges").first()).toBeVisible(); // with its distances from all edges
  await saved(page);
  await accessible(page.locator(".sheet"));
});

test("a drag that is given up leaves everything where it was", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/story-mat-seat-pad`);
  const box = await page.locator(".fitting").first().boundingBox();
  if (!box) throw new Error("the strap is not drawn");
  await page.mouse.move(box.x + 10, box.y + 10);
  await page.mouse.down();
  await page.mouse.move(box.x + 60, box.y + 90, { steps: 4 });
  await expect(page.getByText(/^2″ from the left/)).toHaveCount(0);
  await page.keyboard.press("Escape");
  await page.mouse.up();
  await expect(page.getByText(/^2″ from the left/).first()).toBeVisible();
  await expect(page.getByRole("status").first()).toHaveText(/^saved/);
  await expect(page.getByRole("button", { name: "Undo" })).toBeDisabled();
});

test("pens in a pocket, belts in a pair, and what goes wrong with them", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/jacket-for-the-visitors-log`);
  const add = page.getByRole("combobox", { name: "Add a fitting" });
  await add.selectOption("pocket");
  await put(page, "Pen slots of the pocket 1", "9");
  await expect(page.getByRole("alert")).toContainText("do not fit a pocket of");
  await put(page, "Pen slots of the pocket 1", "3");
  await expect(page.getByRole("alert")).toHaveCount(0);
  await expect(page.locator(".fitting-line")).toHaveCount(3);
  await add.selectOption("belt");
  await expect(page.getByRole("list", { name: "All cuts" })).toContainText("long strip");
  await put(page, "Tape of the belt 2", "14 cm");
  await expect(page.getByRole("alert")).toContainText("do not fit straps of");
});

test("what falls off a rounded panel is struck out on its cutting layout", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/boxed-bench-cushion/cut`);
  await expect(page.locator(".template")).toHaveCount(2);
  await expect(page.getByText("panel, then to its outline")).toBeVisible();
});

import { accessible, expect, open, put, saved, stored, takes, test } from "./app";

test("an insert becomes a cut, sewn and logged cover, by pointer", async ({ page, workshop }) => {
  takes(30); // a whole cover
  await open(page, workshop.url);
  await expect(page.getByText("The shelf is empty.")).toBeVisible();
  await open(page, `${workshop.url}/cloth`);
  for (const [name, have] of [
    ["ink leaf", "1 yd"],
    ["chalk dot", "1 yd"],
    ["madder stripe", "1/8 yd"],
  ] as const) {
    await page.getByRole("button", { name: "Put a fabric in" }).click();
    await page.getByRole("textbox", { name: "Name" }).fill(name);
    await page.getByRole("textbox", { name: "Length left" }).fill(have);
    await page.getByRole("button", { name: "Save" }).click();
    await expect(page.getByRole("heading", { name })).toBeVisible();
  }

  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await page.getByRole("textbox", { name: "Name of the cover" }).fill("Reading cushion");
  await page.getByRole("button", { name: "Plan this cover" }).click();
  await expect(page).toHaveURL(/plans\/reading-cushion$/);

  // How much smaller, and what it is made of.
  await put(page, "Ease across", "-1");
  await put(page, "Ease up", "-1");
  await page.getByRole("combobox", { name: "Fabric A, from the cupboard" }).selectOption("chalk dot");
  await saved(page);
  for (const name of ["ink leaf", "madder stripe"]) {
    await page.getByRole("combobox", { name: "Take another fabric from the cupboard" }).selectOption(name);
    await saved(page);
  }
  await page.getByRole("combobox", { name: "Kind of front" }).selectOption("grid");
  await page.getByRole("combobox", { name: "Size of the patches" }).selectOption("no");
  await put(page, "Finished width of a patch", "4");
  await page.getByRole("button", { name: "Add a border" }).click();
  await page.getByRole("combobox", { name: "Fabric of border 1" }).selectOption({ label: "madder stripe" });

  // How it is quilted.
  await page.getByRole("combobox", { name: "Layers of batting", exact: true }).selectOption("1");
  await page.getByRole("combobox", { name: "Lining", exact: true }).selectOption({ label: "chalk dot" });
  await page.getByRole("combobox", { name: "Quilting", exact: true }).selectOption("cross");
  await put(page, "Overlap of the back", "5");
  await saved(page);

  const legend = page.getByRole("group", { name: "Sizes of the front" });
  await expect(legend).toContainText("finished 19″ × 19″");
  await expect(legend).toContainText("trimmed 191/2″ × 191/2″");
  await expect(legend).toContainText("before quilting ≈205/8″ × ≈205/8″");
  const cuts = page.getByRole("list", { name: "All cuts" });
  await expect(cuts).toContainText("8 pieces, 41/2″ square");
  await expect(cuts).toContainText("2 pieces, 25/8″ × 161/2″");
  await expect(cuts).toContainText("2 pieces, 203/4″ × 25/8″");
  await expect(cuts).toContainText("1 piece, 223/4″ square");
  await expect(cuts).toContainText("2 pieces, 131/4″ × 191/2″");

  // The sum behind the border.
  await cuts.getByRole("button", { name: /border, sides/ }).click();
  const sum = page.getByRole("list", { name: /The sum of Border, sides/ });
  await expect(sum).toContainText("11/2″ border 1, finished");
  await expect(sum).toContainText("1/2″ trimmed off after quilting");
  await expect(sum).toContainText("half of what quilting takes");
  await expect(sum).toContainText("= 25/8″");
  await accessible(page.locator(".brief"));

  // How much cloth, laid out to scale, ticked off.
  await page.getByRole("link", { name: "Cut", exact: true }).click();
  const stripe = page.getByRole("region", { name: "Fabric madder stripe" });
  await expect(stripe).toContainText("short");
  await expect(stripe.getByRole("img", { name: /pieces on 40″ of usable width/ })).toBeVisible();
  await stripe.getByRole("checkbox").first().check();
  await saved(page);
  await accessible(stripe);

  // The steps, up to the gate.
  await page.getByRole("link", { name: "Sew", exact: true }).click();
  const next = page.getByRole("button", { name: "Done, next step" });
  await expect(page.getByRole("heading", { name: "Measure the insert" })).toBeVisible();
  for (const step of [
    "Measure the insert",
    "Cut the front",
    "Cut the batting and lining",
    "Lay out the patches",
    "Sew row 1",
  ]) {
    await expect(page.getByRole("heading", { name: step })).toBeVisible();
    if (step === "Sew row 1")
      await expect(page.getByText("Press all seams to the left, seen from the front.")).toBeVisible();
    await next.click();
  }
  for (let i = 0; i < 9; i++) await next.click();
  await expect(page.getByRole("heading", { name: "Measure the front" })).toBeVisible();
  await put(page, "Measured across", "19 3/8");
  await put(page, "Measured up", "19 1/2");
  await expect(page.getByRole("note")).toContainText("193/8″ across, 1/8″ short of the plan");
  const remedies = page.getByRole("list", { name: "Remedies" });
  await expect(remedies.getByRole("listitem")).toHaveCount(2);
  await expect(remedies).toContainText("3/16″ instead of 1/4″");
  await accessible(page.locator(".gate"));
  await next.click();

  // Undo goes back over a restart.
  await saved(page);
  await workshop.stop();
  await workshop.again();
  await open(page, `${workshop.url}/plans/reading-cushion/sew`);
  await expect(page.getByRole("heading", { name: "Cut the back" })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("heading", { name: "Measure the front" })).toBeVisible();
  await page.getByRole("button", { name: "Redo" }).click();
  await expect(page.getByRole("heading", { name: "Cut the back" })).toBeVisible();

  // To the end, and into the log.
  for (let i = 0; i < 6; i++) await next.click();
  await expect(page.getByRole("heading", { name: /Measure the finished cover/ })).toBeVisible();
  await put(page, "Measured across", "18 7/8");
  await put(page, "Measured up", "19");
  await next.click();
  await expect(page.getByRole("heading", { name: "All steps are done" })).toBeVisible();
  await page.getByRole("textbox", { name: "Minutes of work" }).fill("soon");
  await expect(page.getByText("Type whole minutes, such as 90.")).toBeVisible();
  await page.getByRole("textbox", { name: "Minutes of work" }).fill("205");
  await page.getByRole("textbox", { name: "Next time" }).fill("Press before measuring.");
  await saved(page);
  await page.getByRole("button", { name: "Write it into the log" }).click();
  await expect(page).toHaveURL(/log$/);
  await expect(page.getByText("measured 193/8″ × 191/2″")).toBeVisible();
  await expect(page.getByText("after 3 h 25 min")).toBeVisible();

  await page.getByRole("button", { name: "Plan one like it" }).click();
  await expect(page.getByRole("textbox", { name: "Title of the plan" })).toHaveValue("Reading cushion, again");
});

test("an insert becomes a planned, cut and measured cover, by keyboard alone", async ({ page, workshop }) => {
  takes(30); // a whole cover, value by value
  await open(page, workshop.url);
  /** What has the focus, by its label or by its text. */
  const focused = () =>
    page.evaluate(() => {
      const at = document.activeElement;
      const label = at && "labels" in at ? (at as HTMLInputElement).labels?.[0]?.textContent : null;
      return at?.getAttribute("aria-label") ?? label ?? at?.textContent ?? "";
    });
  /** Tabs on until the control of that name has the focus. */
  const tabTo = async (name: string) => {
    for (let i = 0; i < 80; i++) {
      if ((await focused()).trim() === name) return;
      await page.keyboard.press("Tab");
    }
    throw new Error(`no way by keyboard to ${name}`);
  };
  const type = async (name: string, text: string) => {
    await tabTo(name);
    await page.keyboard.type(text);
    await page.keyboard.press("Enter");
    await saved(page);
  };
  await expect(page.getByLabel("Width of the insert")).toBeVisible();
  await tabTo("Width of the insert");
  await page.keyboard.type("16");
  await page.keyboard.press("Tab");
  await page.keyboard.type("16");
  await tabTo("Plan this cover");
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Title of the plan")).toBeVisible();

  await tabTo("Kind of front");
  await page.keyboard.press("p"); // Patches in a grid
  await expect(page.getByLabel("Patches across")).toBeVisible();
  await type("Patches across", "3");
  await type("Patches down", "3");
  await type("Overlap of the back", "4");
  await expect(page.getByRole("group", { name: "Sizes of the front" })).toContainText("finished 16″ × 16″");

  // A value given up leaves no trace; a change is undone.
  await tabTo("Overlap of the back");
  await page.keyboard.type("9");
  await page.keyboard.press("Escape");
  await expect(page.getByLabel("Overlap of the back")).toHaveValue("4");
  await page.keyboard.press("Control+z");
  await expect(page.getByLabel("Overlap of the back")).not.toHaveValue("4");
  await page.keyboard.press("Control+Shift+z");
  await expect(page.getByLabel("Overlap of the back")).toHaveValue("4");

  await tabTo("Undo");
  await page.keyboard.press("2");
  await expect(page.getByRole("heading", { name: /^Cut/ })).toBeVisible();
  await page.keyboard.press("Tab");
  while ((await page.locator("input[type=checkbox]:focus").count()) === 0) await page.keyboard.press("Tab");
  await page.keyboard.press("Space");
  await expect(page.locator("input[type=checkbox]:focus")).toBeChecked();

  await page.keyboard.press("3");
  await expect(page.getByRole("heading", { name: "Measure the insert" })).toBeVisible();
  for (let i = 0; i < 7; i++) {
    await tabTo("Done, next step");
    await page.keyboard.press("Enter");
  }
  await expect(page.getByRole("heading", { name: "Measure the front" })).toBeVisible();
  await type("Measured across", "16 3/8");
  await type("Measured up", "16 1/2");
  await expect(page.getByRole("list", { name: "Remedies" })).toBeVisible();

  await tabTo("Undo");
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "By keyboard" })).toBeVisible();
  await accessible(page.getByRole("dialog"));
  await page.keyboard.press("Escape");
  await page.keyboard.press("h");
  await expect(page.getByRole("dialog", { name: "History of the plan" })).toContainText("Measured across: 16 3/8");
  await page.keyboard.press("Escape");
  await page.keyboard.press("u");
  await expect(page.getByRole("button", { name: /Shown in centimetres/ })).toBeVisible();
  const plan = (await stored(workshop, "a-new-cover")).plan;
  expect(plan.units).toBe("cm");
  expect(plan.object.width).toBe("16 in"); // as it was typed, and shown as 40.6 cm
  await page.keyboard.press("s");
  await expect(page.getByRole("heading", { name: "A new cover" })).toBeVisible();
});

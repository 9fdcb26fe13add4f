import { accessible, cuts, expect, open, pick, put, saved, test } from "./app";

const cushion = "/plans/reading-corner-cushion";

const closures = [
  {
    closure: "folded",
    cuts: "2 pieces, 241/4″ × 191/2″",
    says: "It overlaps 43/4″, 25% of the width",
    step: "Fold the back pieces",
  },
  { closure: "folded-lined", cuts: "lining, half", says: "It opens 19″", step: "Join the lining" },
  { closure: "lapped", cuts: "2 pieces, 121/4″ × 191/2″", says: "of hook-and-loop tape", step: "Sew the tape on" },
  { closure: "buttons", cuts: "2 pieces, 127/8″ × 191/2″", says: "4 buttons", step: "Buttonholes and buttons" },
  { closure: "ties", cuts: "tie", says: "It overlaps 1″", step: "Make the ties and sew them on" },
  { closure: "zip", cuts: "2 pieces, 10″ × 191/2″", says: "buy 20″ of zip", step: "Sew the zip in" },
  { closure: "zip-flap", cuts: "back, right, with the flap", says: "It opens 171/2″", step: "Pinch the flap" },
  {
    closure: "zip-side",
    cuts: "1 piece, 191/2″ square",
    says: "It opens 171/2″",
    step: "Sew the zip into the bottom seam",
  },
  { closure: "sewn", cuts: "1 piece, 191/2″ square", says: "It opens 125/8″", step: "Sew front and back together" },
  { closure: "sewn-tab", cuts: "tab", says: "It opens 125/8″", step: "Sew the tabs on" },
];

// In two walks, which two workers take.
for (const half of [closures.slice(0, 5), closures.slice(5)]) {
  test(`backs are reached from the brief, drawn and sewn: ${half.map((c) => c.closure).join(", ")}`, async ({
    page,
    demo,
  }) => {
    await open(page, demo.url + cushion);
    for (const { closure, cuts: cut, says, step } of half) {
      await pick(page, "Closure of the back", closure);
      await expect(cuts(page)).toContainText(cut);
      await expect(page.getByText(says, { exact: false }).first()).toBeVisible();
      await expect(page.locator(".sheet .piece")).toHaveCount(2);
      await saved(page);
      await page.getByRole("link", { name: "Sew", exact: true }).click();
      await page.getByRole("button", { name: step, exact: true }).click();
      await expect(page.getByRole("heading", { name: step, exact: true })).toBeVisible();
      await page.getByRole("link", { name: "Draft", exact: true }).click();
    }
  });
}

test("the closures are compared with their figures, and one is taken", async ({ page, demo }) => {
  await open(page, demo.url + cushion);
  await page.getByRole("button", { name: "Compare the closures for this cover" }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog.getByRole("listitem").filter({ hasText: "As planned" })).toContainText(
    "2 pieces, 131/4″ × 191/2″",
  );
  const lapped = dialog.getByRole("listitem").filter({ hasText: "Bands with hook-and-loop tape" });
  await expect(lapped).toContainText("151/2″ of hook-and-loop tape");
  await accessible(dialog);
  await lapped.getByRole("button", { name: /Take this.*hook-and-loop tape/ }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByRole("combobox", { name: "Closure of the back" })).toHaveValue("lapped");
  await expect(page.locator(".tape-mark")).toHaveCount(1);
  await put(page, "Width of the tape", "1 1/4");
  await expect(page.getByRole("alert")).toContainText("does not fit between fold and stitching");
});

test("a flange and a zip in the side seam do not go together", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/flanged-window-cushion`);
  await expect(page.locator(".ditch")).toHaveCount(2);
  await pick(page, "Closure of the back", "zip-side");
  await expect(page.getByRole("alert")).toContainText("outside the line that holds the insert");
  await pick(page, "Closure of the back", "zip");
  await expect(page.getByRole("alert")).toHaveCount(0);
  await accessible(page.locator(".brief"));
});

test("piping: cord, strips on the bias, drawn on the cutting layout", async ({ page, demo }) => {
  await open(page, demo.url + cushion);
  await pick(page, "Piping", "made");
  await put(page, "Thickness of the cord", "3/8");
  await expect(page.getByText(/strips of 13\/4″/)).toBeVisible(); // 1.18 and two seams of a quarter
  await saved(page);
  await page.getByRole("link", { name: "Cut", exact: true }).click();
  await expect(page.locator(".bias-strip").first()).toBeVisible();
  await page.getByRole("link", { name: "Draft", exact: true }).click();
  await pick(page, "Piping", "bought");
  await expect(page.getByText("Thickness of the cord")).toHaveCount(0);
});

test("a hood is bound with strips of its own", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/turntable-hood-listening-corner`);
  await pick(page, "Binding", "double");
  await put(page, "What shows of the binding", "3/8");
  await expect(page.getByText(/strips of 21\/2″/)).toBeVisible();
  await expect(cuts(page)).toContainText("binding strip");
});

test("an insert is made at home", async ({ page, demo }) => {
  await open(page, demo.url + cushion);
  await pick(page, "Where the insert comes from", "fold");
  await expect(cuts(page)).toContainText("1 piece, 201/2″ × 401/2″");
  await expect(page.getByText("g of fibre", { exact: false })).toBeVisible();
});

test("cutting the back early is asked about once, with the reason", async ({ page, demo }) => {
  await open(page, `${demo.url}${cushion}/cut`);
  const tick = page.getByRole("checkbox", { name: /back piece/ });
  await tick.click();
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("may not fit the front you sew");
  await accessible(dialog);
  await dialog.getByRole("button", { name: "It waits" }).click();
  await expect(tick).not.toBeChecked();
  await tick.click();
  await dialog.getByRole("button", { name: "It is cut" }).click();
  await expect(tick).toBeChecked();
  await expect(dialog).toHaveCount(0);
});

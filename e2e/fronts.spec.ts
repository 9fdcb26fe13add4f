import type { Page } from "@playwright/test";
import { accessible, cuts, expect, open, pick, put, saved, stored, test } from "./app";

const plan = "/plans/reading-corner-cushion";
const fills = (page: Page) =>
  page.locator(".sheet .cell").evaluateAll((cells) => cells.map((c) => c.getAttribute("fill")?.slice(-2)).join(""));

test("a block of the library, from the picture to its triangles and steps", async ({ page, demo }) => {
  await open(page, `${demo.url}${plan}`);
  await page.getByRole("button", { name: "all blocks" }).click();
  const dialog = page.getByRole("dialog", { name: "Blocks that go by a name" });
  await expect(dialog.getByRole("listitem")).toHaveCount(32);
  await accessible(dialog);
  await dialog.getByRole("button", { name: /^Dutchman/ }).click();
  await expect(cuts(page)).toContainText("quarter-square triangles, 4 from each");
  await pick(page, "Block", "pinwheel");
  await expect(cuts(page)).toContainText("32 pieces, 27/8″ square");
  await pick(page, "Method for triangles", "many");
  await expect(cuts(page)).toContainText("8 pieces, 6″ square");
  await expect(page.getByRole("table", { name: /64 half-square triangles of 2″/ })).toContainText("16 squares of 6″");
  await saved(page);
  await page.getByRole("link", { name: "Cut", exact: true }).click();
  await expect(page.getByRole("region", { name: "Fabric ink leaf" })).toContainText(
    "sewn in pairs along both diagonals for 64 patches",
  );
  await page.getByRole("link", { name: "Sew", exact: true }).click();
  await page.getByRole("button", { name: "Sew 64 half-square triangles" }).click();
  await expect(page.getByText("draw both diagonals, sew 1/4″ to each side")).toBeVisible();
  await page.getByText("The pressing plan, seen from the back").click();
  await expect(page.getByRole("img", { name: /Where the seam allowances of the front lie/ })).toBeVisible();
  await accessible(page);
});

test("set on point: blocks, side and corner triangles", async ({ page, demo }) => {
  await open(page, `${demo.url}${plan}`);
  await pick(page, "Setting of the patches", "on-point");
  await put(page, "Patches across", "3");
  await put(page, "Patches down", "3");
  await expect(cuts(page)).toContainText("side triangles, 4 from each");
  await expect(cuts(page)).toContainText("corner triangles, 2 from each");
  await pick(page, "Fabric of the setting triangles", "C");
  await saved(page);
  const { reckoning } = await stored(demo, "reading-corner-cushion");
  expect(reckoning.counts).toMatchObject({ "side triangles": 8, "corner triangles": 4, patches: 13 });
  await page.getByRole("link", { name: "Sew", exact: true }).click();
  await page.getByRole("button", { name: "Sew row 3", exact: true }).click();
  await expect(page.getByText("From the lower left up")).toBeVisible();
  await expect(page.locator(".row-labels text")).toHaveCount(5);
});

test("seven rows of five with an outside sash: 42 short ones and 8 long", async ({ page, demo }) => {
  await open(page, `${demo.url}${plan}`);
  await put(page, "Width of the insert", "19");
  await put(page, "Height of the insert", "26");
  await page.getByRole("button", { name: "Take border 1 off" }).click();
  await put(page, "Patches across", "5");
  await put(page, "Patches down", "7");
  await put(page, "Finished width of a patch", "3");
  await put(page, "Finished height of a patch", "3");
  await pick(page, "Sashing", "outside");
  await expect(page.getByText(": 42 short sashing strips, 8 long sashing strips")).toBeVisible();
  await expect(page.getByRole("alert")).toHaveCount(0);
  await pick(page, "Cornerstones where sashing meets", "C");
  await expect(page.getByText(": 82 short sashing strips, 48 cornerstones")).toBeVisible();
});

test("borders meet in each way, and may be of patches", async ({ page, demo }) => {
  await open(page, `${demo.url}${plan}`);
  await pick(page, "Corners of border 1", "squares");
  await pick(page, "Fabric of the corner squares of border 1", "A");
  await expect(cuts(page)).toContainText("border, corner squares");
  await pick(page, "Corners of border 1", "mitred");
  await page.getByRole("button", { name: /border, sides/ }).click();
  await expect(
    page.getByRole("list", { name: /The sum of Border, sides of madder stripe, across, as cut/ }),
  ).toBeVisible();
  await page.getByRole("button", { name: "up", exact: true }).click();
  await expect(page.getByRole("list", { name: /The sum of Border, sides/ })).toContainText("to spare for the mitre");
  await pick(page, "Corners of border 1", "butted");
  await pick(page, "Border 1 in one piece or in patches", "yes");
  await expect(cuts(page)).toContainText("border, patches");
});

test("a grid that fits is found and written into the brief", async ({ page, demo }) => {
  await open(page, `${demo.url}${plan}`);
  await page.getByRole("button", { name: "Find grids that fit the front" }).click();
  const dialog = page.getByRole("dialog", { name: "Grids that fit the front" });
  await expect(dialog.getByRole("listitem")).not.toHaveCount(0);
  await dialog.getByLabel("Ready-cut squares or strips of").fill("wide");
  await expect(dialog.getByLabel("Ready-cut squares or strips of")).toHaveAttribute("aria-invalid", "true");
  await dialog.getByLabel("Ready-cut squares or strips of").fill("2 1/2 in");
  await dialog.getByRole("combobox").selectOption("yes");
  await expect(dialog.getByRole("listitem").first()).toContainText("from ready-cut 21/2″");
  await accessible(dialog);
  await dialog.getByRole("button").filter({ hasText: "8 × 8 of 2″" }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByLabel("Patches across")).toHaveValue("8");
  await expect(page.getByRole("alert")).toHaveCount(0);
  await saved(page);
});

test("a block is divided by pointer and by key, its cuts seen at once", async ({ page, demo }) => {
  await open(page, `${demo.url}${plan}`);
  await page.getByRole("button", { name: "divide the patches" }).click();
  const dialog = page.getByRole("dialog", { name: "Divide the block" });
  const seen = dialog.getByRole("list", { name: "Cuts as the block stands" });
  await dialog.getByRole("button", { name: "into two columns" }).click();
  await expect(dialog.getByRole("option")).toHaveCount(2);
  await dialog.getByRole("option", { name: /patch 2 of 2/ }).click();
  await dialog.getByRole("button", { name: "into two rows" }).click();
  await dialog.getByRole("button", { name: "along the rising diagonal" }).click();
  await expect(seen).toContainText("half-square triangles");
  await accessible(dialog);
  const canvas = dialog.getByRole("listbox");
  await canvas.focus();
  await canvas.press("Home"); // no key of its own: nothing happens
  await canvas.press("ArrowRight");
  await canvas.press("c");
  await expect(dialog.getByLabel("As it is written")).toHaveValue(/C/);
  await dialog.getByRole("button", { name: "Make one patch again of this and its neighbours" }).click();
  await expect(dialog.getByRole("option")).toHaveCount(3);
  await dialog.getByRole("button", { name: "2", exact: true }).click();
  const text = dialog.getByLabel("As it is written");
  await expect(text).toHaveValue(/2 /);
  await text.fill("A | (B / ");
  await text.press("Enter");
  await expect(dialog.getByRole("alert")).toContainText("a part is missing");
  await expect(text).toHaveValue("A | (B / "); // what was typed stays
  await text.fill("(A / B) - (B / A)");
  await text.press("Enter");
  await expect(dialog.getByRole("option")).toHaveCount(4);
  await canvas.focus();
  await page.keyboard.press("Control+z"); // seen in the dialog too
  await expect(text).toHaveValue(/2 /);
  await page.keyboard.press("Control+Shift+z");
  await expect(text).toHaveValue("(A / B) - (B / A)");
  await dialog.getByRole("button", { name: "Done" }).click();
  await saved(page);
  const { plan: kept } = await stored(demo, "reading-corner-cushion");
  expect(kept.pieces.front.face.block).toEqual({ cells: "(A / B) - (B / A)" });
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("note").filter({ hasText: "half-square" })).toHaveCount(0);
});

test("fabrics are tried by pointer and by key, changed over, seen as greys and kept side by side", async ({
  page,
  demo,
}) => {
  await open(page, `${demo.url}${plan}`);
  await page.getByRole("button", { name: "Try fabrics" }).click();
  const colours = page.getByRole("region", { name: "Fabrics to try" });
  await expect(colours.getByRole("button", { name: /^A ink leaf/ })).toContainText("× 8");
  const before = await fills(page);
  await colours.getByRole("button", { name: /^D sage check/ }).click();
  await page.locator(".cell.pick").nth(0).click();
  await expect.poll(() => fills(page)).not.toBe(before);
  await expect(colours.getByRole("button", { name: /^D sage check/ })).toContainText("× 1");
  const keys = colours.getByRole("application");
  await keys.focus();
  await keys.press("ArrowDown");
  await keys.press("ArrowRight");
  await expect(keys).toContainText("Row 1, patch");
  await keys.press("s"); // no cloth, and here no shortcut either
  await expect(keys).toBeVisible();
  await keys.press("d");
  await expect(colours.getByRole("button", { name: /^D sage check/ })).toContainText("× 2");
  await saved(page);
  await page.getByRole("button", { name: "Keep these colours to compare" }).click();
  await expect(page.locator(".ways figure")).toHaveCount(1);
  const kept = await fills(page);
  await colours.getByRole("combobox", { name: "Second fabric to change" }).selectOption("C");
  await colours.getByRole("button", { name: "over" }).click();
  await expect.poll(() => fills(page)).not.toBe(kept);
  await page.getByRole("button", { name: "use it" }).click();
  await expect.poll(() => fills(page)).toBe(kept);
  await colours.getByLabel("as greys").check();
  await expect(page.locator(".sheet.grey")).toBeVisible();
  await accessible(colours);
});

test("mixed patches that are painted stay when the rest is mixed again", async ({ page, demo }) => {
  await open(page, `${demo.url}${plan}`);
  await page.getByRole("combobox", { name: "Order of the fabrics" }).selectOption("scrap");
  await page.getByRole("combobox", { name: "Add a fabric to the patches" }).selectOption({ label: "sage check" });
  await saved(page);
  await page.getByRole("button", { name: "Try fabrics" }).click();
  await page.getByRole("button", { name: /^D sage check/ }).click();
  await page.locator(".cell.pick").nth(5).click();
  await expect(page.getByText(", 1 kept")).toBeVisible();
  for (let i = 0; i < 4; i++) await page.getByRole("button", { name: "mix again" }).click();
  await expect(page.locator(".cell.pick").nth(5)).toHaveAttribute("fill", /D\)$/);
  await page.getByRole("button", { name: "let all go" }).click();
  await expect(page.getByText(", 1 kept")).toHaveCount(0);
});

test("a front of four hundred patches: one of them in another fabric changes nothing else", async ({ page, demo }) => {
  await open(page, `${demo.url}${plan}`);
  await pick(page, "Size of the patches", "yes");
  await put(page, "Patches across", "20");
  await put(page, "Patches down", "20");
  await page.getByRole("button", { name: "Try fabrics" }).click();
  await expect(page.locator(".cell.pick")).toHaveCount(406); // with four pieces of the border and two of the back
  await page.getByRole("button", { name: /^D sage check/ }).click();
  await saved(page);
  await page.evaluate(() => {
    const sheet = document.querySelector(".sheet");
    const seen = new Set<Node>();
    Object.assign(window, { redrawn: seen });
    if (sheet)
      new MutationObserver((list) => {
        for (const m of list) seen.add(m.target);
      }).observe(sheet, { subtree: true, attributes: true, childList: true });
  });
  await page.locator(".cell.pick").nth(210).click();
  await expect(page.getByRole("button", { name: /^D sage check/ })).toContainText("× 1");
  await saved(page);
  const redrawn = await page.evaluate(
    () =>
      [...(window as unknown as { redrawn: Set<Node> }).redrawn].filter((n) =>
        (n as Element).classList.contains("cell"),
      ).length,
  );
  expect(redrawn).toBe(1);
});

test("fronts of every kind begin so that they can be cut", async ({ page, demo }) => {
  await open(page, `${demo.url}${plan}`);
  for (const [kind, what] of [
    ["strips", "strip 1"],
    ["checker", "strips to be sewn together"],
    ["stack", "section 2: panel"],
    ["found", "found panel"],
    ["gathered", "panel to be gathered"],
  ] as const) {
    await pick(page, "Kind of front", kind);
    await expect(cuts(page)).toContainText(what);
    await expect(page.getByRole("alert")).toHaveCount(0);
    await saved(page);
  }
});

test("strips and parts are halved, and what does not fill is said", async ({ page, demo }) => {
  await open(page, `${demo.url}${plan}`);
  await pick(page, "Kind of front", "strips");
  await page.getByRole("button", { name: "Halve the last strip" }).click();
  await expect(page.getByLabel("Finished width of strip 4")).toBeVisible();
  await put(page, "Finished width of strip 1", "3");
  await page.getByRole("alert").first().getByRole("button", { name: "All strips in proportion" }).click();
  await expect(page.getByRole("alert")).toHaveCount(0);
  await pick(page, "Kind of front", "stack");
  await pick(page, "Kind of section 2", "grid");
  await expect(page.getByRole("list", { name: "Sections from the top" })).toContainText("Patches in a grid");
  await page.getByRole("button", { name: "Halve the last section" }).click();
  await expect(page.getByLabel("Finished height of section 3")).toBeVisible();
  await page.getByRole("button", { name: "Remove section 3" }).click();
  await expect(page.getByLabel("Finished height of section 3")).toHaveCount(0);
});

test("the ends of a hood may be pieced", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/turntable-hood-listening-corner`);
  const kind = page.getByRole("combobox", { name: /^Kind of end/ });
  await kind.selectOption("grid");
  await expect(page.getByRole("alert")).toHaveCount(0);
  await expect(cuts(page)).toContainText("patch");
});

test("gathers take their ratio, and a pocket lies on a panel", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/gathered-jacket-for-the-guest-album`);
  await expect(page.getByText(/takes/).first()).toContainText("from selvedge to selvedge");
  await put(page, "Ratio of the gathers, outer piece", "1.5");
  await expect(page.getByRole("note").filter({ hasText: "crumpled" })).toBeVisible();
  await put(page, "Ratio of the gathers, outer piece", "3");
  await expect(page.getByRole("note").filter({ hasText: "crumpled" })).toHaveCount(0);
  await saved(page);
  await page.getByRole("link", { name: "Sew", exact: true }).click();
  await page.getByRole("button", { name: "Gather the panel" }).click();
  await expect(page.getByText("as many stitches from mark to mark in each")).toBeVisible();
  await open(page, `${demo.url}/plans/reading-corner-cushion`);
  await pick(page, "Kind of front", "plain");
  await pick(page, "Pocket on the front", "folded");
  await expect(cuts(page)).toContainText("pocket, folded in half");
});

test("folded windows: units that fit, patches, points and how they are folded", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/folded-window-cushion`);
  await expect(page.getByText(": 24 windows, 16 half ones, 25 points")).toBeVisible();
  await expect(cuts(page)).toContainText("16 pieces, 10″ square");
  await put(page, "Units across", "5");
  await expect(page.getByRole("alert").first()).toContainText("units of 41/2″: it finishes");
  await put(page, "Units down", "5");
  await pick(page, "Size of the units", "no");
  await expect(page.getByRole("alert")).toHaveCount(0);
  await saved(page);
  await page.getByRole("link", { name: "Sew", exact: true }).click();
  await page.getByRole("button", { name: "Fold the 25 units" }).click();
  await expect(page.getByRole("img", { name: /folded/ })).toBeVisible();
  await accessible(page);
});

test("a patch of a block is given a fabric that the face did not have", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/pinwheel-cushion-for-the-reading-corner`);
  await page.getByRole("button", { name: "divide it further" }).click();
  const dialog = page.getByRole("dialog", { name: "Divide the block" });
  await expect(dialog.getByRole("option")).toHaveCount(8);
  const before = await fills(page);
  await dialog.getByRole("button", { name: /^C one more/ }).click();
  await expect(dialog.getByRole("button", { name: /^C madder stripe/ })).toHaveAttribute("aria-pressed", "true");
  await dialog.getByRole("button", { name: "Done" }).click();
  await expect.poll(() => fills(page)).not.toBe(before);
  await expect(page.getByRole("combobox", { name: "Fabric 3 of the patches" })).toHaveValue("C");
  await saved(page);
  const { reckoning } = await stored(demo, "pinwheel-cushion-for-the-reading-corner");
  const cloths = new Set(
    reckoning.cuts.filter((c: { part: string }) => c.part.startsWith("block.")).map((c: { cloth: string }) => c.cloth),
  );
  expect([...cloths].sort()).toEqual(["A", "B", "C"]);
});

test("looking at other kinds loses nothing: what was decided is kept aside, and brought back", async ({
  page,
  demo,
}) => {
  await open(page, `${demo.url}${plan}`);
  const before = (await cuts(page).textContent()) ?? "";
  const aside = page.getByText(/^Kept aside:/);
  const kind = page.getByLabel("Kind of front");
  await kind.focus();
  await page.keyboard.press("ArrowDown"); // opens the list and takes nothing yet
  await expect(page.getByLabel("Finished width of strip 1")).toHaveCount(0);
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Finished width of strip 1")).toBeVisible();
  await expect(aside).toHaveText(
    "Kept aside: patches in a grid, bring back patches in a grid, front or forget patches in a grid, front.",
  );
  await pick(page, "Kind of front", "found"); // the strips were looked at, and nothing of them decided
  await expect(aside).not.toContainText("strips");
  await pick(page, "Closure of the back", "zip-flap");
  await put(page, "Width of the flap", "1 1/2");
  await pick(page, "Closure of the back", "sewn");
  const closure = aside.filter({ hasText: "closure of the back" });
  await expect(closure).toContainText("Kept aside: an envelope");
  await expect(closure).toContainText("; a zip across, under a flap");
  await accessible(page);
  await saved(page);
  await page.reload();
  await closure.getByRole("button", { name: "bring back a zip across, under a flap, closure of the back" }).click();
  await expect(page.getByLabel("Width of the flap")).toHaveValue("1 1/2");
  await closure.getByRole("button", { name: "bring back an envelope, closure of the back" }).click();
  await closure.getByRole("button", { name: "forget a zip across, under a flap, closure of the back" }).click();
  await expect(closure).toHaveCount(0);
  await page.getByRole("button", { name: "bring back patches in a grid, front" }).click();
  await expect(cuts(page)).toHaveText(before);
  await expect(aside).toHaveCount(0);
});

test("a front with borders and colourways comes back from every other kind as it was", async ({ page, demo }) => {
  const at = "pinwheel-cushion-for-the-reading-corner";
  const { plan: before } = await stored(demo, at);
  await open(page, `${demo.url}/plans/${at}`);
  const cut = (await cuts(page).textContent()) ?? "";
  for (const kind of ["strips", "checker", "stack", "found", "gathered", "windows", "plain", "grid"]) {
    await pick(page, "Kind of front", kind);
    await expect(page.getByLabel("Kind of front")).toHaveValue(kind);
  }
  await saved(page);
  await expect(cuts(page)).toHaveText(cut);
  expect((await stored(demo, at)).plan.pieces.front).toEqual(before.pieces.front);
});

test("folded windows that fill no front of its size are refused with the sizes", async ({ page, demo }) => {
  await open(page, `${demo.url}${plan}`);
  await put(page, "Width of the insert", "18");
  await put(page, "Height of the insert", "12 3/8");
  await page.getByLabel("Kind of front").selectOption("windows");
  const refused = page.getByText(/^Folded windows do not fit:/);
  await expect(refused).toContainText("the front takes");
  await expect(page.getByLabel("Kind of front")).toHaveValue("grid");
  await pick(page, "Kind of front", "strips");
  await expect(refused).toHaveCount(0);
});

test("what is typed stands in the sum at hand at once, whichever is looked at then", async ({ page, demo }) => {
  await open(page, `${demo.url}${plan}`);
  const margin = page.getByRole("textbox", { name: "Squaring margin each side" });
  const sum = (of: string) => page.getByRole("list", { name: `The sum of ${of}, before quilting` });
  await expect(sum("Front, across")).toContainText("1/2″ trimmed off");
  await margin.fill("3/4");
  await expect(sum("Front, across")).toContainText("3/4″ trimmed off");
  await margin.fill("3/4 of"); // it cannot be read, and is not kept
  await page.getByRole("group", { name: "Direction of the sum" }).getByRole("button", { name: "up" }).click();
  await expect(sum("Front, up")).toContainText("3/4″ trimmed off");
  await expect(page.getByRole("alert")).toContainText('"of" is not a unit here');
  await expect(margin).toHaveValue("3/4 of");
  await page
    .getByRole("list", { name: "All cuts" })
    .getByRole("button", { name: /lining/ })
    .click();
  await expect(page.getByRole("list", { name: /The sum of Lining/ })).toContainText("3/4″ trimmed off");
  await put(page, "Squaring margin each side", "1");
  await saved(page);
  await expect(page.getByRole("list", { name: /The sum of Lining/ })).toContainText("1″ trimmed off");

  await margin.fill("3/4");
  await expect(page.getByRole("list", { name: /The sum of Lining/ })).toContainText("3/4″ trimmed off");
  await page.route("**/api/**", (route) => route.abort());
  await page
    .getByRole("list", { name: "All cuts" })
    .getByRole("button", { name: /batting/ })
    .click();
  await expect(page.getByText("Its sum comes with the server’s answer.")).toBeVisible();
  await page.unrouteAll();
  await expect(page.getByRole("list", { name: /The sum of Batting/ })).toContainText("3/4″ trimmed off");
  await saved(page);
});

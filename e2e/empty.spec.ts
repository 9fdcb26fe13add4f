import { accessible, expect, open, pick, put, saved, shown, stored, takes, test } from "./app";

/** A cover of a pad of so many inches each way, planned in a workshop with nothing in it. */
async function begin(page: import("@playwright/test").Page, url: string, inches: string) {
  await open(page, url);
  await put(page, "Width of the insert", inches);
  await put(page, "Height of the insert", inches);
  await page.getByRole("button", { name: "Plan this cover" }).click();
  await expect(page).toHaveURL(/plans\/a-new-cover/);
  await shown(page);
}

test("patches are sewn with one seam and closed with another, and a back waits where it must", async ({
  page,
  workshop,
}) => {
  takes(20);
  await begin(page, workshop.url, "16");
  // One piece of cloth is as large as it is cut: its back need not wait.
  const brief = page.locator(".brief");
  await expect(brief).toContainText("since one piece of fabric is as large as it is cut");
  await expect(page.getByText("waits for the measured front")).toHaveCount(0);
  await pick(page, "When the back is cut", "yes");
  await expect(page.getByText("waits for the measured front")).toHaveCount(1);
  await pick(page, "When the back is cut", "auto");

  await pick(page, "Kind of front", "grid"); // whole patches that fill it, and nothing round them
  const cuts = page.getByRole("list", { name: "All cuts" });
  await expect(cuts).toContainText("16 pieces, 41/2″ square");
  await expect(brief).toContainText("since a pieced front comes out as its seams are sewn");
  await put(page, "Seam allowance", "1/2");
  await expect(cuts).toContainText("4 pieces, 43/4″ square");
  await expect(cuts).toContainText("4 pieces, 41/2″ × 43/4″");
  await expect(cuts).toContainText("4 pieces, 41/2″ square");
  await pick(page, "What takes up the seam round it", "accept");
  await expect(brief).toContainText("it finishes 151/2″ across instead of 16″, and the outer ones show 33/4″");
  await expect(page.getByRole("group", { name: "Sizes of the front" })).toContainText("trimmed 161/2″ × 161/2″");
  await put(page, "Piecing seam", "3/4");
  await expect(cuts).toContainText("16 pieces, 51/2″ square");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(cuts).toContainText("16 pieces, 41/2″ square");
  await page.reload();
  await shown(page);
  await expect(cuts).toContainText("16 pieces, 41/2″ square");

  // More patches than their seams leave room for: what is offered helps.
  await put(page, "Piecing seam", "2");
  await put(page, "Patches across", "12");
  await expect(page.getByRole("alert")).toContainText("narrower than the piecing seam");
  await page.getByRole("button", { name: /^A piecing seam of/ }).click();
  await expect(page.getByRole("alert")).toHaveCount(0);
  await accessible(brief);
});

test("fabrics are described where they are chosen, and taken out again", async ({ page, workshop }) => {
  takes(15);
  await begin(page, workshop.url, "16");
  await pick(page, "Kind of front", "grid");
  await pick(page, "Add a fabric to the patches", "another");
  await put(page, "Name of fabric B", "sea dot");
  await pick(page, "How sea dot is drawn", "dot");
  const first = page.getByRole("combobox", { name: "Fabric 1 of the patches" });
  await expect(first.getByRole("option")).toHaveText(["fabric A", "sea dot", "another fabric", "remove it"]);
  await pick(page, "Weight of sea dot", "knit"); // its backing is ironed on before anything is cut from it
  await expect(page.locator(".brief")).toContainText("a knit, backed first");
  await pick(page, "Weight of fabric A", "heavy");
  await page.getByRole("link", { name: "Sew", exact: true }).click();
  const steps = page.getByRole("list", { name: "Steps" }).getByRole("button");
  await expect(steps.nth(1)).toContainText("Back the sea dot");
  await expect(steps.nth(2)).toContainText("Cut the front");
  await page.getByRole("link", { name: "Draft", exact: true }).click();
  await shown(page);
  await pick(page, "Layers of batting", "1");
  await expect(first.getByRole("option")).toHaveCount(4); // no batting among the patches
  await expect(page.getByRole("combobox", { name: "Fabric of the batting" }).getByRole("option")).toHaveText([
    "cotton batting",
    "another batting",
  ]);
  await pick(page, "Fabric 2 of the patches", "");
  await page.getByRole("button", { name: "Remove sea dot" }).click();
  await expect(page.getByRole("textbox", { name: "Name of fabric B", exact: true })).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("textbox", { name: "Name of fabric B", exact: true })).toHaveValue("sea dot");
  await saved(page);
  const { plan } = await stored(workshop, "a-new-cover");
  expect(plan.cloths.B.swatch.motif).toBe("dot");
});

test("another unit changes nothing that is there", async ({ page, workshop }) => {
  takes(12);
  await fetch(`${workshop.url}/api/v1/cloths`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ cloth: { name: "moss", width: "44" } }),
  });
  await open(page, workshop.url);
  await put(page, "Width of the insert", "17");
  await pick(page, "Unit of the workshop", "cm");
  await expect(page.getByRole("textbox", { name: "Width of the insert" })).toHaveValue(/17 in/);
  await expect(page.getByRole("textbox", { name: "Height of the insert" })).toHaveValue(/50/);
  await page.getByRole("button", { name: "Plan this cover" }).click();
  await expect(page).toHaveURL(/plans\/a-new-cover/);
  await shown(page);
  await expect(page.locator(".brief")).toContainText("Seams are 0.7 cm");
  await pick(page, "Fabric A, from the cupboard", "moss");
  await expect(page.getByRole("textbox", { name: "Width of moss", exact: true })).toHaveValue(/111\.76/);
  await open(page, `${workshop.url}/cloth`);
  await expect(page.getByText("111.8 cm").first()).toBeVisible();
});

test("two faces are alike until one is told apart, and what is done of both is done of each", async ({
  page,
  workshop,
}) => {
  takes(20);
  await open(page, workshop.url);
  await pick(page, "What is to be covered", "appliance");
  await page.getByRole("button", { name: "Plan this cover" }).click();
  await shown(page);
  await pick(page, "Kind of hood", "band-hood");
  const cuts = page.getByRole("list", { name: "All cuts" });
  await expect(cuts).toContainText("2 pieces, 18″ × 63/4″");
  await page.getByRole("link", { name: "Cut", exact: true }).click();
  await page.getByRole("checkbox", { name: /panel/i }).first().check();
  await page.getByRole("link", { name: "Draft", exact: true }).click();
  await shown(page);

  await page.getByRole("button", { name: "Tell the front panel from the back panel" }).click();
  await expect(page.locator(".brief")).toContainText("The front panel: make both as this one");
  await expect(page.locator(".brief")).toContainText("A: Band to front panel: 301/2″, both sides alike.");
  await saved(page);
  const done = Object.keys((await stored(workshop, "a-new-cover")).plan.progress.cut);
  expect(done.sort()).toEqual(["cut.piece:face_2e1.role:panel", "cut.piece:face_2e2.role:panel"]);

  await pick(page, "Kind of front panel", "checker"); // one of them is another one now
  await expect(page.getByRole("dialog").getByRole("listitem")).toHaveText([
    /^1 × Front panel .* nothing of it is needed/,
  ]);
  await page.getByRole("button", { name: "Keep the change" }).click();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await saved(page);
  await expect(cuts).toContainText("1 piece, 18″ × 63/4″back panel");
  await expect(cuts).not.toContainText("front panel");
  await page.reload();
  await shown(page);
  await expect(page.getByRole("combobox", { name: "Kind of back panel" })).toHaveValue("plain");
  await accessible(page.locator(".brief"));
  await page.getByRole("button", { name: "Make both alike, as the front panel is" }).click();
  await expect(page.getByRole("dialog").getByRole("listitem")).toHaveText([/^1 × Back panel /]);
  await page.getByRole("button", { name: "Keep the change" }).click();
  await expect(page.getByRole("button", { name: "Tell the front panel from the back panel" })).toBeVisible();
  await expect(page.getByRole("combobox", { name: "Kind of panel", exact: true })).toHaveValue("checker");
});

test("sizes are typed as they finish or as they are cut, and the cover follows", async ({ page, workshop }) => {
  takes(20);
  await begin(page, workshop.url, "16");
  await pick(page, "Kind of front", "grid");
  await put(page, "Seam allowance", "1/2");
  const brief = page.locator(".brief");
  const cuts = page.getByRole("list", { name: "All cuts" });
  await pick(page, "Size of the patches", "cut"); // as large as they were
  await expect(page.getByRole("textbox", { name: "Width of a patch as cut" })).toHaveValue("4 1/2 cut");
  await expect(cuts).toContainText("16 pieces, 41/2″ square");
  await expect(brief).toContainText("it finishes 151/2″ across instead of 16″, and the outer ones show 33/4″");
  await put(page, "Piecing seam", "3/8"); // what is cut stays, and shows less: the cover follows
  await expect(page.getByRole("alert")).toContainText("1″ short of 16″");
  await page.getByRole("button", { name: /^An ease of −1/ }).click();
  await expect(page.getByRole("alert")).toHaveCount(0);
  await expect(cuts).toContainText("16 pieces, 41/2″ square");
  await page.reload();
  await shown(page);
  await expect(page.getByRole("textbox", { name: "Width of a patch as cut" })).toHaveValue("4 1/2 cut");
  await expect(brief).toContainText("41/2″ cut");

  // All seams: what it says to type works.
  await put(page, "Width of a patch as cut", "3/4 cut");
  await expect(page.getByRole("alert")).toContainText("Cut 3/4″ it is all seams");
  await page.getByRole("textbox", { name: "Width of a patch as cut" }).press("Escape");
  await pick(page, "Kind of front", "plain");
  await pick(page, "How the size of the cover is decided", "size");
  await put(page, "Size of the cover across", "18 cut");
  await put(page, "Size of the cover up", "15");
  await expect(page.getByRole("group", { name: "Sizes of the front" })).toContainText("finished 17″ × 15″");
  await expect(page.getByRole("group", { name: "Sizes of the front" })).toContainText("trimmed 18″ × 16″");
  await expect(brief).toContainText("18″ cut across and");
  await page.getByRole("button", { name: /^Shown in/ }).click();
  await expect(page.getByRole("group", { name: "Sizes of the front" })).toContainText("43.2 cm");
  await expect(page.getByRole("textbox", { name: "Size of the cover across" })).toHaveValue("18 in cut");
  await expect(brief).toContainText("≈40.6 cm across by ≈40.6 cm up"); // no more digits than a ruler has
  await expect(brief).toContainText("≈45.7 cm cut across");
  await accessible(brief);
  await pick(page, "How the size of the cover is decided", "ease");
  await expect(page.getByRole("textbox", { name: "Ease across" })).toHaveValue("2.54");
});

test("a part of a stack is longer than its place, and squared up when the parts are joined", async ({
  page,
  workshop,
}) => {
  takes(12);
  await begin(page, workshop.url, "16");
  await pick(page, "Kind of front", "stack");
  const cuts = page.getByRole("list", { name: "All cuts" });
  await put(page, "How much longer section 1 is than its place", "1");
  await expect(cuts).toContainText("1 piece, 171/2″ × 81/2″");
  await expect(cuts).toContainText("1 piece, 161/2″ × 81/2″");
  await put(page, "How much longer section 1 is than its place", "20"); // more than it covers
  await expect(page.getByRole("alert")).toContainText("cannot be 20″");
  await page.getByRole("button", { name: "Make it 12″" }).click();
  await expect(page.getByRole("alert")).toHaveCount(0);
  await put(page, "How much longer section 1 is than its place", "1");
  await pick(page, "Which piece of the back lies outside", "yes");
  await page.getByRole("link", { name: "Sew", exact: true }).click();
  const steps = page.getByRole("list", { name: "Steps" }).getByRole("button");
  await steps.filter({ hasText: "Join the parts" }).click();
  await expect(page.getByText("Section 1 extends 1/2″ past either end: it is trimmed off next.")).toBeVisible();
  await expect(steps).toContainText(["Join the parts", "Square up the parts", "Measure the front"]);
  await steps.filter({ hasText: "Hem the back pieces" }).click();
  await expect(page.getByText("comes to lie in the middle of the back, 161/2″ long")).toBeVisible();
  await expect(
    page.getByRole("img", { name: /^The pieces on the table: right, .* wrong side up; left, .* wrong side up\.$/ }),
  ).toBeVisible();
  await expect(page.getByText("Let the edge of the foot run along the fold")).toBeVisible();
  await steps.filter({ hasText: "Sew front and back together" }).click();
  await expect(
    page.getByText("Lay the left piece (as you will see the finished back) on the front first: it ends up outside."),
  ).toBeVisible();
});

test("a centre is quilted through its patches, and its borders follow what it measures then", async ({
  page,
  workshop,
}) => {
  takes(20);
  await begin(page, workshop.url, "20");
  const brief = page.locator(".brief");
  const quilting = page.getByRole("combobox", { name: "Quilting", exact: true });
  await pick(page, "Layers of batting", "1");
  await expect(quilting.getByRole("option", { name: "quilted corner to corner" })).toHaveCount(0); // one piece of cloth
  await pick(page, "Kind of front", "grid");
  await page.getByRole("button", { name: "Add a border" }).click();
  await pick(page, "Quilting", "corners"); // nothing is worked out: the patches say where
  await expect(brief).not.toContainText("Distance between quilting lines");
  await pick(page, "Quilting of the borders", "along");
  await put(page, "Distance of lines along the borders", "1/4");
  const list = page.getByRole("list", { name: "All cuts" });
  await expect(list).toContainText("2 pieces, 15/8″ × 191/2″");
  await pick(page, "When the borders are sewn on", "yes");
  await accessible(brief);

  await page.getByRole("link", { name: "Sew", exact: true }).click();
  const steps = page.getByRole("list", { name: "Steps" }).getByRole("button");
  await expect(steps).toContainText([
    "Join the rows",
    "Layer the front",
    "Quilt the centre",
    "Measure the quilted centre",
    "Cut the borders of the front",
    "Border, sides",
    "Border, top and bottom",
    "Quilt the borders of the front",
    "Trim square",
  ]);
  await steps.filter({ hasText: "Quilt the centre" }).click();
  await expect(page.getByText(/From corner to corner through every patch/)).toBeVisible();
  await steps.filter({ hasText: "Border, top and bottom" }).click(); // what can hurt was said in full before
  const pins = page.getByText("Take each pin out before the needle reaches it");
  await expect(pins).toBeHidden();
  await page.getByText("Caution: pins").click();
  await expect(pins).toBeVisible();
  await steps.filter({ hasText: "Measure the quilted centre" }).click();
  await put(page, "Measured across", "19");
  await put(page, "Measured up", "19 1/4");
  await saved(page);
  await page.reload();
  await shown(page);
  await steps.filter({ hasText: "Measure the quilted centre" }).click();
  await expect(page.getByRole("textbox", { name: "Measured up" })).toHaveValue("19 1/4");
  await page.getByRole("link", { name: "Draft", exact: true }).click();
  await expect(list).toContainText("2 pieces, 17/8″ × 191/4″"); // as long as it is high, and as much wider as it is narrower
  await page.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(list).toContainText("2 pieces, 15/8″ × 191/2″");
  await page.getByRole("button", { name: /^Shown in/ }).click();
  await expect(brief).toContainText("50.8 cm across");
  await expect(list).toContainText("border, sides");
});

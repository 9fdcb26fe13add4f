import { accessible, expect, open, posted, saved, shown, stored, test } from "./app";

test("a bundle becomes a front, and the front a plan", async ({ page, workshop }) => {
  await open(page, `${workshop.url}/cloth`);
  await page.getByRole("link", { name: "What can it become?" }).click();
  await expect(page.getByText("Nothing is in the cupboard")).toBeVisible();
  const look = page.getByRole("button", { name: "Look what it can become" });
  await look.click();
  await expect(page.getByRole("alert")).toContainText("Choose from 1 to 16 fabrics");
  await page.getByRole("button", { name: "Add a bundle" }).click();
  await page.getByLabel("Width, across the fabric").fill("22");
  await look.click();
  await expect(page.getByLabel("Length", { exact: true })).toHaveAttribute("aria-invalid", "true");
  await page.getByLabel("Length", { exact: true }).fill("18");
  await page.getByLabel("The largest square insert it does for").check();
  await look.click();
  const first = page.locator(".becomes > li").first();
  await expect(first).toContainText("the largest");
  await accessible(page);
  await page.getByLabel("An insert of this size").check();
  await look.click();
  await expect(first).toContainText("For an insert of 16″ × 16″.");
  await first.getByText("What is left and lost").click();
  await expect(first.getByText(/^bundle 1: /)).toBeVisible();
  const title = (await first.getByRole("heading").textContent()) ?? "";
  await first.getByRole("button", { name: "Plan this" }).click();
  await expect(page).toHaveURL(/\/plans\//);
  await shown(page);
  const id = page.url().split("/").at(-1) ?? "";
  const { plan, reckoning } = await stored(workshop, id);
  expect(plan.title.replaceAll(/[⁄\s]/g, "")).toBe(title.replaceAll(/[/\s]/g, ""));
  expect(reckoning.findings.filter((f: { code: string }) => f.code === "cloth-short")).toEqual([]);
  // For the plan at hand: what else its fabrics could be.
  await open(page, `${workshop.url}/plans/${id}/cut`);
  await page.getByRole("link", { name: "What else could it be?" }).click();
  await expect(page.getByLabel("An insert of this size")).toHaveCount(0);
  await page.getByRole("link", { name: "Back to the plan" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Cut");
});

test("too little fabric is made to do by one press", async ({ page, workshop }) => {
  const plan = {
    format: "umschlag/plan/2",
    title: "Short of moss",
    units: "in",
    object: { kind: "form", width: "16", height: "16", fill: "feather" },
    cover: { kind: "cushion" },
    cloths: { A: { name: "moss", have: "22 1/2" } },
    pieces: {
      front: { face: { kind: "grid", columns: 9, rows: 9, cloths: ["A"], patch: { fit: true } } },
      back: { face: { kind: "plain", cloth: "A" } },
    },
  };
  const made = await posted(workshop, plan);
  await open(page, `${workshop.url}/plans/${made.id}/cut`);
  const short = page.locator(".finding").filter({ hasText: "are needed" });
  await expect(short).toBeVisible();
  await page.getByRole("button", { name: "A grid of 8 × 8 larger patches" }).click();
  await expect(short).toHaveCount(0);
  await expect(page.getByRole("region", { name: "Fabric moss" })).toContainText(": enough.");
  await saved(page);
  expect((await stored(workshop, made.id)).plan.pieces.front.face).toMatchObject({ columns: 8, rows: 8 });
});

import { readFileSync } from "node:fs";
import { accessible, expect, open, test } from "./app";

const csv = (text: string | Buffer) => ({ name: "cloths.csv", mimeType: "text/csv", buffer: Buffer.from(text) });

test("the cupboard goes out as a table and comes in after a look", async ({ page, demo }) => {
  await open(page, `${demo.url}/cloth`);
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: /Download as CSV.*cupboard/ }).click(),
  ]);
  const table = readFileSync(await download.path(), "utf8");
  const input = page.getByLabel("CSV file with fabrics");
  await input.setInputFiles(csv(table));
  await expect(page.getByText(/^All \d+ fabrics are in the cupboard just so/)).toBeVisible();
  await page.getByRole("button", { name: "Cancel" }).click();

  await input.setInputFiles(csv('name,have\nmadder stripe,3 yd\n"sea, linen",1 yd\n'));
  await expect(page.getByText("1 new, 1 changed, 0 as they are.")).toBeVisible();
  await expect(page.getByRole("heading", { name: "sea, linen" })).toHaveCount(0);
  await accessible(page.getByRole("region", { name: "The cupboard as a table" }));
  await page.getByRole("button", { name: "Take it in" }).click();
  await expect(page.getByRole("heading", { name: "sea, linen" })).toBeVisible();
  await expect(page.getByText("1 put in, 1 changed.")).toBeVisible();
});

test("a table with mistakes is refused whole, each named", async ({ page, demo }) => {
  await open(page, `${demo.url}/cloth`);
  const cloths = page.getByRole("heading", { level: 2 });
  await expect(page.getByRole("heading", { name: "calico" })).toBeVisible();
  const before = await cloths.count();
  const input = page.getByLabel("CSV file with fabrics");
  await input.setInputFiles(csv("name,have\ngood one,1 yd\nbad one,much\nother,1 yd,too many\n"));
  const alert = page.getByRole("alert");
  await expect(alert).toContainText("Row 3, column have");
  await expect(alert).toContainText("Row 4: it has 3 fields");
  await input.setInputFiles(csv(Buffer.from("name\nna\xefve\n", "latin1")));
  await expect(alert).toContainText("Row 2: the file is not in UTF-8");
  await input.setInputFiles(csv(`name\n${"x\n".repeat(100_000)}`));
  await expect(alert).toContainText("stands in row 2 already");
  await input.setInputFiles(csv(`name\n${Array.from({ length: 100_000 }, (_, i) => i).join("\n")}`));
  await expect(alert).toContainText("there are more than 2000 fabrics");
  await expect(cloths).toHaveCount(before);
  await accessible(alert);
});

test("thread and zips go out as a table and come in after a look", async ({ page, demo }) => {
  await open(page, `${demo.url}/cloth`);
  await expect(page.getByRole("link", { name: /Download as CSV.*notions/ })).toHaveAttribute(
    "href",
    "/api/v1/notions.csv",
  );
  const input = page.getByLabel("CSV file with notions");
  await input.setInputFiles(csv("name,for,count\nred zips,zip,some\n"));
  await expect(page.getByRole("alert")).toContainText("Row 2, column count");
  await input.setInputFiles(csv("name,for,count,each\nred zips,zip,3,12\n"));
  const look = page.getByRole("region", { name: "Thread and notions as a table" });
  await expect(look).toContainText("red zips is put in");
  await accessible(look);
  await look.getByRole("button", { name: "Take it in" }).click();
  await expect(page.getByText("as zip, 3 of 12″")).toBeVisible();
});

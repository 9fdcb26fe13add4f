import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Page } from "@playwright/test";
import { accessible, expect, open, type Server, stored, test } from "./app";

const hood = "turntable-hood-listening-corner";

/** Sets a device by the interface that the page uses, too. */
async function device(server: Server, id: string, change: object) {
  const answer = await fetch(`${server.url}/api/v1/devices/${id}`, {
    method: "PUT",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(change),
  });
  expect(answer.status).toBe(200);
}

/** The tray at the foot of every place. */
const tray = (page: Page) => page.getByRole("complementary", { name: "Devices" });

/** Lays a stand-in on something and presses its button. */
async function measure(page: Page, size: string, button = "Measure") {
  const label = button === "Measure" ? "it lies along" : "on it are";
  await tray(page).getByLabel(label).fill(size);
  await tray(page).getByRole("button", { name: button }).click();
}

const tapeFaults = { noise: 0, unit: "cm", battery: 100, gone: false };

test("a tape reads into the value at hand, and nothing without one", async ({ page, demo }) => {
  await open(page, `${demo.url}/devices`);
  await page
    .getByRole("group", { name: "Bending tape" })
    .getByRole("checkbox", { name: /Connected/ })
    .click();
  await expect(tray(page)).toContainText("Bending tape reads into the value you click next");
  await measure(page, "45 cm");
  await expect(tray(page)).toContainText("45 cm came, and no value was at hand.");
  await accessible(tray(page));

  await open(page, `${demo.url}/plans/${hood}`);
  const field = page.getByRole("textbox", { name: "Length of the box", exact: true });
  await field.click();
  await expect(tray(page)).toContainText("reads into Length of the box");
  await measure(page, "45 cm");
  await expect(tray(page)).toContainText("45 cm is entered for Length of the box.");
  await expect(field).toHaveValue("45 cm");
  await expect.poll(async () => (await stored(demo, hood)).plan.object.length).toBe("45 cm");

  // Another place goes on after what was taken here.
  const asked = page.waitForRequest(/\/readings\?after=/);
  await page.getByRole("link", { name: "Samples" }).click();
  const { last } = await (await fetch(`${demo.url}/api/v1/devices`)).json();
  expect(new URL((await asked).url()).searchParams.get("after")).toBe(String(last));
  await page.goBack();

  // It is as if it were typed: what cannot be cut is said where it stands, and undone.
  await page.getByRole("textbox", { name: "Radius of the cut corner" }).click();
  await measure(page, "90 cm");
  await expect(page.getByText("does not fit a panel").first()).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("does not fit a panel")).toHaveCount(0);
});

test("at a measuring step one side after the other is measured, and a slip of the unit is asked about", async ({
  page,
  demo,
}) => {
  const id = "story-hour-patchwork-cushion";
  await device(demo, "tape", { connected: true, faults: { ...tapeFaults, unit: "cm-as-in" } });
  await open(page, `${demo.url}/plans/${id}/sew`);
  await page.getByRole("button", { name: "Measure the front" }).click();
  await page.getByRole("textbox", { name: "Measured across" }).click();
  await measure(page, "17 1/2 in");
  await expect(page.getByRole("textbox", { name: "Measured up" })).toBeFocused();
  await expect(page.getByRole("button", { name: "I measured twice: it is so" })).toBeVisible(); // 44½ in
  await device(demo, "tape", { faults: tapeFaults });
  await measure(page, "45 cm");
  await expect(tray(page)).toContainText("45 cm is entered for Measured up.");
  await expect.poll(async () => (await stored(demo, id)).plan.measured?.at(-1)?.height).toBe("45 cm");
});

test("a tape that fails is named, and nothing is entered", async ({ page, demo }) => {
  await device(demo, "tape", { connected: true, faults: { ...tapeFaults, unit: "none" } });
  await open(page, `${demo.url}/plans/${hood}`);
  const before = (await stored(demo, hood)).plan;
  await page.getByRole("textbox", { name: "Length of the box", exact: true }).click();
  await measure(page, "45 cm");
  await expect(tray(page)).toContainText("without a unit it can be read in. Set the tape to inches or centimetres");
  await device(demo, "tape", { faults: { ...tapeFaults, noise: 9 } });
  await measure(page, "45 cm");
  await expect(tray(page)).toContainText("Hold the tape still");
  await device(demo, "tape", { faults: { ...tapeFaults, battery: 3 } });
  await measure(page, "45 cm");
  await expect(tray(page)).toContainText("Change the battery");
  await device(demo, "tape", { faults: { ...tapeFaults, gone: true } });
  await expect(tray(page)).toContainText("does not answer any more. Nothing was entered");
  await expect(tray(page).getByRole("button", { name: "Measure" })).toHaveCount(0);
  expect((await stored(demo, hood)).plan).toEqual(before);
});

test("a scale weighs the fibre of an insert and a piece of fabric", async ({ page, demo }) => {
  await device(demo, "scale", { connected: true, faults: { noise: 0, unit: "g", battery: 100, gone: false } });
  await open(page, `${demo.url}/plans/poetry-corner-cushion/sew`);
  await page.getByRole("button", { name: "Make the insert" }).click();
  await page.getByRole("textbox", { name: "Fibre, in grams" }).click();
  await measure(page, "412", "Weigh");
  await expect(page.getByText("92 g more than the insert takes")).toBeVisible();
  await measure(page, "250", "Weigh");
  await expect(page.getByText("more than the insert takes")).toHaveCount(0);
  await expect
    .poll(async () => (await stored(demo, "poetry-corner-cushion")).plan.measured?.at(-1))
    .toEqual({ gate: "gate.role:filled", weight: 250 });

  await open(page, `${demo.url}/cloth`);
  await page.getByRole("button", { name: "Change moss leaf" }).click();
  await page.getByText("Length by weight").click();
  await page.getByLabel("The square weighs, g").click();
  await measure(page, "1.5", "Weigh");
  await expect(tray(page)).toContainText("1.5 g is entered for The square weighs.");
  await page.getByLabel("Width of the piece").fill("1 m");
  await page.getByLabel("The piece weighs, g").click();
  await measure(page, "150", "Weigh");
  await expect(page.getByText("150 g ÷ 1.5 g are 100.0 squares of")).toBeVisible(); // 1 m² on 1 m
  await page.getByRole("button", { name: "Take it as the length left" }).click();
  await expect(page.getByLabel("Length left")).toHaveValue("39 1/4"); // 1 m is 39.37 in: what is not there cannot be cut
});

test("a cutter cuts, jams, goes on, and is cancelled", async ({ page, demo }) => {
  await device(demo, "cutter", { connected: true, pace: { speed: 20_000, jam_after: 50, gone: false } });
  await open(page, `${demo.url}/plans/${hood}`);
  await page.getByRole("button", { name: "End panel", exact: true }).click();
  await page.getByRole("button", { name: "End panel to the cutter" }).click();
  const job = page.getByRole("region", { name: /End panel, Turntable hood.* on the cutter/ });
  await expect(job).toContainText("The fabric has slipped under the knife. Smooth it down where it lies, and go on.");
  await expect(job.getByRole("img", { name: "What the cutter has done" })).toBeVisible();
  await accessible(job);
  await job.getByRole("button", { name: "Go on" }).click();
  await expect(job).toContainText("The cutter is done.");
  await expect(job).toContainText("100%");
  await job.getByRole("button", { name: "Clear" }).click();
  await expect(job).toHaveCount(0);

  await device(demo, "cutter", { pace: { speed: 10, jam_after: 0, gone: false } });
  const before = (await stored(demo, hood)).plan;
  await page.getByRole("button", { name: "End panel to the cutter" }).click();
  await expect(job).toContainText("is at work");
  await page.getByRole("button", { name: "Main panel", exact: true }).click();
  await page.getByRole("button", { name: "Main panel to the cutter" }).click();
  await expect(page.getByText("The cutter is still at End panel")).toBeVisible();
  await job.getByRole("button", { name: "Cancel" }).click();
  await expect(job).toContainText("was stopped before it was done");

  await page.getByRole("button", { name: "Main panel to the cutter" }).click();
  await expect(page.getByRole("region", { name: /Main panel, .* on the cutter/ })).toContainText("is at work");
  await device(demo, "cutter", { pace: { speed: 10, jam_after: 0, gone: true } });
  await expect(tray(page)).toContainText("The cutter does not answer any more. The plan is as it was");
  expect((await stored(demo, hood)).plan).toEqual(before);
});

test("a printer prints the plan and labels for its piles", async ({ page, demo }) => {
  await device(demo, "printer", { connected: true, pace: { speed: 500, jam_after: 0, gone: false } });
  await open(page, `${demo.url}/plans/${hood}/print`);
  await page.getByRole("button", { name: "The plan to the printer" }).click();
  await expect(tray(page)).toContainText("The printer is done.");
  await open(page, `${demo.url}/plans/${hood}/sew/labels`);
  await page.getByRole("button", { name: "The labels to the printer" }).click();
  const job = page.getByRole("region", { name: /Labels, Turntable hood/ });
  await expect(job).toContainText("The printer is done.");
  const { reckoning } = await stored(demo, hood);
  await expect(job).toContainText(`${reckoning.cuts.length} of ${reckoning.cuts.length} pages`);

  // Poppler reads what came out: one label a page, 62 by 29 mm, with the size of its pieces.
  const pdf = await fetch(`${demo.url}${await job.getByRole("link", { name: "What came out" }).getAttribute("href")}`);
  const dir = mkdtempSync(join(tmpdir(), "umschlag-labels-"));
  const path = join(dir, "labels.pdf");
  writeFileSync(path, Buffer.from(await pdf.arrayBuffer()));
  const info = execFileSync("pdfinfo", [path], { encoding: "utf8" });
  const text = execFileSync("pdftotext", ["-layout", path, "-"], { encoding: "utf8" });
  rmSync(dir, { recursive: true });
  expect(info).toContain(`Pages:           ${reckoning.cuts.length}`);
  const [, wide, high] = /Page size:\s+([\d.]+) x ([\d.]+) pts/.exec(info) ?? [];
  expect((Number(wide) / 72) * 25.4).toBeCloseTo(62, 1);
  expect((Number(high) / 72) * 25.4).toBeCloseTo(29, 1);
  for (const cut of reckoning.cuts) {
    expect(text).toContain(cut.title);
    expect(text).toContain(
      `${cut.total === 1 ? "1 piece" : `${cut.total} pieces`}, ${cut.width.text} × ${cut.height.text}`,
    );
  }
});

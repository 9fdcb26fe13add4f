// Takes the pictures in docs/screenshots from a fresh copy of the demo data.
import { spawn } from "node:child_process";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { chromium } from "@playwright/test";
import { deep, executablePath } from "../e2e/chromium.mjs";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const reading = "/plans/reading-corner-cushion";
const patchwork = "/plans/story-hour-patchwork-cushion";
const pinwheels = "/plans/pinwheel-cushion-for-the-reading-corner";
const pictures = [
  { name: "shelf", path: "/" },
  { name: "draft", path: reading, before: (page) => page.getByText("border 1").first().hover() },
  {
    name: "fold",
    path: "/plans/turntable-hood-listening-corner",
    before: async (page) => {
      await page.getByRole("button", { name: "Fold it up" }).click();
      await page.getByRole("slider", { name: "From flat to closed" }).fill("72");
      await page.getByRole("checkbox", { name: "which way the fabric runs" }).check();
      await page.locator(".fold-frame[data-fine]").waitFor();
    },
  },
  {
    name: "shapes",
    path: "/plans/van-cushion-in-four-layers",
    before: (page) => page.getByRole("button", { name: /^Body on the front/ }).focus(),
  },
  {
    name: "cut",
    path: `${reading}/cut`,
    before: (page) => page.getByRole("heading", { name: "madder stripe" }).scrollIntoViewIfNeeded(),
  },
  {
    name: "table",
    path: `${reading}/cut/table`,
    size: { width: 820, height: 1180 },
    before: async (page) => {
      await page.getByRole("button", { name: "Done" }).click();
      await page.getByRole("button", { name: "Done" }).click();
    },
  },
  {
    name: "sew",
    path: `${pinwheels}/sew`,
    before: async (page) => {
      await page.getByRole("button", { name: "Sew row 2" }).click();
      await page.getByText("The pressing plan, seen from the back").click();
    },
  },
  {
    name: "sew-gate",
    path: `${patchwork}/sew`,
    before: (page) => page.getByRole("button", { name: "Measure the front" }).click(),
  },
  { name: "samples", path: "/samples" },
  { name: "schedule", path: "/plans/turntable-hood-listening-corner/sew/schedule" },
  { name: "practice", path: "/practice?kind=tape&number=7" },
  { name: "cloth", path: "/cloth" },
  { name: "shopping", path: "/cloth/shopping" },
  {
    name: "become",
    path: "/cloth/become",
    before: async (page) => {
      for (const name of ["chalk dot", "ink leaf", "madder check", "straw dot"]) await page.getByLabel(name).check();
      await page.getByRole("button", { name: "Look what it can become" }).click();
      await page.locator(".becomes > li").first().waitFor();
      await page.locator(".becomes").evaluate((list) => list.scrollIntoView());
    },
  },
  { name: "together", path: "/cloth/together?cloth=moss+leaf" },
  { name: "cost", path: "/plans/lavender-mini-first-of-a-dozen/cut/cost", scheme: "dark" },
  { name: "log", path: "/log" },
  { name: "habits", path: "/habits" },
  {
    name: "devices",
    path: "/plans/turntable-hood-listening-corner",
    before: async (page) => {
      const set = (id, change) => page.request.put(`/api/v1/devices/${id}`, { data: change });
      await set("tape", { connected: true });
      await set("cutter", { connected: true, pace: { speed: 2000, jam_after: 60, gone: false } });
      await page.reload();
      await page.getByRole("button", { name: "End panel", exact: true }).click();
      await page.getByRole("button", { name: "End panel to the cutter" }).click();
      await page.getByText("slipped under the knife").waitFor();
      await page.getByRole("textbox", { name: "Length of the box", exact: true }).click();
      await page.getByRole("button", { name: "Measure", exact: true }).click();
      await page.getByText("is entered for Length of the box").waitFor();
    },
  },
];

const server = spawn(join(root, "bin/umschlag"), ["demo", "--listen", "127.0.0.1:0"]);
const url = await new Promise((resolve) =>
  server.stdout.on("data", (data) => resolve(/http:\S+/.exec(String(data))[0])),
);
const browser = await chromium.launch({ executablePath, args: deep });

/** The place has read all that it shows, and it is on the screen. */
async function shown(page) {
  await page.locator("main[aria-busy=false]").waitFor({ state: "attached" });
  await page.evaluate(async () => {
    await document.fonts.ready;
    await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)));
  });
}

try {
  const only = process.argv.slice(2);
  const page = await browser.newPage({ baseURL: url, reducedMotion: "reduce" });
  for (const { name, path, before, scheme, size } of pictures.filter(
    (p) => only.length === 0 || only.includes(p.name),
  )) {
    await page.setViewportSize(size ?? { width: 1280, height: 800 });
    await page.emulateMedia({ colorScheme: scheme ?? "light" });
    await page.goto(url + path);
    await shown(page);
    await before?.(page);
    await shown(page);
    await page.screenshot({ path: join(root, "docs/screenshots", `${name}.png`), animations: "disabled" });
    await page.mouse.move(0, 0);
  }
} finally {
  await browser.close();
  server.kill();
}

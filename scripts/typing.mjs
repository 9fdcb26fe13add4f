// Tells how long what is typed takes until it is drawn: from the key to the frame that shows it, in percentiles, and
// which of the page's work keeps it from answering meanwhile.
import { spawn } from "node:child_process";
import { readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { chromium } from "@playwright/test";
import { executablePath, flat } from "../e2e/chromium.mjs";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const keys = Number(process.env.KEYS ?? 60);
const warm = 10; // the first keys, while the page's script is still being compiled

/** The patchwork of the demo with a front of so many patches a side. */
function manyPatches(a_side) {
  const plan = JSON.parse(readFileSync(join(root, "demo/patchwork-cushion.json"), "utf8"));
  const { measured: _, progress: __, ...rest } = plan;
  const order = { columns: a_side, rows: a_side, patch: { width: "1", height: "1" } };
  const face = { ...plan.pieces.front.face, ...order };
  const side = `${a_side + 1}`;
  const object = { ...plan.object, width: side, height: side };
  return { ...rest, title: "Many patches", object, pieces: { ...plan.pieces, front: { face } } };
}

const subjects = [
  { name: "16 patches", title: "Story-hour patchwork cushion" },
  { name: "13 blocks on point", title: "Returns-desk" },
  { name: "a hood", title: "Turntable hood" },
  { name: "1,156 patches", plan: manyPatches(34) },
];

const percentile = (sorted, p) => sorted[Math.min(sorted.length - 1, Math.ceil((p / 100) * sorted.length) - 1)];

/** Types digits over the last one of a value, and tells when each was drawn. */
async function type(page, name) {
  const field = page.getByRole("textbox", { name, exact: true }).first();
  await field.click();
  const was = await field.inputValue();
  const last = was.at(-1) === "9" ? 8 : Number(was.at(-1));
  await page.evaluate(() => {
    const seen = { at: 0, drawn: 0, long: [] };
    Object.assign(window, { seen });
    addEventListener("input", (e) => Object.assign(seen, { at: e.timeStamp, drawn: 0 }), true);
    // After the frame is painted, the next task runs.
    const painted = new MessageChannel();
    painted.port1.onmessage = () => Object.assign(seen, { drawn: performance.now() });
    const watched = document.querySelector("main svg").closest("main");
    new MutationObserver((all) => {
      if (all.some((m) => m.target.parentElement?.closest("svg")))
        requestAnimationFrame(() => painted.port2.postMessage(0));
    }).observe(watched, { subtree: true, childList: true, attributes: true, characterData: true });
    new PerformanceObserver((list) => {
      for (const task of list.getEntries()) seen.long.push(task.duration);
    }).observe({ type: "longtask" });
  });
  const took = [];
  for (let i = 0; i < keys + warm; i++) {
    await page.keyboard.press("End");
    await page.keyboard.press("Shift+ArrowLeft");
    if (i === warm) await page.evaluate(() => seen.long.splice(0));
    const answer = page.waitForResponse((r) => r.url().includes("/reckon"));
    await page.keyboard.press(`${last + ((i + 1) % 2)}`);
    await (await answer).finished();
    await page.waitForFunction(() => seen.drawn > 0);
    // What is still to be drawn has its turn before an idle moment.
    await page.evaluate(() => new Promise((done) => requestIdleCallback(() => requestIdleCallback(done))));
    took.push(await page.evaluate(() => seen.drawn - seen.at));
  }
  const long = await page.evaluate(() => seen.long);
  return { took: took.slice(warm).sort((a, b) => a - b), long };
}

const server = spawn(join(root, "bin/umschlag"), ["demo", "--listen", "127.0.0.1:0"], {
  stdio: ["ignore", "pipe", "inherit"],
});
const url = await new Promise((resolve) => {
  let out = "";
  server.stdout.on("data", (data) => {
    const open = /open at (\S+)/.exec((out += data));
    if (open) resolve(open[1]);
  });
});
const browser = await chromium.launch({ executablePath, args: flat });
try {
  const page = await browser.newPage({ baseURL: url, viewport: { width: 1280, height: 800 }, reducedMotion: "reduce" });
  for (const { name, title, plan } of subjects) {
    if (plan) await page.request.post("/api/v1/plans", { data: { plan } });
    const shelf = await (await page.request.get("/api/v1/plans")).json();
    const { id } = shelf.plans.find((one) => one.title.startsWith(title ?? plan.title));
    await page.goto(`/plans/${id}`);
    await page.locator("main[aria-busy=false]").waitFor();
    const { took, long } = await type(page, "Width");
    const at = (p) => `${percentile(took, p).toFixed(0)} ms`.padStart(7);
    const most = long.length ? `, the longest ${Math.max(...long).toFixed(0)} ms` : "";
    console.log(`${name.padEnd(20)} p50 ${at(50)}  p95 ${at(95)}  ${long.length} tasks over 50 ms${most}`);
  }
} finally {
  await browser.close();
  server.kill();
}

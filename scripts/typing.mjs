// Tells how long a value that is typed takes until it is drawn: from the key to the frame that shows it, in
// percentiles, and which of the page's work keeps it from answering meanwhile. A machine that is shared tells nothing:
// how much of its processors went to others is told with each.
import { spawn } from "node:child_process";
import { readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { chromium } from "@playwright/test";
import { executablePath, flat } from "../e2e/chromium.mjs";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const keys = Number(process.env.KEYS ?? 60);
const warm = 10; // the first keys, while the page's script is still being compiled

/** The patchwork of the demo before anything of it is made, with a front of so many patches a side. */
function patchwork(side, patch) {
  const plan = JSON.parse(readFileSync(join(root, "demo/patchwork-cushion.json"), "utf8"));
  const { measured: _, progress: __, ...rest } = plan;
  const order = { columns: side, rows: side, patch: { width: patch, height: patch } };
  const face = { ...plan.pieces.front.face, ...order };
  const whole = `${side * Number(patch) + 1}`;
  const object = { ...plan.object, width: whole, height: whole };
  return { ...rest, title: `Patches ${side} by ${side}`, object, pieces: { ...plan.pieces, front: { face } } };
}

const subjects = [
  { name: "16 patches", plan: patchwork(4, "4"), field: "Overlap of the back", values: ["4 1/2", "5"] },
  { name: "13 blocks on point", title: "Returns-desk", field: "Finished width of a patch", values: ["4 1/2", "4 1/4"] },
  { name: "a hood", title: "Turntable", field: "Length of the box", values: ["17", "17 1/2"] },
  { name: "1,156 patches", plan: patchwork(34, "1"), field: "Overlap of the back", values: ["4 1/2", "5"] },
];

/** What the processors were asked for so far, and what of it they did for other machines meanwhile. */
function processors() {
  const [user, nice, system, , , irq, soft, stolen] = /^cpu +(.*)$/m
    .exec(readFileSync("/proc/stat", "utf8"))[1]
    .split(" ")
    .map(Number);
  return { asked: user + nice + system + irq + soft + stolen, stolen };
}

const percentile = (sorted, p) => sorted[Math.min(sorted.length - 1, Math.ceil((p / 100) * sorted.length) - 1)];

/**
 * Puts one value for another, and tells when each was drawn. The page types by itself: a driver that is told of every
 * request and answer would take its part of the processors while it is waited for.
 */
async function type(page, name, values) {
  await page.getByRole("textbox", { name, exact: true }).first().click();
  return page.evaluate(
    async ({ values, keys, warm }) => {
      const seen = { at: 0, drawn: 0, long: [] };
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

      const idle = () => new Promise((done) => requestIdleCallback(() => requestIdleCallback(done)));
      const pause = (ms) => new Promise((done) => setTimeout(done, ms));
      const field = document.activeElement;
      const took = [];
      for (let i = 0; i < keys + warm; i++) {
        if (i === warm) seen.long.splice(0);
        field.select();
        await idle();
        await pause(40 + ((i * 7) % 17)); // keys come at any moment between two frames
        document.execCommand("insertText", false, values[(i + 1) % 2]);
        while (seen.drawn < seen.at) await pause(20);
        await pause(40);
        await idle();
        took.push(seen.drawn - seen.at);
      }
      return { took: took.slice(warm).sort((a, b) => a - b), long: seen.long };
    },
    { values, keys, warm },
  );
}

const server = spawn(join(root, "bin/umschlag"), ["demo", "--listen", "127.0.0.1:0"], {
  stdio: ["ignore", "pipe", "inherit"],
});
const url = await new Promise((resolve) => {
  let out = "";
  server.stdout.on("data", (data) => {
    out += data;
    const open = /open at (\S+)/.exec(out);
    if (open) resolve(open[1]);
  });
});
const browser = await chromium.launch({ executablePath, args: flat });
try {
  const page = await browser.newPage({ baseURL: url, viewport: { width: 1280, height: 800 }, reducedMotion: "reduce" });
  for (const { name, title, plan, field, values } of subjects) {
    if (plan) await page.request.post("/api/v1/plans", { data: { plan } });
    const shelf = await (await page.request.get("/api/v1/plans")).json();
    const { id } = shelf.find((one) => one.title.startsWith(title ?? plan.title));
    await page.goto(`/plans/${id}`);
    await page.locator("main[aria-busy=false]").waitFor();
    const before = processors();
    const { took, long } = await type(page, field, values);
    const after = processors();
    const lost = Math.round((100 * (after.stolen - before.stolen)) / (after.asked - before.asked));
    const at = (p) => `${percentile(took, p).toFixed(0)} ms`.padStart(7);
    const most = long.length ? `, the longest ${Math.max(...long).toFixed(0)} ms` : "";
    console.log(
      `${name.padEnd(20)} p50 ${at(50)}  p95 ${at(95)}  ${long.length} tasks over 50 ms${most}; to others ${lost} %`,
    );
  }
} finally {
  await browser.close();
  server.kill();
}

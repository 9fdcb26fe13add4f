// Tells how long a value that is typed takes until it is drawn: from the key to the frame that shows it, in
// percentiles, and which of the page's work keeps it from answering meanwhile. How fast a machine is, and how much of its
// processors went to others, is told with each: beside it stands what a bare page takes that asks the same.
import { spawn } from "node:child_process";
import { readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { chromium } from "@playwright/test";
import { executablePath, flat } from "../e2e/chromium.mjs";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const keys = Number(process.env.KEYS ?? 60);
const warm = 10; // the first keys, while the page's script is still being compiled
const turns = 6;

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

/** Readies a page to be typed in: what it is told of each key is when its input came, and when it was drawn. */
async function ready(page, name) {
  await page.bringToFront();
  await page.getByRole("textbox", { name, exact: true }).first().click();
  await page.evaluate(() => {
    const seen = { at: 0, drawn: 0, long: [] };
    globalThis.seen = seen;
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
}

/**
 * Puts one value for another so many times, and tells how long each took. The page types by itself: a driver that is
 * told of every request and answer would take its part of the processors while it is waited for.
 */
async function type(page, values, keys) {
  await page.bringToFront();
  return page.evaluate(
    async ({ values, keys }) => {
      const { seen } = globalThis;
      const idle = () => new Promise((done) => requestIdleCallback(() => requestIdleCallback(done)));
      const pause = (ms) => new Promise((done) => setTimeout(done, ms));
      const field = document.activeElement;
      const took = [];
      seen.long.splice(0);
      for (let i = 0; i < keys; i++) {
        field.select();
        await idle();
        await pause(40 + ((i * 7) % 17)); // keys come at any moment between two frames
        document.execCommand("insertText", false, values[(i + 1) % 2]);
        while (seen.drawn < seen.at) await pause(20);
        await pause(40);
        await idle();
        took.push(seen.drawn - seen.at);
      }
      return { took, long: seen.long };
    },
    { values, keys },
  );
}

/** What is asked of the server at a key, for each of the values, the first of which is there: address and plan. */
async function questions(page, name, values) {
  const field = page.getByRole("textbox", { name, exact: true }).first();
  const asked = [];
  for (const value of values.toReversed()) {
    const next = page.waitForRequest(/\/reckon\?/);
    await field.fill(value);
    const request = await next;
    await (await request.response()).finished();
    asked.push([value, { url: request.url(), body: request.postData() }]);
  }
  await field.press("Escape");
  return Object.fromEntries(asked);
}

/** A page with nothing but the value and a number drawn, which asks the same at each key: what no page is under here. */
async function bare(context, name, asked) {
  const page = await context.newPage();
  const html = `<!doctype html><main><input aria-label="${name}"><svg><text y="20"></text></svg></main>`;
  await page.route("**/bare", (route) => route.fulfill({ contentType: "text/html", body: html }));
  await page.goto("/bare");
  await page.unrouteAll();
  await page.evaluate((asked) => {
    const drawn = document.querySelector("text");
    const headers = { "content-type": "application/json" };
    document.querySelector("input").addEventListener("input", async (e) => {
      const { url, body } = asked[e.target.value];
      const answer = await fetch(url, { method: "POST", headers, body });
      const { findings } = JSON.parse(await answer.text());
      drawn.textContent = `${findings.length} findings, ${e.target.value}`;
    });
  }, asked);
  return page;
}

/** Types in some pages by turns, so that what the machine does besides falls on all of them alike. */
async function inTurns(pages, name, values) {
  for (const page of pages) {
    await ready(page, name);
    await type(page, values, warm);
  }
  const told = pages.map(() => ({ took: [], long: [] }));
  for (let turn = 0; turn < turns; turn++) {
    for (const [i, page] of pages.entries()) {
      const { took, long } = await type(page, values, keys / turns);
      told[i].took.push(...took);
      told[i].long.push(...long);
    }
  }
  return told.map(({ took, long }) => {
    const sorted = took.sort((a, b) => a - b);
    return { p50: percentile(sorted, 50), p95: percentile(sorted, 95), long };
  });
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
  const viewport = { width: 1280, height: 800 };
  const context = await browser.newContext({ baseURL: url, viewport, reducedMotion: "reduce" });
  const page = await context.newPage();
  for (const { name, title, plan, field, values } of subjects) {
    if (plan) await page.request.post("/api/v1/plans", { data: { plan } });
    const shelf = await (await page.request.get("/api/v1/plans")).json();
    const { id } = shelf.find((one) => one.title.startsWith(title ?? plan.title));
    await page.goto(`/plans/${id}`);
    await page.locator("main[aria-busy=false]").waitFor();
    const asked = await questions(page, field, values);
    const least = await bare(context, field, asked);
    const before = processors();
    const [{ p50, p95, long }, floor] = await inTurns([page, least], field, values);
    const after = processors();
    await least.close();
    const lost = Math.round((100 * (after.stolen - before.stolen)) / (after.asked - before.asked));
    const ms = (n) => n.toFixed(0).padStart(4);
    const ratio = `${(p50 / floor.p50).toFixed(1)} and ${(p95 / floor.p95).toFixed(1)} times`;
    const most = long.length ? `, the longest ${Math.max(...long).toFixed(0)} ms` : "";
    console.log(
      `${name.padEnd(20)} p50${ms(p50)} ms  p95${ms(p95)} ms, ${ratio} a bare page’s${ms(floor.p50)} and${ms(floor.p95)}; ` +
        `${long.length} tasks over 50 ms${most}; to others ${lost} %`,
    );
  }
} finally {
  await browser.close();
  server.kill();
}

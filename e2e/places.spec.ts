import type { Page } from "@playwright/test";
import { accessible, expect, open, put, saved, seen, takes, test } from "./app";

/** Every place, by threes: those of one line are walked one after the other in one workshop. */
const places = [
  ["/", "/plans/reading-corner-cushion", "/plans/reading-corner-cushion/cut"],
  ["/plans/story-hour-patchwork-cushion/sew", "/cloth", "/cloth/shopping"],
  ["/cloth/together?cloth=moss+leaf", "/plans/lavender-mini-first-of-a-dozen/cut/cost", "/samples"],
  ["/plans/turntable-hood-listening-corner/sew/schedule", "/plans/story-mat-seat-pad/sew/labels", "/devices"],
  ["/practice?kind=tape&number=7", "/log", "/plans/story-mat-seat-pad/sew/habits"],
  ["/plans/van-cushion-in-four-layers/print", "/habits"],
];

/** How far the page reaches beyond the window: only the place scrolls, not the page with its head. */
const beyond = (page: Page) =>
  page.evaluate(() => ({
    below: Math.max(0, document.documentElement.scrollHeight - window.innerHeight),
    aside: Math.max(0, document.documentElement.scrollWidth - window.innerWidth),
  }));

interface Moved {
  by: number;
  what: string[];
}

/** Watches what moves while a page comes. */
const watchMoves = (page: Page) =>
  page.addInitScript(() => {
    const seen = window as unknown as { moved: Moved[] };
    seen.moved = [];
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) {
        const shift = entry as unknown as { value: number; sources: { node?: Element }[] };
        seen.moved.push({ by: shift.value, what: shift.sources.map((s) => s.node?.className ?? "") });
      }
    }).observe({ type: "layout-shift", buffered: true });
  });

const moves = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<Moved[]>((done) =>
        requestAnimationFrame(() => requestAnimationFrame(() => done((window as unknown as { moved: Moved[] }).moved))),
      ),
  );

/** Sizes whose fraction does not stand in their line. */
const looseFractions = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll(".frac")]
      .filter(
        (f) =>
          !getComputedStyle(f).display.startsWith("inline") ||
          /flex|grid/.test(getComputedStyle(f.parentElement as Element).display),
      )
      .map((f) => f.parentElement?.textContent),
  );

for (const few of places) {
  test(`${few.join(", ")}: by day, by lamp and on a telephone`, async ({ page, demo }) => {
    takes(30);
    const said: string[] = [];
    const foreign: string[] = [];
    page.on("console", (m) => m.type() === "error" && said.push(m.text()));
    page.on("pageerror", (e) => said.push(e.message));
    page.on("request", (r) => !r.url().startsWith(demo.url) && !r.url().startsWith("data:") && foreign.push(r.url()));
    const asked: string[] = [];
    page.on("request", (r) => r.url().includes("/api/") && asked.push(`${path}: ${r.method()} ${r.url()}`));
    await watchMoves(page);
    let path = "";
    for (path of few) {
      await page.emulateMedia({ colorScheme: "light" });
      await page.setViewportSize({ width: 1280, height: 800 });
      await open(page, demo.url + path);
      const moved = await moves(page);
      const all = moved.reduce((sum, m) => sum + m.by, 0);
      expect(all, `nothing jumps while ${path} comes: ${JSON.stringify(moved)}`).toBeLessThan(0.05);
      await expect(page.getByRole("heading").first()).toBeAttached();
      expect(await beyond(page), path).toEqual({ below: 0, aside: 0 });
      expect(await looseFractions(page), `${path}: a fraction stands in the line of its size`).toEqual([]);
      await accessible(page);
      // The same things, by lamp and on a telephone: what changes is their colours and their places.
      await page.emulateMedia({ colorScheme: "dark" });
      await page.setViewportSize({ width: 390, height: 800 });
      await expect(page.locator("html")).toHaveCSS("color-scheme", "dark");
      expect(await beyond(page), `${path} on a telephone`).toEqual({ below: 0, aside: 0 });
      await accessible(page, seen);
    }
    expect(said, "the console stays empty").toEqual([]);
    expect(foreign, "nothing is asked of another origin").toEqual([]);
    expect(asked.sort(), "nothing is asked twice, with the page and by it").toEqual([...new Set(asked)].sort());
  });
}

test("a text that cannot be read, a button too small for a thumb, and one without a name, are found", async ({
  page,
  demo,
}) => {
  await open(page, `${demo.url}/plans/reading-corner-cushion`);
  const sum = page.locator(".tape-sum");
  await sum
    .getByRole("listitem")
    .last()
    .evaluate((item) => {
      for (const part of [item, ...item.querySelectorAll<HTMLElement>("*")]) (part as HTMLElement).style.color = "#ddd";
    });
  await expect(accessible(sum)).rejects.toThrow("color-contrast");
  await sum.evaluate((list) => {
    const small = () => Object.assign(document.createElement("button"), { textContent: "i" });
    const buttons = [small(), small()];
    for (const button of buttons) button.style.cssText = "min-width: 0; width: 9px; height: 9px; padding: 0; margin: 0";
    list.replaceChildren(...buttons);
  });
  await expect(accessible(sum)).rejects.toThrow("target-size");
  await page.getByRole("button", { name: "History" }).evaluate((button) => {
    button.replaceChildren();
    for (const name of ["aria-label", "title"]) button.removeAttribute(name);
  });
  await expect(accessible(page)).rejects.toThrow("button-name");
});

test("a term of the sum lights up its stretch of the sheet", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/reading-corner-cushion`);
  const sum = page.getByRole("list", { name: /The sum of Front, across, before quilting/ });
  await expect(page.locator(".band")).toHaveCount(0);
  await sum.getByText("border 1").first().hover();
  await expect(page.locator(".band")).toHaveCount(1);
  await page
    .getByRole("group", { name: "Sizes of the front" })
    .getByRole("button", { name: /finished/ })
    .click();
  await expect(page.getByRole("list", { name: /The sum of Front, across, finished/ })).toContainText("4 × 4″ patch");
  await page.getByRole("button", { name: "up", exact: true }).click();
  await expect(page.getByRole("list", { name: /The sum of Front, up, finished/ })).toBeVisible();
});

test("a patch on the sheet selects its cut", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/reading-corner-cushion`);
  await page
    .locator(".cell.pick")
    .nth(0)
    .click({ position: { x: 12, y: 12 } }); // one mark has all patches of its fabric
  await expect(page.getByRole("list", { name: "All cuts" }).locator("[aria-pressed=true]")).toContainText("patch");
  await expect(page.getByRole("list", { name: /The sum of Patch of ink leaf/ })).toContainText("= 41/2″");
});

test("the three orders of fabrics", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/reading-corner-cushion`);
  await page.getByRole("button", { name: "Try fabrics" }).click();
  const order = page.getByRole("combobox", { name: "Order of the fabrics" });
  await order.selectOption("scrap");
  await page.getByRole("combobox", { name: "Add a fabric to the patches" }).selectOption({ label: "sage check" });
  await saved(page);
  const layout = () =>
    page.locator(".sheet .cell").evaluateAll((cells) => cells.map((c) => c.getAttribute("fill")?.slice(-2)).join(""));
  const before = await layout();
  await page.getByRole("button", { name: "mix again" }).click();
  await expect.poll(layout).not.toBe(before);
  const mixed = await layout();
  await order.selectOption("rows");
  await saved(page);
  expect(await layout()).toBe(mixed); // laid by hand begins as it lies
  await page.getByRole("button", { name: /^C madder stripe/ }).click();
  await page.locator(".cell.pick").first().click();
  await expect.poll(layout).not.toBe(mixed);
  await put(page, "Patches across", "3");
  await expect(page.locator(".cell.pick")).toHaveCount(3 * 4 + 4 + 2); // with the border and the back
  await expect(page.getByRole("alert")).toHaveCount(0);
});

test("without a border the loss goes into the patches or into the cover", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/reading-corner-cushion`);
  await put(page, "Finished width of a patch", "4 3/4");
  await put(page, "Finished height of a patch", "4 3/4");
  await page.getByRole("button", { name: "Take border 1 off" }).click();
  await expect(page.getByRole("note").filter({ hasText: "patches are cut 55/8″ across" })).toBeVisible();
  await page.getByRole("combobox", { name: "What takes the loss" }).selectOption("accept");
  await expect(page.getByRole("note").filter({ hasText: "smaller" }).first()).toBeVisible();
  await page.getByRole("combobox", { name: "What takes the loss" }).selectOption("patch");
  await page.getByRole("combobox", { name: "Where the take-up comes from" }).selectOption("given");
  await put(page, "Take-up across", "2");
  await expect(page.getByRole("list", { name: /The sum of Front, across, before quilting/ })).toContainText(
    "quilting takes 2.00%",
  );
});

test("the cupboard: add, change, take out and put back", async ({ page, demo }) => {
  await open(page, `${demo.url}/cloth`);
  await page.getByRole("button", { name: "Change calico" }).click();
  await page.getByRole("textbox", { name: "Length left" }).fill("two");
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByRole("alert")).toContainText("start with a number");
  await page.getByRole("textbox", { name: "Length left" }).fill("2 1/2 yd");
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText("There are 21/2 yd.")).toBeVisible();
  await page.getByRole("button", { name: "Remove calico" }).click();
  await expect(page.getByRole("heading", { name: "calico" })).toHaveCount(0);
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(page.getByRole("heading", { name: "calico" })).toBeVisible();
});

test("habits: a school chosen is what the next plan begins with", async ({ page, demo }) => {
  await open(page, `${demo.url}/habits`);
  await page.getByRole("radio", { name: /two inches smaller/ }).check();
  await page.getByRole("radio", { name: /^1\/2″ For thick/ }).check();
  // A page left in the middle of a save takes the save with it.
  const kept = page.waitForResponse(
    (r) =>
      r.url().endsWith("/habits") && r.request().method() === "PUT" && (r.request().postData() ?? "").includes('"cm"'),
  );
  await page.getByRole("radio", { name: /^centimetres/ }).check();
  await kept;
  await expect(page.getByRole("radio", { name: /two inches smaller/ })).toBeChecked();
  await open(page, demo.url);
  await page.getByRole("button", { name: "Plan this cover" }).click();
  await expect(page.getByRole("textbox", { name: "Ease across" })).toHaveValue("-5.08");
  await expect(page.getByRole("textbox", { name: "Seam allowance" })).toHaveValue("1.27");
});

test("a plan put away is brought back", async ({ page, demo }) => {
  await open(page, demo.url);
  await page.getByRole("button", { name: "Put away Reading-corner cushion" }).click();
  await expect(page.getByRole("heading", { name: "Reading-corner cushion", exact: true })).toHaveCount(0);
  await page.getByRole("button", { name: "Bring it back" }).click();
  await expect(page.getByRole("heading", { name: "Reading-corner cushion", exact: true })).toBeVisible();
});

test("history brings an older version back", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/reading-corner-cushion`);
  await put(page, "Overlap of the back", "6");
  await saved(page);
  await page.getByRole("button", { name: "History" }).click();
  await page.getByRole("button", { name: "Bring back revision 1" }).click();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await expect(page.getByRole("textbox", { name: "Overlap of the back" })).toHaveValue("5");
});

test("the half-sewn demo shows the measurement that disagrees", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/story-hour-patchwork-cushion/sew`);
  await expect(page.getByRole("heading", { name: "Cut the back" })).toBeVisible();
  await expect(page.getByRole("list", { name: "Cut in this step" })).toContainText(
    "2 pieces, 111/2″ × 161/2″ back piece of harbour stripe",
  );
  await page.getByRole("button", { name: /Measure the front/ }).click();
  await expect(page.getByRole("note")).toContainText("3 seams make, each 1/32″ too wide on both sides");
});

test("fractions are set as real ones, in both type faces", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/reading-corner-cushion`);
  await page.evaluate(() => document.fonts.ready);
  for (const place of [".tape-sum .frac", ".brief .frac"]) {
    const fraction = page.locator(place).first();
    const set = await fraction.evaluate((e) => e.getBoundingClientRect().width);
    const typed = await fraction.evaluate((e) => {
      (e as HTMLElement).style.fontVariantNumeric = "normal";
      return e.getBoundingClientRect().width;
    });
    expect(set / typed, place).toBeLessThan(0.85);
  }
});

test("what is written in a drawing stays on its slip, with real fractions", async ({ page, demo }) => {
  const plan = `${demo.url}/plans/returns-desk-cushion-on-point`;
  for (const place of [plan, `${plan}/cut`]) {
    await open(page, place);
    await expect(page.locator(".slip").first()).toBeVisible();
    await page.evaluate(() => document.fonts.ready);
    const slips = await page.locator(".slip").evaluateAll((all) =>
      all.map((slip) => {
        const text = slip.nextElementSibling as SVGGraphicsElement;
        const [paper, written] = [(slip as SVGGraphicsElement).getBBox(), text.getBBox()];
        const room = { left: written.x - paper.x, right: paper.x + paper.width - written.x - written.width };
        return { ...room, text: text.textContent ?? "", letters: Number(text.getAttribute("font-size")) };
      }),
    );
    for (const { text, left, right, letters } of slips) {
      expect(Math.min(left, right) / letters, text).toBeGreaterThan(0.08);
      expect(Math.max(left, right) / letters, text).toBeLessThan(0.7);
    }
    expect(await page.locator(".slip + text .frac").count()).toBeGreaterThan(0);
  }
});

test("no line of the brief ends with a bracket, or begins with a comma, beside a button", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/returns-desk-cushion-on-point`);
  const parted = (width: number) =>
    page.locator(".brief").evaluate((brief, px) => {
      (brief as HTMLElement).style.width = `${px}px`;
      const apart: string[] = [];
      let marks = 0;
      for (const button of brief.querySelectorAll(".sentences p .word-button"))
        for (const side of [button.previousSibling, button.nextSibling]) {
          const text = side?.nodeType === Node.TEXT_NODE ? (side.textContent ?? "") : "";
          const last = side === button.previousSibling ? text.length - 1 : 0;
          if (!/[(),.;:]/.test(text[last] ?? "")) continue;
          marks++;
          const mark = document.createRange();
          mark.setStart(side as Text, last);
          mark.setEnd(side as Text, last + 1);
          const [a, b] = [mark.getBoundingClientRect(), button.getBoundingClientRect()];
          if (a.top > b.bottom - 2 || a.bottom < b.top + 2) apart.push(`${text} ${button.textContent} at ${px}`);
        }
      return { apart, marks };
    }, width);
  for (let width = 300; width < 440; width += 10) {
    const { apart, marks } = await parted(width);
    expect(apart).toEqual([]);
    expect(marks, "( and , and )").toBeGreaterThanOrEqual(3);
  }
});

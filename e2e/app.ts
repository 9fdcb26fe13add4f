import { appendFileSync, cpSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { createRequire } from "node:module";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type BrowserContext, test as base, type CDPSession, expect, type Locator, type Page } from "@playwright/test";
import type { configure, run } from "axe-core";
import { address, freePort, Server } from "./server";

export { expect, type Server };

/** Where the workshop with the demo data lies that global-setup.ts made; each test gets a copy of it. */
const demoData = () => process.env.UMSCHLAG_E2E_DEMO ?? "";

interface OfTest {
  /** A server with the demo data, and one with nothing in it: of this test alone. */
  demo: Server;
  workshop: Server;
  /** A page whose browser context knows nothing of the tests before it, for what is set up for the context as a whole. */
  apart: Page;
}

interface OfWorker {
  ports: { demo: number; workshop: number };
  window: Window;
}

/** As a person's browser is set in every test that does not say otherwise. */
const settings = { viewport: { width: 1280, height: 800 }, colorScheme: "light", reducedMotion: "reduce" } as const;

/**
 * The one window of a worker: opened once, emptied after each test. Its scripts stay fetched and
 * compiled, as they do for a person who keeps the app open.
 */
class Window {
  private page: Page | null = null;
  private storage: CDPSession | null = null;

  constructor(
    private readonly context: BrowserContext,
    private readonly origins: string[],
  ) {}

  async open(): Promise<Page> {
    if (!this.page || this.page.isClosed()) {
      this.page = await this.context.newPage();
      this.storage = await this.context.newCDPSession(this.page);
    }
    return this.page;
  }

  /** Leaves the app, and whatever it would still send. */
  async leave() {
    for (const other of this.context.pages()) if (other !== this.page) await other.close();
    if (this.page && !this.page.isClosed() && this.page.url() !== "about:blank") await this.page.goto("about:blank");
  }

  /** Forgets what a test set up or kept in it. */
  async clear() {
    await this.leave();
    const page = await this.open();
    page.removeAllListeners();
    const kept = this.origins.map((origin) =>
      this.storage?.send("Storage.clearDataForOrigin", { origin, storageTypes: "local_storage" }),
    );
    await Promise.all([
      page.unrouteAll(),
      page.setViewportSize(settings.viewport),
      page.emulateMedia({ colorScheme: settings.colorScheme, reducedMotion: settings.reducedMotion }),
      ...kept,
    ]);
  }
}

/** A directory of its own for one workshop: empty, or a copy of another. */
async function inDirectory(from: string | null, port: number, window: Window, use: (server: Server) => Promise<void>) {
  const data = mkdtempSync(join(tmpdir(), "umschlag-e2e-"));
  if (from) cpSync(from, data, { recursive: true });
  const server = await Server.start(data, port);
  await use(server);
  await window.leave(); // the next server at this address gets nothing of this one
  await server.stop("SIGKILL"); // what it would still write is thrown away
  rmSync(data, { recursive: true });
}

/** Tests with workshops of their own, at addresses that stay the same for all tests of a worker. */
export const test = base.extend<OfTest, OfWorker>({
  ports: [
    // biome-ignore lint/correctness/noEmptyPattern: the test runner reads the names of the pattern
    async ({}, use) => use({ demo: await freePort(), workshop: await freePort() }),
    { scope: "worker" },
  ],
  window: [
    async ({ browser, ports }, use) => {
      const context = await browser.newContext(settings);
      await use(new Window(context, Object.values(ports).map(address)));
      await context.close();
    },
    { scope: "worker" },
  ],
  demo: async ({ ports, window }, use) => inDirectory(demoData(), ports.demo, window, use),
  workshop: async ({ ports, window }, use) => inDirectory(null, ports.workshop, window, use),
  page: async ({ window }, use) => {
    await use(await window.open());
    await window.clear();
  },
  context: async ({ page }, use) => use(page.context()),
  apart: async ({ browser }, use) => {
    const context = await browser.newContext(settings);
    await use(await context.newPage());
    await context.close();
  },
});

/**
 * How many seconds a test takes on a quiet machine, at most; 12 where it does not say. Its limit is
 * ten times that: what a test waits for is said or shown, so a busy machine makes it slower and
 * never makes it fail.
 */
export const takes = (seconds: number) => test.setTimeout(seconds * 10_000);

/** The plan as the server has it. */
export async function stored(server: Server, id: string) {
  const response = await fetch(`${server.url}/api/v1/plans/${id}`);
  return response.json();
}

/** Opens a place, and waits until what it shows is there. */
export async function open(page: Page, url: string) {
  await page.goto(url);
  await shown(page);
}

/** The place has read all that it shows. */
export async function shown(page: Page) {
  // An expectation that fails describes the whole page each time, which takes longer than opening it.
  await page.locator("main[aria-busy=false]").waitFor({ state: "attached", timeout: 60_000 });
  await page.evaluate(() => document.fonts.ready); // nothing moves any more
}

/**
 * Marks, in a part of the page, the first and the last of all texts whose contrast is the same: their
 * colour, size and weight, and whatever lies behind them by way of what they stand in. They are looked
 * at for all the others, which would take longer than everything else; what looks like something that
 * was looked at before is not looked at again. Answers with the looks that are marked.
 */
function markLooks(part: Element, before: string[]) {
  const good = new Set(before);
  const behind = new Map<Element | null, string>([[null, ""]]);
  const looks = new Map<string, Element[]>();
  for (const element of document.querySelectorAll("*")) {
    element.removeAttribute("data-look");
    const style = getComputedStyle(element);
    const place =
      style.position === "static" ? "" : [element.tagName, element.getAttribute("class"), style.zIndex].join();
    const own = [style.backgroundColor, style.backgroundImage, style.opacity, style.textShadow, place].join();
    const back = (behind.get(element.parentElement) ?? "") + (own === "rgba(0, 0, 0, 0),none,1,none," ? "" : `/${own}`);
    behind.set(element, back);
    const reads =
      element instanceof HTMLInputElement || [...element.childNodes].some((n) => n instanceof Text && n.data.trim());
    if (!reads || !part.contains(element) || !element.checkVisibility({ visibilityProperty: true })) continue;
    const off = element.closest(":disabled, [aria-disabled=true]") !== null;
    const look = [element.tagName, off, style.color, style.fill, style.fontSize, style.fontWeight, back].join();
    if (!good.has(look)) looks.set(look, [...(looks.get(look)?.slice(0, 1) ?? []), element]);
  }
  for (const element of [...looks.values()].flat()) element.setAttribute("data-look", "");
  return [...looks.keys()];
}

/** The file of the looks whose contrast is enough, a line each, as the tests of all workers found them. */
const looksFile = () => process.env.UMSCHLAG_E2E_LOOKS ?? "";

const axe = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");
const wcag = ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"];

/** The rules whose answer hangs on colours and places; all others read only what there is. */
export const seen = ["color-contrast", "target-size", "scrollable-region-focusable", "link-in-text-block"];

/**
 * Nothing breaks a rule of WCAG 2 A or AA: on the whole page, or, where the rest of it is looked at
 * elsewhere, in a part of it; of some rules only, where they are named.
 */
export async function accessible(where: Page | Locator, rules: string[] = wcag) {
  const part = "goto" in where ? where.locator("html") : where;
  const page = part.page();
  if (!(await page.evaluate(() => "axe" in window))) await page.evaluate(axe);
  const looks = await part.evaluate(markLooks, readFileSync(looksFile(), "utf8").split("\n"));
  const broken = await part.evaluate(async (of, runOnly) => {
    const { axe } = window as unknown as { axe: { run: typeof run; configure: typeof configure } };
    axe.configure({
      rules: [
        { id: "color-contrast", selector: "[data-look]" },
        { id: "target-size", selector: "[data-tight]" },
      ],
    });
    // What is out of sight is not laid out until it is come to, and stands nowhere until then: here all is come to.
    const all = new CSSStyleSheet();
    all.replaceSync("* { content-visibility: visible !important; }");
    document.adoptedStyleSheets.push(all);
    // A target that is large enough and that no other one lies over breaks no rule: it is not asked about.
    const targets = [...document.querySelectorAll<HTMLElement | SVGElement>("*")].filter(
      (element) => element.tabIndex >= 0 || element.hasAttribute("tabindex"),
    );
    const boxed = targets.map((target) => ({ target, box: target.getBoundingClientRect() }));
    for (const { target, box } of boxed) {
      const under = boxed.some(
        ({ box: b }) =>
          b !== box && b.left < box.right && b.right > box.left && b.top < box.bottom && b.bottom > box.top,
      );
      target.toggleAttribute("data-tight", under || box.width < 24 || box.height < 24);
    }
    const { violations } = await axe.run(of as HTMLElement, { runOnly, resultTypes: ["violations"] });
    document.adoptedStyleSheets.pop();
    return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(" ")).join(" | ")}`);
  }, rules);
  expect(broken).toEqual([]);
  // Both of these ask for contrast: what was marked was looked at.
  if (rules === wcag || rules === seen) appendFileSync(looksFile(), looks.map((look) => `${look}\n`).join(""));
}

/** Puts a value into the sentence it stands in, and keeps it. */
export async function put(page: Page, label: string, text: string) {
  const field = page.getByRole("textbox", { name: label, exact: true });
  await field.fill(text); // comes into the field first, as Tab does
  await field.press("Enter");
  await expect(page.locator(".typing").filter({ has: field })).toHaveCount(0); // kept
}

/** Puts a plan into a workshop, as it is made. */
export async function posted(server: Server, plan: unknown): Promise<{ id: string }> {
  const answer = await fetch(`${server.url}/api/v1/plans`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ plan }),
  });
  expect(answer.status, await answer.clone().text()).toBe(201);
  return answer.json();
}

/** Chooses in the sentence it stands in; what follows from it is told. */
export async function pick(page: Page, name: string, value: string) {
  const choice = page.getByRole("combobox", { name, exact: true });
  await choice.selectOption(value);
  await expect(choice.and(page.locator("[aria-busy=true]"))).toHaveCount(0);
}

/** The list of all cuts beside the sheet. */
export const cuts = (page: Page) => page.getByRole("list", { name: "All cuts" });

/** The plan is on the disk. */
export async function saved(page: Page) {
  await expect(page.getByRole("status").first()).toHaveText(/^saved/);
}

import { type ChildProcess, spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import AxeBuilder from "@axe-core/playwright";
import { test as base, expect, type Page } from "@playwright/test";

const binary = join(dirname(fileURLToPath(import.meta.url)), "../bin/umschlag");

/** A running server of the app. */
export class Server {
  private child: ChildProcess | null = null;
  url = "";

  private constructor(private readonly args: string[]) {}

  static async start(args: string[]): Promise<Server> {
    const server = new Server(args);
    await server.up("127.0.0.1:0");
    return server;
  }

  private async up(listen: string) {
    const child = spawn(binary, [...this.args, "--listen", listen], { stdio: ["ignore", "pipe", "inherit"] });
    this.child = child;
    this.url = await new Promise<string>((resolve, reject) => {
      let out = "";
      child.stdout?.on("data", (data) => {
        out += data;
        const url = /http:\S+/.exec(out)?.[0];
        if (url) resolve(url);
      });
      child.on("exit", (code) => reject(new Error(`the server ended with ${code}: ${out}`)));
    });
  }

  /** Ends the server; SIGKILL leaves it no time for anything. */
  async stop(signal: NodeJS.Signals = "SIGTERM") {
    const child = this.child;
    if (!child || child.exitCode !== null) return;
    const gone = new Promise((resolve) => child.once("exit", resolve));
    child.kill(signal);
    await gone;
    this.child = null;
  }

  /** Starts it again at the same address. */
  async again() {
    await this.up(new URL(this.url).host);
  }
}

/** Tests with the demo data, each on a server of its own. */
export const test = base.extend<{ demo: Server; workshop: Server }>({
  // biome-ignore lint/correctness/noEmptyPattern: the test runner reads the names of the pattern
  demo: async ({}, use) => {
    const server = await Server.start(["demo"]);
    await use(server);
    await server.stop();
  },
  // biome-ignore lint/correctness/noEmptyPattern: as above
  workshop: async ({}, use) => {
    const data = mkdtempSync(join(tmpdir(), "umschlag-e2e-"));
    const server = await Server.start(["serve", "--data", data]);
    await use(server);
    await server.stop();
    rmSync(data, { recursive: true });
  },
});

export { expect };

/** The plan as the server has it. */
export async function stored(server: Server, id: string) {
  const response = await fetch(`${server.url}/api/v1/plans/${id}`);
  return response.json();
}

/** Nothing on the page breaks a rule of WCAG 2 A or AA. */
export async function accessible(page: Page) {
  const { violations } = await new AxeBuilder({ page }).withTags(["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"]).analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(" ")).join(" | ")}`)).toEqual([]);
}

/** Puts a value into the sentence it stands in, and keeps it. */
export async function put(page: Page, label: string, text: string) {
  const field = page.getByRole("textbox", { name: label, exact: true });
  await field.click();
  await field.fill(text);
  await field.press("Enter");
  await expect(page.locator(".typing").filter({ has: field })).toHaveCount(0); // kept
}

/** The plan is on the disk. */
export async function saved(page: Page) {
  await expect(page.getByRole("status").first()).toHaveText(/^saved/);
}

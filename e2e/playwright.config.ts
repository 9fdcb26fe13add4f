import { defineConfig } from "@playwright/test";
import { deep, executablePath, flat } from "./chromium.mjs";

// A test is over before its scripts would gain by being compiled well, a tenth of the browser's work; and what one
// page has fetched and compiled stays for the next, as it does only within one process: another tenth.
const brief = [...flat, "--process-per-site", "--js-flags=--no-opt --no-maglev"];

export default defineConfig({
  testDir: ".",
  globalSetup: "./global-setup.ts",
  // Ten times what a quiet machine needs: for a test that does not say what it takes, for one thing to be shown.
  timeout: 120_000,
  expect: { timeout: 60_000 },
  fullyParallel: true,
  // One more than the cores of a small machine: while one waits for the disk or a debounce, two are at work.
  workers: 3,
  retries: 0,
  forbidOnly: true,
  reporter: [["list"], ["./report.ts"]],
  use: {
    browserName: "chromium",
    // Traces cost more than the tests: asked for with UMSCHLAG_TRACE=on, kept where one fails.
    trace: process.env.UMSCHLAG_TRACE === "on" ? "retain-on-failure" : "off",
    screenshot: "only-on-failure",
  },
  projects: [
    { name: "app", testIgnore: "fold.spec.ts", use: { launchOptions: { executablePath, args: brief } } },
    { name: "fold", testMatch: "fold.spec.ts", use: { launchOptions: { executablePath, args: deep } } },
  ],
});

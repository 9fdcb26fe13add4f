// The browser the tests and the pictures are made with: Debian's headless shell, which takes half
// the work of the whole browser for the same pages, or that browser where there is no shell.
import { existsSync } from "node:fs";

const known = ["/usr/bin/chromium-headless-shell", "/usr/bin/chromium"];

export const executablePath = process.env.CHROMIUM ?? known.find((path) => existsSync(path)) ?? "chromium";

const quiet = [
  "--no-sandbox",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
];

/** What is painted by the processor alone, without 3-D: a window in one go, not tile by tile. */
export const flat = [...quiet, "--disable-gpu", "--default-tile-width=1280", "--default-tile-height=1024"];

/** With 3-D, computed on the processor. */
export const deep = [
  ...quiet,
  "--use-angle=swiftshader",
  "--enable-unsafe-swiftshader",
  "--disable-gpu-rasterization",
  "--disable-accelerated-2d-canvas",
];

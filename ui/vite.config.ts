import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react()],
  build: { outDir: "../web/dist", emptyOutDir: true, assetsInlineLimit: 0 },
  // One page for all tests of a worker, emptied after each: making one takes longer than most tests.
  test: {
    environment: "jsdom",
    globals: false,
    setupFiles: ["src/test/setup.ts"],
    pool: "threads",
    isolate: false,
    testTimeout: 60_000, // a hundred times what the longest takes: a busy machine fails no test
  },
});

import { brotliCompressSync, constants } from "node:zlib";
import react from "@vitejs/plugin-react";
import type { Plugin } from "vite";
import { defineConfig } from "vitest/config";

/** The fonts that every place is written in are asked for with the page, so that nothing is laid out twice. */
function fontsFirst(): Plugin {
  return {
    name: "fonts-first",
    transformIndexHtml: {
      order: "post",
      handler: (_, { bundle }) =>
        Object.keys(bundle ?? {})
          .filter((file) => /-latin-wght-normal-.*\.woff2$/.test(file))
          .map((file) => ({
            tag: "link",
            attrs: { rel: "preload", as: "font", type: "font/woff2", crossorigin: "", href: `/${file}` },
            injectTo: "head",
          })),
    },
  };
}

/** Scripts and styles lie packed beside themselves, as browsers take them: a seventh less on a slow line than by gzip. */
function packed(): Plugin {
  return {
    name: "packed",
    apply: "build",
    generateBundle: {
      order: "post",
      handler(_, bundle) {
        for (const [fileName, file] of Object.entries(bundle)) {
          if (!/\.(js|css)$/.test(fileName)) continue;
          const source = brotliCompressSync(file.type === "chunk" ? file.code : file.source, {
            params: { [constants.BROTLI_PARAM_QUALITY]: 10 }, // the best takes three times as long for a hundredth
          });
          this.emitFile({ type: "asset", fileName: `${fileName}.br`, source });
        }
      },
    },
  };
}

export default defineConfig({
  plugins: [react(), fontsFirst(), packed()],
  build: {
    outDir: "../web/dist",
    emptyOutDir: true,
    assetsInlineLimit: 0,
    // What the page begins with is one script, and what several places share another: asking for each of their
    // parts apart takes longer on a slow line than the parts themselves.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: "base", tags: ["$initial"] },
            { name: "shared", test: /ui[\\/]src[\\/](?!fold)|@mui|@emotion/, minShareCount: 3 },
          ],
        },
      },
    },
  },
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

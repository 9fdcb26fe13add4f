import { brotliCompressSync, constants } from "node:zlib";
import react from "@vitejs/plugin-react";
import type { Plugin } from "vite";
import { defineConfig } from "vitest/config";
import first from "./src/first.json" with { type: "json" };

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

/**
 * The scripts of the places one mostly comes in by, for the server to name with the page: asked for one after the
 * other they take a way there and back each.
 */
function firstScripts(): Plugin {
  return {
    name: "first-scripts",
    apply: "build",
    generateBundle(_, bundle) {
      const chunks = Object.values(bundle).filter((file) => file.type === "chunk");
      const base = chunks.find((chunk) => chunk.isEntry)?.fileName;
      const scripts = (view: string) => {
        const chunk = chunks.find(({ facadeModuleId }) => facadeModuleId?.endsWith(`/views/${view}.tsx`));
        if (!chunk) this.error(`${view} has no script of its own`);
        return [chunk.fileName, ...chunk.imports.filter((file) => file !== base)];
      };
      const source = JSON.stringify(Object.fromEntries(Object.entries(first).map(([at, view]) => [at, scripts(view)])));
      this.emitFile({ type: "asset", fileName: "first.json", source });
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
  plugins: [react(), fontsFirst(), firstScripts(), packed()],
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

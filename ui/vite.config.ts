import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react()],
  build: { outDir: "../web/dist", emptyOutDir: true, assetsInlineLimit: 0 },
  test: { environment: "jsdom", globals: false, setupFiles: ["src/test/setup.ts"] },
});

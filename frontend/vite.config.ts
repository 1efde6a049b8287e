import { svelte } from "@sveltejs/vite-plugin-svelte";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [svelte(), tailwindcss()],
  build: {
    outDir: "../src/plimb/web/app",
    emptyOutDir: true,
    assetsInlineLimit: 0,
    sourcemap: false,
  },
  server: { proxy: { "/api": "http://127.0.0.1:8017" } },
  test: { environment: "happy-dom", include: ["src/**/*.test.ts"] },
});

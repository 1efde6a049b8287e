import { svelte } from "@sveltejs/vite-plugin-svelte";
import tailwindcss from "@tailwindcss/vite";
import { VitePWA } from "vite-plugin-pwa";
import { defineConfig } from "vitest/config";

const pwa = VitePWA({
  strategies: "injectManifest",
  srcDir: "src",
  filename: "sw.ts",
  injectRegister: false,
  injectManifest: { globPatterns: ["**/*.{js,css,html,svg,woff2}"] },
  manifest: {
    name: "Plimb",
    short_name: "Plimb",
    description: "Check and set valve clearances",
    start_url: "/",
    display: "standalone",
    background_color: "#e6e8e1",
    theme_color: "#131c19",
    icons: [{ src: "/mark.svg", sizes: "any", type: "image/svg+xml", purpose: "any" }],
  },
});

export default defineConfig({
  plugins: [svelte(), tailwindcss(), pwa],
  build: {
    outDir: "../src/plimb/web/app",
    emptyOutDir: true,
    assetsInlineLimit: 0,
    sourcemap: false,
  },
  server: { proxy: { "/api": "http://127.0.0.1:8017" } },
  test: { environment: "happy-dom", include: ["src/**/*.test.ts"] },
});

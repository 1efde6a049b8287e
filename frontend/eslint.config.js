import svelte from "eslint-plugin-svelte";
import ts from "typescript-eslint";
import svelteConfig from "./svelte.config.js";

const BITS = { group: ["bits-ui"], message: "Only kit/ imports Bits UI." };
/** A room may not import from rooms above it or beside it. */
const arrow = (room, ...others) => ({
  files: [`src/${room}/**`],
  ignores: ["**/*.test.ts"],
  rules: {
    "no-restricted-imports": [
      "error",
      {
        patterns: [
          ...(room === "kit" ? [] : [BITS]),
          {
            regex: `^(\\.\\./)+(${others.join("|")})(/|$)`,
            message: `${room}/ knows nothing of ${others.join("/, ")}/.`,
          },
        ],
      },
    ],
  },
});

export default ts.config(
  { ignores: ["node_modules", "src/api/schema.d.ts"] },
  ...ts.configs.strict,
  ...svelte.configs.recommended,
  {
    files: ["**/*.svelte", "**/*.svelte.ts"],
    languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } },
  },
  {
    rules: {
      "no-restricted-imports": ["error", { patterns: [BITS] }],
      "no-undef": "off",
      "max-lines-per-function": ["error", 60],
    },
  },
  {
    // a test that meets a hole where it expects a value is meant to fail there
    files: ["**/*.test.ts"],
    rules: { "@typescript-eslint/no-non-null-assertion": "off", "max-lines-per-function": "off" },
  },
  arrow("api", "state", "kit", "trade", "head", "card", "stages", "places", "practice"),
  arrow("state", "kit", "trade", "head", "card", "stages", "places", "practice"),
  arrow("kit", "state", "trade", "head", "card", "stages", "places", "practice"),
  arrow("trade", "card", "stages", "places", "practice"),
  arrow("head", "card", "stages", "places", "practice"),
  arrow("card", "stages", "places", "practice"),
  arrow("stages", "places", "practice"),
  arrow("places", "stages", "practice"),
);

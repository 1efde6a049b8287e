import svelte from "eslint-plugin-svelte";
import ts from "typescript-eslint";
import svelteConfig from "./svelte.config.js";

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
      "no-restricted-imports": ["error", { patterns: [{ group: ["bits-ui"], message: "Only kit/ imports Bits UI." }] }],
      "no-undef": "off",
      "max-lines-per-function": ["error", 60],
    },
  },
  {
    // a test that meets a hole where it expects a value is meant to fail there
    files: ["**/*.test.ts"],
    rules: { "@typescript-eslint/no-non-null-assertion": "off", "max-lines-per-function": "off" },
  },
  { files: ["src/kit/**"], rules: { "no-restricted-imports": "off" } },
);

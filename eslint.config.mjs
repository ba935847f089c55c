import js from "@eslint/js";
import boundaries from "eslint-plugin-boundaries";
import importX from "eslint-plugin-import-x";
import { createTypeScriptImportResolver } from "eslint-import-resolver-typescript";
import reactHooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

/** Folders of the core, the lowest first: each imports itself and those before it. */
const coreLayers = [
  "numerics",
  "quantities",
  "library",
  "formula",
  "surfactants",
  "acidity",
  "rheology",
  "preservation",
  "appearance",
  "findings",
  "assessment",
  "design",
  "process",
  "packaging",
  "stability",
  "inventory",
  "recipe",
  "comparison",
  "instruments",
  "formats",
];

/** Folders of the architecture, and who may import whom; docs/architecture.md says why. */
const elements = [
  { type: "core-testing", pattern: "core/src/testing" },
  { type: "core", pattern: "core/src/*", capture: ["layer"] },
  { type: "db", pattern: "db" },
  { type: "frame", pattern: "app/frame" },
  { type: "components", pattern: "app/components" },
  { type: "pictures", pattern: "app/pictures" },
  { type: "season", pattern: "app/season" },
  { type: "feature", pattern: "app/*", capture: ["name"] },
  { type: "workers", pattern: "workers" },
  { type: "server", pattern: "server" },
  { type: "cli", pattern: "cli" },
  { type: "scripts", pattern: "scripts" },
  { type: "e2e", pattern: "e2e" },
  { type: "benchmarks", pattern: "benchmarks" },
  { type: "world", pattern: "simulate/world" },
  { type: "simulate", pattern: "simulate" },
];

const sameFeature = { type: "feature", captured: { name: "{{ from.element.captured.name }}" } };

const mayImport = [
  ...coreLayers.map((layer, at) => ({
    from: { element: { type: "core", captured: { layer } } },
    allow: { to: { element: coreLayers.slice(0, at + 1).map((below) => ({ type: "core", captured: { layer: below } })) } },
  })),
  { from: { element: { type: "db" } }, allow: { to: { element: { type: ["core", "db", "scripts"] } } } },
  { from: { element: { type: "workers" } }, allow: { to: { element: { type: ["core", "workers"] } } } },
  { from: { element: { type: "components" } }, allow: { to: { element: { type: ["core", "components"] } } } },
  { from: { element: { type: "pictures" } }, allow: { to: { element: { type: ["core", "components", "pictures"] } } } },
  { from: { element: { type: "frame" } }, allow: { to: { element: { type: ["core", "components", "frame", "db"] } } } },
  {
    from: { element: { type: "feature" } },
    allow: { to: { element: { type: ["core", "components", "pictures", "frame", "workers", "db"] } } },
  },
  { from: { element: { type: "feature" } }, allow: { to: { element: sameFeature } } },
  // The demo is played through the services of every station.
  { from: { element: { type: "season" } }, allow: { to: { element: { type: ["core", "db", "frame", "feature", "season"] } } } },
  // A newcomer lays it in from the home board.
  { from: { element: { type: "feature", captured: { name: "today" } } }, allow: { to: { element: { type: "season" } } } },
  { from: { element: { type: "server" } }, allow: { to: { element: { type: ["db", "server", "frame", "season"] } } } },
  { from: { element: { type: "cli" } }, allow: { to: { element: { type: ["core", "cli"] } } } },
  // The hidden world of the simulations knows nothing of who is to be tested in it.
  { from: { element: { type: "world" } }, allow: { to: { element: { type: ["world"] } } } },
  { from: { element: { type: "simulate" } }, allow: { to: { element: { type: ["simulate", "world", "core"] } } } },
  { from: { element: { type: "scripts" } }, allow: { to: { element: { type: ["scripts", "core"] } } } },
  { from: { element: { type: "e2e" } }, allow: { to: { element: { type: ["e2e", "scripts", "core"] } } } },
  {
    from: { element: { type: "benchmarks" } },
    allow: { to: { element: { type: ["benchmarks", "core", "db", "feature", "season", "scripts", "e2e"] } } },
  },
];

const noBarrel = {
  regex: "^@tabler/icons-react$",
  message: "Import the single icon: @tabler/icons-react/dist/esm/icons/IconX.mjs",
};
const noDatabase = {
  regex: "(^|/)db/|\\.server$",
  message: "Only files ending in .server.ts, and loaders and actions of route modules, touch the server.",
};

export default tseslint.config(
  { ignores: ["build/", "node_modules/", ".react-router/", ".data/", "test-results/", "db/migrations/", "core/src/library/reference/"] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    plugins: { "react-hooks": reactHooks },
    rules: { "react-hooks/rules-of-hooks": "error", "react-hooks/exhaustive-deps": "error" },
  },
  {
    files: ["**/*.{ts,tsx,mjs}"],
    plugins: { boundaries, "import-x": importX },
    settings: {
      "boundaries/elements": elements,
      "boundaries/ignore": ["core/src/**/*.test.ts", "core/src/testing/**", "core/src/**/testing/**"],
      "boundaries/include": ["{app,benchmarks,cli,core,db,e2e,scripts,server,simulate,workers}/**/*"],
      "import/resolver": { typescript: { project: "tsconfig.json" } },
      "import-x/resolver-next": [createTypeScriptImportResolver({ project: "tsconfig.json" })],
    },
    rules: {
      "import-x/no-cycle": "error",
      "boundaries/dependencies": ["error", { default: "disallow", policies: mayImport }],
      "@typescript-eslint/no-explicit-any": "error",
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", varsIgnorePattern: "^_" }],
      "@typescript-eslint/consistent-type-imports": ["error", { fixStyle: "inline-type-imports" }],
      "no-restricted-imports": ["error", { patterns: [noBarrel] }],
      eqeqeq: ["error", "always", { null: "ignore" }],
    },
  },
  {
    // Core runs anywhere: no interface, no Node, no database, no package but those listed.
    files: ["core/src/**/*.ts"],
    ignores: ["core/src/**/*.test.ts", "core/src/**/testing/**"],
    rules: {
      "no-restricted-imports": [
        "error",
        {
          patterns: [
            {
              regex:
                "^(?!\\.{1,2}/|minisearch$|d3-random$|ml-levenberg-marquardt$|ml-matrix$|dayjs$|highs$|jstat$|culori/fn$|@noble/hashes/)",
              message: "Core imports only itself and listed packages.",
            },
          ],
        },
      ],
      "no-restricted-globals": [
        "error",
        "window",
        "document",
        "process",
        "Buffer",
        "fetch",
        "localStorage",
        "Date",
        "setTimeout",
        "crypto",
      ],
      "no-restricted-properties": [
        "error",
        { object: "Math", property: "random", message: "Core is deterministic; randomness is passed in." },
      ],
    },
  },
  {
    // The formats have a door of their own, so that what reads them never reaches the browser by accident.
    files: ["core/src/formats/**/*.ts"],
    ignores: ["core/src/**/*.test.ts", "core/src/**/testing/**"],
    rules: {
      "no-restricted-imports": [
        "error",
        { patterns: [{ regex: "^(?!\\.{1,2}/|joi$|jsonc-parser$)", message: "Core imports only itself and listed packages." }] },
      ],
    },
  },
  {
    // What is sent to the browser never reaches for the database.
    files: ["app/**/*.{ts,tsx}"],
    ignores: [
      "app/**/*.server.{ts,tsx}",
      "app/**/*.server.test.ts",
      "app/**/*Route.{ts,tsx}",
      "app/**/*.test.ts",
      "app/**/*.stored.ts",
      "app/entry.server.tsx",
      "app/root.tsx",
    ],
    rules: {
      "@typescript-eslint/no-restricted-imports": [
        "error",
        {
          patterns: [
            noBarrel,
            { ...noDatabase, allowTypeImports: true },
            { group: ["joi", "@tensidrum/core/formats"], message: "Joi stays on the server and in what reads the browser's stores." },
            { regex: "\\.stored$", allowTypeImports: true, message: "It is large: load it when something was stored." },
          ],
        },
      ],
    },
  },
  {
    // What a browser kept is read by Joi too; these files are loaded only where something was kept.
    files: ["app/**/*.stored.ts"],
    rules: {
      "@typescript-eslint/no-restricted-imports": ["error", { patterns: [noBarrel, { ...noDatabase, allowTypeImports: true }] }],
    },
  },
  {
    // Fixtures call a function named "use", which is no hook.
    files: ["e2e/**/*.ts"],
    rules: { "react-hooks/rules-of-hooks": "off" },
  },
  {
    files: ["**/*.mjs", "*.config.ts"],
    languageOptions: {
      globals: { process: "readonly", URL: "readonly", setTimeout: "readonly", clearTimeout: "readonly", console: "readonly" },
    },
  },
);

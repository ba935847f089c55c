import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    name: "interface",
    root: import.meta.dirname,
    include: ["**/*.test.{ts,tsx}", "../workers/**/*.test.ts", "../server/**/*.test.ts", "../scripts/**/*.test.ts"],
    exclude: ["**/*.server.test.ts"],
    environment: "node",
    isolate: false,
    testTimeout: 30_000,
  },
});

import { defineConfig } from "vitest/config";

export default defineConfig({
  test: { name: "worlds", root: import.meta.dirname, include: ["**/*.test.ts"], environment: "node", testTimeout: 30_000 },
});

import { defineConfig } from "vitest/config";

/** Tests that need a database: of the queries, and of the services that use them. */
export default defineConfig({
  test: {
    name: "server",
    root: import.meta.dirname,
    include: ["**/*.test.ts", "../app/**/*.server.test.ts", "../benchmarks/**/*.test.ts"],
    environment: "node",
    globalSetup: ["./testing/throwawayCluster.ts"],
    isolate: false,
    hookTimeout: 60_000,
    testTimeout: 30_000,
  },
});

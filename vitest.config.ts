import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    // By itself the runner leaves one of two processors idle.
    maxWorkers: 2,
    projects: ["core/vitest.config.ts", "cli/vitest.config.ts", "simulate/vitest.config.ts", "app/vitest.config.ts", "db/vitest.config.ts"],
  },
});

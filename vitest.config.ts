import { defineConfig } from "vitest/config";

export default defineConfig({
  test: { projects: ["core/vitest.config.ts", "cli/vitest.config.ts", "app/vitest.config.ts", "db/vitest.config.ts"] },
});

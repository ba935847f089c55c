import { defineConfig } from "vitest/config";

// Properties draw hundreds of formulas; on a busy machine that takes its time.
export default defineConfig({
  test: { name: "core", include: ["src/**/*.test.ts"], environment: "node", isolate: false, testTimeout: 60_000 },
});

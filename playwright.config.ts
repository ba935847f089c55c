import { defineConfig } from "@playwright/test";
import { browserPath } from "./scripts/browser.mjs";

export default defineConfig({
  testDir: "e2e",
  globalSetup: "./e2e/testing/demoTemplate.ts",
  outputDir: "test-results",
  fullyParallel: false,
  // Much of a test is waiting for a server, a clock or a pour; four on two processors leave none of them idle.
  workers: 4,
  // A shared machine is at times three times as slow as at others; what hangs is still told.
  timeout: 240_000,
  // A machine that stands still for a minute fails a test. It is tried once more, and bin/test names it.
  retries: 1,
  expect: { timeout: 20_000 },
  reporter: [["list"], ["json", { outputFile: "test-results/e2e.json" }]],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: "en-GB",
    launchOptions: {
      executablePath: browserPath(),
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-dev-shm-usage",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        "--no-first-run",
      ],
    },
  },
});

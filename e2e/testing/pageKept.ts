import type { Page } from "@playwright/test";

/** The worker that stands in for the server has kept this page. */
export async function pageKept(page: Page): Promise<void> {
  await page.evaluate(async (address) => {
    await navigator.serviceWorker.ready;
    for (let at = 0; at < 100; at += 1) {
      if ((await caches.match(address, { ignoreVary: true })) !== undefined) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error("the page was not kept");
  }, page.url());
}

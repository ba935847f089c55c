import type { Page } from "@playwright/test";

/** A frame at sixty a second, ms, rounded up to a tenth. */
export const FRAME_LIMIT = Math.ceil(10_000 / 60) / 10;

/** Keeps how long each frame of the page takes; as text, so that nothing of ours is looked for there. */
const COUNT_FRAMES = `
  window.frameTimes = [];
  let last = performance.now();
  requestAnimationFrame(function tick(now) { window.frameTimes.push(now - last); last = now; requestAnimationFrame(tick); });
`;

/** How long each frame took while something was done on a page, ms. */
export async function framesWhile(page: Page, work: () => Promise<void>): Promise<readonly number[]> {
  await page.evaluate(COUNT_FRAMES);
  await work();
  return page.evaluate(() => (window as unknown as { readonly frameTimes: readonly number[] }).frameTimes.slice(2));
}

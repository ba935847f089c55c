import { expect, type Page } from "@playwright/test";
import { scriptsReady } from "./test";

export const GREEN_ROOM_BATCH = "/bench/begin/5ea50000-0000-4000-8000-00000000a200/1";

/** Begins a batch of a final version with everything ticked. Returns its address. */
export async function beginBatch(page: Page, address: string): Promise<string> {
  await page.goto(address);
  for (const box of await page.getByRole("checkbox").all()) await box.check();
  await page.getByRole("button", { name: /^Begin (the|another) batch$/ }).click();
  await expect(page.getByRole("heading", { name: "Prepare the bench" })).toBeVisible();
  await scriptsReady(page);
  return new URL(page.url()).pathname;
}

export const done = (page: Page) => page.getByRole("button", { name: /^(Done, next step|Finish)/ });
export const typedWeight = (page: Page) => page.getByLabel(/what the scale shows, g$/);

/** What the step wants on the scale, g, as the screen writes it. */
export async function wanted(page: Page): Promise<string> {
  return ((await page.locator("main data").first().textContent()) ?? "").trim();
}

/** Types the weight that is wanted and takes it. Returns it with the name of what was weighed. */
export async function takeTyped(page: Page, grams?: string): Promise<{ readonly grams: string; readonly name: string }> {
  const name = ((await typedWeight(page).getAttribute("aria-label")) ?? "").replace(/, what the scale shows, g$/, "");
  const typed = grams ?? (await wanted(page));
  await typedWeight(page).fill(typed);
  // In the moment after an entry a second one is taken for a double tap.
  await expect(page.getByRole("button", { name: /Record weight|Accept anyway/ })).toBeEnabled();
  await typedWeight(page).press("Enter");
  return { grams: typed, name };
}

/** Nothing waits on the device any more. */
export async function acknowledged(page: Page): Promise<void> {
  await expect(page.locator("[data-waiting='0']")).toBeVisible();
}

/** Takes simulated instruments for the instruments of a bench, or types again what one of them measured. */
export async function takeInstruments(
  page: Page,
  kinds: readonly ("Scale" | "pH meter" | "Flow cup")[],
  way: "simulated" | "typed" = "simulated",
): Promise<void> {
  const summary = page.getByText(/^Instruments:/);
  await summary.click();
  for (const kind of kinds) await page.getByRole("listitem", { name: kind }).getByRole("button", { name: way }).click();
  await summary.click();
}

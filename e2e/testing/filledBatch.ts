import { expect, type Page } from "@playwright/test";
import { acknowledged } from "./atTheBench";
import { fillAll } from "./job";
import { madeBatch } from "./madeBatch";
import { scriptsReady } from "./test";

/**
 * A batch whose lines were weighed and which fills so many tall pump bottles, one after the other.
 * @param all containers of its plan: testers and the one that is kept too
 * @returns its identifier
 */
export async function filledBatch(page: Page, version: string, bottles: number, all: number): Promise<string> {
  const batch = await madeBatch(page, version, 960, true);
  await page.goto(`/fill/${batch}`);
  await scriptsReady(page);
  await page.getByLabel("How many of Pump bottle, tall").fill(String(bottles));
  await page.getByRole("button", { name: "Fill by this plan" }).click();
  await fillAll(page, all);
  await expect(page.getByText("All containers are filled.")).toBeVisible();
  await acknowledged(page);
  return batch;
}

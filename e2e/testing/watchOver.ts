import { expect, type Page } from "@playwright/test";
import { databaseOf } from "./databaseOf";
import { scriptsReady } from "./test";

/**
 * Lets a finished batch have been made some days earlier, with the days of its plan.
 * @param folder data of the application
 */
export async function madeEarlier(folder: string, batch: string, days: number): Promise<void> {
  const client = await databaseOf(folder);
  try {
    await client.query(
      "update batches set started_at = started_at - make_interval(days => $1), finished_at = finished_at - make_interval(days => $1) where id = $2",
      [days, batch],
    );
    await client.query("update planned_checks set due_on = due_on - $1::int where batch_id = $2", [days, batch]);
  } finally {
    await client.end();
  }
}

interface Look {
  readonly sample: "room" | "warm";
  /** Days ago. */
  readonly ago: number;
  /** By the name of its field. */
  readonly read: Readonly<Record<string, string>>;
}

/** Looks at a sample of a batch as on a day that is past. */
export async function lookAt(page: Page, batch: string, { sample, ago, read }: Look): Promise<void> {
  await page.goto(`/watch/${batch}?sample=${sample}`);
  await scriptsReady(page);
  for (const [label, value] of Object.entries(read)) await page.getByLabel(label, { exact: true }).fill(value);
  const day = new Date(Date.now() - ago * 86_400_000);
  const local = `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, "0")}-${String(day.getDate()).padStart(2, "0")}`;
  await page.getByLabel("looked at on").fill(local);
  const seen = page.getByRole("region", { name: "What was seen" }).getByRole("row");
  const before = await seen.count();
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(seen).toHaveCount(before === 0 ? 2 : before + 1);
}

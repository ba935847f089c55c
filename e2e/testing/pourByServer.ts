import { planBatch, playedUntilTuned, stepsOf, type BatchEntry } from "@tensidrum/core/process";
import type { Formula } from "@tensidrum/core/formula";
import { referenceLibrary } from "@tensidrum/core/reference";
import { expect, type Page } from "@playwright/test";
import { begunEarlier } from "./begunEarlier";
import { sendEntries } from "./sendEntries";

/** Brings a batch to its next step that is tuned, by entries sent as another device would some minutes ago; then loads it. */
export async function pourByServer(page: Page, batch: string, minutesAgo = 0): Promise<void> {
  const record = (await (await page.request.get(`${batch}/record.json`)).json()) as { formula: Formula; entries: readonly BatchEntry[] };
  const { formula } = record;
  const materials = new Map([...referenceLibrary, ...(formula.materials ?? [])].map((material) => [material.slug, material]));
  const plan = { ...planBatch(formula, formula.batchGrams, materials), steps: stepsOf(formula, materials).steps };
  const { origin } = new URL(page.url());
  if (minutesAgo > 0) await begunEarlier(origin, batch, minutesAgo + 1);
  const at = new Date(Date.now() - minutesAgo * 60_000).toISOString();
  const entries = playedUntilTuned(plan, record.entries, { at, newId: () => crypto.randomUUID() });
  const answer = await sendEntries(page.request, origin, batch, entries);
  expect(((await answer.json()) as { refused: readonly unknown[] }).refused).toEqual([]);
  await page.goto(batch);
}

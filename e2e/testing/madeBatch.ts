import { stepsOf, type BatchEntry } from "@tensidrum/core/process";
import type { Formula } from "@tensidrum/core/formula";
import { referenceLibrary } from "@tensidrum/core/reference";
import { expect, type Page } from "@playwright/test";
import { beginBatch } from "./atTheBench";
import { sendEntries } from "./sendEntries";

/** A batch of which all but the filling was done elsewhere, with its yield where it is given. Returns its identifier. */
export async function madeBatch(page: Page, version: string, yieldGrams?: number): Promise<string> {
  const batch = await beginBatch(page, version);
  const { formula } = (await (await page.request.get(`${batch}/record.json`)).json()) as { formula: Formula };
  const materials = new Map([...referenceLibrary, ...(formula.materials ?? [])].map((material) => [material.slug, material]));
  const at = new Date().toISOString();
  const head = () => ({ id: crypto.randomUUID(), at });
  const isClosed = yieldGrams !== undefined;
  const skipped = stepsOf(formula, materials)
    .steps.filter(({ code }) => isClosed || code !== "fill")
    .map(({ id: step }): BatchEntry => ({ ...head(), kind: "skipped", step, reason: "made elsewhere" }));
  const end: readonly BatchEntry[] = isClosed ? [{ ...head(), kind: "finished", yieldGrams }] : [];
  const answer = await sendEntries(page.request, new URL(page.url()).origin, batch, [...skipped, ...end]);
  expect(((await answer.json()) as { refused: readonly unknown[] }).refused).toEqual([]);
  return batch.split("/").at(-1) ?? "";
}

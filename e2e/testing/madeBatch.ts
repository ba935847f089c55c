import { planBatch, type BatchEntry } from "@tensidrum/core/process";
import type { Formula } from "@tensidrum/core/formula";
import { referenceLibrary } from "@tensidrum/core/reference";
import { expect, type Page } from "@playwright/test";
import { beginBatch } from "./atTheBench";
import { sendEntries } from "./sendEntries";

/**
 * A batch of which all but the filling was done elsewhere, with its yield where it is given; or with everything weighed that is
 * not dosed by readings. Returns its identifier.
 */
export async function madeBatch(page: Page, version: string, yieldGrams?: number, isWeighed = false): Promise<string> {
  const batch = await beginBatch(page, version);
  const { formula } = (await (await page.request.get(`${batch}/record.json`)).json()) as { formula: Formula };
  const materials = new Map([...referenceLibrary, ...(formula.materials ?? [])].map((material) => [material.slug, material]));
  const at = new Date().toISOString();
  const head = () => ({ id: crypto.randomUUID(), at });
  const isClosed = yieldGrams !== undefined;
  const plan = planBatch(formula, formula.batchGrams, materials);
  const weighed = plan.steps
    .filter(({ tunes }) => isWeighed && tunes === undefined)
    .flatMap(({ id: step, lines }) =>
      lines.map((line): BatchEntry => ({ ...head(), kind: "weighed", step, line, grams: plan.targets.get(line) ?? 0 })),
    );
  const skipped = plan.steps
    .filter(({ code }) => isClosed || code !== "fill")
    .map(({ id: step }): BatchEntry => ({ ...head(), kind: "skipped", step, reason: "made elsewhere" }));
  const end: readonly BatchEntry[] = isClosed ? [{ ...head(), kind: "finished", yieldGrams }] : [];
  const answer = await sendEntries(page.request, new URL(page.url()).origin, batch, [...weighed, ...skipped, ...end]);
  expect(((await answer.json()) as { refused: readonly unknown[] }).refused).toEqual([]);
  return batch.split("/").at(-1) ?? "";
}

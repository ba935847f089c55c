import type { Page } from "@playwright/test";
import { stepsOf, type BatchEntry } from "@tensidrum/core/process";
import type { Formula } from "@tensidrum/core/formula";
import { referenceLibrary } from "@tensidrum/core/reference";
import { violationsIn } from "./testing/axe";
import { acknowledged, beginBatch, GREEN_ROOM_BATCH } from "./testing/atTheBench";
import { pourByServer } from "./testing/pourByServer";
import { sendEntries } from "./testing/sendEntries";
import { expect, test } from "./testing/test";

test.use({ ownApplication: "a sample first" });

const button = (page: Page, name: string) => page.getByRole("button", { name, exact: true });

/** Says why what was asked about stands, where it is asked. */
async function enter(page: Page, name: string): Promise<void> {
  await expect(button(page, name)).toBeEnabled();
  await button(page, name).click();
  const asked = page.getByRole("alert").getByRole("button", { name: "trial", exact: true });
  if (await asked.isVisible()) await asked.click();
}

async function read(page: Page, value: number): Promise<void> {
  await page.getByLabel("pH", { exact: true }).fill(value.toFixed(2));
  await enter(page, "Take the reading");
}

test("a sample is adjusted first with the solution diluted tenfold; then the batch takes one dose, and the sample goes back", async ({
  page,
}) => {
  test.setTimeout(300_000);
  const batch = await beginBatch(page, GREEN_ROOM_BATCH);
  await pourByServer(page, batch, 30);
  const corridor = await page.getByText(/^belongs between/).innerText();
  const [low, high] = [...corridor.matchAll(/[\d.]+/g)].map(([number]) => Number(number)) as [number, number];
  const middle = (low + high) / 2;
  await read(page, high + 1.2);
  await expect(page.getByLabel(/^Add, g of citric acid/)).toBeVisible();
  const blind = Number((await page.getByLabel(/^Add, g of citric acid/).innerText()).replace(/[^\d.]/g, ""));

  const fold = page.getByText("A sample first", { exact: true });
  const aside = page.getByLabel("Taken aside, g of sample");
  if (!(await aside.isVisible())) await fold.click();
  await aside.fill("5000");
  await button(page, "Taken aside").click();
  await expect(page.getByRole("alert"), "a sample larger than the batch").toContainText("larger than the batch");
  await aside.fill("50");
  await enter(page, "Taken aside");

  const thin = page.getByLabel(/^Add, g of citric acid.*one part in ten/);
  await expect(thin).toBeVisible();
  expect(await violationsIn(page)).toEqual([]);
  await page.getByLabel(/^Really added, g of citric acid.*one part in ten/).fill("2");
  await enter(page, "Dosed, start 2:00");
  await expect(page.getByText(/2 g of the sample into 18 g/)).toBeVisible();
  await read(page, middle);
  await expect(button(page, "The batch"), "the sample has told what it can").toHaveAttribute("aria-pressed", "true", { timeout: 15_000 });

  // 2 g of a tenth of the strength in 50 g: the batch takes as much per kilogram.
  const shown = page.getByLabel(/^Add, g of citric acid/);
  await expect(shown).toBeVisible();
  const dose = Number((await shown.innerText()).replace(/[^\d.]/g, ""));
  expect(dose).toBeGreaterThan(blind);
  await enter(page, "Dosed, start 2:00");
  await read(page, middle + 0.03);
  // Inside, it is what is to be done next.
  await expect(page.getByLabel("Poured back, g of sample with what was dosed into it")).toBeVisible({ timeout: 15_000 });
  await page.getByLabel("Poured back, g of sample with what was dosed into it").fill("90");
  await button(page, "Poured back").click();
  await expect(page.getByRole("alert")).toContainText("More than that cannot come back");
  await page.getByLabel("Poured back, g of sample with what was dosed into it").fill("49.5");
  await enter(page, "Poured back");
  await expect(page.getByText("Stirred and waited two minutes?")).toBeVisible();
  await read(page, middle + 0.02);
  await expect(page.getByRole("table", { name: "Readings and doses, the newest first" })).toContainText("with the sample");
  await acknowledged(page);
  await page.goto(`${batch}/record`);
  await expect(page.getByText("Sample of 50.0 g taken aside")).toBeVisible();
  await expect(page.getByText("Sample: 49.5 g poured back")).toBeVisible();
});

test("a sample that was never poured back is asked for at the close; poured back late, the batch closes", async ({ page }) => {
  const batch = await beginBatch(page, GREEN_ROOM_BATCH);
  await pourByServer(page, batch, 30);
  const { formula } = (await (await page.request.get(`${batch}/record.json`)).json()) as { formula: Formula };
  const materials = new Map([...referenceLibrary, ...(formula.materials ?? [])].map((material) => [material.slug, material]));
  const { steps } = stepsOf(formula, materials);
  const due = steps.findIndex(({ tunes }) => tunes === "ph");
  const step = steps[due]?.id ?? "";
  const head = () => ({ id: crypto.randomUUID(), at: new Date().toISOString() });
  const entries: BatchEntry[] = [
    { ...head(), kind: "ph-read", step, ph: 4.9, way: "dilution", sampleGrams: 2 },
    { ...head(), kind: "sample-taken", step, grams: 50 },
    { ...head(), kind: "done", step },
    ...steps.slice(due + 1).map(({ id }): BatchEntry => ({ ...head(), kind: "skipped", step: id, reason: "a trial" })),
  ];
  const answer = await sendEntries(page.request, new URL(page.url()).origin, batch, entries);
  expect(((await answer.json()) as { refused: readonly unknown[] }).refused).toEqual([]);
  await page.goto(batch);
  await expect(page.getByText("A sample of 50.0 g was never poured back.")).toBeVisible();
  await page.getByLabel("Yield, g").fill("930");
  await button(page, "Close the batch").click();
  await expect(page.getByRole("alert")).toContainText("Pour it back, or say where it went");
  await page.getByLabel("Poured back, g of sample with what was dosed into it").fill("49");
  await enter(page, "Poured back");
  await expect(page.getByText("never poured back")).toHaveCount(0);
  await page.getByLabel("Yield, g").fill("975");
  await enter(page, "Close the batch");
  await expect(page.getByRole("heading", { name: /^Closed/ })).toBeVisible();
});

import { expect, type Locator, type Page } from "@playwright/test";
import { acknowledged, done, takeTyped, typedWeight, wanted } from "./atTheBench";
import { beginFormula, saved, scriptsReady } from "./test";

/** A formula as a practitioner has it: an aim, a size, and the list as it is written down. */
export interface Job {
  readonly name: string;
  /** Slug of the profile. */
  readonly aim: string;
  readonly batch: string;
  readonly recipe: string;
  /** Temperatures of phases, °C. */
  readonly temperatures?: Readonly<Record<string, string>>;
}

/** Writes a job onto a new Sheet, from its aim to the last line. */
export async function writeSheet(page: Page, { name, aim, batch, recipe, temperatures = {} }: Job): Promise<void> {
  await beginFormula(page);
  await scriptsReady(page);
  await page.getByRole("textbox", { name: "Name of the formula" }).fill(name);
  await page.getByRole("combobox", { name: "What it should be" }).selectOption(aim);
  await page.getByRole("textbox", { name: "batch" }).fill(batch);
  await page.getByLabel("Recipe as it is written").fill(recipe);
  const take = page.getByRole("button", { name: "Read it into the sheet" });
  await expect(take).toBeEnabled();
  // Not a line of it is open.
  await expect(take).toHaveText("Read it into the sheet");
  await take.click();
  for (const [phase, temperature] of Object.entries(temperatures)) {
    await page.getByLabel(new RegExp(`^Temperature of phase ${phase},`)).fill(temperature);
  }
  await expect(saved(page)).toBeVisible();
}

/** A named part of a batch: its share, and what goes into it alone. */
export interface JobPart {
  readonly name: string;
  /** In % or in g. */
  readonly share: string;
  readonly line?: readonly [material: string, percent: string];
}

/** Divides the batch of a sheet, part by part. */
export async function addPart(page: Page, { name, share, line }: JobPart): Promise<void> {
  await page.getByRole("button", { name: "New part" }).click();
  await page
    .getByRole("textbox", { name: /^Name of part/ })
    .last()
    .fill(name);
  await page.getByLabel(`Share of the batch, ${name}: % or g`).fill(share);
  if (line === undefined) return;
  const [material, percent] = line;
  const search = page.getByPlaceholder("add a material: name, INCI name or role");
  await search.fill(material);
  await page
    .getByRole("listbox")
    .getByRole("option", { name: new RegExp(material, "i") })
    .first()
    .click();
  await page.getByLabel(new RegExp(`^${material}.*, percent`)).fill(percent);
}

/** Plans a part of a batch, so many of each container. */
export async function planPart(page: Page, part: string, counts: Readonly<Record<string, string>>): Promise<void> {
  const plan = page.getByRole("region", { name: "Plan" });
  const anew = plan.getByRole("button", { name: "Plan it anew" });
  if (await anew.isVisible()) await anew.click();
  const choice = plan.getByRole("combobox", { name: "part", exact: true });
  await choice.selectOption(part);
  for (const box of await plan.getByRole("table").first().getByRole("checkbox").all()) await box.uncheck();
  for (const [container, count] of Object.entries(counts)) {
    await plan.getByRole("checkbox", { name: container }).check();
    await plan.getByLabel(`How many of ${container}`).fill(count);
  }
  await page.getByRole("button", { name: "Fill by this plan" }).click();
  await expect(plan.getByRole("button", { name: "Plan it anew" })).toBeVisible();
}

/** Fills every container of the plan with what it is to hold. */
export async function fillAll(page: Page, most: number): Promise<void> {
  for (let filled = 0; filled < most; filled += 1) {
    const head = page.locator("#step-head");
    const title = (await head.textContent()) ?? "";
    if (title === "All containers are filled.") return;
    await takeTyped(page);
    await expect(head).not.toHaveText(title);
  }
}

export const activeMatter = (page: Page): Locator => page.getByRole("region", { name: "Active matter" }).locator("output");

/** Makes the version final and begins a batch of it without lots. */
export async function beginJob(page: Page): Promise<string> {
  await expect(saved(page)).toBeVisible();
  await page.getByRole("button", { name: "Finalise version 1" }).click();
  await page.getByRole("link", { name: "Make a batch" }).click();
  await expect(page.getByRole("button", { name: /^Begin (the|another) batch$/ })).toBeVisible();
  for (const lot of await page.getByRole("combobox", { name: /^Lot for/ }).all()) await lot.selectOption("none");
  for (const box of await page.getByRole("checkbox").all()) await box.check();
  await page.getByRole("button", { name: /^Begin (the|another) batch$/ }).click();
  await expect(page.getByRole("heading", { name: "Prepare the bench" })).toBeVisible();
  await scriptsReady(page);
  return new URL(page.url()).pathname;
}

/** A step as it was met at the bench. */
export interface MetStep {
  readonly title: string;
  /** All that stood there. */
  readonly text: string;
  /** What was weighed in it, by name, g as typed. */
  readonly weighed: readonly (readonly [name: string, grams: string])[];
}

/** What a step is answered with instead of the usual, by a word of its title. */
export type Answers = Readonly<Record<string, (page: Page) => Promise<void>>>;

const button = (page: Page, name: string | RegExp) => page.getByRole("button", { name, exact: typeof name === "string" });
const goOn = (page: Page) => button(page, "Go on anyway");
const TUNED = /^(The pH is right|Thick enough|Enough), next step/;
const isTuned = (page: Page) => button(page, TUNED);
const closing = (page: Page) => button(page, "Close the batch");
const MOST_ACTS = 90;

/** Answers what is asked with the first reason there is. */
export async function reasonIfAsked(page: Page): Promise<void> {
  const asked = page.getByRole("alert").filter({ hasText: "say why; it stands in the record" });
  if (await asked.isVisible()) await asked.getByRole("button").first().click();
}

/** What a screen of the bench shows, read at once. */
interface Shown {
  readonly title: string;
  readonly text: string;
  /** What is asked to be weighed; null where nothing is. */
  readonly weighing: string | null;
  /** Names of the buttons. */
  readonly buttons: readonly string[];
}

async function shownNow(page: Page): Promise<Shown> {
  return page.evaluate((ending) => {
    const textOf = (element: Element | null) => (element instanceof HTMLElement ? element.innerText.trim() : "");
    const shown = (selector: string) => [...document.querySelectorAll(selector)].filter((element) => element.checkVisibility());
    const nameOf = (element: Element) => element.getAttribute("aria-label") ?? textOf(element);
    const weight = shown("input")
      .map(nameOf)
      .find((name) => name.endsWith(ending));
    return {
      title: textOf(document.querySelector("#step-head, #finish-head")),
      text: textOf(document.querySelector("main section")),
      weighing: weight?.slice(0, -ending.length) ?? null,
      buttons: shown("button").map(nameOf),
    };
  }, WEIGHT_LABEL);
}

const WEIGHT_LABEL = ", what the scale shows, g";
const ACTS =
  /^(Go on anyway|Close the batch|Take the reading|Done, next step|Finish|The pH is right, next step|Thick enough, next step|Enough, next step)/;

/** The screen once there is something to do on it. */
async function readyToAct(page: Page): Promise<Shown> {
  let shown = await shownNow(page);
  await expect
    .poll(async () => {
      shown = await shownNow(page);
      return shown.weighing !== null || shown.buttons.some((name) => ACTS.test(name));
    })
    .toBe(true);
  return shown;
}

/** Goes through a batch as a maker does, every weight as wanted, up to its yield; tells every step as it was met. */
export async function makeBatch(page: Page, answers: Answers = {}): Promise<readonly MetStep[]> {
  const met: { title: string; text: string; weighed: (readonly [string, string])[] }[] = [];
  const answered = new Set<string>();
  for (let act = 0; act < MOST_ACTS; act += 1) {
    const { title, text, weighing, buttons } = await readyToAct(page);
    const isThere = (name: string | RegExp) => buttons.some((shown) => (typeof name === "string" ? shown === name : name.test(shown)));
    if (isThere("Close the batch")) return met;
    if (met.at(-1)?.title !== title) met.push({ title, text: "", weighed: [] });
    met.at(-1)!.text += `${text}\n`;
    const own = Object.keys(answers).find((word) => title.includes(word));
    if (own !== undefined && !answered.has(title) && !isThere("Go on anyway")) {
      answered.add(title);
      await answers[own]?.(page);
      continue;
    }
    if (isThere("Go on anyway")) {
      await goOn(page).first().click();
      await page.getByRole("button", { name: "it has rested enough" }).click();
    } else if (weighing !== null) {
      const grams = await wantedOr(page, "300");
      met.at(-1)?.weighed.push([weighing, grams]);
      await typedWeight(page).fill(grams);
      await expect(button(page, /Record weight|Accept anyway/)).toBeEnabled();
      await typedWeight(page).press("Enter");
    } else if (isThere(TUNED)) await tune(page);
    else {
      await expect(done(page)).toBeEnabled();
      await done(page).click();
      await reasonIfAsked(page);
    }
    await unguarded(page);
  }
  throw new Error("the batch does not come to an end");
}

/** The moment after an entry in which a second tap counts for none is over. */
async function unguarded(page: Page): Promise<void> {
  await page.waitForFunction(() => document.querySelector("[data-act='Pause the batch'][disabled]") === null);
}

/** A weight that is wanted, or one that is right wherever any is. */
async function wantedOr(page: Page, grams: string): Promise<string> {
  return (await page.locator("main data").first().isVisible()) ? wanted(page) : grams;
}

/** A pH or a thickness that is right at the first reading. */
async function tune(page: Page): Promise<void> {
  const ph = page.getByLabel("pH", { exact: true });
  if (await ph.isVisible()) await readPh(page, await middleOfTarget(page));
  await expect(isTuned(page)).toBeEnabled();
  await isTuned(page).click();
  await reasonIfAsked(page);
}

/** The middle of where the step says that the pH belongs. */
export async function middleOfTarget(page: Page): Promise<string> {
  const [low, high] = [...(await page.getByText(/^belongs between/).innerText()).matchAll(/[\d.]+/g)].map(([number]) => Number(number));
  return (((low ?? 0) + (high ?? 0)) / 2).toFixed(2);
}

export async function readPh(page: Page, value: string): Promise<void> {
  const field = page.getByLabel("pH", { exact: true });
  await field.fill(value);
  await expect(button(page, "Take the reading")).toBeEnabled();
  await button(page, "Take the reading").click();
  await reasonIfAsked(page);
  await expect(field).toBeHidden();
}

/** Closes the batch with its yield and opens the record. */
export async function closeBatch(page: Page, batch: string, grams: string): Promise<Locator> {
  await page.getByLabel("Yield, g").fill(grams);
  await expect(closing(page)).toBeEnabled();
  await closing(page).click();
  await reasonIfAsked(page);
  await expect(page.getByRole("heading", { name: /^Closed/ })).toBeVisible();
  await acknowledged(page);
  await page.goto(`${batch}/record`);
  const record = page.getByRole("article");
  await expect(record).toBeVisible();
  return record;
}

/** Titles of steps stand in this order, others between them or not. */
export function inThisOrder(met: readonly MetStep[], ...words: readonly string[]): void {
  let from = 0;
  for (const word of words) {
    const at = met.slice(from).findIndex(({ title, weighed }) => title.includes(word) || weighed.some(([name]) => name.includes(word)));
    expect(
      at,
      `${word} after ${met[from - 1]?.title ?? "the begin"} in ${met.map(({ title }) => title).join(" | ")}`,
    ).toBeGreaterThanOrEqual(0);
    from += at + 1;
  }
}

/** Every word that stood there while the batch was made. */
export const allText = (met: readonly MetStep[]): string => met.map(({ title, text }) => `${title}\n${text}`).join("\n");

import type { Locator, Page } from "@playwright/test";
import { wholeLines, type Formula } from "@tensidrum/core/formula";
import { begunEarlier } from "./testing/begunEarlier";
import { sendEntries } from "./testing/sendEntries";
import { seriousIn } from "./testing/axe";
import { expect, scriptsReady, test } from "./testing/test";

/** A hand that counts what it presses. */
class Hand {
  pressed = 0;
  readonly page: Page;

  constructor(page: Page) {
    this.page = page;
  }

  async press(target: Locator): Promise<void> {
    await expect(target).toBeEnabled();
    await target.click();
    this.pressed += 1;
  }

  button(name: string | RegExp): Locator {
    return this.page.getByRole("button", { name }).first();
  }
}

const ACID = "citric-acid-solution-50";
const MOST_THINGS = 60;
/** A dose has mixed after two minutes. */
const MIXED_MINUTES = 3;

/** Doses what was poured, as one who has waited until it mixed; the two minutes are not waited for here. */
async function dosedEarlier(hand: Hand): Promise<void> {
  const { page } = hand;
  const { origin, pathname } = new URL(page.url());
  const grams = Number(
    await page
      .getByRole("status", { name: /simulated scale shows/ })
      .first()
      .textContent(),
  );
  const record = (await (await page.request.get(`${origin}${pathname}/record.json`)).json()) as { formula: Formula };
  const line = wholeLines(record.formula).find(({ material }) => material === ACID)?.id ?? null;
  const agent = {
    name: "citric acid 50 % w/w solution",
    line,
    kind: "acid",
    molarMass: 192.12,
    pKas: [3.13, 4.76, 6.4],
    strengthPercent: 50,
  } as const;
  await begunEarlier(origin, pathname, MIXED_MINUTES + 1);
  const at = new Date(Date.now() - MIXED_MINUTES * 60_000).toISOString();
  // The pH is set before the salt, and perhaps once more after it.
  const step = await page
    .locator("form", { has: hand.button(/^Dosed/) })
    .locator('input[name="step"]')
    .inputValue();
  const head = { id: crypto.randomUUID(), at, kind: "dosed", step, readOff: "simulated scale" } as const;
  const answer = await sendEntries(page.request, origin, pathname, [{ ...head, agent, grams }]);
  expect(((await answer.json()) as { refused: readonly unknown[] }).refused).toEqual([]);
  hand.pressed += 1;
  await page.reload();
  await scriptsReady(page);
}

/** Whether the last reading lies where the step wants it. */
async function isInside(page: Page): Promise<boolean> {
  const said = await page.locator("main").innerText();
  const [, low, high] = /belongs between (\d+\.?\d*) and (\d+\.?\d*)/.exec(said) ?? [];
  const now = /(\d+\.\d+) now/.exec(said)?.[1];
  return low !== undefined && high !== undefined && now !== undefined && Number(now) >= Number(low) && Number(now) <= Number(high);
}

/** One thing the bench asks for; false when the batch waits to be closed. */
async function oneThing(hand: Hand): Promise<boolean> {
  const { page } = hand;
  const closing = hand.button("Close the batch");
  const done = hand.button(/^(Done, next step|Finish)/);
  const record = hand.button("Record weight");
  const pour = hand.button("pour what is missing");
  const dosed = hand.button(/^Dosed/);
  const read = hand.button(/^(Take the reading|Read again)$/);
  const dip = hand.button("dip into the sample");
  const goOn = hand.button("Go on anyway");
  const isRight = hand.button(/The pH is right, next step|Thick enough, next step/);
  await expect(closing.or(done).or(record).or(dosed).or(dip).or(goOn).or(isRight).first()).toBeVisible();
  if (await closing.isVisible()) return false;
  // What is not surely right is taken with a reason.
  const why = hand.button("trial");
  if (await why.isVisible()) {
    await hand.press(why);
    return true;
  }
  if (await goOn.isVisible()) {
    await hand.press(goOn);
    await hand.press(hand.button("it has rested enough"));
  } else if (await record.isVisible()) {
    if (await page.getByText("Tare first: the beaker is on the scale.").isVisible()) await hand.press(hand.button("Tare"));
    await hand.press(pour);
    await hand.press(record);
  } else if (await dosed.isVisible()) {
    await hand.press(pour);
    await expect(dosed).toBeEnabled();
    await dosedEarlier(hand);
  } else if (await done.isVisible()) {
    await hand.press(done);
  } else if ((await isRight.isVisible()) && (await isInside(page))) {
    await hand.press(isRight);
  } else if (await dip.isVisible()) {
    await hand.press(dip);
    await hand.press(read);
  } else if (await isRight.isVisible()) {
    // A first wash is taken as thick as it is.
    await hand.press(isRight);
  }
  return true;
}

test("from nothing to the record of 200 g of hand wash with simulated instruments, in at most sixty clicks and keys", async ({
  page,
  start,
  folder,
}) => {
  test.setTimeout(360_000);
  const { address } = await start({ TENSIDRUM_DATA: folder }, ["--empty"]);
  const began = Date.now();
  await page.goto(address);
  await scriptsReady(page);
  expect(await seriousIn(page)).toEqual([]);
  const hand = new Hand(page);
  await hand.press(hand.button("Make 200 g of hand wash"));
  // The address is there before the page is.
  await expect(page.getByRole("heading", { name: "Before you begin" })).toBeVisible();
  await scriptsReady(page);
  for (const box of await page.getByRole("checkbox").all()) await hand.press(box);
  await hand.press(hand.button(/^Begin (the|another) batch$/));
  await expect(page.getByRole("heading", { name: "Prepare the bench" })).toBeVisible();
  await scriptsReady(page);
  const instruments = page.getByText(/^Instruments:/);
  await hand.press(instruments);
  for (const kind of ["Scale", "pH meter"]) {
    await hand.press(page.getByRole("listitem", { name: kind }).getByRole("button", { name: "simulated" }));
  }
  await hand.press(instruments);
  for (let at = 0; at < MOST_THINGS; at += 1) {
    const before = await page.locator("main").innerText();
    if (!(await oneThing(hand))) break;
    await expect(page.locator("main")).not.toHaveText(before, { useInnerText: true });
    // A second tap in the same moment is none.
    await page.waitForTimeout(450);
  }
  await page.getByLabel(/yield/i).fill("192");
  hand.pressed += 3;
  await hand.press(hand.button("Close the batch"));
  await expect(page.getByRole("link", { name: "Record" }).first()).toBeVisible();
  await hand.press(page.getByRole("link", { name: "Record" }).first());
  await expect(page.getByText("192").first()).toBeVisible();
  await expect(page.getByText("simulated").first()).toBeVisible();
  test.info().annotations.push({ type: "clicks and keys", description: `${hand.pressed} in ${Math.round((Date.now() - began) / 1000)} s` });
  expect(hand.pressed).toBeLessThanOrEqual(60);
  await page.goto(address);
  await expect(page.getByRole("list", { name: "Finished today" })).toContainText("First hand wash is finished");
});

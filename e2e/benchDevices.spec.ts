import type { Page } from "@playwright/test";
import type { BatchEntry } from "@tensidrum/core/process";
import { sendEntries } from "./testing/sendEntries";
import { acknowledged, beginBatch, done, GREEN_ROOM_BATCH, takeTyped, typedWeight } from "./testing/atTheBench";
import { cutWire } from "./testing/cutWire";
import { pageKept } from "./testing/pageKept";
import { expect, scriptsReady, test } from "./testing/test";

test.use({ ownApplication: "bench devices" });

/** The lines of the record's list of what happened. */
async function happened(page: Page, batch: string): Promise<readonly string[]> {
  await page.goto(`${batch}/record`);
  const rows = page.getByRole("article").getByRole("table").last().getByRole("row");
  return (await rows.allInnerTexts()).slice(1).map((text) => text.replace(/^[^\t]*\t/, ""));
}

async function stepIs(page: Page, title: string): Promise<void> {
  await expect(page.getByRole("heading", { level: 2, name: title })).toBeVisible();
}

test("the connection cut for ten minutes: the work goes on, the queue shows, a reload loses nothing, and all arrives once and in order", async ({
  application,
  browser,
}) => {
  test.setTimeout(240_000);
  const wire = await cutWire(application.address);
  const context = await browser.newContext({ baseURL: wire.address });
  const page = await context.newPage();
  await page.clock.install();
  const batch = await beginBatch(page, GREEN_ROOM_BATCH);
  await done(page).click();
  await expect(typedWeight(page)).toBeVisible();
  await acknowledged(page);
  await pageKept(page);

  wire.cut();
  await context.setOffline(true);
  const water = await takeTyped(page);
  await expect(page.getByText(/Kept on this device, 1 entry to send/)).toBeVisible();
  await page.clock.fastForward("03:00");
  await done(page).click();
  await page.getByText("What waits").click();
  await expect(page.getByRole("list").filter({ hasText: water.name }).first()).toContainText(`${water.grams} g`);
  await expect(page.getByText(/Kept on this device, 2 entries to send/)).toBeVisible();

  // A reload without the server is served from this device.
  await page.reload();
  await scriptsReady(page);
  await expect(page.getByText(/Kept on this device, 2 entries to send/)).toBeVisible();
  await stepIs(page, "Dissolve the chelator");
  await page.clock.fastForward("07:00");
  const chelator = await takeTyped(page);
  await done(page).click();
  await expect(page.getByText(/Kept on this device, 4 entries to send/)).toBeVisible();

  await context.setOffline(false);
  wire.fixWith();
  await page.clock.fastForward("00:15");
  await acknowledged(page);
  await expect(page.getByText(/Kept on this device/)).toBeHidden();
  expect(await happened(page, batch)).toEqual([
    "Prepare the bench: done",
    expect.stringContaining(`${water.name}: ${water.grams}`),
    "Weigh the water: done",
    expect.stringContaining(`${chelator.name}: ${chelator.grams}`),
    "Dissolve the chelator: done",
  ]);
  await context.close();
  await wire.close();
});

test("two devices on one batch see each other's steps at once, and cannot both take one", async ({ application, browser }) => {
  test.setTimeout(300_000);
  const [near, far] = [await cutWire(application.address), await cutWire(application.address)];
  const contexts = await Promise.all([near, far].map(({ address }) => browser.newContext({ baseURL: address })));
  const [one, other] = await Promise.all(contexts.map((context) => context.newPage()));
  if (one === undefined || other === undefined) throw new Error("no pages");
  const batch = await beginBatch(one, GREEN_ROOM_BATCH);
  await other.goto(batch);
  await scriptsReady(other);

  await done(one).click();
  await stepIs(other, "Weigh the water");
  const { grams } = await takeTyped(other);
  await expect(one.getByRole("row", { name: new RegExp(`${grams}0? of`) })).toBeVisible();

  // Both take the step while one of them has no connection: the one that arrives first has it.
  far.cut();
  await expect(other.getByText(/Kept on this device, nothing to send/)).toBeVisible();
  await done(one).click();
  await acknowledged(one);
  await done(other).click();
  await expect(other.getByText(/Kept on this device, 1 entry to send/)).toBeVisible();
  far.fixWith();
  await expect(other.getByRole("alert")).toContainText("Not taken: Weigh the water: done", { timeout: 20_000 });
  await expect(other.getByRole("alert")).toContainText("has been done already");
  await stepIs(other, "Dissolve the chelator");
  await other.getByRole("button", { name: "keep it as a note" }).click();
  await acknowledged(other);
  expect((await happened(one, batch)).filter((line) => line === "Weigh the water: done")).toHaveLength(1);
  expect(await happened(one, batch)).toContain("Note: Entered elsewhere and not taken: Weigh the water: done");
  await Promise.all(contexts.map((context) => context.close()));
  await near.close();
  await far.close();
});

test("an entry that is sent again and again is stored once", async ({ page, request, application: { address } }) => {
  const batch = await beginBatch(page, GREEN_ROOM_BATCH);
  const entry: BatchEntry = { id: crypto.randomUUID(), at: new Date().toISOString(), kind: "noted", step: null, text: "only once" };
  const send = () => sendEntries(request, address, batch, [entry]);
  const answers = await Promise.all([send(), send(), send()]);
  expect(answers.map((answer) => answer.status())).toEqual([200, 200, 200]);
  expect((await happened(page, batch)).filter((line) => line === "Note: only once")).toHaveLength(1);
  const refused = await sendEntries(request, address, batch, [{ ...entry, kind: "burned" } as unknown as BatchEntry]);
  expect(refused.status()).toBe(422);
});

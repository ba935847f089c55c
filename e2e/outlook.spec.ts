import type { Page } from "@playwright/test";
import { seriousIn } from "./testing/axe";
import { filledBatch } from "./testing/filledBatch";
import { expect, FAILED_LOAD, scriptsReady, test } from "./testing/test";

test.use({ ownApplication: "outlook", allowedConsole: [FAILED_LOAD] });

/** A day so many days ahead, as a date field takes it. */
const ahead = (days: number): string => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);

async function plan(page: Page, what: string, days: number, grams: string): Promise<void> {
  const rows = page.getByRole("region", { name: "Planned batches" }).getByRole("row");
  const before = await rows.count();
  await page.getByLabel("What", { exact: true }).selectOption({ label: what });
  await page.getByLabel("On", { exact: true }).fill(ahead(days));
  await page.getByLabel("How much").fill(grams);
  await page.getByRole("button", { name: "Plan it" }).click();
  // The first plan brings the table with its head.
  await expect(rows).toHaveCount(before === 0 ? 2 : before + 1);
}

test("three batches are planned, the list is printed, bought and received; one is made, and a lot of it recalled", async ({ page }) => {
  test.setTimeout(480_000);
  await page.goto("/shelf/outlook");
  await scriptsReady(page);
  await page.getByRole("button", { name: "Plan it" }).click();
  await expect(page.getByText("Choose what is to be made.")).toBeVisible();
  await plan(page, "Green Room body wash v1", 3, "1 kg");
  await plan(page, "Green Room body wash v1", 6, "500 g");
  await plan(page, "Curtain Call shampoo v1", 9, "600 g");
  const moved = page.getByRole("row", { name: /Curtain Call shampoo/ }).filter({ hasText: "Change" });
  await moved.getByText("Change").click();
  await moved.getByLabel("Day of Curtain Call shampoo").fill(ahead(12));
  await moved.getByRole("button", { name: "Move it" }).click();
  await expect
    .poll(async () => (await (await page.request.get("/shelf/outlook.ics")).text()).includes(ahead(12).replaceAll("-", "")))
    .toBe(true);
  const toBuy = page.getByRole("region", { name: "To buy" });
  const laureth = toBuy.getByRole("row", { name: /^Sodium laureth sulfate/ });
  // 24 % of 1,500 g.
  await expect(laureth).toContainText("360.0 g");
  await expect(laureth).toContainText("no pack known");
  expect(await seriousIn(page)).toEqual([]);

  await test.step("a price with a comma, and one in another currency", async () => {
    await laureth.getByRole("link", { name: "Add a price" }).click();
    await scriptsReady(page);
    await page.getByLabel("Supplier").fill("Prompt Side Supplies");
    await page.getByLabel("In a pack").fill("250 g");
    await page.getByLabel("Price of a pack").fill("4 $");
    await page.getByRole("button", { name: "Keep it" }).click();
    await expect(page.getByText(/“\$” is not counted/)).toBeVisible();
    await expect(page.getByLabel("Supplier")).toHaveValue("Prompt Side Supplies");
    await page.getByLabel("Price of a pack").fill("4,20");
    await page.getByRole("button", { name: "Keep it" }).click();
    await expect(page.getByRole("row", { name: /^Prompt Side Supplies/ })).toContainText("16.80");
    await page.getByRole("link", { name: "Outlook" }).click();
    await expect(laureth).toContainText("2 × 250 g from Prompt Side Supplies");
    await expect(laureth).toContainText("8.40");
  });

  await test.step("the shopping list, on paper and as a table, and the days in a calendar", async () => {
    const calendar = await (await page.request.get("/shelf/outlook.ics")).text();
    expect(calendar.match(/SUMMARY:Make /g)).toHaveLength(3);
    expect(calendar).toContain(`DTSTART;VALUE=DATE:${ahead(3).replaceAll("-", "")}`);
    await page.getByRole("link", { name: "Shopping list" }).click();
    await expect(page.getByRole("region", { name: "Prompt Side Supplies" }).getByRole("row", { name: /2 × 250 g/ })).toBeVisible();
    expect(await seriousIn(page)).toEqual([]);
    expect(await (await page.request.get("/shelf/shopping.csv")).text()).toMatch(
      /Sodium laureth sulfate[^,]*,360,.*Prompt Side Supplies,2,250,4.2,8.4/,
    );
  });

  await test.step("what is bought is received from the list, until nothing is lacking", async () => {
    for (let at = 1; ; at += 1) {
      await page.goto("/shelf/shopping");
      await expect(page.getByRole("heading", { name: "Shopping list" })).toBeVisible();
      const receive = page.getByRole("link", { name: /^Receive / }).first();
      if ((await receive.count()) === 0) break;
      await receive.click();
      await expect(page.getByRole("heading", { name: "Receive a lot" })).toBeVisible();
      await scriptsReady(page);
      await page.getByLabel("Lot code, as written on it").fill(`N-${at}`);
      await page.getByLabel("Amount in the pack").fill("1 kg");
      await page.getByRole("button", { name: "Put it on the shelf" }).click();
      await expect(page.getByRole("article", { name: `Lot N-${at}` })).toBeVisible();
    }
    await page.goto("/shelf/outlook");
    await expect(toBuy).toContainText("Nothing: all that is planned is there.");
  });

  const lotCode = await test.step("the first is made, and its plan is through", async () => {
    const link = page.getByRole("region", { name: "Planned batches" }).getByRole("link", { name: "Make it" }).first();
    const batch = await filledBatch(page, (await link.getAttribute("href")) ?? "", 1, 3);
    await page.goto("/shelf/outlook");
    await expect(page.getByRole("region", { name: "Planned batches" }).getByRole("row")).toHaveCount(3);

    await page.goto(`/fill/${batch}/containers`);
    await scriptsReady(page);
    await page.getByLabel("To whom Pump bottle, tall went").fill("dressing room 2");
    await page
      .getByRole("row", { name: /1 × Pump bottle, tall/ })
      .getByRole("button", { name: "Keep" })
      .click();
    await expect(page.getByRole("region", { name: "What is in them" }).getByRole("row", { name: /^Sodium laureth sulfate/ })).toBeVisible();
    expect(await seriousIn(page)).toEqual([]);
    const row = page.getByRole("row", { name: /^Sodium laureth sulfate/ });
    return (await row.getByRole("link", { name: /^Where lot/ }).innerText()).trim();
  });

  await test.step("a lot of it is recalled: the next batch is stopped, and what to fetch is listed", async () => {
    await page.goto("/shelf/sles-2eo-28");
    const lot = page.getByRole("article", { name: `Lot ${lotCode}` });
    // It was opened by its use at the bench.
    await expect(lot).toContainText("opened");
    await lot.getByLabel("why").fill("recalled by its maker");
    await lot.getByRole("button", { name: "Put on hold" }).click();
    await expect(lot).toContainText("On hold: recalled by its maker");
    await lot.getByRole("link", { name: "Where it went" }).click();
    await expect(page.getByRole("row", { name: /1 × Pump bottle, tall/ })).toBeVisible();
    await expect(page.getByLabel("To whom Pump bottle, tall went")).toHaveValue("dressing room 2");
    await page.goto("/shelf/outlook");
    await expect(toBuy.getByRole("row", { name: /^Sodium laureth sulfate/ })).toContainText("120.0 g");
  });
});

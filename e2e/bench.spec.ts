import type { Page } from "@playwright/test";
import AxeBuilder from "@axe-core/playwright";
import { expect, FAILED_LOAD, test } from "./testing/test";

// A weight that cannot be is answered with 422.
test.use({ allowedConsole: [FAILED_LOAD], ownApplication: "bench" });

const GREEN_ROOM = "/sheet/5ea50000-0000-4000-8000-00000000a200/1";

/** Goes through the steps that are left: every line at its target, every step done. */
async function makeTheRest(page: Page): Promise<void> {
  const take = page.getByRole("button", { name: "Take the weight" });
  const done = page.getByRole("button", { name: "Done, next step" });
  const closing = page.getByRole("button", { name: "Close the batch" });
  for (let at = 0; at < 80; at += 1) {
    await expect(take.or(done).or(closing)).toBeVisible();
    if (await closing.isVisible()) return;
    const before = await page.locator("main").innerText();
    if (await take.isVisible()) {
      await page.locator("input[name=grams]").fill(((await page.locator("main output").textContent()) ?? "").trim());
      await take.click();
    } else {
      await done.click();
    }
    await expect(page.locator("main")).not.toHaveText(before, { useInnerText: true });
  }
}

test("a gel from before the first weight to the record: a wrong weight is answered, the shelf goes down, the record prints", async ({
  page,
}) => {
  test.setTimeout(150_000);
  await page.goto(GREEN_ROOM);
  await page.getByRole("link", { name: "Make a batch" }).click();
  await page.getByLabel("Batch, g").fill("200");
  await page.getByRole("button", { name: "Look again" }).click();
  await page.getByRole("button", { name: "Begin the batch" }).click();
  await expect(page.getByRole("alert")).toContainText("Not ticked yet");
  for (const box of await page.getByRole("checkbox").all()) await box.check();
  await page.getByLabel("main beaker").fill("412,5");
  await page.getByRole("button", { name: "Begin the batch" }).click();

  await expect(page.getByRole("heading", { name: "Prepare the bench" })).toBeVisible();
  await expect(page.getByRole("img", { name: /0 of \d+ steps are through/ })).toBeVisible();
  // The first step by the space bar alone.
  await expect(page.getByRole("button", { name: "dim" })).toBeEnabled();
  await page.keyboard.press(" ");
  const weight = page.locator("input[name=grams]");
  await expect(weight).toBeVisible();
  await weight.fill("-4");
  await weight.press("Enter");
  await expect(page.getByRole("alert")).toContainText("A weight is not below 0.");
  await expect(weight).toHaveValue("-4");
  const target = Number(await page.locator("main output").textContent());
  await weight.fill(String(target * 1.1));
  await weight.press("Enter");
  await expect(page.getByText(/is 10\.0 % over/)).toBeVisible();
  const serious = (await new AxeBuilder({ page }).analyze()).violations.filter(
    ({ impact }) => impact === "serious" || impact === "critical",
  );
  expect(serious.map(({ id }) => id)).toEqual([]);
  await page.getByRole("button", { name: "Weigh it again" }).click();
  await expect(weight).toBeVisible();
  await page.reload();
  await expect(page.locator("main output")).toHaveText(new RegExp(`^${target}`));

  await makeTheRest(page);
  await page.getByLabel("What came out, g").fill("193.4");
  await page.getByRole("button", { name: "Close the batch" }).click();
  const record = page.getByRole("article");
  await expect(record).toContainText("193.4 g came out");
  await expect(record.getByRole("row", { name: /together/ })).toContainText("200.00");
  await expect(record).toContainText("main beaker 412.5 g");
  await page.goto("/shelf/cocamidopropyl-betaine");
  await expect(
    page
      .getByRole("table", { name: /The books/ })
      .getByRole("row")
      .nth(1),
  ).toContainText("used: GR-");
  await page.goto("/bench");
  await expect(page.getByRole("row", { name: /Green Room/ })).toBeVisible();
});

test("a heated cleanser: two beakers warmed, joined and cooled, from the set version to the record, on a tablet", async ({ page }) => {
  test.setTimeout(150_000);
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.goto("/sheet/5ea50000-0000-4000-8000-00000000d400");
  await page.getByRole("button", { name: /^Set version/ }).click();
  await page.getByRole("link", { name: "Make a batch" }).click();
  await expect(page.getByRole("heading", { name: "Before you begin" })).toBeVisible();
  for (const box of await page.getByRole("checkbox").all()) await box.check();
  for (const lot of await page.getByRole("combobox", { name: /^Lot for/ }).all()) await lot.selectOption("none");
  await page.getByRole("button", { name: "Begin the batch" }).click();
  await expect(page.getByRole("heading", { name: "Prepare the bench" })).toBeVisible();
  await makeTheRest(page);
  await page.getByLabel("What came out, g").fill("388");
  await page.getByRole("button", { name: "Close the batch" }).click();
  const record = page.getByRole("article");
  await expect(record).toContainText("388.0 g came out");
  await expect(
    record
      .getByRole("listitem")
      .filter({ hasText: /heat|melt|warm/i })
      .first(),
  ).toContainText("done");
  await expect(record.getByRole("row", { name: /together/ })).toContainText("400.00");
});

import type { Page } from "@playwright/test";
import { beginBatch, GREEN_ROOM_BATCH, takeTyped } from "./testing/atTheBench";
import { addLine, beginFormula, expect, FAILED_LOAD, saved, scriptsReady, test } from "./testing/test";

test.use({ allowedConsole: [FAILED_LOAD, /ERR_FAILED/], ownApplication: "enter" });

const curtainCall = "/sheet/5ea50000-0000-4000-8000-00000000c100";
const views = [
  curtainCall,
  `${curtainCall}/1`,
  "/import",
  "/shelf",
  "/shelf/cocamidopropyl-betaine",
  "/shelf/import",
  "/shelf/receive",
  "/shelf/materials/new?from=coco-glucoside",
  "/shelf/cocamidopropyl-betaine/own",
  "/shelf/make/solution?of=citric-acid-anhydrous",
  "/shelf/make/water?name=Birch+leaf+water&inci=Betula+Alba+Leaf+Extract&plant=40&water=600&yield=470",
  "/scents",
  "/scents/ca7de3b0-5ff1-8486-aa8f-0b107e4ca350",
  GREEN_ROOM_BATCH,
  "/bench/salt-samples/5ea50000-0000-4000-8000-00000000a200/1",
  "/settings",
];

const TYPED =
  "input:not([type=hidden]):not([type=submit]):not([type=button]):not([type=file]):not([type=checkbox]):not([type=radio]):not(:disabled)";

/** What was sent that may change something, but for the Sheet saving itself and a recipe being read. */
function sentBy(page: Page): string[] {
  const sent: string[] = [];
  page.on("request", (request) => {
    const { pathname } = new URL(request.url());
    if (request.method() === "POST" && !/\/save$|\/recipe(\.data)?$|\/entries$/.test(pathname))
      sent.push(`${pathname} ${request.postData() ?? ""}`);
  });
  return sent;
}

for (const path of views) {
  test(`Enter in every field of ${path.split("?")[0] ?? path} presses no button of a form with several things in it`, async ({ page }) => {
    test.setTimeout(240_000);
    await page.goto(path);
    await scriptsReady(page);
    const sent = sentBy(page);
    const pressed: string[] = [];
    const count = await page.locator(TYPED).count();
    for (let at = 0; at < count; at += 1) {
      const field = page.locator(TYPED).nth(at);
      if (!(await field.isVisible())) continue;
      const form = await field.evaluate((element: HTMLInputElement) => ({
        name: element.name || element.getAttribute("aria-label") || element.id,
        isAsking: element.form === null || element.form.method === "get",
        isAlone:
          element.form !== null &&
          [...element.form.elements].filter((each) => each.matches("button:not([type=button]):not([data-default])")).length === 1,
        fields:
          element.form === null
            ? 0
            : [...element.form.elements].filter((each) => each.matches("input:not([type=hidden]), select, textarea")).length,
      }));
      if (form.isAsking || (form.isAlone && form.fields === 1)) continue;
      await field.press("Enter");
      if (sent.length > 0) pressed.push(`${form.name}: ${sent.splice(0).join()}`);
    }
    await page.waitForTimeout(200);
    expect([...pressed, ...sent]).toEqual([]);
    expect(new URL(page.url()).pathname).toBe(new URL(path, page.url()).pathname);
  });
}

test("Enter in name, batch, aim, measured pH and phase title commits the field: no line goes, and the sheet saves itself", async ({
  page,
}) => {
  await beginFormula(page);
  await addLine(page, "coco-glucoside", "4");
  await addLine(page, "glycerin", "2");
  const lines = page.locator("input[data-percent-of]");
  await expect(lines).toHaveCount(3);
  const name = page.getByRole("textbox", { name: "Name of the formula" });
  await name.fill("Call Sheet");
  await name.press("Enter");
  for (const label of ["Measured pH", "Batch"]) {
    const field = page.getByLabel(label, { exact: false }).first();
    await field.press("Enter");
  }
  await expect(saved(page)).toContainText(/saved \d\d/);
  await expect(lines).toHaveCount(3);
  await page.reload();
  await expect(name).toHaveValue("Call Sheet");
  await expect(lines).toHaveCount(3);
});

test("without scripts Enter saves the sheet, and asks at a lot what is to be done", async ({ browser, application }) => {
  const context = await browser.newContext({ baseURL: application.address, javaScriptEnabled: false });
  const page = await context.newPage();
  await page.goto(curtainCall);
  const before = await page.locator("input[data-percent-of]").count();
  await page.getByRole("textbox", { name: "Name of the formula" }).fill("Curtain Call, by hand");
  await page.getByRole("textbox", { name: "Name of the formula" }).press("Enter");
  await expect(page.getByRole("textbox", { name: "Name of the formula" })).toHaveValue("Curtain Call, by hand");
  await expect(page.locator("input[data-percent-of]")).toHaveCount(before);
  await page.goto("/shelf/cocamidopropyl-betaine");
  await page.getByLabel("grams").first().fill("1");
  await page.getByLabel("grams").first().press("Enter");
  await expect(page.getByRole("alert")).toContainText("Choose what to do with it");
  await page.goto(GREEN_ROOM_BATCH);
  await page.getByRole("textbox").first().press("Enter");
  await expect(page.getByRole("heading", { name: "Before you begin" })).toBeVisible();
  await context.close();
});

test("at the bench Enter still records the one thing that is typed", async ({ page }) => {
  await beginBatch(page, GREEN_ROOM_BATCH);
  await page.getByRole("button", { name: "Done, next step" }).click();
  await takeTyped(page);
  await expect(page.getByText(/\d of \d+\.\d g/)).toBeVisible();
});

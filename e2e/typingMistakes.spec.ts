import { addLine, beginFormula, expect, FAILED_LOAD, saved, test } from "./testing/test";

test.use({ allowedConsole: [FAILED_LOAD] });

const glucoside = "Coco-glucoside, percent";

test.describe("a percent that cannot be", () => {
  for (const [text, words] of [
    ["-3", "A share cannot be below 0."],
    ["101", "A share cannot be above 100 %."],
    ["abc", "This is not a number. Write it in plain figures, 12.5 or 12,5."],
    ["1e309", "This is not a number. Write it in plain figures, 12.5 or 12,5."],
  ] as const) {
    test(`${text} is answered at its cell, stays there, and is not stored`, async ({ page }) => {
      await beginFormula(page);
      await addLine(page, "coco-glucoside", "4");
      await expect(saved(page)).toContainText(/saved \d\d/);
      await page.getByLabel(glucoside).fill(text);
      await expect(page.getByText(words)).toBeVisible();
      await expect(page.getByLabel(glucoside)).toHaveAttribute("aria-invalid", "true");
      await expect(page.getByText("fix the marked cell to save")).toBeVisible();
      await expect(page.getByLabel(glucoside)).toHaveValue(text);
      const stored = await page
        .context()
        .browser()
        ?.newPage({ baseURL: new URL(page.url()).origin });
      await stored?.goto(page.url());
      await expect(stored!.getByLabel(glucoside)).toHaveValue("4.00");
      await stored?.close();
      await page.getByLabel(glucoside).fill("6");
      await expect(saved(page)).toBeVisible();
    });
  }
});

test("12,5 is understood as 12.5", async ({ page }) => {
  await beginFormula(page);
  await addLine(page, "coco-glucoside", "12,5");
  // 12.5 × 0.52
  await expect(page.getByRole("region", { name: "Active matter" }).locator("output")).toHaveText("6.50");
  await expect(saved(page)).toContainText(/saved \d\d/);
  await page.reload();
  await expect(page.getByLabel(glucoside)).toHaveValue("12.50");
});

test("400 characters of name are answered at the name", async ({ page }) => {
  await beginFormula(page);
  const name = page.getByRole("textbox", { name: "Name of the formula" });
  await name.fill("x".repeat(400));
  await expect(page.getByText("A name has at most 120 characters, this one has 400.")).toBeVisible();
  await expect(name).toHaveValue("x".repeat(400));
  await page.reload();
  // Not stored, and not lost either: the device has kept it.
  await expect(name).toHaveValue("x".repeat(400));
  await name.fill("Prompter's shampoo");
  await expect(saved(page)).toContainText(/saved \d\d/);
});

test("an overfull sheet turns its water line and says what to take out", async ({ page }) => {
  await beginFormula(page);
  await addLine(page, "coco-glucoside", "99");
  await addLine(page, "glycerin", "2,4");
  await expect(page.getByText("The lines add up to 101.40 %.")).toBeVisible();
  await expect(page.getByText("Remove 1.40 %.")).toBeVisible();
  await expect(page.getByLabel("Distilled or deionised water, percent")).toHaveValue("0.00");
});

test("what a form could not have sent is refused, and nothing is stored", async ({ page, request, application }) => {
  await beginFormula(page);
  await addLine(page, "coco-glucoside", "4");
  await expect(saved(page)).toContainText(/saved \d\d/);
  const address = page.url();
  await page.reload();
  const fields = await page
    .locator("form#sheet")
    .evaluate((form: HTMLFormElement) => [...new FormData(form)].map(([key, value]) => [key, String(value)] as const));
  const post = (change: (entries: URLSearchParams) => void) => {
    const body = new URLSearchParams(fields.map(([key, value]) => [key, value]));
    body.set("intent", "save");
    change(body);
    return request.post(address, {
      headers: { "Content-Type": "application/x-www-form-urlencoded", Origin: application.address },
      data: body.toString(),
      maxRedirects: 0,
    });
  };
  const lines = fields.flatMap(([key]) => /^lines\.(.*)\.materialId$/.exec(key)?.[1] ?? []);

  const unknownKey = await post((body) => body.set("isAdmin", "1"));
  expect(unknownKey.status()).toBe(422);
  expect(await unknownKey.text()).toContain("isAdmin");

  const secondRest = await post((body) => {
    body.delete("restLineId");
    for (const line of lines) body.append("restLineId", line);
  });
  expect(secondRest.status()).toBe(422);
  expect(await secondRest.text()).toContain("Only one line can be q.s. to 100 %.");

  const unknownMaterial = await post((body) => {
    body.set(`lines.${lines.at(-1)}.materialId`, "11111111-1111-4111-8111-111111111111");
  });
  expect(unknownMaterial.status()).toBe(422);
  expect(await unknownMaterial.text()).toContain("This material is not in the library.");

  const elsewhere = await request.post(address, {
    headers: { Origin: "http://elsewhere.example" },
    form: { intent: "save" },
    maxRedirects: 0,
  });
  expect(elsewhere.status()).toBeGreaterThanOrEqual(400);

  expect((await post(() => undefined)).status()).toBe(302);
  await page.goto(address);
  await expect(page.getByLabel(glucoside)).toHaveValue("4.00");
  await expect(page.locator("input[data-percent-of]")).toHaveCount(2);
});

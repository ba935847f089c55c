import { expect, FAILED_LOAD, test } from "./testing/test";

const CURTAIN = "5ea50000-0000-4000-8000-00000000c100";
const designer = `/designer/${CURTAIN}`;

test.use({ ownApplication: "designer", allowedConsole: [FAILED_LOAD] });

test("from a sheet to a blend that is taken, by keys, and back", async ({ page }) => {
  await page.goto(`/sheet/${CURTAIN}`);
  const betaine = page.getByLabel("Cocamidopropyl betaine, percent");
  const before = await betaine.inputValue();
  await page.getByRole("link", { name: "Find a blend" }).click();
  await expect(page.getByText(/^Proved: among/)).toBeVisible();
  const edge = page.getByRole("slider", { name: /Blends that no other is better than/ });
  await expect(edge).toHaveAttribute("aria-valuetext", /Irritation \d+, initial foam/);

  // A wish, and what it leaves: every blend foams so much.
  await page.getByRole("checkbox", { name: /initial foam at least/ }).check();
  await page.getByRole("textbox", { name: "initial foam at least" }).fill("6");
  await page.getByRole("textbox", { name: "initial foam at least" }).press("Enter");
  await expect(page).toHaveURL(/leastFlash=6/);
  await page.getByRole("combobox", { name: "thickened by" }).selectOption("salt");
  await expect(page.getByText(/^Proved: among/)).toBeVisible();
  await edge.press("Home");
  await expect(edge).toHaveAttribute("aria-valuenow", "1");
  const cheapest = (await edge.getAttribute("aria-valuetext")) ?? "";
  expect(Number(/initial foam (\d+\.\d)/.exec(cheapest)?.[1])).toBeGreaterThanOrEqual(6);
  await page.getByRole("button", { name: "Hold it to compare" }).click();
  await edge.press("End");
  await expect(page.getByRole("columnheader", { name: "held, %" })).toBeVisible();
  const mildest = (await edge.getAttribute("aria-valuetext")) ?? "";
  const irritation = (words: string) => Number(/Irritation (\d+)/.exec(words)?.[1]);
  expect(irritation(mildest)).toBeLessThan(irritation(cheapest));
  await expect(page.getByText(/of 100 drawn worlds/)).toBeVisible();
  await expect(page.getByText(/^Without it/).first()).toBeVisible();

  const saved = page.waitForResponse((response) => response.url().endsWith("/save") && response.request().method() === "POST");
  await page.getByRole("button", { name: /Take it into the draft/ }).click();
  await expect(page.getByText(/A blend found for v2: .* Undo brings back what was here/)).toBeVisible();
  await saved;
  // The sheet itself says what was promised: the irritation, and that salt works.
  await expect(page.locator("main")).toContainText(`${irritation(mildest)} very mild`);
  await expect(page.getByText(/salt hardly thickens/)).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(betaine).toHaveValue(before);
  await page.getByRole("button", { name: "Redo" }).click();
  await expect(betaine).not.toHaveValue(before);
  await page.reload();
  await expect(betaine).not.toHaveValue(before);
  await expect(page.getByText(/A blend found for/)).toHaveCount(0);
});

test("wishes nothing fulfils are answered with the smallest change that would help", async ({ page }) => {
  await page.goto(`${designer}?mostIrritation=5&thickening=salt`);
  await expect(page.getByText("No blend keeps all of this.")).toBeVisible();
  const help = page.getByRole("list", { name: "What would help" }).getByRole("button");
  await expect(help.first()).toHaveText(/^Irritation at most \d+ instead of 5$/);
  await help.first().click();
  await expect(page.getByText(/^Proved: among .* no blend is better/)).toBeVisible();
  await expect(page).toHaveURL(/mostIrritation=\d{2}/);
});

test("a final version begins its next draft with the blend, and says where it came from", async ({ page }) => {
  await page.goto("/sheet/5ea50000-0000-4000-8000-00000000a200/1");
  await page.getByRole("link", { name: "Find a blend" }).click();
  await page.getByRole("radio", { name: "the whole library" }).check();
  await page.getByRole("radio", { name: "foaming" }).check();
  await expect(page.getByText(/^(Proved|Looking)/)).toBeVisible();
  await page.getByRole("button", { name: "best foam" }).click();
  await page.getByRole("button", { name: /Take it into the (next draft|draft v\d)/ }).click();
  await expect(page).toHaveURL(/\/sheet\/5ea50000-0000-4000-8000-00000000a200\/2$/);
  await expect(page.getByText(/A blend found for v1/).first()).toBeVisible();
});

test("nonsense in the address asks what is usual, and a search is stopped by hand", async ({ page }) => {
  await page.goto(`${designer}?against=%3Cb%3E&activeLow=40&activeHigh=1&countHigh=x&must=..%2F..&leastFlash=NaN`);
  await expect(page.getByText("No blend keeps all of this.")).toBeVisible();
  await page.goto(`${designer}?shelf=all&against=foam&countHigh=5`);
  await page.getByRole("button", { name: "Stop here" }).click();
  await expect(page.getByText(/^Stopped: of .* could be better by up to \d+ %/)).toBeVisible();
  await expect(page.getByRole("slider", { name: /Blends that no other/ })).toBeVisible();
});

test("the sheet is mended by search: milder, and without one of its surfactants, with the least change", async ({ page }) => {
  await page.goto(designer);
  await expect(page.getByText(/^Proved: among/)).toBeVisible();
  const mends = page.getByRole("combobox", { name: "mend the sheet" });
  const [, milder = ""] = await mends.locator("option").allTextContents();
  const [from, to] = /irritation from (\d+) to (\d+)/.exec(milder)?.slice(1).map(Number) ?? [];
  await mends.selectOption(milder);
  await expect(page).toHaveURL(/against=change/);
  await expect(page.getByText(/^Proved: among/)).toBeVisible();
  const edge = page.getByRole("slider", { name: /Blends that no other is better than/ });
  const irritation = async () => Number(/Irritation (\d+)/.exec((await edge.getAttribute("aria-valuetext")) ?? "")?.[1]);
  expect(await irritation()).toBeLessThanOrEqual(to ?? 0);
  expect(from).toBeGreaterThan(to ?? 0);
  await expect(page.getByRole("button", { name: "least change" })).toBeVisible();
  const changed = async () =>
    Number(
      (await page
        .getByRole("row", { name: /change of the sheet/ })
        .getByRole("cell")
        .first()
        .textContent()) ?? "",
    );
  const least = await changed();
  await page.getByRole("button", { name: "mildest" }).click();
  expect(await changed()).toBeGreaterThanOrEqual(least);
  await mends.selectOption({ label: "without Cocamidopropyl betaine, as mild and as foaming" });
  await expect(page).toHaveURL(/not=cocamidopropyl-betaine/);
  await expect(page.getByText(/^Proved: among/)).toBeVisible();
  await expect(page.getByRole("rowheader", { name: /Cocamidopropyl betaine/ })).toHaveCount(0);
});

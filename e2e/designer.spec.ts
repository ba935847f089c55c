import { expect, FAILED_LOAD, test } from "./testing/test";

const CURTAIN = "5ea50000-0000-4000-8000-00000000c100";
const designer = `/designer/${CURTAIN}`;

test.use({ ownApplication: "designer", allowedConsole: [FAILED_LOAD] });

test("from a sheet to a blend that is taken, by keys, and back", async ({ page }) => {
  await page.goto(`/sheet/${CURTAIN}`);
  const betaine = page.getByLabel("Cocamidopropyl betaine, percent");
  const note = page.getByRole("textbox", { name: /^Note for version/ });
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
  await expect(note).toHaveValue(/A blend found for v2: .*; irritation \d+/);
  // The sheet itself says what was promised: the irritation, and that salt works.
  await expect(page.locator("main")).toContainText(`${irritation(mildest)} very mild`);
  await expect(page.getByText(/salt hardly thickens/)).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(betaine).toHaveValue(before);
  await page.getByRole("button", { name: "Redo" }).click();
  await expect(betaine).not.toHaveValue(before);
  await page.reload();
  await expect(betaine).not.toHaveValue(before);
  await expect(page.getByText(/Undo brings back what was here/)).toHaveCount(0);
  await expect(note).toHaveValue(/A blend found for v2/);
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

test("the sheet is fixed by search: milder, and without one of its surfactants, with the least change", async ({ page }) => {
  await page.goto(designer);
  await expect(page.getByText(/^Proved: among/)).toBeVisible();
  const fixes = page.getByRole("combobox", { name: "fix the sheet" });
  const milder = (await fixes.locator("option").allTextContents()).find((words) => words.startsWith("irritation from")) ?? "";
  const [from, to] = /irritation from (\d+) to (\d+)/.exec(milder)?.slice(1).map(Number) ?? [];
  await fixes.selectOption(milder);
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
  await fixes.selectOption({ label: "without Cocamidopropyl betaine, as mild and as foaming" });
  await expect(page).toHaveURL(/not=cocamidopropyl-betaine/);
  await expect(page.getByText(/^Proved: among/)).toBeVisible();
  await expect(page.getByRole("rowheader", { name: /Cocamidopropyl betaine/ })).toHaveCount(0);
});

test("a band drawn across the edge narrows it, and so do its two ends by keys", async ({ page }) => {
  await page.goto(designer);
  await expect(page.getByText(/^Proved: among/)).toBeVisible();
  const edge = page.getByRole("slider", { name: /Blends that no other is better than/ });
  const all = Number(await edge.getAttribute("aria-valuemax"));
  expect(all).toBeGreaterThan(3);
  const box = (await edge.boundingBox())!;
  await page.mouse.move(box.x + box.width * 0.5, box.y + box.height * 0.3);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.7, box.y + box.height * 0.5, { steps: 4 });
  await page.mouse.move(box.x + box.width * 0.97, box.y + box.height * 0.5, { steps: 4 });
  await page.mouse.up();
  const least = async () => Number(await edge.getAttribute("aria-valuemin"));
  expect(await least()).toBeGreaterThan(1);
  // The keys stay within what is shown.
  await edge.press("Home");
  expect(Number(await edge.getAttribute("aria-valuenow"))).toBe(await least());
  await page.getByRole("button", { name: "Show all" }).click();
  expect(await least()).toBe(1);
  await page.getByRole("slider", { name: "Show up to this blend" }).press("ArrowLeft");
  await expect(edge).toHaveAttribute("aria-valuemax", String(all - 1));
  await edge.press("Escape");
  await expect(edge).toHaveAttribute("aria-valuemax", String(all));
});

test("on the Sheet itself three proposals fix it, each with its difference; one is taken, noted and undone", async ({ page }) => {
  await page.goto(`/sheet/${CURTAIN}`);
  const main = page.locator("main");
  const before = await main.getByLabel(/, percent$/).evaluateAll((fields) => fields.map((field) => (field as HTMLInputElement).value));
  await page.getByRole("button", { name: "Fix the blend" }).click();
  const dialog = page.getByRole("dialog", { name: "Fix the blend" });
  await expect(dialog).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "Fix the blend" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(dialog.getByText(/^Proved: among/)).toBeVisible();
  const wishes = dialog.getByRole("combobox", { name: "What is to be better" });
  const wish = (await wishes.locator("option").allTextContents()).find((words) => words.startsWith("irritation from"));
  await wishes.selectOption(wish ?? "");
  await expect(dialog.getByText(/^Proved: among/)).toBeVisible();
  const to = Number(/irritation from \d+ to (\d+)/.exec(wish ?? "")?.[1]);
  const least = dialog.getByRole("region", { name: "least change" });
  const told = (await least.getByRole("row", { name: /^irritation/ }).textContent()) ?? "";
  const reached = Number(/→ (\d+)/.exec(told)?.[1]);
  expect(reached).toBeLessThanOrEqual(to);
  await expect(
    least
      .getByRole("row")
      .filter({ hasText: /→ .* %|new, |goes/ })
      .first(),
  ).toBeVisible();
  await expect(dialog.getByRole("region", { name: "mildest" })).toBeVisible();
  const saved = page.waitForResponse((response) => response.url().endsWith("/save") && response.request().method() === "POST");
  await least.getByRole("button", { name: "Take it" }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByText(/^Fixed, irritation from .* Undo brings back what was here/)).toBeVisible();
  await saved;
  await expect(page.getByRole("textbox", { name: /^Note for version/ })).toHaveValue(/Fixed, irritation from/);
  await expect(main).toContainText(new RegExp(`${reached} (very mild|mild|normal)`));
  await page.getByRole("button", { name: "Undo" }).click();
  await expect
    .poll(async () => main.getByLabel(/, percent$/).evaluateAll((fields) => fields.map((field) => (field as HTMLInputElement).value)))
    .toEqual(before);
});

test("into a trial: a formula of its own with the blend and the lots to use up first", async ({ page }) => {
  await page.goto(designer);
  await expect(page.getByText(/^Proved: among/)).toBeVisible();
  await page.getByRole("button", { name: "mildest" }).click();
  await page.getByRole("button", { name: "Take it into a trial" }).click();
  await expect(page).not.toHaveURL(new RegExp(CURTAIN));
  await expect(page.getByText(/A blend found for v2/).first()).toBeVisible();
  await expect(page.getByRole("textbox", { name: "Name of the formula" })).toHaveValue(/trial from v2/);
});

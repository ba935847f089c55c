import type { Page } from "@playwright/test";
import { expect, scriptsReady, test } from "./testing/test";

// The connection is cut on purpose.
test.use({ ownApplication: "steps", allowedConsole: [/net::ERR_FAILED/] });

const STEPS = "/sheet/5ea50000-0000-4000-8000-00000000c100/2/steps";
const steps = (page: Page) => page.getByRole("list", { name: "Steps in their order" });
const row = (page: Page, title: string | RegExp) => steps(page).getByRole("listitem").filter({ hasText: title }).getByRole("button").last();
const order = async (page: Page) => steps(page).getByRole("listitem").allInnerTexts();

test("the maker's own steps: moved by keys, judged, kept with a reason, on the weighing sheet and at the bench in that order", async ({
  page,
}) => {
  await page.goto(STEPS);
  await scriptsReady(page);
  await expect(page.getByText("As suggested.")).toBeVisible();
  await expect(page.getByText("No issues: the order is as good as the suggested one.")).toBeVisible();

  // Alt and an arrow move a step; what the rules would do otherwise is said at once, with its reason.
  const guar = row(page, /Spread the cationic guar/);
  await guar.click();
  await guar.press("Alt+ArrowDown");
  const rules = page.getByRole("region", { name: "What the rules say of your order" });
  await expect(rules).toContainText('"Spread the cationic guar" is suggested before "Dissolve phase A"');
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(rules).toContainText("No issues");
  await row(page, /Spread the cationic guar/).press("Alt+ArrowDown");
  await rules.getByLabel("Keep it, because").fill("the glycerin wets it");
  await rules.getByRole("button", { name: "Keep it" }).click();
  await expect(rules).toContainText("No issues");
  await expect(rules.getByRole("heading")).toBeFocused();

  // A step of one's own, and another name for a suggested one.
  await row(page, /Let it rest, covered/).click();
  await page.getByLabel("name", { exact: true }).fill("Rest till the matinee");
  // Tab keeps its way through the fields while they are taken.
  await page.keyboard.press("Tab");
  await expect(page.getByLabel("what to do")).toBeFocused();
  await expect(row(page, /Rest till the matinee/)).toBeVisible();
  await page.getByRole("button", { name: "Add a step" }).click();
  await page.getByLabel("what to do").fill("Hold it against last season's bottle.");
  await page.getByLabel("clock").fill("5");
  await page.getByLabel("tool").fill("white saucer");
  await page.getByLabel("look at, measure").focus();
  // A tenth of the water goes in with the cleansers.
  await row(page, /Weigh the water/).click();
  const editor = page.getByRole("region", { name: "Weigh the water" });
  await editor.getByRole("button", { name: "Take a part of it" }).click();
  await editor.getByLabel(/^Part of .*water/).fill("10");
  await page.keyboard.press("Tab");
  const into = editor.getByLabel(/^Step for .*water/).last();
  await into.selectOption((await into.getByRole("option", { name: /Cleansers into the water/ }).textContent()) ?? "");
  await expect(row(page, /Cleansers into the water/)).toContainText("(a part)");
  await expect(page.getByText(/To wash up:/).first()).toContainText(/Begun at [0-9:]+, first rest at .*, filled at /);
  await page.getByRole("button", { name: "Keep these steps with v2" }).click();
  await expect(page.getByText("Your steps are kept with this draft.")).toBeVisible();
  await page.reload();
  const titles = await order(page);
  expect(titles.findIndex((text) => text.includes("Spread the cationic guar"))).toBeGreaterThan(
    titles.findIndex((text) => text.includes("Dissolve phase A")),
  );

  await page.goto("/weighing/5ea50000-0000-4000-8000-00000000c100/2");
  await expect(page.getByRole("article")).toContainText("Rest till the matinee.");
  await expect(page.getByRole("article")).toContainText("Hold it against last season's bottle.");
  await expect(page.getByRole("article")).toContainText("Tool: white saucer.");
  await expect(page.getByRole("article")).toContainText("water (a part)");

  // Final, its steps stay; a batch is made by them.
  await page.goto("/sheet/5ea50000-0000-4000-8000-00000000c100");
  await page.getByRole("button", { name: /^Finalise version/ }).click();
  await expect(page.getByRole("button", { name: "New draft from v2" })).toBeVisible();
  await page.goto(STEPS);
  await expect(page.getByText("This version is final: its steps stay as they are.")).toBeVisible();
  await expect(page.getByRole("button", { name: /^Keep these steps/ })).toHaveCount(0);
  await page.goto("/bench/begin/5ea50000-0000-4000-8000-00000000c100/2?grams=200");
  for (const box of await page.getByRole("checkbox").all()) await box.check();
  for (const lot of await page.getByRole("combobox", { name: /^Lot for/ }).all()) await lot.selectOption("none");
  await page.getByRole("button", { name: /^Begin (the|another) batch$/ }).click();
  await expect(page.getByRole("heading", { name: "Prepare the bench" })).toBeVisible();
  await expect(page.getByRole("listitem").filter({ hasText: "Rest till the matinee" }).first()).toBeVisible();
});

test("what is settled first changes the suggestion: acids into the water, cleansers cold, which the rules object to", async ({ page }) => {
  await page.goto("/sheet/5ea50000-0000-4000-8000-00000000d400/1/steps");
  await scriptsReady(page);
  const acids = page.getByLabel("Acids and bases go into the water from the start");
  await acids.check();
  await expect(row(page, /Read the pH and set it/)).not.toContainText(/acid/i);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(acids).not.toBeChecked();
  await page.getByLabel("cleansers are joined").selectOption("warm");
  await expect(row(page, /Warm the cleansers/)).toBeVisible();
  await page.getByRole("button", { name: "Keep these steps with v1" }).click();
  await expect(page.getByText("Your steps are kept with this draft.")).toBeVisible();
  await page.reload();
  await expect(page.getByLabel("cleansers are joined")).toHaveValue("warm");
  await page.getByRole("button", { name: "Back to all suggested steps" }).click();
  await expect(page.getByLabel("cleansers are joined")).toHaveValue("");
});

test("steps are not lost while the server cannot be reached, and what cannot be a process is answered in words", async ({ page }) => {
  const path = "/sheet/5ea50000-0000-4000-8000-00000000d400/1/steps";
  await page.goto(path);
  await scriptsReady(page);
  await row(page, /Prepare the bench/).click();
  await page.getByLabel("name", { exact: true }).fill("Clear the table");
  await page.getByLabel("look at, measure").focus();
  await page.route("**/steps/keep", (route) => route.abort());
  await page.getByRole("button", { name: "Keep these steps with v1" }).click();
  await expect(page.getByRole("alert")).toContainText("The server cannot be reached. Your steps are still here");
  await expect(row(page, /Clear the table/)).toBeVisible();
  await page.unroute("**/steps/keep");
  await page.getByRole("button", { name: "Keep these steps with v1" }).click();
  await expect(page.getByText("Your steps are kept with this draft.")).toBeVisible();
  // As suggested again it is no order of one's own any more.
  await page.getByRole("button", { name: "Back to all suggested steps" }).click();
  await page.getByRole("button", { name: "Keep these steps with v1" }).click();
  await expect(page.getByText("As suggested.")).toBeVisible();
  await page.reload();
  await expect(page.getByText("As suggested.")).toBeVisible();
  const said = await page.evaluate(async (address) => {
    const body = JSON.stringify({ process: { steps: [{ id: "a", lines: ["moon"] }] } });
    const answer = await fetch(address, { method: "POST", headers: { "Content-Type": "application/json" }, body });
    return ((await answer.json()) as { problem: string | null }).problem;
  }, `${path}/keep`);
  expect(said).toContain('there is no line "moon"');
});

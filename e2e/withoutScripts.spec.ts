import { expect, FAILED_LOAD, test } from "./testing/test";

test.use({ javaScriptEnabled: false, allowedConsole: [FAILED_LOAD] });

test("every form works with scripts switched off", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: "New formula" }).first().click();
  await page.getByRole("textbox", { name: "Name of the formula" }).fill("Blackout shampoo");
  await page.getByRole("textbox", { name: "batch" }).fill("1,2 kg");

  // Find a material, take it up, give its percent.
  await page.getByRole("textbox", { name: "Add a material" }).fill("coco-glucoside");
  await page.getByRole("button", { name: "Find" }).click();
  await page.getByRole("button", { name: /^Add Coco-glucoside, about/ }).click();
  await page.getByLabel("Coco-glucoside, percent").fill("25");
  await page.getByRole("button", { name: "Save and recount" }).click();
  await expect(page.getByRole("region", { name: "Active matter" }).locator("output")).toHaveText("13.00");
  // 25 % of 1200 g
  await expect(page.getByRole("row", { name: /Coco-glucoside/ })).toContainText("300.0");

  // A mistake is answered at its cell, and the text stays.
  await page.getByLabel("Coco-glucoside, percent").fill("abc");
  await page.getByRole("button", { name: "Save and recount" }).click();
  await expect(page.getByText("This is not a number.")).toBeVisible();
  await expect(page.getByLabel("Coco-glucoside, percent")).toHaveValue("abc");
  await page.getByLabel("Coco-glucoside, percent").fill("24");
  await page.getByRole("button", { name: "Save and recount" }).click();
  await expect(page.getByRole("region", { name: "Active matter" }).locator("output")).toHaveText("12.48");

  // Move, new phase, take out.
  await page.getByLabel("Line to move").selectOption("Coco-glucoside");
  await page.getByRole("button", { name: "One up" }).click();
  await expect(page.locator("form table tbody tr[id]").first()).toContainText("Coco-glucoside");
  await page.getByRole("button", { name: "New phase" }).click();
  await expect(page.getByLabel("Title of phase B")).toBeVisible();
  for (const _ of ["past the water", "into the next phase"]) {
    await page.getByLabel("Line to move").selectOption("Coco-glucoside");
    await page.getByRole("button", { name: "One down" }).click();
  }
  await expect(page.getByText("nothing in it yet")).toBeHidden();

  // Set, go on, and the scales.
  await page.getByRole("textbox", { name: "Note for version 1" }).fill("By candlelight.");
  await page.getByRole("button", { name: "Finalise version 1" }).click();
  await expect(page.getByText("This version is final and does not change.")).toBeVisible();
  await page.getByRole("button", { name: "New draft from v1" }).click();
  await expect(page.getByText("v2, draft")).toBeVisible();
  await page.getByRole("button", { name: "Delete Coco-glucoside" }).click();
  await expect(page.getByLabel("Coco-glucoside, percent")).toHaveCount(0);

  await page.getByRole("link", { name: "Your scales" }).click();
  await page.getByLabel("Smallest step in grams, scale 2").fill("nothing");
  await page.getByRole("button", { name: "Save the scales" }).click();
  await expect(page.getByText("Give the smallest step in grams, for example 0.01.")).toBeVisible();
  await expect(page.getByLabel("Smallest step in grams, scale 2")).toHaveValue("nothing");
  await page.getByLabel("Smallest step in grams, scale 2").fill("0,01");
  await page.getByRole("button", { name: "Save the scales" }).click();
  await expect(page.getByLabel("Smallest step in grams, scale 2")).toHaveValue("0.01");
});

test("a batch is begun, weighed, noted and taken back with scripts switched off", async ({ page }) => {
  await page.goto("/bench/begin/5ea50000-0000-4000-8000-00000000a200/1");
  for (const box of await page.getByRole("checkbox").all()) await box.check();
  await page.getByRole("button", { name: /^Begin (the|another) batch$/ }).click();
  await page.getByRole("button", { name: "Done, next step" }).click();
  const weight = page.getByLabel(/what the scale shows, g$/);
  await weight.fill("-3");
  await page.getByRole("button", { name: "Record weight" }).click();
  await expect(page.getByRole("alert")).toContainText("A weight is not below 0.");
  await expect(weight).toHaveValue("-3");
  await weight.fill("529");
  // The button was drawn for what was typed before.
  await page.getByRole("button", { name: /Record weight|Accept anyway/ }).click();
  await expect(page.getByText("529.0 of 529.0 g")).toBeVisible();
  await page.getByText("Note", { exact: true }).click();
  await page.getByLabel("note").fill("by candlelight");
  await page.getByRole("button", { name: "Keep the note" }).click();
  await page.getByRole("button", { name: "One step back" }).click();
  await expect(weight).toBeVisible();
  await page.getByRole("link", { name: "Record" }).click();
  await expect(page.getByRole("article")).toContainText("Note: by candlelight");
  await expect(page.locator("s")).toContainText("Distilled or deionised water: 529.0 g");
});

import { GREEN_ROOM_BATCH } from "./testing/atTheBench";
import { seriousIn } from "./testing/axe";
import { filledBatch } from "./testing/filledBatch";
import { expect, FAILED_LOAD, scriptsReady, test } from "./testing/test";

test.use({ ownApplication: "watch", allowedConsole: [FAILED_LOAD] });

test("a finished batch is watched: samples aside, a look, a plan that moves, a shake test, and a stop that names its bottles", async ({
  page,
}) => {
  test.setTimeout(180_000);
  await filledBatch(page, GREEN_ROOM_BATCH, 1, 3);

  await test.step("from the list to its samples and their plan", async () => {
    await page.getByRole("link", { name: "Watch", exact: true }).click();
    await expect(page.getByText("Nothing is due today.")).toBeVisible();
    await page.getByRole("region", { name: "Finished, not watched" }).getByRole("link").first().click();
    await expect(page.getByRole("checkbox", { name: "warm, 40 °C" })).toBeChecked();
    await scriptsReady(page);
    await page.getByRole("button", { name: "Watch it" }).click();
    await expect(page.getByRole("heading", { name: "Next day" })).toBeVisible();
    await expect(page.getByText("Nothing was looked at yet.")).toBeVisible();
    expect(await seriousIn(page)).toEqual([]);
  });

  await test.step("a look, with what was wrong told at its field and everything as typed", async () => {
    await scriptsReady(page);
    await page.getByLabel("pH", { exact: true }).fill("51,8");
    await page.getByLabel("thickness, Pa·s").fill("2,4");
    await page.getByRole("button", { name: "Keep it" }).click();
    await expect(page.getByText("A pH lies between 0 and 14.")).toBeVisible();
    await expect(page.getByLabel("thickness, Pa·s")).toHaveValue("2,4");
    await page.getByLabel("pH", { exact: true }).fill("5,18");
    await page.getByRole("radio", { name: "clear", exact: true }).check();
    await page.getByRole("button", { name: "Keep it" }).click();
    await expect(page.getByRole("row", { name: /5\.18/ })).toContainText("2.40");
    await expect(page.getByRole("img", { name: /^pH, room: .*It must stay between/ })).toBeVisible();
    // The next one of the same sample is due, and what is not touched is as before.
    await expect(page.getByRole("heading", { name: "48 hours" })).toBeVisible();
    await expect(page.getByText("last 5.18")).toBeVisible();
    await expect(page.getByRole("radio", { name: "clear", exact: true })).toBeChecked();
  });

  await test.step("what is planned moves, or is left out with why", async () => {
    const plan = page.getByRole("region", { name: "The plan" });
    const week = plan.getByRole("listitem").filter({ hasText: "1 week, warm" });
    await week.getByText("1 week, warm").click();
    await week.getByRole("button", { name: "Leave it out" }).click();
    await expect(week.getByText("Say why it is left out.")).toBeVisible();
    await week.getByLabel("left out, because").fill("no warm place this week");
    await week.getByRole("button", { name: "Leave it out" }).click();
    await expect(plan.getByText("1 week, warm: left out, no warm place this week")).toBeVisible();
    // Twelve, one looked at and one left out.
    expect((await (await page.request.get("/watch.ics")).text()).match(/BEGIN:VEVENT/g)).toHaveLength(10);
  });

  await test.step("the shake test", async () => {
    await page.getByRole("link", { name: "Lather" }).click();
    await scriptsReady(page);
    await page.getByRole("button", { name: /start the clock/ }).click();
    await expect(page.getByRole("timer")).toContainText("0:0");
    await page.getByLabel("at once").fill("60");
    await page.getByLabel("after 1 min").fill("70");
    await page.getByLabel("after 5 min").fill("45");
    await page.getByRole("button", { name: "Keep it" }).click();
    await expect(page.getByText("Foam only falls: this is more than at once.")).toBeVisible();
    await page.getByLabel("after 1 min").fill("52");
    await page.getByRole("button", { name: "Keep it" }).click();
    await expect(page.getByRole("img", { name: "Foam: at once 60 mm, 1 min 52 mm, 5 min 45 mm." })).toBeVisible();
    await expect(page.getByText(/75 % of it stays five minutes/)).toBeVisible();
    expect(await seriousIn(page)).toEqual([]);
    await page.getByRole("link", { name: "Its checks" }).click();
  });

  await test.step("mould stops it at once, and names the bottles", async () => {
    await page.getByRole("checkbox", { name: "mould" }).check();
    await page.getByRole("button", { name: "Keep it" }).click();
    const stop = page.getByRole("alert").filter({ hasText: "Mould" });
    await expect(stop).toContainText("discard the whole batch");
    await expect(stop).toContainText("1 × Pump bottle, tall");
    expect(await seriousIn(page)).toEqual([]);
  });
});

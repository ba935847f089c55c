import sharp from "sharp";
import { GREEN_ROOM_BATCH } from "./testing/atTheBench";
import { seriousIn } from "./testing/axe";
import { filledBatch } from "./testing/filledBatch";
import { madeBatch } from "./testing/madeBatch";
import { expect, FAILED_LOAD, scriptsReady, test } from "./testing/test";

/** A jar before a table, a card left of it, as a phone would see it. */
function photoOf({ card, jar }: { readonly card: string; readonly jar: string }): Promise<Buffer> {
  const part = (left: number, width: number, fill: string): string =>
    `<rect x="${left}" y="120" width="${width}" height="240" fill="${fill}"/>`;
  const drawn = `<svg xmlns="http://www.w3.org/2000/svg" width="640" height="480"><rect width="640" height="480" fill="#554433"/>${part(30, 130, card)}${part(250, 140, jar)}</svg>`;
  return sharp(Buffer.from(drawn)).png().toBuffer();
}

test.use({ ownApplication: "watch", allowedConsole: [new RegExp(`${FAILED_LOAD.source}|net::ERR_FAILED`)] });

test("a finished batch is watched: samples aside, a look, a plan that moves, a shake test, and a stop that names its bottles", async ({
  page,
}) => {
  test.setTimeout(360_000);
  await filledBatch(page, GREEN_ROOM_BATCH, 1, 3);

  await test.step("from the list to its samples and their plan", async () => {
    await page.getByRole("link", { name: "Watch", exact: true }).click();
    await expect(page.getByText("Nothing is due today.")).toBeVisible();
    // The bottle that Fill kept is the sample at room temperature; a warm one is put aside beside it.
    await page.getByRole("region", { name: "Watched", exact: true }).getByRole("link").first().click();
    await expect(page.getByRole("heading", { name: "Next day" })).toBeVisible();
    await scriptsReady(page);
    await page.getByText("Put more samples aside").click();
    await page.getByRole("checkbox", { name: "warm, 40 °C" }).check();
    await page.getByRole("button", { name: "Watch them too" }).click();
    await expect(page.getByRole("region", { name: "The plan" })).toContainText("12 weeks, warm");
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

  await test.step("without the server a look is kept on this device, and goes out when it is back", async () => {
    await page.route("**/looks", (route) => route.abort());
    await page.getByLabel("pH", { exact: true }).fill("5,17");
    await page.getByRole("button", { name: "Keep it" }).click();
    await expect(page.getByText("room, about 20 °C, pH 5,17: kept on this device.")).toBeVisible();
    await expect(page.getByLabel("pH", { exact: true })).toHaveValue("");
    await page.unroute("**/looks");
    await page.evaluate(() => window.dispatchEvent(new Event("online")));
    await expect(page.getByRole("row", { name: /5\.17/ })).toBeVisible();
    await expect(page.getByText("kept on this device")).toBeHidden();
  });

  await test.step("a photo tells its colour beside a white card, and says so where there is none", async () => {
    const jar = await photoOf({ card: "#e9dcc2", jar: "#c89b4e" });
    await page.getByLabel("photo, JPEG or PNG up to 5 MB").setInputFiles({ name: "jar.png", mimeType: "image/png", buffer: jar });
    await expect(page.getByRole("status").filter({ hasText: /L 7\d, a \d+, b \d\d/ })).toBeVisible();
    for (let press = 0; press < 12; press += 1) await page.getByRole("button", { name: "white card" }).press("ArrowUp");
    await expect(page.getByText("There is no white card under its mark.")).toBeHidden();
    for (let press = 0; press < 30; press += 1) await page.getByRole("button", { name: "white card" }).press("ArrowUp");
    await expect(page.getByText("There is no white card under its mark.")).toBeVisible();
    for (let press = 0; press < 42; press += 1) await page.getByRole("button", { name: "white card" }).press("ArrowDown");
    await page.getByRole("button", { name: "Keep it" }).click();
    await expect(page.getByRole("img", { name: /^room, / })).toBeVisible();
    await expect(page.getByRole("img", { name: /^Colour, room: 0\.0 on day 0/ })).toBeVisible();
    expect(await seriousIn(page)).toEqual([]);
  });

  await test.step("pH and thickness come off instruments", async () => {
    await page.getByText("Read it off an instrument").click();
    await page.getByRole("button", { name: "Simulated pH meter" }).click();
    await page.getByRole("button", { name: "Take it" }).click();
    await expect(page.getByLabel("pH", { exact: true })).toHaveValue(/^\d\.\d\d$/);
    await page.getByRole("button", { name: "Put the pH meter away" }).click();
    await page.getByRole("button", { name: "Simulated flow cup" }).click();
    await page.getByRole("button", { name: "Fill it and let it run" }).click();
    await page.getByRole("button", { name: "Take it" }).click();
    await expect(page.getByLabel("thickness, Pa·s")).toHaveValue(/^\d+\.\d\d$/);
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
    // Twelve, two looked at and one left out; the photo was one in between.
    expect((await (await page.request.get("/watch.ics")).text()).match(/BEGIN:VEVENT/g)).toHaveLength(9);
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
  });

  await test.step("the simulated cylinder reads itself; washing is timed and marked", async () => {
    await page.getByRole("button", { name: "Shake a simulated cylinder" }).click();
    await expect(page.getByLabel("after 5 min")).toHaveValue(/^\d+$/, { timeout: 30_000 });
    await page.getByRole("button", { name: "Keep it" }).click();
    await expect(page.getByRole("heading", { name: "Mean of 2 tests" })).toBeVisible();
    await expect(page.getByRole("img", { name: /^Fall of the foam: 2 tests/ })).toBeVisible();
    await page.getByRole("link", { name: "On the hand" }).click();
    await page.getByLabel("lathers after").fill("6");
    await page.getByLabel("scent").selectOption("4");
    await page.getByRole("button", { name: "Keep it" }).click();
    await expect(page.getByRole("row", { name: /lathers after/ }).first()).toContainText("6 s");
    expect(await seriousIn(page)).toEqual([]);
    await page.getByRole("link", { name: "Its checks" }).click();
  });

  await test.step("a patch waits its day, and a reaction is told at once", async () => {
    await page.getByRole("link", { name: "Patch test" }).click();
    await page.getByRole("button", { name: "Patch is on" }).click();
    const patch = page.getByRole("list", { name: "Patches" }).getByRole("listitem");
    await expect(patch).toContainText("24 h to go");
    await patch.getByLabel("what is seen").selectOption("nothing");
    await patch.getByRole("button", { name: "Keep it" }).click();
    await expect(patch).toContainText("can be told in 24 h");
    await patch.getByLabel("what is seen").selectOption("slightly red");
    await patch.getByRole("button", { name: "Keep it" }).click();
    await expect(page.getByRole("alert")).toContainText("Do not give it out");
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

test("24 testers tell two batches apart, or give them marks", async ({ page }) => {
  test.setTimeout(240_000);
  await madeBatch(page, GREEN_ROOM_BATCH, 560);
  await madeBatch(page, GREEN_ROOM_BATCH, 560);
  const begin = async (test: string): Promise<void> => {
    await page.goto("/watch/blind");
    await scriptsReady(page);
    await page.getByLabel("One batch").selectOption({ index: 1 });
    await page.getByLabel("The other").selectOption({ index: 2 });
    await page.getByLabel("Test", { exact: true }).selectOption(test);
    await page.getByLabel("Testers").fill("24");
    await page.getByRole("button", { name: "Draw the cups" }).click();
    await expect(page.getByRole("heading", { level: 1 })).not.toHaveText("Blind tests");
    await scriptsReady(page);
  };
  /** What is in the cups: for each tester its codes, each with A or B. */
  const cups = async (): Promise<readonly (readonly (readonly [string, string])[])[]> => {
    await page.getByText("What is in the cups").click();
    const rows = await page.locator("details").getByRole("cell").allInnerTexts();
    return rows.map((row) => [...row.matchAll(/(\d{3}) ([AB])/g)].map(([, code = "", of = ""]) => [code, of] as const));
  };

  await test.step("13 of 24 triangles come by chance 28 times in 1,000", async () => {
    await begin("triangle");
    const all = await cups();
    expect(all).toHaveLength(24);
    const odd = (row: (typeof all)[number]) => row.find(([, of]) => row.filter((one) => one[1] === of).length === 1)?.[0] ?? "";
    const other = (row: (typeof all)[number]) => row.find(([code]) => code !== odd(row))?.[0] ?? "";
    const answers = all.map((row, at) => `${at + 1} ${at < 13 ? odd(row) : other(row)}`);
    await page.getByLabel("What they chose, a line each: tester and code").fill(answers.join("\n"));
    await page.getByRole("button", { name: "Keep the answers" }).click();
    // The sum from 13 of C(24, k) (1 ⁄ 3)^k (2 ⁄ 3)^(24 − k) is 0.0284.
    await expect(page.getByRole("status").filter({ hasText: "13 of 24" })).toContainText("2.8 % of the time. They can be told apart.");
    expect(await seriousIn(page)).toEqual([]);
  });

  await test.step("marks are compared tester by tester", async () => {
    await begin("rated");
    const all = await cups();
    const marks = all.map((row, at) => `${at + 1} ${row.map(([, of]) => (of === "A" ? 4 : at % 2 === 0 ? 3 : 2)).join(" ")}`);
    await page.getByLabel("Their marks, a line each: tester and both marks").fill("1 9 2");
    await page.getByRole("button", { name: "Keep the answers" }).click();
    await expect(page.getByText(/is no tester and two marks/)).toBeVisible();
    await page.getByLabel("Their marks, a line each: tester and both marks").fill(marks.join("\n"));
    await page.getByRole("button", { name: "Keep the answers" }).click();
    await expect(page.getByRole("status").filter({ hasText: "gets 4.0 ± 0.0" })).toContainText("2.5 ± 0.5, by 24.");
    expect(await seriousIn(page)).toEqual([]);
  });
});

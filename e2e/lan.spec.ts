import { expect, FAILED_LOAD, test } from "./testing/test";

// An unpaired device and a wrong code are answered with 401 and 429.
test.use({ allowedConsole: [FAILED_LOAD, /status of (401|429)/] });

test("a tablet of the local network gets in over HTTPS with the code of the first screen alone; wrong codes are counted and slowed", async ({
  start,
  demoFolder,
  browser,
}) => {
  test.setTimeout(240_000);
  const application = await start({ TENSIDRUM_DATA: demoFolder }, ["--lan"]);
  const desk = await browser.newPage({ baseURL: application.address });
  await desk.goto("/");
  const code = desk.locator("output").filter({ hasText: /^\d{4} \d{4}$/ });
  await expect(code).toBeVisible();
  const secure = `https://127.0.0.1:${Number(new URL(application.address).port) + 1}`;

  const tablet = await browser.newContext({ baseURL: secure, ignoreHTTPSErrors: true });
  const page = await tablet.newPage();
  for (const path of ["/shelf.data", "/materials.json", "/bench/5ea50000-0000-4000-8000-00000000a200/news"]) {
    expect((await tablet.request.get(path)).status(), path).toBe(401);
  }
  // Saying that one comes from the machine itself does not help, nor does saying the opposite there.
  expect((await tablet.request.get("/materials.json", { headers: { "x-tensidrum-lan": "" } })).status()).toBe(401);
  await page.goto("/shelf");
  await expect(page.getByRole("heading", { name: "Pair this device" })).toBeVisible();
  await page.getByLabel("code", { exact: true }).fill("000 00");
  await page.getByRole("button", { name: "Pair" }).click();
  await expect(page.getByRole("alert")).toContainText("This is not the code. Try again in a second.");
  // Straight after a wrong one the right one is too soon.
  const pair = (digits: string) => tablet.request.post("/pair", { headers: { Origin: secure }, form: { code: digits } });
  const right = ((await code.textContent()) ?? "").replace(" ", "");
  await page.waitForTimeout(1_100);
  await pair("00000000");
  const tooSoon = await pair(right);
  expect(tooSoon.status()).toBe(429);
  expect(await tooSoon.text()).toContain("Too soon");
  await desk.reload();
  await expect(desk.getByText(/2 wrong codes so far, the last from/)).toBeVisible();

  await page.waitForTimeout(2_200);
  await page.getByLabel("code", { exact: true }).fill((await code.textContent()) ?? "");
  await page.getByLabel("name of this device").fill("Bench tablet");
  await page.getByRole("button", { name: "Pair" }).click();
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
  // The code for the next device is told on the machine itself alone.
  await expect(page.locator("output").filter({ hasText: /^\d{4} \d{4}$/ })).toHaveCount(0);
  expect((await tablet.cookies()).find(({ name }) => name === "tensidrum-device")).toMatchObject({
    httpOnly: true,
    secure: true,
    sameSite: "Strict",
  });
  await page.goto("/bench/begin/5ea50000-0000-4000-8000-00000000a200/1");
  for (const box of await page.getByRole("checkbox").all()) await box.check();
  await page.getByRole("button", { name: /^Begin (the|another) batch$/ }).click();
  await page.getByRole("button", { name: "Done, next step" }).click();
  await expect(page.getByRole("heading", { name: "Weigh the water" })).toBeVisible();
  await expect(page.locator("[data-waiting='0']")).toBeVisible();
  await desk.reload();
  await expect(desk.getByText("1 device is paired.")).toBeVisible();
  await expect(desk.getByRole("list", { name: "On the bench" })).toContainText("1 of 15 steps done");
  // A code that was read aloud to nobody: a foreign page cannot send it, and a foreign name reads nothing.
  const forged = await tablet.request.post("/pair", { headers: { Origin: "https://elsewhere.invalid" }, form: { code: "00000000" } });
  expect(forged.status()).toBe(403);
  expect((await tablet.request.get("/", { headers: { Host: "rebound.invalid" } })).status()).toBe(421);
  expect((await tablet.request.get("/")).headers()["strict-transport-security"]).toMatch(/^max-age=\d+/);

  // The desk ends its access: from then on it must be paired anew.
  await desk.goto("/settings");
  await expect(desk.getByRole("row", { name: /Bench tablet/ })).toBeVisible();
  await desk.getByRole("button", { name: "Revoke Bench tablet" }).click();
  await expect(desk.getByText("No device is paired.")).toBeVisible();
  expect((await tablet.request.get("/materials.json")).status()).toBe(401);
  await tablet.close();
  await desk.close();
});

test("without --lan nobody but this machine is answered", async ({ application }) => {
  const next = Number(new URL(application.address).port) + 1;
  await expect(fetch(`https://127.0.0.1:${next}/`)).rejects.toThrow();
});

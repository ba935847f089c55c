import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { startCluster } from "../operations/cluster.mjs";
import { expect, FAILED_LOAD, test } from "./testing/test";

// While the database is gone a form is answered with 503.
test.use({ allowedConsole: [FAILED_LOAD, /ERR_CONNECTION_REFUSED/] });

const BEGIN = "/bench/begin/5ea50000-0000-4000-8000-00000000a200/1";

/** Begins a batch and stands before its first weight. Returns the address of the batch. */
async function beforeFirstWeight(page: Page): Promise<string> {
  await page.goto(BEGIN);
  for (const box of await page.getByRole("checkbox").all()) await box.check();
  await page.getByRole("button", { name: "Begin the batch" }).click();
  await page.getByRole("button", { name: "Done, next step" }).click();
  await expect(page.locator("input[name=grams]")).toBeVisible();
  return new URL(page.url()).pathname;
}

/** Takes the weight that is asked for; what is asked next tells that it was acknowledged. */
async function takeWeight(page: Page): Promise<string> {
  const grams = ((await page.locator("main output").textContent()) ?? "").trim();
  const asked = (await page.locator("input[name=grams]").getAttribute("aria-label")) ?? "";
  await page.locator("input[name=grams]").fill(grams);
  await page.getByRole("button", { name: "Take the weight" }).click();
  await expect(
    page.getByRole("row", { name: new RegExp(asked.split(",")[0] ?? "") }).or(page.getByLabel(asked, { exact: true })),
  ).toBeVisible();
  return grams;
}

test("the server killed in the middle of weighing: after a restart every acknowledged entry is there, once", async ({
  start,
  folder,
  browser,
}) => {
  test.setTimeout(150_000);
  const cluster = await startCluster(folder);
  let application = await start({ DATABASE_URL: cluster.url });
  const page = await browser.newPage({ baseURL: application.address });
  const batch = await beforeFirstWeight(page);
  const grams = await takeWeight(page);
  const ended = new Promise((resolve) => application.process.on("exit", resolve));
  application.process.kill("SIGKILL");
  await ended;
  await page.close();

  application = await start({ DATABASE_URL: cluster.url });
  const again = await browser.newPage({ baseURL: application.address });
  await again.goto(`${batch}/record`);
  await expect(again.getByRole("article").getByRole("cell", { name: grams, exact: true }).first()).toBeVisible();
  await expect(again.getByRole("article")).toContainText("Prepare the bench: done");
  await again.goto(batch);
  await expect(again.getByRole("button", { name: /Take the weight|Done, next step/ })).toBeVisible();
  await again.close();
  await application.stop();
  await cluster.stop();
});

test("PostgreSQL killed in the middle of weighing: the page says so, and every acknowledged entry is there afterwards", async ({
  start,
  folder,
  browser,
}) => {
  test.setTimeout(150_000);
  let cluster = await startCluster(folder);
  const application = await start({ DATABASE_URL: cluster.url });
  const page = await browser.newPage({ baseURL: application.address });
  const batch = await beforeFirstWeight(page);
  const grams = await takeWeight(page);
  // The first line of its file is the number of the server's process.
  const [processNumber = ""] = readFileSync(`${folder}/postgres/postmaster.pid`, "utf8").split("\n");
  process.kill(Number(processNumber), "SIGKILL");
  await page.goto(batch);
  await expect(page.getByRole("heading", { name: "The database is away" })).toBeVisible();

  cluster = await startCluster(folder, { port: cluster.port });
  await page.goto(`${batch}/record`);
  await expect(page.getByRole("article").getByRole("cell", { name: grams, exact: true }).first()).toBeVisible();
  await page.close();
  await application.stop();
  await cluster.stop();
});

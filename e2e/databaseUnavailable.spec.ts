import { startCluster } from "../scripts/cluster.mjs";
import { addLine, beginFormula, expect, saved, test } from "./testing/test";

test("while the database is unavailable nothing typed is lost", async ({ start, folder, browser }) => {
  test.setTimeout(240_000);
  let cluster = await startCluster(folder, { keep: false });
  const application = await start({ DATABASE_URL: cluster.url });
  const page = await browser.newPage({ baseURL: application.address });
  const glucoside = page.getByLabel("Coco-glucoside, percent");
  await beginFormula(page);
  await addLine(page, "coco-glucoside", "4");
  await expect(saved(page)).toContainText(/saved \d\d/);
  const address = page.url();

  await cluster.stop();
  await glucoside.fill("5,5");
  await expect(page.getByRole("alert")).toContainText("Database unavailable.");
  await expect(glucoside).toHaveValue("5,5");
  // Readings go on: 5.5 × 0.52
  await expect(page.getByRole("region", { name: "Active matter" }).locator("output")).toHaveText("2.86");

  // A reload meets the page that says so.
  await page.reload();
  await expect(page.getByRole("heading", { name: "Database unavailable" })).toBeVisible();
  await expect(page.getByText("what you typed stays in this browser")).toBeVisible();

  // Without scripts the page itself holds what was typed.
  const plain = await browser.newContext({ baseURL: application.address, javaScriptEnabled: false });
  const plainPage = await plain.newPage();

  cluster = await startCluster(folder, { keep: false, port: cluster.port });
  await page.goto(address);
  await expect(glucoside).toHaveValue("5,5");
  await expect(saved(page)).toContainText(/saved \d\d/);

  await plainPage.goto(address);
  await plainPage.getByLabel("Coco-glucoside, percent").fill("6,5");
  await cluster.stop();
  await plainPage.getByRole("button", { name: "Save and recount" }).click();
  await expect(plainPage.getByRole("heading", { name: "Database unavailable" })).toBeVisible();
  cluster = await startCluster(folder, { keep: false, port: cluster.port });
  await plainPage.getByRole("button", { name: "Save what I typed" }).click();
  await expect(plainPage.getByLabel("Coco-glucoside, percent")).toHaveValue("6.50");

  await plain.close();
  await page.close();
  await application.stop();
  await cluster.stop();
});

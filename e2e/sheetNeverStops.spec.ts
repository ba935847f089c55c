import { freePort } from "../scripts/cluster.mjs";
import { addLine, beginFormula, expect, saved, test } from "./testing/test";

// While the server is gone the browser says so in its console.
test.use({
  allowedConsole: [/ERR_CONNECTION_REFUSED|ERR_CONNECTION_RESET|ERR_SOCKET_NOT_CONNECTED|ERR_EMPTY_RESPONSE/, /Failed to load resource/],
});

test("the server killed, a percent changed, the server back 40 s later: it is stored without a touch", async ({
  start,
  demoFolder,
  browser,
}) => {
  test.setTimeout(360_000);
  const port = await freePort();
  const first = await start({ TENSIDRUM_DATA: demoFolder }, ["--port", String(port)]);
  const page = await browser.newPage({ baseURL: first.address });
  await beginFormula(page);
  await addLine(page, "coco-glucoside", "4");
  await expect(saved(page)).toContainText(/saved \d\d/);
  const address = page.url();
  const gone = new Promise((resolve) => first.process.once("exit", resolve));
  first.process.kill("SIGKILL");
  await gone;

  await page.getByLabel("Coco-glucoside, percent").fill("6.5");
  await expect(page.getByRole("alert")).toContainText("The server cannot be reached. What you typed is kept in this browser");
  await expect(page.getByRole("alert")).toContainText("Saving is tried again every 2 seconds.");
  // So long a maker may look for what is wrong; the page is not touched.
  await page.waitForTimeout(40_000);
  const again = await start({ TENSIDRUM_DATA: demoFolder }, ["--port", String(port)]);
  await expect(saved(page)).toContainText(/saved \d\d/, { timeout: 60_000 });
  await expect(page.getByRole("alert")).toHaveCount(0);
  const other = await browser.newPage();
  await other.goto(address.replace(first.address, again.address));
  await expect(other.getByLabel("Coco-glucoside, percent")).toHaveValue("6.50");
  await other.close();
  await page.close();
});

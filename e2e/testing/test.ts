import { expect, type Page, test as base } from "@playwright/test";
import { makeDataFolder, makeDemoFolder } from "./dataFolder";
import { startApplication, type RunningApplication } from "./startApplication";

interface WorkerThings {
  /** Tests that name an application of their own do not share one with others, whose shelf would be in their way. */
  readonly ownApplication: string;
  readonly application: RunningApplication;
}

interface TestThings {
  /** Lines the browser's console may show in this test. */
  readonly allowedConsole: RegExp[];
  readonly quietConsole: void;
  /** A data folder of the test's own. */
  readonly folder: string;
  /** The same as a first start leaves it, with library and demo. */
  readonly demoFolder: string;
  /** Starts applications that end with the test, however it ends. */
  readonly start: typeof startApplication;
}

/** A refused action answers 4xx or 5xx, and the browser notes that as a failed load: the one line allowed everywhere it is expected. */
export const FAILED_LOAD = /Failed to load resource: the server responded with a status of (404|409|422|503)/;

/** Each worker has an application of its own, begun with the demo; no test may leave an error in the console. */
export const test = base.extend<TestThings, WorkerThings>({
  ownApplication: ["", { option: true, scope: "worker" }],
  application: [
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const folder = makeDemoFolder();
      const application = await startApplication({ TENSIDRUM_DATA: folder.path });
      await use(application);
      await application.stop();
      folder.remove();
    },
    { scope: "worker", timeout: 120_000 },
  ],
  // eslint-disable-next-line no-empty-pattern
  folder: async ({}, use) => {
    const folder = makeDataFolder();
    await use(folder.path);
    folder.remove();
  },
  // eslint-disable-next-line no-empty-pattern
  demoFolder: async ({}, use) => {
    const folder = makeDemoFolder();
    await use(folder.path);
    folder.remove();
  },
  start: async ({ folder: _after, demoFolder: _too }, use) => {
    const running: RunningApplication[] = [];
    await use(async (environment, options = ["--small-demo"]) => {
      const application = await startApplication(environment, options);
      running.push(application);
      return application;
    });
    await Promise.all(running.map((application) => application.stop()));
  },
  baseURL: async ({ application }, use) => use(application.address),
  allowedConsole: [async ({}, use) => use([]), {}], // eslint-disable-line no-empty-pattern
  quietConsole: [
    async ({ page, allowedConsole }, use) => {
      const errors: string[] = [];
      page.on("console", (message) => {
        if (message.type() === "error" || message.type() === "warning") errors.push(message.text());
      });
      page.on("pageerror", (error) => errors.push(error.message));
      await use();
      expect(errors.filter((text) => !allowedConsole.some((allowed) => allowed.test(text)))).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** Opens a new formula, with scripts ready; the button on Today that makes one has a path of its own. */
export async function beginFormula(page: Page): Promise<void> {
  const [formulaId, versionId, waterLineId] = [crypto.randomUUID(), crypto.randomUUID(), crypto.randomUUID()];
  // Only a page of this origin may write; any answer tells which that is.
  const { origin } = new URL((await page.request.get("/favicon.ico")).url());
  const form = { formulaId, versionId, waterLineId };
  const answer = await page.request.post("/sheet", { form, headers: { Origin: origin }, maxRedirects: 0 });
  expect(answer.status()).toBe(302);
  await page.goto(`/sheet/${formulaId}`);
  await scriptsReady(page);
}

/** A page that is sent ready drawn answers keys only once its scripts are there. */
export async function scriptsReady(page: Page): Promise<void> {
  await expect(page.getByRole("button", { name: "dim" })).toBeEnabled();
}

/** The materials the search shows just now. */
export const foundMaterials = (page: Page) => page.getByRole("listbox", { name: "Materials found" }).getByRole("option");

/** Picks a material by typing and gives it its percent, keyboard only. */
export async function addLine(page: Page, search: string, percent: string): Promise<void> {
  const field = page.getByRole("textbox", { name: "Add a material" });
  await field.focus();
  await field.fill(search);
  await expect(foundMaterials(page).first()).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(page.locator("input[data-percent-of]:focus")).toHaveValue("");
  await page.keyboard.type(percent);
}

export const saved = (page: Page) => page.locator('[data-status="saved"]');

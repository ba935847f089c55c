import { chromium, type Page } from "@playwright/test";
import { referenceLibrary } from "@tensidrum/core/reference";
import playwrightConfig from "../playwright.config";
import { type Measured, quantile } from "./measure";

const MATERIALS = 5000;

/** Texts as someone types them, a slip of spelling among them. */
const TEXTS = [
  "co",
  "coc",
  "cocamid",
  "cocamidopropil",
  "cocamidopropil betain",
  "glyc",
  "sodium cocoyl",
  "pantenol",
  "olefin 40",
  "xanthan",
];

/** A table of so many materials, every one with numbers, spans and a composition. */
function tableOfMaterials(): string {
  const rows = Array.from({ length: MATERIALS }, (_, at) => {
    const { name, role, inci, form, charge } = referenceLibrary[at % referenceLibrary.length] ?? {};
    const parts = (inci ?? [{ name: "Aqua", percent: 100 }]).map((entry) => `${entry.name} ${entry.percent}`).join("; ");
    return [`"${name} of shelf ${at}"`, role, form ?? "", charge ?? "", `"${parts}"`, "30", "29", "31", "1.05", "4", "7", "1", "20"].join(
      ",",
    );
  });
  return ["name,role,form,charge,inci,activeTypical,activeLow,activeHigh,density,ph low,ph high,use low,use high", ...rows].join("\n");
}

/** Bringing a long table of materials in, and finding something in the long library it makes, in a real browser. */
export async function benchShelf(sheet: string): Promise<Measured[]> {
  const browser = await chromium.launch(playwrightConfig.use?.launchOptions ?? {});
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const seconds = await importSeconds(page, new URL("/shelf/import", sheet).toString());
  await page.goto(new URL("/shelf", sheet).toString(), { waitUntil: "networkidle" });
  const samples = await searchMilliseconds(page);
  await browser.close();
  const many = MATERIALS.toLocaleString("en-GB");
  return [
    { what: `browser: import of ${many} materials, from the click to the shelf`, value: seconds, unit: "s", limit: 3 },
    { what: `browser: search over ${many} materials to painted, median`, value: quantile(samples, 0.5), unit: "ms", limit: 50 },
    {
      what: `browser: search over ${many} materials to painted, slowest of ${samples.length}`,
      value: Math.max(...samples),
      unit: "ms",
      limit: null,
    },
  ];
}

async function importSeconds(page: Page, address: string): Promise<number> {
  await page.goto(address, { waitUntil: "networkidle" });
  const file = { name: "materials.csv", mimeType: "text/csv", buffer: Buffer.from(tableOfMaterials()) };
  await page.getByLabel("A file").setInputFiles(file);
  await page.getByRole("button", { name: "Read it" }).click();
  await page.getByText(`${MATERIALS.toLocaleString("en-GB")} of ${MATERIALS.toLocaleString("en-GB")} rows can be brought in.`).waitFor();
  const began = performance.now();
  await page.getByRole("button", { name: "Put the ticked rows into the library" }).click();
  await page.getByRole("progressbar").waitFor({ state: "attached" });
  await page.getByRole("heading", { name: "The shelf" }).waitFor();
  return (performance.now() - began) / 1000;
}

/** From each text being in the field to its matches being painted. */
async function searchMilliseconds(page: Page): Promise<readonly number[]> {
  const field = page.getByRole("searchbox");
  await field.focus();
  await field.fill("glycerin");
  await page.getByRole("region", { name: "Found while typing" }).waitFor();
  return page.evaluate(async (texts) => {
    const input = document.querySelector<HTMLInputElement>("input[type=search]");
    const write = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")?.set;
    if (input === null || write === undefined) throw new Error("There is no field to search in");
    const measured: number[] = [];
    for (const text of [...texts, ...texts, ...texts]) {
      const began = performance.now();
      write.call(input, text);
      input.dispatchEvent(new Event("input", { bubbles: true }));
      await new Promise<void>((painted) => requestAnimationFrame(() => setTimeout(painted)));
      measured.push(performance.now() - began);
      await new Promise((rest) => setTimeout(rest, 60));
    }
    return measured;
  }, TEXTS);
}

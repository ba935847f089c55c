import {
  reasonIfAsked,
  activeMatter,
  allText,
  beginJob,
  closeBatch,
  inThisOrder,
  makeBatch,
  writeSheet,
  type Answers,
} from "../testing/job";
import { expect, test } from "../testing/test";

test.use({ ownApplication: "jobs" });

/** Reads a temperature and goes on. */
const at =
  (temperature: string): Answers[string] =>
  async (page) => {
    await page.getByLabel("What the thermometer shows, °C").fill(temperature);
    await page.getByRole("button", { name: "Record temperature" }).click();
    await expect(page.getByText(`Last read: ${temperature} °C.`)).toBeVisible();
  };

test("a cream cleanser in two phases, 250 g: both as hot as each other, steam put back per beaker, what is delicate below 40 °C", async ({
  page,
}) => {
  test.setTimeout(300_000);
  await writeSheet(page, {
    name: "Curtain Fall cream cleanser",
    aim: "cream-cleanser",
    batch: "250",
    recipe: `Phase A water
distilled water to 100
glycerin 6 %
xanthan gum 0.3 %
Phase B paste and fats
sodium cocoyl isethionate powder 7 %
cocamidopropyl betaine 8 %
cetearyl alcohol 4 %
glyceryl stearate SE 4 %
sunflower oil 5 %
Phase C cool
D-panthenol 1 %
phenoxyethanol + ethylhexylglycerin 1 %
lavender oil 0.2 %
lactic acid 0.25 %`,
    temperatures: { A: "72", B: "72" },
  });
  // 7 × 0.84 + 8 × 0.30
  await expect(activeMatter(page)).toHaveText("8.28");

  const batch = await beginJob(page);
  const met = await makeBatch(page, {
    "Heat the water": async (of) => {
      await of.getByLabel(/what the scale shows, g$/).fill("620");
      await of.getByRole("button", { name: /Record weight/ }).click();
      await at("72")?.(of);
      await of.getByRole("button", { name: /^Done, next step/ }).click();
    },
    "Top up": async (of) => {
      await of.getByLabel(/what the scale shows, g$/).fill("612");
      await of.getByRole("button", { name: /Record weight/ }).click();
      // The beaker has lost 8 g; a little more goes back.
      await expect(of.getByText("Put back hot water:")).toContainText("8.00 g");
      await of.getByLabel("Water really put back, g").fill("9");
      await of.getByRole("button", { name: /^Done, next step/ }).click();
    },
    "Melt the fats": async (of) => {
      // Ten degrees apart the fat would set where they meet: it is asked.
      await at("60")?.(of);
      await of.getByRole("button", { name: /^Done, next step/ }).click();
      await expect(of.getByRole("alert")).toContainText("60");
      await of.getByRole("alert").getByRole("button", { name: "trial" }).click();
    },
    "Cool below": async (of) => {
      await at("38")?.(of);
      await of.getByRole("button", { name: /^Done, next step/ }).click();
      await reasonIfAsked(of);
    },
  });
  expect(allText(met)).toContain("dust mask");
  inThisOrder(
    met,
    "Slurry the gum",
    "Heat the water",
    "Top up",
    "Fats and water together",
    "Cool below",
    "Stir in phase C",
    "Read the pH",
    "rest",
  );
  const fats = met.find(({ weighed }) => weighed.some(([name]) => name.includes("isethionate")));
  expect(fats?.weighed.map(([name]) => name)).toEqual(
    expect.arrayContaining([expect.stringContaining("Cocamidopropyl betaine"), expect.stringContaining("Cetearyl alcohol")]),
  );
  inThisOrder(met, "Cool below", "ethylhexylglycerin");
  inThisOrder(met, "Cool below", "avender");
  const record = await closeBatch(page, batch, "241");
  await expect(record).toContainText("9.0 g of water put back");
  // 1 g more than steamed off came in beside the lines.
  await expect(record.getByRole("row", { name: /^water beyond the steam/ })).toContainText("1.00");
  await expect(record).toContainText("72.0 °C");
  await expect(record).toContainText("38.0 °C");
});

test("with plain stearate instead of the self-emulsifying one something is missing, and acid may go into the water from the start", async ({
  page,
}) => {
  await writeSheet(page, {
    name: "Curtain Fall, other stearate",
    aim: "cream-cleanser",
    batch: "250",
    recipe: `Phase A water
distilled water to 100
glycerin 6 %
lactic acid 0.25 %
Phase B fats
cetearyl alcohol 4 %
glyceryl stearate 4 %
sunflower oil 5 %
cocamidopropyl betaine 8 %
Phase C cool
phenoxyethanol + ethylhexylglycerin 1 %`,
    temperatures: { A: "72", B: "72" },
  });
  await expect(page.getByRole("region", { name: "Findings" })).toContainText(/emulsif/i);
  await page.getByRole("link", { name: "Steps" }).click();
  await page.getByLabel("Acids and bases go into the water from the start").check();
  const rows = page.getByRole("list", { name: "Steps in their order" });
  await expect(rows.getByRole("listitem").filter({ hasText: "Lactic acid" })).toContainText("Dissolve");
});

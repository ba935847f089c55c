import { acknowledged } from "../testing/atTheBench";
import {
  activeMatter,
  addPart,
  beginJob,
  closeBatch,
  fillAll,
  inThisOrder,
  makeBatch,
  middleOfTarget,
  planPart,
  readPh,
  reasonIfAsked,
  writeSheet,
} from "../testing/job";
import { readPdf } from "../testing/readPdf";
import { expect, scriptsReady, test } from "../testing/test";

test.use({ ownApplication: "jobs" });

test("a hand gel, 900 g, in three colours: brought in by drops of acid, rested, parted, coloured to the eye, filled and labelled by itself", async ({
  page,
}) => {
  test.setTimeout(600_000);
  await writeSheet(page, {
    name: "Prop Room hand gel",
    aim: "hand-wash",
    batch: "900",
    recipe: `Phase A
distilled water to 100
Phase B
Xanthan gum, clear grade 0.8 %
glycerin 4 %
Phase C
decyl glucoside 14 %
cocamidopropyl betaine 9 %
Phase D
Benzyl alcohol + dehydroacetic acid blend 0.8 %
D-panthenol 1 %`,
  });
  // 14 × 0.52 + 9 × 0.30
  await expect(activeMatter(page)).toHaveText("9.98");
  await expect(page.getByRole("region", { name: "pH", exact: true })).toContainText(/Plan about [\d.]+ g .* of citric acid 20 %/);

  await addPart(page, { name: "blue", share: "290 g", line: ["Blue water-soluble dye", "0.02"] });
  await addPart(page, { name: "gold", share: "290 g", line: ["Gold mica", "0.05"] });
  await addPart(page, { name: "plain", share: "290 g" });
  await expect(page.getByText(/Materials for 100 g: blue|no prices of these materials/)).toBeAttached();

  const batch = await beginJob(page);
  let dosed = "";
  const met = await makeBatch(page, {
    "Read the pH": async (of) => {
      await expect(of.getByText(/^Estimated from its lines it stands at about pH/)).toBeVisible();
      const middle = await middleOfTarget(of);
      await readPh(of, "8.90");
      const grams = of.getByLabel(/^Really added, g of citric acid/);
      await expect(grams).toBeVisible();
      dosed = await grams.inputValue();
      const taken = of.getByRole("button", { name: "Dosed, start 2:00" });
      await expect(taken).toBeEnabled();
      await taken.click();
      await expect(of.getByText("8.90 before this dose")).toBeVisible();
      await expect(of.getByText(`${Number(dosed).toFixed(2)} g of citric acid`).first()).toBeVisible();
      await of.getByLabel("pH", { exact: true }).fill(middle);
      await expect(of.getByRole("button", { name: "Take the reading" })).toBeEnabled();
      await of.getByRole("button", { name: "Take the reading" }).click();
      await reasonIfAsked(of);
      const right = of.getByRole("button", { name: "The pH is right, next step" });
      await expect(right).toBeEnabled();
      await right.click();
      await reasonIfAsked(of);
    },
  });
  inThisOrder(
    met,
    "Slurry the gum",
    "Pour the slurry",
    "Decyl glucoside",
    "dehydroacetic",
    "Read the pH",
    "rest",
    '"blue"',
    '"gold"',
    '"plain"',
    "Judge",
  );
  const drawn = met.filter(({ title }) => title.startsWith("Draw the part")).map(({ weighed }) => Number(weighed[0]?.[1]));
  // 290 g less 0.06 g of dye, less 0.15 g of mica, and all of it
  expect(drawn).toEqual([289.94, 289.85, 290]);
  const record = await closeBatch(page, batch, "872");
  await expect(record.getByRole("row", { name: /citric acid .*not in the formula/i }).first()).toContainText("not in the formula");
  // The water is 633.39 g, and its scale shows 633.4.
  await expect(record.getByRole("row", { name: /^together/ })).toContainText((900.01 + Number(dosed)).toFixed(2));

  // Two jars of 100 mL and a bottle of 50 of each colour, every colour from its own beaker, and one blue kept to watch.
  const id = batch.split("/").at(-1) ?? "";
  await page.goto(`/fill/${id}`);
  await scriptsReady(page);
  for (const colour of ["blue", "gold", "plain"]) {
    if (colour !== "blue") await page.getByRole("button", { name: "Plan it anew" }).click();
    await page
      .getByRole("region", { name: "Plan" })
      .getByLabel("one kept to watch")
      .selectOption(colour === "blue" ? "Sample jar" : "none");
    await planPart(page, colour, { "Wide jar": "2", "Flip-top, guests": "1" });
  }
  await fillAll(page, 12);
  await expect(page.getByText("All containers are filled.")).toBeVisible();
  const account = page.getByRole("region", { name: "Where it went" });
  await expect(account.getByRole("row", { name: /2 of 2 Wide jar blue/ })).toBeVisible();
  await expect(account.getByRole("row", { name: /gold still in its beaker/ })).toContainText("of 290.0 g");

  // Each colour has its own label; one for all of them says what it may contain.
  await acknowledged(page);
  await page.getByRole("link", { name: "Labels" }).click();
  await scriptsReady(page);
  const label = page.getByRole("group", { name: /^Label of/ });
  const ofColour = (colour: string) => page.getByLabel("for", { exact: true }).selectOption({ label: `${colour}: Wide jar` });
  await ofColour("gold");
  await expect(page.getByText("blue: Wide jar")).toBeAttached();
  await expect(label).toContainText("Prop Room hand gel, gold");
  await ofColour("blue");
  await expect(label).toContainText("Prop Room hand gel, blue");
  await expect(label).toContainText("42090");
  await expect(label).not.toContainText("Mica");
  await page.getByRole("checkbox", { name: /one label for all parts/ }).check();
  await expect(label).toContainText(/May contain:.*Mica/);
  await page.getByRole("button", { name: "Keep this label" }).click();
  await expect(page.getByRole("button", { name: "Kept" })).toBeVisible();
  const pdf = await page.request.get((await page.getByRole("link", { name: "PDF", exact: true }).getAttribute("href")) ?? "");
  const printed = await readPdf(await pdf.body());
  // Six jars, six labels, whatever is in them.
  expect(printed.words.filter(({ text }) => text === "contain:")).toHaveLength(6);

  await page.goto(`${batch}/record`);
  await page.getByRole("link", { name: "New draft with what was done" }).click();
  await expect(page.getByRole("main")).toContainText(/citric acid/i);
  await page.getByRole("button", { name: /draft/i }).click();
  await expect(page.getByText("v2, draft")).toBeVisible();
  await expect(page.getByLabel(/^Citric acid.*percent/).first()).toBeVisible();
  // The parts are in the next version too.
  await expect(page.getByLabel("Share of the batch, gold: % or g")).toHaveValue("32.2222");
  await expect(page.getByLabel(/^Gold mica.*percent/)).toHaveValue(/^0\.05/);
});

import { readingOf, type FormulaReading } from "@tensidrum/core/assessment";
import { forFace } from "@tensidrum/core/findings";
import { shownFormulaName } from "@tensidrum/core/formula";
import { packPriceOf } from "@tensidrum/core/inventory";
import { briefMaterial, shownMaterial, type Material, type MaterialsBySlug } from "@tensidrum/core/library";
import { Refusal, writtenShort } from "@tensidrum/core/quantities";
import { cleansersOf, irritationBands } from "@tensidrum/core/surfactants";
import { formulaOfVersion } from "../../db/formulas/formulaOfVersion.server";
import { listVersions } from "../../db/formulas/queries.server";
import { insertDraftFrom } from "../../db/formulas/writes.server";
import { standingLots } from "../../db/inventory/queries.server";
import { findMaker } from "../../db/makers/queries.server";
import { listChoosable } from "../../db/materials/queries.server";
import { currentMakerId, database } from "../../db/workplace.server";
import { here, writtenShortDay } from "../frame/dates.server";
import { wholeProblem, type FieldProblem } from "../frame/formAnswer";
import type { TypedBlend } from "./designerForms.server";
import type { DesignerWishes } from "./wishesOf";

/** Earlier versions that stand in the picture, the newest. */
const MOST_EARLIER = 5;
const USUAL_COUNT = { low: 2, high: 3 };

/** Everything the page of the designer needs: the sheet, what may be taken, and what is there already. */
export async function openDesigner(formulaId: string, wanted: number | undefined) {
  const [db, makerId] = [database(), currentMakerId()];
  const versions = await listVersions(db, makerId, formulaId);
  const version = wanted === undefined ? versions[0] : versions.find(({ number }) => number === wanted);
  if (version === undefined) throw new Refusal("not-found", "No version lies at this address.", "Go back to Today and open it from there.");
  const [{ formula, materials }, all, lots, maker] = await Promise.all([
    formulaOfVersion(db, makerId, { formulaId, number: version.number }),
    listChoosable(db, makerId),
    standingLots(db, makerId),
    findMaker(db, makerId),
  ]);
  const cleansers = all.map(({ facts }) => facts).filter((facts) => facts.countsAsActive === true && facts.parts === undefined);
  const known = new Map<string, Material>([...cleansers.map((facts) => [facts.slug, facts] as const), ...materials]);
  const reading = readingOf(formula, materials);
  const prices = new Map([...known.keys()].map((slug) => [slug, packPriceOf(lots, slug)]));
  const priceOf = (slug: string): number | null => {
    const pack = prices.get(slug);
    return pack == null ? null : pack.price / pack.packGrams;
  };
  const shelf = [...new Set(lots.map(({ material }) => material))]
    .filter((slug) => known.has(slug))
    .map((slug) => {
      const own = lots.filter(({ material }) => material === slug);
      const assayed = own.find(({ assayPercent }) => assayPercent !== null);
      const grams = own.reduce((sum, { leftGrams }) => sum + leftGrams, 0);
      return [slug, { grams, price: priceOf(slug), assayPercent: assayed?.assayPercent ?? null }] as const;
    });
  const earlier = await Promise.all(
    versions
      .filter(({ number }) => number !== version.number)
      .slice(0, MOST_EARLIER)
      .map(async ({ number }) => ({ number, ...(await formulaOfVersion(db, makerId, { formulaId, number })) })),
  );
  return {
    formulaId,
    versionId: version.id,
    number: version.number,
    isDraft: version.state === "draft",
    /** The draft that is open beside this version, where there is one. */
    openDraft: versions.find(({ state }) => state === "draft")?.number ?? null,
    name: shownFormulaName(formula.name),
    currency: maker?.currency ?? "",
    formula,
    /** Without what no reading needs, as they travel with a sheet. */
    materials: [...known.values()].map(briefMaterial),
    /** What may be chosen, by name. */
    choices: cleansers
      .map((facts) => ({ slug: facts.slug, charge: facts.charge, name: shownMaterial(facts).name }))
      .sort((a, b) => a.name.localeCompare(b.name)),
    shelf,
    mends: mendsOfSheet(reading, materials, { all: cleansers, lots }),
    usual: usualWishes(
      reading,
      cleansers.some(({ slug }) => priceOf(slug) !== null),
    ),
    marks: [
      ...marksOf(`v${version.number}, this sheet`, reading, priceOf),
      ...earlier.flatMap(({ number, formula: other, materials: its }) => marksOf(`v${number}`, readingOf(other, its), priceOf)),
    ],
  };
}

export type OpenDesigner = Awaited<ReturnType<typeof openDesigner>>;

/** What the aim of a sheet wishes, before the maker says more. */
function usualWishes({ read }: FormulaReading, hasPrices: boolean): DesignerWishes {
  const { low, high } = read.profile.activePercent;
  const [veryMild, mild] = irritationBands;
  const most = read.sheet.formula.eyeArea === true ? veryMild.below : forFace(read) ? mild.below : null;
  return {
    against: hasPrices ? "cost" : "foam",
    activePercent: { low: Math.max(0.5, low), high: Math.max(1, high) },
    mostIrritation: most,
    ...{ leastFlash: null, leastStability: null, mostCost: null, mostSaltPercent: null, mostAnionicPercent: 75, thickening: "any" },
    ...{ count: USUAL_COUNT, mustHave: [], mustNot: [], onlyShelf: hasPrices, coldOnly: false },
  };
}

/** How much milder a mend is to be, and how far the foam may fall where one surfactant is done without. Ours. */
const [MILDER, LESS_FOAM] = [0.8, 0.5];
const SOON_DAYS = 60;
const [MOST_LOTS, ENOUGH_ON_SHELF] = [4, 3];

/** Questions that mend the sheet as it is: milder, without one of its surfactants, or with a lot that ends soon. */
function mendsOfSheet(
  { readings, read }: FormulaReading,
  materials: MaterialsBySlug,
  { all, lots }: { readonly all: readonly Material[]; readonly lots: Awaited<ReturnType<typeof standingLots>> },
) {
  const { irritation, foam, activeMatter } = readings;
  if (irritation === null || foam === null) return [];
  const there = new Set(lots.map(({ material }) => material));
  // A shelf that holds a few answers from itself; a bare one looks in the library.
  const shelf = all.filter(({ slug }) => there.has(slug)).length >= ENOUGH_ON_SHELF ? "only" : "all";
  const query = (changes: Readonly<Record<string, string | number>>): string =>
    new URLSearchParams({
      ...{ against: "change", shelf, countHigh: "4", activeLow: writtenShort(activeMatter.percent * 0.9, 1) },
      ...Object.fromEntries(Object.entries(changes).map(([key, value]) => [key, String(value)])),
    }).toString();
  const asMild = { mostIrritation: Math.ceil(irritation.load) };
  const present = cleansersOf(read.sheet);
  const soon = here().add(SOON_DAYS, "day").format("YYYY-MM-DD");
  const ending = lots
    .filter(({ material, endsOn }) => endsOn !== null && endsOn <= soon && all.some(({ slug }) => slug === material))
    .slice(0, MOST_LOTS);
  const nameOf = (slug: string): string => {
    const found = all.find((one) => one.slug === slug) ?? materials.get(slug);
    return found === undefined ? slug : shownMaterial(found).name;
  };
  return [
    {
      words: `irritation from ${Math.round(irritation.load)} to ${Math.floor(irritation.load * MILDER)}`,
      query: query({ mostIrritation: Math.floor(irritation.load * MILDER) }),
    },
    ...present.map(({ slug }) => ({
      words: `without ${nameOf(slug)}, as mild and as foaming`,
      query: query({ ...asMild, not: slug, leastFlash: Math.max(0, Math.floor((foam.flash - LESS_FOAM) * 10) / 10) }),
    })),
    ...ending.map(({ material, code, endsOn }) => ({
      words: `use up ${nameOf(material)} ${code} before ${writtenShortDay(new Date(`${endsOn ?? ""}T12:00:00`))}`,
      query: query({ ...asMild, must: material }),
    })),
  ];
}

/** Where a formula that is there lies beside what is found; nowhere where it cannot be judged. */
function marksOf(label: string, { readings, read }: FormulaReading, priceOf: (slug: string) => number | null) {
  if (readings.irritation === null || readings.foam === null) return [];
  const cost = read.sheet.lines.reduce((sum, { line, percent }) => sum + percent * (priceOf(line.material) ?? 0), 0);
  return [{ label, irritation: readings.irritation.load, flash: readings.foam.flash, cost }];
}

/** Begins the next draft of a final version, for a blend that is then taken into it. Answers its number, or what is wrong. */
export async function draftForBlend(
  formulaId: string,
  { version, sentence }: TypedBlend,
): Promise<{ readonly draft: number } | { readonly problems: readonly FieldProblem[] }> {
  const [db, makerId] = [database(), currentMakerId()];
  const versions = await listVersions(db, makerId, formulaId);
  const parent = versions.find(({ id }) => id === version);
  if (parent === undefined) throw new Refusal("not-found", "This version is not here any more.", "Load the page again.");
  const open = versions.find(({ state }) => state === "draft");
  if (open !== undefined) return { problems: wholeProblem(`The draft v${open.number} is open. Finalise it or delete it first.`) };
  const draft = await insertDraftFrom(db, makerId, { parentId: parent.id, versionId: crypto.randomUUID() }, sentence);
  if (draft === undefined) return { problems: wholeProblem("The draft could not be begun. Load the page again.") };
  return { draft };
}

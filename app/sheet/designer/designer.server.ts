import { readingOf, type FormulaReading } from "@tensidrum/core/assessment";
import { costOfSheet } from "@tensidrum/core/design";
import { forFace } from "@tensidrum/core/findings";
import { shownFormulaName } from "@tensidrum/core/formula";
import { packPriceOf } from "@tensidrum/core/inventory";
import { briefMaterial, shownMaterial, type Material } from "@tensidrum/core/library";
import { Refusal } from "@tensidrum/core/quantities";
import { cleansersOf, irritationBands, type Cleanser } from "@tensidrum/core/surfactants";
import { formulaOfVersion, formulasOfVersions } from "../../../db/formulas/formulaOfVersion.server";
import { listVersions } from "../../../db/formulas/queries.server";
import { addToNote, insertDraftFrom } from "../../../db/formulas/writes.server";
import { standingLots } from "../../../db/inventory/queries.server";
import { findMaker } from "../../../db/makers/queries.server";
import { listChoosable } from "../../../db/materials/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { here, writtenShortDay } from "../../frame/dates.server";
import { wholeProblem, type FieldProblem } from "../../frame/formAnswer";
import { newDraftOf } from "../versions/newDraft.server";
import type { TypedBlend } from "./designerForms.server";
import type { SheetToFix } from "./fixesOfSheet";
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
  const preservatives = all.map(({ facts }) => facts).filter((facts) => facts.preservative != null);
  const known = new Map<string, Material>([...[...cleansers, ...preservatives].map((facts) => [facts.slug, facts] as const), ...materials]);
  const reading = readingOf(formula, materials);
  const prices = new Map([...known.keys()].map((slug) => [slug, packPriceOf(lots, slug)]));
  const priceOf = (slug: string): number | null => {
    const pack = prices.get(slug);
    return pack == null ? null : pack.price / pack.packGrams;
  };
  // A line that stays keeps the strength it has on the sheet.
  const onSheet = new Map(formula.lines.map(({ material, assayPercent = null }) => [material, assayPercent]));
  const shelf = [...new Set(lots.map(({ material }) => material))]
    .filter((slug) => known.has(slug))
    .map((slug) => {
      // The first of them is the first to end, and to be used up.
      const own = lots.filter(({ material }) => material === slug);
      const grams = own.reduce((sum, { leftGrams }) => sum + leftGrams, 0);
      return [
        slug,
        { grams, price: priceOf(slug), assayPercent: onSheet.get(slug) ?? (onSheet.has(slug) ? null : (own[0]?.assayPercent ?? null)) },
      ] as const;
    });
  const others = versions.filter(({ number }) => number !== version.number).slice(0, MOST_EARLIER);
  const earlier = await formulasOfVersions(
    db,
    makerId,
    others.map(({ number }) => ({ formulaId, number })),
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
    /** What its fixes start from; null where it cannot be judged. */
    sheet: sheetToFix(reading),
    /** Lots that end soon. */
    ending: endingLots(lots, cleansers),
    preservatives: preservatives.map((facts) => ({ slug: facts.slug, name: shownMaterial(facts).name })),
    usual: usualWishes(
      reading,
      cleansers.some(({ slug }) => priceOf(slug) !== null),
    ),
    marks: [
      ...marksOf(`v${version.number}, this sheet`, reading, { of: reading, priceOf }),
      ...earlier.flatMap(({ number, formula: other, materials: its }) =>
        marksOf(`v${number}`, readingOf(other, its), { of: reading, priceOf }),
      ),
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
    ...{ count: USUAL_COUNT, mustHave: [], mustNot: [], onlyShelf: hasPrices, coldOnly: false, preservative: null },
  };
}

function sheetToFix({ readings, read }: FormulaReading): SheetToFix | null {
  const { irritation, foam, activeMatter } = readings;
  if (irritation === null || foam === null) return null;
  const present = cleansersOf(read.sheet).map(({ slug }) => slug);
  return { irritation: irritation.load, flash: foam.flash, activePercent: activeMatter.percent, present };
}

const SOON_DAYS = 60;
const MOST_LOTS = 4;

function endingLots(lots: Awaited<ReturnType<typeof standingLots>>, cleansers: readonly Material[]) {
  const soon = here().add(SOON_DAYS, "day").format("YYYY-MM-DD");
  return lots
    .flatMap(({ material, code, endsOn }) => (endsOn !== null && endsOn <= soon ? [{ material, code, endsOn }] : []))
    .filter(({ material }) => cleansers.some(({ slug }) => slug === material))
    .slice(0, MOST_LOTS)
    .map(({ endsOn, ...lot }) => ({ ...lot, until: writtenShortDay(new Date(`${endsOn}T12:00:00`)) }));
}

interface Beside {
  /** The sheet that is open. */
  readonly of: FormulaReading;
  readonly priceOf: (slug: string) => number | null;
}

/** Where a formula that is there lies beside what is found; nowhere where it cannot be judged. */
function marksOf(label: string, { readings, read }: FormulaReading, { of, priceOf }: Beside) {
  if (readings.irritation === null || readings.foam === null) return [];
  const cost = costOfSheet(read.sheet.lines, priceOf);
  const change = changeBetween(cleansersOf(of.read.sheet), cleansersOf(read.sheet));
  return [{ label, irritation: readings.irritation.load, flash: readings.foam.flash, cost, change }];
}

/** Active matter that came in or went between two sheets, % w/w. */
function changeBetween(one: readonly Cleanser[], other: readonly Cleanser[]): number {
  const inOther = new Map(other.map(({ slug, percent }) => [slug, percent]));
  const known = new Set(one.map(({ slug }) => slug));
  const kept = one.reduce((sum, { slug, percent }) => sum + Math.abs(percent - (inOther.get(slug) ?? 0)), 0);
  return other.reduce((sum, { slug, percent }) => (known.has(slug) ? sum : sum + percent), kept);
}

interface BlendTaken {
  readonly formulaId: string;
  readonly draft: number;
  /** Whether the sentence stands in the note of the draft now. */
  readonly isNoted: boolean;
}

/** Opens the draft a blend is taken into, with a sentence in its note: the one that is open, the next one, or that of a trial. */
export async function draftForBlend(
  formulaId: string,
  { version, sentence, into }: TypedBlend,
): Promise<BlendTaken | { readonly problems: readonly FieldProblem[] }> {
  const [db, makerId] = [database(), currentMakerId()];
  const versions = await listVersions(db, makerId, formulaId);
  const parent = versions.find(({ id }) => id === version);
  if (parent === undefined) throw new Refusal("not-found", "This version is not here any more.", "Load the page again.");
  if (into === "trial") return { ...(await newDraftOf(formulaId, version, sentence)), draft: 1, isNoted: true };
  const open = versions.find(({ state }) => state === "draft");
  if (into === "draft") {
    if (open === undefined) return { problems: wholeProblem("No draft is open any more. Take the blend into the next one.") };
    return { formulaId, draft: open.number, isNoted: await addToNote(db, makerId, open.id, sentence) };
  }
  if (open !== undefined) return { problems: wholeProblem(`The draft v${open.number} is open. Finalise it or delete it first.`) };
  const draft = await insertDraftFrom(db, makerId, { parentId: parent.id, versionId: crypto.randomUUID() }, sentence);
  if (draft === undefined) return { problems: wholeProblem("The draft could not be begun. Load the page again.") };
  return { formulaId, draft, isNoted: true };
}

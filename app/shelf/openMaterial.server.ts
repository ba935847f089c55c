import { limitsInWords } from "@tensidrum/core/assessment";
import { shownFormulaName } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import { factDifferences, roleOf, shownInci, shownMaterial, withOwnFacts, type Material } from "@tensidrum/core/library";
import { writtenShort } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../db/workplace.server";
import { usesOfMaterial } from "../../db/formulas/queries.server";
import { findMaterial, materialsBySlug } from "../../db/materials/queries.server";
import { lotsOfMaterial, movementsOfMaterial, usedUpLotsOfMaterial } from "../../db/inventory/queries.server";
import { shelfGroupOf } from "./shelfGroups";
import { factRows } from "./facts";
import { factName, factWords } from "./factWords";
import { isDissolvable } from "./preparations/dissolvable";
import { askedFor, partOf } from "../frame/listParts.server";
import { writtenDay } from "../frame/dates.server";

const MOST_MOVEMENTS = 24;
const MOST_USED_UP = 8;
/** Formulas whose doses are looked at, and those of them that are told, the one changed last first. */
const [MOST_USES, USES_SHOWN] = [40, 20];

/** One material: its facts, its lots with their books, and where it is. */
export async function openMaterial(slug: string, behind = "") {
  const db = database();
  const makerId = currentMakerId();
  const material = await findMaterial(db, makerId, slug);
  if (material === undefined) {
    throw new Refusal("not-found", "No material stands at this address.", "Go to the shelf and look for it there.");
  }
  const [standing, found, movements, uses] = await Promise.all([
    lotsOfMaterial(db, makerId, material.id),
    usedUpLotsOfMaterial(db, makerId, material.id, { most: askedFor(MOST_USED_UP), behind }),
    movementsOfMaterial(db, makerId, material.id, askedFor(MOST_MOVEMENTS)),
    usesOfMaterial(db, makerId, material.id, MOST_USES),
  ]);
  const facts = withOwnFacts(material.facts, material.own);
  const own = new Set(Object.keys(material.own ?? {}));
  const parts = await partsOf(facts);
  const { shown: usedUp, older } = partOf(found, MOST_USED_UP);
  const lots = [...standing, ...usedUp];
  const day = (text: string | null): string | null => (text === null ? null : writtenDay(text));
  return {
    slug: facts.slug,
    name: shownMaterial(facts).name,
    inci: shownInci(facts),
    role: roleOf(facts),
    form: facts.form,
    charge: facts.charge,
    isScent: facts.role === "fragrance",
    tint: shelfGroupOf(facts.role).tint,
    facts: factRows(facts, own),
    isOwn: material.isOwn,
    basedOn: material.basedOnSlug,
    madeAs: material.madeAs,
    /** What its maker holds against the library, with what the library says. */
    yours: factDifferences(material.facts, facts)
      .filter(({ fact }) => own.has(fact))
      .map(({ fact, before, after }) => ({ name: factName(fact), library: factWords(fact, before), mine: factWords(fact, after) })),
    yoursSince: material.ownSince === null ? null : writtenDay(material.ownSince),
    parts,
    isDissolvable: isDissolvable(facts),
    phSupplied: facts.phSupplied,
    phStable: facts.phStable,
    use: facts.use,
    handling: facts.handling,
    caution: facts.caution,
    restrictions: [...facts.restrictions, ...limitsInWords(facts)],
    flags: facts.flags,
    leftGrams: lots.reduce((sum, lot) => sum + lot.leftGrams, 0),
    packGrams: lots.filter(({ leftGrams }) => leftGrams > 0).reduce((sum, lot) => sum + lot.packGrams, 0),
    lots: lots.map((lot) => ({
      id: lot.id,
      code: lot.code,
      supplier: lot.supplier,
      note: lot.note,
      onHold: lot.onHold,
      assay: lot.assayPercent === null ? null : `${writtenShort(lot.assayPercent, 2)} %`,
      lacksCertificate: lot.assayPercent === null && facts.countsAsActive === true,
      pricePerKilogram: lot.price === null ? null : (1000 * lot.price) / lot.packGrams,
      packGrams: lot.packGrams,
      opened: day(lot.openedOn),
      dates: {
        openedOn: lot.openedOn ?? "",
        endsOn: lot.printedEndsOn ?? "",
        afterOpening: lot.afterOpeningDays === null ? "" : String(lot.afterOpeningDays),
      },
      ends: day(lot.endsOn),
      leftGrams: lot.leftGrams,
      promisedGrams: lot.leftGrams - lot.freeGrams,
      movementId: crypto.randomUUID(),
      isUntouched: lot.isUntouched,
    })),
    olderLots: older,
    isNewest: behind === "",
    hasOlderMovements: movements.length > MOST_MOVEMENTS,
    movements: movements.slice(0, MOST_MOVEMENTS).map(({ id, code, kind, grams, note, madeAt, restGrams }) => ({
      id,
      kind,
      grams,
      note,
      restGrams,
      lot: code,
      day: writtenDay(madeAt),
    })),
    doses: uses.flatMap(({ percent }) => (percent === null ? [] : [percent])),
    hasMoreUses: uses.length > USES_SHOWN,
    uses: uses.slice(0, USES_SHOWN).map((use) => ({ ...use, name: shownFormulaName(use.name) })),
  };
}

/** What a blend is made of, by the names of its parts. */
async function partsOf(material: Material) {
  if (material.parts === undefined) return [];
  const slugs = material.parts.map((part) => part.material);
  const stored = await materialsBySlug(database(), currentMakerId(), slugs);
  const nameOf = new Map(stored.map(({ facts }) => [facts.slug, shownMaterial(facts).name]));
  return material.parts.map(({ material: slug, percent }) => ({ slug, name: nameOf.get(slug) ?? slug, percent }));
}

export type OpenMaterial = Awaited<ReturnType<typeof openMaterial>>;

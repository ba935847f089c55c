import { factDifferences, roleOf, shownInci, shownMaterial, type Material } from "@tensidrum/core/library";
import { packPriceOf } from "@tensidrum/core/inventory";
import { currentMakerId, database } from "../../../db/workplace.server";
import { listChoosable } from "../../../db/materials/queries.server";
import { standingLots } from "../../../db/inventory/queries.server";
import { shelfGroupOf } from "../shelfGroups";
import { factName, factWords } from "../factWords";
import { knownMaterials } from "../knownMaterials";

/** Facts that stand in the head of each side, or are words to read alone. */
const APART: ReadonlySet<string> = new Set([
  "name",
  "role",
  "form",
  "charge",
  "inci",
  "handling",
  "caution",
  "phStable",
  "phSupplied",
  "use",
]);

/** What is asked first stands first. */
const ORDER: readonly string[] = ["active", "saltPercent", "electrolytePercent", "zein", "foam", "flags"];

/** Two materials side by side: what each is, what they differ in, what is left and what it costs. */
export async function openCompare(one: string, other: string) {
  const db = database();
  const makerId = currentMakerId();
  const [all, lots] = await Promise.all([listChoosable(db, makerId), standingLots(db, makerId)]);
  const known = knownMaterials(all);
  const bySlug = new Map(all.map(({ facts }) => [facts.slug, facts]));
  const found = (text: string): Material | undefined => bySlug.get(known(text)?.slug ?? "");
  const [a, b] = [found(one), found(other)];
  const sideOf = (material: Material) => {
    const own = lots.filter((lot) => lot.material === material.slug);
    const pack = packPriceOf(lots, material.slug);
    return {
      slug: material.slug,
      name: shownMaterial(material).name,
      inci: shownInci(material),
      role: roleOf(material),
      form: material.form,
      charge: material.charge,
      isScent: material.role === "fragrance",
      tint: shelfGroupOf(material.role).tint,
      leftGrams: own.reduce((sum, { leftGrams }) => sum + leftGrams, 0),
      packGrams: own.reduce((sum, { packGrams }) => sum + packGrams, 0),
      pricePerKilogram: pack === null ? null : (1000 * pack.price) / pack.packGrams,
      phStable: material.phStable,
      phSupplied: material.phSupplied,
      use: material.use,
      handling: material.handling,
      caution: material.caution,
    };
  };
  const differences = a === undefined || b === undefined ? [] : factDifferences(a, b).filter(({ fact }) => !APART.has(fact));
  const rank = (fact: string): number => (ORDER.includes(fact) ? ORDER.indexOf(fact) : ORDER.length);
  return {
    asked: [a === undefined ? one : shownMaterial(a).name, b === undefined ? other : shownMaterial(b).name] as const,
    names: all.map(({ facts }) => shownMaterial(facts).name),
    sides: [a, b].flatMap((material) => (material === undefined ? [] : [sideOf(material)])),
    differences: differences
      .toSorted((one, two) => rank(one.fact) - rank(two.fact))
      .map(({ fact, before, after }) => ({
        fact,
        name: factName(fact),
        one: factWords(fact, before),
        other: factWords(fact, after),
        rises: typeof before === "number" && typeof after === "number" ? Math.sign(after - before) : 0,
      })),
  };
}

export type OpenCompare = Awaited<ReturnType<typeof openCompare>>;

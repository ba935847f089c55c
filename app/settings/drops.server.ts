import { dropMassGrams, DROPS_TO_WEIGH } from "@tensidrum/core/acidity";
import { shownMaterial } from "@tensidrum/core/library";
import { readNumber } from "@tensidrum/core/quantities";
import { wholeProblem, type FieldProblem } from "../frame/formAnswer";
import type { TypedDrops } from "./settingsForm.server";
import { currentMakerId, database } from "../../db/workplace.server";
import {
  findMaterial,
  listChoosable,
  listOwnFacts,
  materialsBySlug,
  saveOwnFacts,
  updateOwnMaterial,
} from "../../db/materials/queries.server";

const LIQUID: ReadonlySet<string | null> = new Set(["liquid", "oil", "gel", null]);

/** What can be dropped, and what the maker's own droppers give. */
export async function openDrops() {
  const db = database();
  const makerId = currentMakerId();
  const [all, own] = await Promise.all([listChoosable(db, makerId), listOwnFacts(db, makerId)]);
  const weighed = own.flatMap(({ slug, facts }) => (facts.dropMilligrams == null ? [] : [{ slug, milligrams: facts.dropMilligrams }]));
  const stored = await materialsBySlug(
    db,
    makerId,
    weighed.map(({ slug }) => slug),
  );
  const nameOf = new Map(stored.map(({ facts }) => [facts.slug, shownMaterial(facts).name]));
  return {
    fewest: DROPS_TO_WEIGH,
    materials: all
      .filter(({ facts }) => LIQUID.has(facts.form))
      .map(({ facts }) => ({ slug: facts.slug, name: shownMaterial(facts).name, milligrams: facts.dropMilligrams })),
    weighed: weighed.map(({ slug, milligrams }) => ({ slug, name: nameOf.get(slug) ?? slug, milligrams })),
  };
}

/**
 * Takes the mass of a drop from several weighed together. Answers what is wrong.
 * @throws Refusal when so few drops, or so little, tell nothing
 */
export async function weighDrops({ material, drops, grams }: TypedDrops): Promise<readonly FieldProblem[]> {
  const db = database();
  const makerId = currentMakerId();
  const found = await findMaterial(db, makerId, material);
  if (found === undefined) return [{ field: "material", message: "Choose what was dropped." }];
  const [count, mass] = [readNumber(drops), readNumber(grams.replace(/\s*g\s*$/i, ""))];
  if (!count.ok || !mass.ok) return wholeProblem("Give the count of drops and what they weigh together in grams.");
  const dropMilligrams = 1000 * dropMassGrams(mass.value, count.value);
  if (found.isOwn) await updateOwnMaterial(db, makerId, found.id, { ...found.facts, dropMilligrams });
  else await saveOwnFacts(db, makerId, found.id, { ...found.own, dropMilligrams });
  return [];
}

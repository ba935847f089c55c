import { formulaMaterial } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import { slugOf } from "@tensidrum/core/library";
import { currentMakerId, database } from "../../../db/workplace.server";
import { listVersions } from "../../../db/formulas/queries.server";
import { insertOwnMaterial, listMaterials } from "../../../db/materials/queries.server";
import { versionFormula } from "./versionFormula.server";

/**
 * A final version as a material of the maker's own, to stand in another formula as a base. Returns its slug.
 * @throws Refusal when the lines do not come to 100 %.
 */
export async function keepAsMaterial(formulaId: string, versionId: string): Promise<string> {
  const db = database();
  const makerId = currentMakerId();
  const version = (await listVersions(db, makerId, formulaId)).find(({ id, state }) => id === versionId && state === "final");
  if (version === undefined) throw new Refusal("not-found", "This version is not final.", "Finalise it first; then it stays as it is.");
  const { number } = version;
  const [{ formula }, stored] = await Promise.all([versionFormula(db, makerId, { formulaId, number }), listMaterials(db, makerId)]);
  const library = new Map(stored.map(({ facts }) => [facts.slug, facts]));
  const name = `${formula.name} v${number}`;
  const facts = formulaMaterial(formula, library, { slug: slugOf(name, new Set(library.keys())), name });
  await insertOwnMaterial(db, makerId, { id: crypto.randomUUID(), facts, basedOnId: null, madeAs: "formula" });
  return facts.slug;
}

import { shownFormulaName } from "@tensidrum/core/formula";
import { needsOf, packPriceOf } from "@tensidrum/core/inventory";
import { nameOfSlug } from "@tensidrum/core/library";
import { costOf } from "@tensidrum/core/packaging";
import { Refusal } from "@tensidrum/core/quantities";
import { findProductCalled } from "../../../db/comparison/queries.server";
import { formulasOfVersions } from "../../../db/formulas/formulaOfVersion.server";
import { listVersions } from "../../../db/formulas/queries.server";
import { standingLots } from "../../../db/inventory/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";

/** Versions that stand beside each other, the newest first. */
const MOST = 30;

/** What the materials of every version cost by the lots of today, whether it was ever made or not. */
export async function openVersionCosts(formulaId: string) {
  const [db, makerId] = [database(), currentMakerId()];
  const [versions, lots] = await Promise.all([listVersions(db, makerId, formulaId), standingLots(db, makerId)]);
  if (versions.length === 0) throw new Refusal("not-found", "This formula is not here.", "Go back to Today and open it from there.");
  const newest = versions.slice(0, MOST);
  const made = await formulasOfVersions(
    db,
    makerId,
    newest.map(({ number }) => ({ formulaId, number })),
  );
  const rows = newest.flatMap(({ number, state, note }) => {
    const version = made.find((one) => one.number === number);
    if (version === undefined) return [];
    const { formula, materials } = version;
    const lines = [...needsOf(formula, materials)].map(([slug, percent]) => ({
      line: slug,
      grams: percent,
      pack: packPriceOf(lots, slug),
    }));
    const { total, unpriced } = costOf(lines, 100);
    const priced = lines.flatMap(({ line, grams, pack }) =>
      pack === null ? [] : [{ slug: line, cost: (grams * pack.price) / pack.packGrams }],
    );
    const dearest = priced.toSorted((a, b) => b.cost - a.cost)[0];
    return [
      {
        ...{ number, note, isDraft: state === "draft", name: shownFormulaName(formula.name), batchGrams: formula.batchGrams },
        closeTo: formula.aim?.closeTo ?? "",
        per100Grams: priced.length === 0 ? null : total,
        batch: priced.length === 0 ? null : (total * formula.batchGrams) / 100,
        dearest: dearest === undefined ? null : { name: nameOfSlug(dearest.slug, materials), cost: dearest.cost },
        unpriced: unpriced.map((slug) => nameOfSlug(slug, materials)),
      },
    ];
  });
  const closeTo = rows[0]?.closeTo ?? "";
  const product = closeTo === "" ? undefined : await findProductCalled(db, makerId, closeTo);
  const { price = null, contentGrams = null } = product ?? {};
  return {
    ...{ formulaId, name: rows[0]?.name ?? "", rows: rows.map(({ closeTo: _, ...row }) => row) },
    /** What it is to come close to, where its price is known. */
    product:
      product === undefined || price === null || contentGrams === null
        ? null
        : { id: product.id, name: product.name, per100Grams: (100 * price) / contentGrams, price, contentGrams },
  };
}

export type OpenVersionCosts = Awaited<ReturnType<typeof openVersionCosts>>;

import { batchCost } from "@tensidrum/core/packaging";
import type { BatchEntry, BatchPlan } from "@tensidrum/core/process";
import { moneyWords } from "../../frame/units";
import { openUnits } from "../../frame/units.server";
import type { BatchView } from "../batch/batchView";
import { usedMaterials } from "../cost/usedMaterials.server";
import { noWish } from "../cost/wish.server";

/**
 * What a batch cost by the lots it really took, doses at the bench among them, in words; null where no lot has a price.
 * What came from no lot, or from one without a price, is named.
 */
export async function batchCostWords(view: BatchView, plan: BatchPlan, all: readonly BatchEntry[]): Promise<string | null> {
  const materials = await usedMaterials(view, plan, all);
  if (!materials.some(({ price }) => price !== null)) return null;
  const { inGrams, yieldGrams } = view.account;
  const { materialsTotal, per100Grams, sharedOver, unpriced } = batchCost({ materials, containers: [], inGrams, yieldGrams }, noWish);
  const units = await openUnits();
  const per = sharedOver !== "yield" || per100Grams === null ? "" : `, ${moneyWords(per100Grams, units)} for 100 g of the yield`;
  return `Cost ${moneyWords(materialsTotal, units)} by the lots it took${per}.${unpriced.length === 0 ? "" : ` Without a price: ${unpriced.join(", ")}.`}`;
}

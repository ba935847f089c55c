import { costOf } from "@tensidrum/core/packaging";
import type { BatchEntry, BatchPlan } from "@tensidrum/core/process";
import { currentMakerId, database } from "../../../db/workplace.server";
import { listBatchLots } from "../../../db/batches/queries.server";
import { lotsById } from "../../../db/inventory/queries.server";
import { moneyWords } from "../../frame/units";
import { openUnits } from "../../frame/units.server";
import type { BatchView } from "../batch/batchView";
import { bookedLots } from "../lots/bookedLots.server";

/**
 * What a batch cost by the lots it really took, doses at the bench among them, in words; null where no lot has a price.
 * What came from no lot, or from one without a price, is named.
 */
export async function batchCostWords(view: BatchView, plan: BatchPlan, all: readonly BatchEntry[]): Promise<string | null> {
  const db = database();
  const makerId = currentMakerId();
  const shares = await listBatchLots(db, makerId, view.id);
  const used = [...bookedLots(plan, shares, all)].filter(([, { usedGrams }]) => usedGrams > 0);
  const lots = new Map((await lotsById(db, makerId, used.map(([id]) => id))).map((lot) => [lot.id, lot])); // prettier-ignore
  const priced = used.map(([id, { usedGrams }]) => {
    const { code = id, price = null, packGrams = 0 } = lots.get(id) ?? {};
    return { line: `lot ${code}`, grams: usedGrams, pack: price === null ? null : { price, packGrams } };
  });
  if (!priced.some(({ pack }) => pack !== null)) return null;
  const fromLot = new Set(shares.map(({ line }) => line));
  const without = [
    ...view.lines.filter(({ line, actualGrams }) => (actualGrams ?? 0) > 0 && !fromLot.has(line)).map(({ name }) => name),
    ...view.account.besides.filter(({ lot }) => lot === null).map(({ name }) => name),
  ];
  const yieldGrams = view.account.yieldGrams ?? 0;
  const { total, per100Grams, unpriced } = costOf({ lines: priced, pieces: [], yieldGrams, containers: 0 });
  const units = await openUnits();
  const per = per100Grams === null ? "" : `, ${moneyWords(per100Grams, units)} for 100 g of the yield`;
  const lacking = [...without, ...unpriced];
  return `Cost ${moneyWords(total, units)} by the lots it took${per}.${lacking.length === 0 ? "" : ` Without a price: ${lacking.join(", ")}.`}`;
}

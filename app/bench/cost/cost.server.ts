import { batchCost, costLayers } from "@tensidrum/core/packaging";
import { listClosedBatchesOf } from "../../../db/batches/queries.server";
import { findProductCalled } from "../../../db/comparison/queries.server";
import { findPriceWish, savePriceWish } from "../../../db/prices/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import type { FieldProblem } from "../../frame/formAnswer";
import { viewBatch } from "../batch/stored.server";
import { batchCostFacts } from "./usedMaterials.server";
import { noWish, readWish, typedWish, type TypedWish } from "./wish.server";

/** So many batches of a formula stand beside each other. */
const MOST_BESIDE = 6;

/** What a batch cost, by the wish of its formula; where no shop's price is kept, by that of the product it comes close to. */
export async function costOfBatch(batchId: string) {
  const [db, makerId] = [database(), currentMakerId()];
  const { plan, entries, view } = await viewBatch(batchId);
  const wish = (await findPriceWish(db, makerId, view.formulaId)) ?? noWish;
  const product = wish.shopPer100Grams === null ? await pricedProduct(plan.formula.aim?.closeTo ?? "") : null;
  const facts = await batchCostFacts(view, plan, entries);
  return {
    view,
    wish,
    product,
    cost: batchCost(facts, { ...wish, shopPer100Grams: wish.shopPer100Grams ?? product?.per100Grams ?? null }),
  };
}

/** A product to come close to as far as its price goes; null where it is not kept or has none. */
async function pricedProduct(name: string) {
  const product = name === "" ? undefined : await findProductCalled(database(), currentMakerId(), name);
  if (product === undefined || product.price === null || product.contentGrams === null) return null;
  return { id: product.id, name: product.name, per100Grams: (100 * product.price) / product.contentGrams };
}

/** What a batch cost, what one of its containers does, and the batches of its formula beside it. */
export async function openCost(batchId: string) {
  const { view, wish, product, cost } = await costOfBatch(batchId);
  const { formulaId } = view;
  const others = formulaId === null ? [] : await listClosedBatchesOf(database(), currentMakerId(), formulaId, { most: MOST_BESIDE });
  const beside = await Promise.all(
    others.map(async ({ id, code, number }) => {
      const { materialsTotal, per100Grams } = (await costOfBatch(id)).cost;
      return { id, code, number, per100Grams: materialsTotal > 0 ? per100Grams : null };
    }),
  );
  const [one] = cost.kinds;
  return {
    id: view.id,
    code: view.code,
    name: view.name,
    isKept: formulaId !== null,
    typed: typedWish(wish),
    /** Whose price stands in for a shop’s. */
    product,
    cost,
    layers: one === undefined ? [] : costLayers(cost, one),
    beside: beside.length > 1 ? beside : [],
  };
}

export type OpenCost = Awaited<ReturnType<typeof openCost>>;

/** Keeps what is settled for the formula of a batch, or says at which field it must be fixed. */
export async function keepWish(batchId: string, typed: TypedWish): Promise<readonly FieldProblem[]> {
  const { wish, problems } = readWish(typed);
  if (problems.length > 0) return problems;
  const { view } = await viewBatch(batchId);
  if (view.formulaId === null) return [{ field: "", message: "The formula of this batch was deleted: nothing is kept for it." }];
  await savePriceWish(database(), currentMakerId(), view.formulaId, wish);
  return [];
}

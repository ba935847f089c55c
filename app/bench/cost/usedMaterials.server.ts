import type { BatchCostFacts, UsedMaterial } from "@tensidrum/core/packaging";
import { wholeLines } from "@tensidrum/core/formula";
import { shownMaterial } from "@tensidrum/core/library";
import { fillingOf, type BatchEntry, type BatchPlan } from "@tensidrum/core/process";
import { listBatchLots } from "../../../db/batches/queries.server";
import { listContainers } from "../../../db/containers/queries.server";
import { lotsById } from "../../../db/inventory/queries.server";
import { materialsById } from "../../../db/materials/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { stateOfView, type BatchView } from "../batch/batchView";
import { bookedLots } from "../lots/bookedLots.server";

/**
 * All that a batch took: from lots, doses at the bench among them, and what came from no lot. Water without a lot comes from
 * the tap or a canister nobody keeps books of: it is left out.
 */
export async function usedMaterials(view: BatchView, plan: BatchPlan, all: readonly BatchEntry[]): Promise<readonly UsedMaterial[]> {
  const [db, makerId] = [database(), currentMakerId()];
  const shares = await listBatchLots(db, makerId, view.id);
  const used = [...bookedLots(plan, shares, all)].filter(([, { usedGrams }]) => usedGrams > 0);
  const lots = await lotsById(db, makerId, used.map(([id]) => id)); // prettier-ignore
  const materials = new Map((await materialsById(db, makerId, lots.map(({ materialId }) => materialId))).map(({ id, facts }) => [id, facts])); // prettier-ignore
  const byId = new Map(lots.map((lot) => [lot.id, lot]));
  const fromLots = used.flatMap(([id, { usedGrams }]): readonly UsedMaterial[] => {
    const lot = byId.get(id);
    if (lot === undefined) return [];
    const { code, price, packGrams, materialId } = lot;
    const facts = materials.get(materialId);
    return [{ name: facts === undefined ? code : shownMaterial(facts).name, code, grams: usedGrams, price, packGrams }];
  });
  const fromLot = new Set(shares.map(({ line }) => line));
  const slugOf = new Map(wholeLines(plan.formula).map(({ id, material }) => [id, material]));
  const isWater = (line: string): boolean => plan.materials.get(slugOf.get(line) ?? "")?.role === "water";
  const bare = (name: string, grams: number): UsedMaterial => ({ name, code: "", grams, price: null, packGrams: 1 });
  return [
    ...fromLots,
    ...view.lines.flatMap(({ line, name, actualGrams }) =>
      (actualGrams ?? 0) > 0 && !fromLot.has(line) && !isWater(line) ? [bare(name, actualGrams ?? 0)] : [],
    ),
    ...view.account.besides.flatMap(({ name, grams, lot, parts }) =>
      lot === null && !parts.every(({ material }) => plan.materials.get(material)?.role === "water") ? [bare(name, grams)] : [],
    ),
  ];
}

/** What a batch took, with what it was filled into at today's prices of containers. */
export async function batchCostFacts(view: BatchView, plan: BatchPlan, all: readonly BatchEntry[]): Promise<BatchCostFacts> {
  const [materials, containers] = await Promise.all([usedMaterials(view, plan, all), listContainers(database(), currentMakerId())]);
  const priceOf = new Map(containers.map(({ id, priceEach }) => [id, priceEach]));
  const { rows } = fillingOf(plan, stateOfView(view));
  return {
    materials,
    containers: rows.flatMap(({ name, part, use, container, filled }) => {
      if (filled.length === 0) return [];
      const priceEach = container === null ? null : (priceOf.get(container) ?? null);
      const grams = filled.reduce((sum, one) => sum + one.grams, 0);
      return [{ name: part === undefined ? name : `${part}, ${name}`, use, count: filled.length, grams, priceEach }];
    }),
    inGrams: view.account.inGrams,
    yieldGrams: view.account.yieldGrams,
  };
}

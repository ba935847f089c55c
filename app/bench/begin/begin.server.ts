import type { OwnProcess } from "@tensidrum/core/formula";
import { coreVersion } from "@tensidrum/core/assessment";
import { Refusal } from "@tensidrum/core/quantities";
import { namedAsWritten, shownMaterial, type MaterialsBySlug } from "@tensidrum/core/library";
import { planBatch, preflight, stepsOf, type BatchEntry } from "@tensidrum/core/process";
import { readNumber, writtenShort } from "@tensidrum/core/quantities";
import type { LotShare } from "@tensidrum/core/inventory";
import { beginPlanned } from "../../../db/planning/queries.server";
import { currentMakerId, database, rightNow } from "../../../db/workplace.server";
import { codesOfBatches, findBatch, listOpenBatchesOf } from "../../../db/batches/queries.server";
import { beginBatch } from "../../../db/batches/writes.server";
import { brokenConstraint } from "../../../db/failures.server";
import { findVersion, listLineLots, listLines } from "../../../db/formulas/queries.server";
import { listContainers } from "../../../db/containers/queries.server";
import { findMaker } from "../../../db/makers/queries.server";
import { usualBatchCode } from "../../../db/makers/schema";
import { listScales } from "../../../db/scales/queries.server";
import { findLot, listLots } from "../../../db/inventory/queries.server";
import { batchCode, batchCodeStart } from "@tensidrum/core/packaging";
import { wholeProblem, type FieldProblem } from "../../frame/formAnswer";
import type { WantedBatch } from "../forms.server";
import { batchSize, noSize } from "./batchSize";
import { practiceRunsOf } from "../practice/practice.server";
import { proposeLots } from "./proposeLots";
import { isoToday, writtenDay } from "../../frame/dates.server";

/** The stock ledger counts in milligrams; less is not reserved. */
const LEAST_GRAMS = 0.001;
/** Batches begun at the same moment take the next free number each. */
const CODE_TRIES = 40;
/** Of two batches begun within this time neither could know of the other. */
const SAME_MOMENT_MILLISECONDS = 10_000;

interface Wanted {
  readonly formulaId: string;
  readonly number: number;
}

const nothingTyped = { seen: [], lots: {}, tares: {}, size: noSize };

async function foundVersion(wanted: Wanted) {
  const found = await findVersion(database(), currentMakerId(), wanted);
  const { snapshot = null } = found?.version ?? {};
  if (found === undefined || snapshot === null) {
    throw new Refusal("not-found", "This version is not final.", "Finalise it on its Sheet first; then it can be made.");
  }
  return { version: found.version, snapshot };
}

/** The batches of this version that are being made. */
async function batchesUnderWay({ formulaId, number }: Wanted) {
  return listOpenBatchesOf(database(), currentMakerId(), { formulaId, number });
}

type Typed = Pick<WantedBatch, "seen" | "lots" | "tares" | "size">;

/** The plan of a batch of that size, with its lots and what must be right before it. */
async function planned(wanted: Wanted, grams: string, typed: Typed) {
  const db = database();
  const makerId = currentMakerId();
  const { version, snapshot } = await foundVersion(wanted);
  const [whole, chosen, standing, scales, containers] = await Promise.all([
    listLines(db, makerId, version.id),
    listLineLots(db, makerId, version.id),
    listLots(db, makerId),
    listScales(db, makerId),
    listContainers(db, makerId),
  ]);
  const materials: MaterialsBySlug = new Map(snapshot.materials?.map((material) => [material.slug, material]));
  const size = batchSize({ formula: snapshot, materials, grams, size: typed.size, containers });
  const batchGrams = "grams" in size ? size.grams : snapshot.batchGrams;
  const ownScales = scales.map(({ name, readabilityGrams, capacityGrams }) => ({ name, readabilityGrams, capacityGrams }));
  const plan = planBatch({ ...snapshot, scales: ownScales }, batchGrams, materials);
  const { vessels } = stepsOf(plan.formula, materials);
  const lines = [...whole, ...portionLines(snapshot.process, whole)];
  const shares = lines.flatMap(({ id, materialId }): readonly LotShare[] => {
    const wish = typed.lots[id] ?? "";
    const target = plan.targets.get(id) ?? 0;
    if (wish === "none" || target < LEAST_GRAMS) return [];
    const own = standing.filter((lot) => lot.materialId === materialId && lot.freeGrams > 0);
    if (wish !== "") return [{ line: id, lotId: wish, grams: target }];
    // Of several lots one that is on hold is not offered by itself; chosen on the sheet it is asked about.
    const free = own.some(({ onHold }) => onHold === "") ? own.filter(({ onHold }) => onHold === "") : own;
    const proposed = proposeLots({ line: id, grams: target, lots: free, chosen: chosen.filter(({ lineId }) => lineId === id) });
    return proposed.filter((share) => share.grams >= LEAST_GRAMS);
  });
  // One that was chosen and is used up by now is named all the same.
  const usedUp = await lotsUsedUp(
    shares.map(({ lotId }) => lotId),
    standing,
  );
  const lotOf = new Map([...usedUp, ...standing].map((lot) => [lot.id, lot]));
  const tares = new Map(
    vessels.flatMap(({ id }) => {
      const tare = readNumber((typed.tares[id] ?? "").replace(/\s*g\s*$/i, ""));
      return tare.ok && tare.value >= 0 ? [[id as string, tare.value] as const] : [];
    }),
  );
  const items = preflight({
    plan,
    vessels,
    lots: shares.map(({ line, lotId, grams: wantedGrams }) => {
      const lot = lotOf.get(lotId);
      return {
        line,
        code: lot?.code ?? "?",
        wantedGrams,
        freeGrams: lot?.freeGrams ?? 0,
        endsOn: lot?.endsOn ?? null,
        onHold: lot?.onHold ?? "",
      };
    }),
    tares,
    today: isoToday(),
    writtenDay,
  });
  const sizeProblem = "problem" in size ? size.problem : null;
  const why = "why" in size ? size.why : null;
  return { version, plan, vessels, lines, standing, shares, lotOf, tares, items, batchGrams, sizeProblem, why, containers };
}

/** Lots that do not stand on the shelf. */
async function lotsUsedUp(ids: readonly string[], standing: readonly { readonly id: string }[]) {
  const missing = ids.filter((id) => !standing.some((lot) => lot.id === id));
  const found = await Promise.all(missing.map((id) => findLot(database(), currentMakerId(), id)));
  return found.filter((lot) => lot !== undefined);
}

/** Parts of lines that are weighed by themselves: each wants lots of its own. */
function portionLines<Line extends { readonly id: string }>(process: OwnProcess | undefined, lines: readonly Line[]): readonly Line[] {
  return (process?.portions ?? []).flatMap(({ id, of }) => lines.filter((line) => line.id === of).map((line) => ({ ...line, id })));
}

/** The page before a batch: its size, its lots, its beakers, and what must be right. */
export async function openBegin(wanted: Wanted, grams: string, typed: Typed = nothingTyped) {
  const [made, underWay] = await Promise.all([planned(wanted, grams, typed), batchesUnderWay(wanted)]);
  const { plan, vessels, lines, standing, shares, lotOf, items, batchGrams, sizeProblem, why, containers } = made;
  return {
    ...wanted,
    id: crypto.randomUUID(),
    underWay: underWay.map(({ id, code }) => ({ id, code })),
    name: plan.formula.name,
    grams: writtenShort(batchGrams, 3),
    sizeProblem,
    /** How the size was computed; null where it was given. */
    sizeWhy: why,
    containers: containers.map(({ id, name }) => ({ id, name })),
    typed,
    items,
    vessels,
    stepCount: plan.steps.length,
    lines: lines.map(({ id, materialId, facts, asWritten }) => ({
      id,
      slug: facts.slug,
      name: shownMaterial(namedAsWritten(facts, asWritten)).name,
      grams: plan.targets.get(id) ?? 0,
      wish: typed.lots[id] ?? "",
      from: shares.filter(({ line }) => line === id).map((share) => ({ code: lotOf.get(share.lotId)?.code ?? "?", grams: share.grams })),
      lots: standing
        .filter((lot) => lot.materialId === materialId && lot.freeGrams > 0)
        .map((lot) => ({ id: lot.id, code: lot.onHold === "" ? lot.code : `${lot.code} (on hold)`, freeGrams: lot.freeGrams })),
    })),
  };
}

/** The page before a batch that was planned, or before any. */
export async function openPlanned(
  wanted: Wanted,
  { grams, plan }: { readonly grams: string; readonly plan: string },
  typed: Typed = nothingTyped,
) {
  const [begin, runs] = await Promise.all([openBegin(wanted, grams, typed), practiceRunsOf(wanted)]);
  return { ...begin, planId: plan, lastPractice: runs[0]?.points ?? null };
}

export type OpenBegin = Awaited<ReturnType<typeof openPlanned>>;

/** Begins the batch and promises its lots to it. Answers what is in the way. */
export async function begin(wanted: Wanted, form: WantedBatch): Promise<readonly FieldProblem[]> {
  const db = database();
  const makerId = currentMakerId();
  if ((await findBatch(db, makerId, form.id)) !== undefined) return [];
  const underWay = await batchesUnderWay(wanted);
  const earlier = rightNow().getTime() - SAME_MOMENT_MILLISECONDS;
  const unsaid = underWay.find(({ id, startedAt }) => startedAt.getTime() < earlier && !form.another.includes(id));
  if (unsaid !== undefined) return wholeProblem(`${unsaid.code} is being made. Go on with it, or begin another batch.`);
  const { version, plan, vessels, shares, tares, items, sizeProblem } = await planned(wanted, form.grams, form);
  if (sizeProblem !== null) return wholeProblem(sizeProblem);
  const stop = items.find(({ state }) => state === "stop");
  if (stop !== undefined) return wholeProblem(`${stop.what} ${stop.why}`);
  const unseen = items.find(({ id, state }) => state === "ask" && !form.seen.includes(id));
  if (unseen !== undefined) return [{ field: "seen", message: `Not ticked yet: ${unseen.what}` }];
  const pattern = (await findMaker(db, makerId))?.batchCode ?? usualBatchCode;
  const of = { name: plan.formula.name, day: isoToday() };
  const startedAt = rightNow();
  const at = startedAt.toISOString();
  const entries = [...tares].map(([vessel, grams]): BatchEntry => ({ id: crypto.randomUUID(), at, kind: "tared", vessel, grams }));
  const formula = { ...plan.formula, materials: [...plan.materials.values()] };
  const batch = { id: form.id, startedAt, versionId: version.id, formula, steps: plan.steps, vessels, coreVersion, entries };
  for (let left = CODE_TRIES; ; left -= 1) {
    const code = batchCode(pattern, { ...of, taken: await codesOfBatches(db, makerId, batchCodeStart(pattern, of)) });
    try {
      const short = await beginBatch(db, makerId, { ...batch, code }, shares);
      if (short.length > 0) return wholeProblem("A lot was taken for something else in the meantime. Look at the lots again.");
      if (form.plan !== undefined && form.plan !== "") await beginPlanned(db, makerId, form.plan, form.id);
      return [];
    } catch (error) {
      if (brokenConstraint(error) !== "taken") throw error;
      // The same form sent twice is one batch; otherwise another batch took the code a moment ago, and the next one is free.
      if ((await findBatch(db, makerId, form.id)) !== undefined) return [];
      if (left <= 1) return wholeProblem("Many batches are begun at this moment. Begin this one again.");
    }
  }
}

import { Refusal } from "@tensidrum/core/quantities";
import { batchState } from "@tensidrum/core/process";
import { readMassGrams, readNumber, writtenMass } from "@tensidrum/core/quantities";
import { shiftShare } from "@tensidrum/core/inventory";
import { shownMaterial } from "@tensidrum/core/library";
import { currentMakerId, database, rightNow } from "../../../db/workplace.server";
import { findBatch, listOverdrawnLots } from "../../../db/batches/queries.server";
import { changeShares } from "../../../db/batches/writes.server";
import { findLot, listLots } from "../../../db/inventory/queries.server";
import { addMovement } from "../../../db/inventory/writes.server";
import { plannedBatch } from "../batch/stored.server";
import { bookedLots } from "./bookedLots.server";
import { isoToday } from "../../frame/dates.server";
import type { FieldProblem } from "../../frame/formAnswer";
import type { TypedLots } from "./lotsForm.server";

/** A lot of which a batch used more than the ledger held. */
export interface OverdrawnLot {
  readonly line: string;
  readonly lotId: string;
  readonly code: string;
  readonly missingGrams: number;
}

/** The lots of a batch that gave more than they held, each line of theirs once. */
export async function overdrawnLots(batchId: string): Promise<readonly OverdrawnLot[]> {
  const rows = await listOverdrawnLots(database(), currentMakerId(), batchId);
  return rows.map(({ line, lotId, code, missingGrams }) => ({ line, lotId, code, missingGrams }));
}

/** The page that asks what is right: the balance of a lot, or the lot a line was weighed from. */
export async function openOverdrawn(batchId: string) {
  const db = database();
  const makerId = currentMakerId();
  const [batch, rows, lots] = await Promise.all([
    findBatch(db, makerId, batchId),
    listOverdrawnLots(db, makerId, batchId),
    listLots(db, makerId),
  ]);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not on your bench.", "Go to the bench and look for it there.");
  return {
    id: batchId,
    code: batch.code,
    lots: rows.map(({ line, lotId, code, materialId, missingGrams }) => {
      const lot = lots.find(({ id }) => id === lotId);
      return {
        line,
        lotId,
        code,
        slug: lot?.facts.slug ?? "",
        name: lot === undefined ? code : shownMaterial(lot.facts).name,
        missing: writtenMass(missingGrams),
        movementId: crypto.randomUUID(),
        others: lots
          .filter((other) => other.materialId === materialId && other.id !== lotId && other.leftGrams > 0)
          .map((other) => ({ id: other.id, code: other.code, left: writtenMass(other.leftGrams) })),
      };
    }),
  };
}

export type OpenOverdrawn = Awaited<ReturnType<typeof openOverdrawn>>;

/** Corrects a lot that gave more than it held. Answers what is wrong with what was typed. */
export async function correctOverdrawn(batchId: string, form: TypedLots): Promise<readonly FieldProblem[]> {
  return form.intent === "balance" ? setBalance(form) : bookOnOther(batchId, form);
}

async function setBalance({ lotId, movementId, grams }: TypedLots): Promise<readonly FieldProblem[]> {
  const typed = readNumber(grams.replace(/\s*g$/i, ""));
  const read = typed.ok && typed.value === 0 ? typed : readMassGrams(grams);
  if (!read.ok) return [{ field: "grams", message: "Weigh what is left in the lot and give the grams: 84, 0." }];
  const lot = await findLot(database(), currentMakerId(), lotId);
  if (lot === undefined) throw new Refusal("not-found", "This lot is not on your shelf.", "Load the page again.");
  // What the ledger says already needs no correction.
  if (lot.leftGrams === read.value) return [];
  await addMovement(database(), currentMakerId(), { lotId, movementId }, ({ leftGrams }) => ({
    kind: "correct",
    grams: read.value - leftGrams,
    note: "weighed back",
  }));
  return [];
}

async function bookOnOther(batchId: string, { line, lotId, to }: TypedLots): Promise<readonly FieldProblem[]> {
  if (to === "") return [{ field: "to", message: "Choose the lot it was weighed from." }];
  const db = database();
  const makerId = currentMakerId();
  const [{ plan }, rows, lots] = await Promise.all([plannedBatch(batchId), listOverdrawnLots(db, makerId, batchId), listLots(db, makerId)]);
  const wrong = rows.find((row) => row.line === line && row.lotId === lotId);
  // It was corrected by another window, or this form was sent twice.
  if (wrong === undefined) return [];
  const other = lots.find(({ id }) => id === to);
  if (other === undefined || other.materialId !== wrong.materialId)
    return [{ field: "to", message: "This lot is of another material. Choose one of the list." }];
  await changeShares(db, makerId, batchId, (shares, stored) => {
    const state = batchState(plan, stored);
    const weighed = state.lines.get(line)?.actualGrams ?? 0;
    if (!(weighed > 0)) return null;
    const shifted = shiftShare(shares, weighed, { line, from: lotId, to, grams: wrong.missingGrams });
    const wanted = new Map(bookedLots(plan, shifted, stored));
    // A lot that gives nothing any more gives back what it was booked with.
    for (const { lotId: before } of shares) if (!wanted.has(before)) wanted.set(before, { reservedGrams: 0, usedGrams: 0 });
    return { shares: shifted, lots: wanted, booked: { at: rightNow(), on: isoToday() } };
  });
  return [];
}

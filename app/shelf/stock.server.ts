import { Refusal } from "@tensidrum/core/quantities";
import { readMassGrams, readNumber, writtenMass } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../db/workplace.server";
import { brokenConstraint } from "../../db/failures.server";
import { findMaker } from "../../db/makers/queries.server";
import { materialsBySlug } from "../../db/materials/queries.server";
import { findLot, standingLots } from "../../db/inventory/queries.server";
import { addMovement, dateLot, deleteLot, holdLot, receiveLot, type NewMovement } from "../../db/inventory/writes.server";
import { isoToday } from "../frame/dates.server";
import { wholeProblem, type FieldProblem } from "../frame/formAnswer";
import type { TypedMovement } from "./forms.server";
import { LEAST_GRAMS, readDates, readLot, type TypedLot } from "./readLot";

/** Every lot with something left in it. */
export async function standing() {
  return standingLots(database(), currentMakerId());
}

/** Puts a new lot on the shelf, or says at which field it must be fixed. */
export async function receive(
  typed: TypedLot & { readonly id: string; readonly movementId: string },
): Promise<{ readonly slug: string } | readonly FieldProblem[]> {
  const db = database();
  const makerId = currentMakerId();
  const { lot, problems } = readLot(typed, (await findMaker(db, makerId))?.currency ?? "");
  if (problems.length > 0) return problems;
  const material = (await materialsBySlug(db, makerId, [typed.material])).at(-1);
  if (material === undefined) return [{ field: "material", message: "Choose a material of the library." }];
  try {
    await receiveLot(db, makerId, { ...lot, id: typed.id, materialId: material.id }, typed.movementId);
  } catch (error) {
    if (brokenConstraint(error) !== "taken") throw error;
    // The same form sent twice is one lot.
    if ((await findLot(db, makerId, typed.id)) !== undefined) return { slug: material.facts.slug };
    return [{ field: "code", message: `There is a lot ${lot.code} of this material already. Give this one another code.` }];
  }
  return { slug: material.facts.slug };
}

/**
 * Enters what was done to a lot by hand. Answers what is wrong.
 * @throws Refusal when more is taken than is free, or a weighing corrects nothing
 */
export async function moveByHand(typed: TypedMovement): Promise<readonly FieldProblem[]> {
  const db = database();
  const makerId = currentMakerId();
  if (typed.kind === "none") return wholeProblem("Choose what to do with it: use, weigh or discard.");
  if (typed.kind === "remove") return removeLot(typed.lotId);
  if (typed.kind === "dates") return dateByHand(typed);
  if (typed.kind === "hold" || typed.kind === "release") return holdByHand(typed);
  const read = typed.kind === "weigh" ? readNumber(typed.grams.replace(/\s*g\s*$/i, "")) : readMassGrams(typed.grams);
  if (!read.ok || read.value < 0) return [{ field: "grams", message: "Give grams: 84, 1.2 kg." }];
  const grams = Math.round(read.value / LEAST_GRAMS) / Math.round(1 / LEAST_GRAMS);
  if (grams === 0 && typed.kind !== "weigh") return [{ field: "grams", message: "Less than 0.001 g is not booked." }];
  const ids = { lotId: typed.lotId, movementId: typed.id, today: isoToday() };
  const isThere = await addMovement(db, makerId, ids, (held) => movementOf(typed, grams, held));
  if (!isThere) throw new Refusal("not-found", "This lot is not on your shelf.", "Load the page again.");
  return [];
}

/**
 * What is entered for something done to a lot by hand.
 * @throws Refusal when more is taken than is free, or a weighing corrects nothing.
 */
export function movementOf(
  { kind, note }: Pick<TypedMovement, "kind" | "note">,
  grams: number,
  { freeGrams, leftGrams }: { readonly freeGrams: number; readonly leftGrams: number },
): NewMovement {
  if (kind === "weigh") {
    if (grams === leftGrams)
      throw new Refusal("not-possible", `The stock ledger says ${writtenMass(leftGrams)} too.`, "There is nothing to correct.");
    return { kind: "correct", grams: grams - leftGrams, note: note === "" ? "weighed back" : note };
  }
  if (grams > freeGrams) {
    throw new Refusal(
      "not-possible",
      `Only ${writtenMass(freeGrams)} are free.`,
      freeGrams < leftGrams ? "What is missing is reserved for a batch." : "If more is in it, correct it to a weighing first.",
    );
  }
  return { kind: kind === "use" ? "use" : "discard", grams: -grams, note };
}

async function holdByHand({ kind, lotId, note }: TypedMovement): Promise<readonly FieldProblem[]> {
  if (kind === "hold" && note === "") return [{ field: "note", message: "Say why it is on hold: it is told at the bench." }];
  const isThere = await holdLot(database(), currentMakerId(), lotId, kind === "hold" ? note : "");
  if (!isThere) throw new Refusal("not-found", "This lot is not on your shelf.", "Load the page again.");
  return [];
}

async function dateByHand(typed: TypedMovement): Promise<readonly FieldProblem[]> {
  const problems: FieldProblem[] = [];
  const dates = readDates(typed, (field, message) => {
    problems.push({ field, message });
    return null;
  });
  if (problems.length > 0) return problems;
  const isThere = await dateLot(database(), currentMakerId(), typed.lotId, dates);
  if (!isThere) throw new Refusal("not-found", "This lot is not on your shelf.", "Load the page again.");
  return [];
}

async function removeLot(lotId: string): Promise<readonly FieldProblem[]> {
  try {
    await deleteLot(database(), currentMakerId(), lotId);
    return [];
  } catch (error) {
    const broken = brokenConstraint(error);
    if (broken === "missing") return wholeProblem("A sheet is weighed from this lot. Choose another there first.");
    if (broken === "protected") return wholeProblem("This lot was used, so it stays in the stock ledger. Discard what is left instead.");
    throw error;
  }
}

import { readProcess } from "@tensidrum/core/formats";
import { shownFormulaName, type OwnProcess } from "@tensidrum/core/formula";
import { Refusal, writtenMass } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../../db/workplace.server";
import { findVersion } from "../../../db/formulas/queries.server";
import { saveProcess } from "../../../db/formulas/writes.server";
import type { SheetAddress } from "../openSheet.server";
import { versionFormula } from "../versions/versionFormula.server";

/** A version with its steps: what the page needs to change them and to judge them by itself. */
export async function openSteps(address: SheetAddress) {
  const { number, isDraft, formula, materials } = await versionFormula(database(), currentMakerId(), address);
  const { process, ...bare } = formula;
  return {
    formulaId: address.formulaId,
    number,
    isDraft,
    name: shownFormulaName(formula.name),
    batch: writtenMass(formula.batchGrams),
    formula: bare,
    materials: [...materials.values()],
    process: process ?? null,
  };
}

export type OpenSteps = Awaited<ReturnType<typeof openSteps>>;

/** Keeps the maker's steps with the draft; null goes back to the suggested ones. Answers why they cannot be kept, or null. */
export async function keepSteps(address: SheetAddress, sent: OwnProcess | null): Promise<string | null> {
  const db = database();
  const makerId = currentMakerId();
  try {
    const { formula } = await versionFormula(db, makerId, address);
    const found = await findVersion(db, makerId, address);
    const process = sent === null ? null : readProcess(sent, formula);
    const isKept = found !== undefined && (await saveProcess(db, makerId, found.version.id, process));
    return isKept ? null : "This version is final and does not change. Make a new draft from it, then change its steps.";
  } catch (error) {
    if (error instanceof Refusal) return `${error.message} ${error.remedy}`;
    throw error;
  }
}

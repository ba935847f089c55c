import { Refusal } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../../db/workplace.server";
import { findVersion, listVersions } from "../../../db/formulas/queries.server";
import { insertDraftFrom, insertFormula, saveDraft } from "../../../db/formulas/writes.server";
import { typedVersion, type SheetAddress } from "../openSheet.server";
import { contentOf } from "../saveSheet.server";
import { NAME_LENGTH, type TypedSheet } from "../typed/typedSheet";

/** A version as it stands in the cells. */
async function typedOf(formulaId: string, versionId: string): Promise<{ readonly typed: TypedSheet; readonly number: number }> {
  const db = database();
  const makerId = currentMakerId();
  const number = (await listVersions(db, makerId, formulaId)).find(({ id }) => id === versionId)?.number;
  if (number === undefined) throw new Refusal("not-found", "This version is not here any more.", "Load the page again.");
  return { typed: (await typedVersion(db, makerId, { formulaId, number })).typed, number };
}

async function contentOfTyped(typed: TypedSheet) {
  const made = await contentOf(database(), currentMakerId(), typed);
  if (made.kind === "problems")
    throw new Refusal("not-possible", made.problems[0]?.message ?? "This version cannot be read.", "Fix it on its Sheet first.");
  return made.content;
}

/** A trial: a formula of its own that begins as this version stands. The old one stays. */
export async function newDraftOf(formulaId: string, versionId: string): Promise<{ readonly formulaId: string }> {
  const { typed, number } = await typedOf(formulaId, versionId);
  return drafted(typed, typed.name === "" ? "" : `${typed.name}, trial from v${number}`);
}

/** A copy of a version, told by its number, as a formula of its own. */
export async function newDraftNumber(address: SheetAddress): Promise<{ readonly formulaId: string }> {
  const { typed } = await typedVersion(database(), currentMakerId(), address);
  return drafted(typed, typed.name === "" ? "" : `${typed.name}, copy`);
}

async function drafted(typed: TypedSheet, name: string): Promise<{ readonly formulaId: string }> {
  const lines = typed.lines.map((line) => ({ ...line, id: crypto.randomUUID() }));
  const rest = typed.lines.findIndex(({ id }) => id === typed.restLineId);
  const content = await contentOfTyped({ ...typed, name: name.slice(0, NAME_LENGTH), lines, restLineId: lines[rest]?.id ?? null });
  const ids = { formulaId: crypto.randomUUID(), versionId: crypto.randomUUID() };
  await insertFormula(database(), currentMakerId(), ids, content);
  return { formulaId: ids.formulaId };
}

/** An earlier version comes back: into the draft that is there, otherwise as a new draft. */
export async function restoreVersion(formulaId: string, versionId: string): Promise<void> {
  const db = database();
  const makerId = currentMakerId();
  const { typed } = await typedOf(formulaId, versionId);
  const current = await findVersion(db, makerId, { formulaId });
  if (current === undefined) throw new Refusal("not-found", "This formula is not here any more.", "Go back to Today.");
  if (current.version.state !== "draft") {
    await insertDraftFrom(db, makerId, { parentId: versionId, versionId: crypto.randomUUID() });
    return;
  }
  const { id, revision } = current.version;
  const saved = await saveDraft(db, makerId, { versionId: id, revision }, await contentOfTyped(typed));
  if (saved === undefined)
    throw new Refusal("conflict", "The draft was changed in another window just now.", "Look at it, then restore again.");
}

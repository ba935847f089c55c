import { processForLines, type OwnProcess } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../../db/workplace.server";
import { findVersion, listVersions } from "../../../db/formulas/queries.server";
import { addToNote, insertDraftFrom, insertFormula, keepOrigin, saveDraft, saveProcess } from "../../../db/formulas/writes.server";
import { typedVersion, type SheetAddress } from "../openSheet.server";
import { contentOf } from "../saveSheet.server";
import { NAME_LENGTH, type TypedSheet } from "../typed/typedSheet";

/** What a copy of a version takes along. */
interface Copied {
  readonly typed: TypedSheet;
  readonly process: OwnProcess | null;
}

/** A version as it stands in the cells. */
async function typedOf(formulaId: string, versionId: string): Promise<Copied & { readonly number: number }> {
  const db = database();
  const makerId = currentMakerId();
  const number = (await listVersions(db, makerId, formulaId)).find(({ id }) => id === versionId)?.number;
  if (number === undefined) throw new Refusal("not-found", "This version is not here any more.", "Load the page again.");
  const { typed, version } = await typedVersion(db, makerId, { formulaId, number });
  return { typed, process: version.process, number };
}

async function contentOfTyped(typed: TypedSheet) {
  const made = await contentOf(database(), currentMakerId(), typed);
  if (made.kind === "problems")
    throw new Refusal("not-possible", made.problems[0]?.message ?? "This version cannot be read.", "Fix it on its Sheet first.");
  return made.content;
}

/** A trial: a formula of its own that begins as this version stands. The old one stays. */
export async function newDraftOf(formulaId: string, versionId: string, note = ""): Promise<{ readonly formulaId: string }> {
  const { number, ...copied } = await typedOf(formulaId, versionId);
  const { typed } = copied;
  return drafted(copied, typed.name === "" ? "" : `${typed.name}, trial from v${number}`, { versionId, note });
}

/** A copy of a version, told by its number, as a formula of its own. */
export async function newDraftNumber(address: SheetAddress): Promise<{ readonly formulaId: string }> {
  const { typed, version } = await typedVersion(database(), currentMakerId(), address);
  return drafted({ typed, process: version.process }, typed.name === "" ? "" : `${typed.name}, copy`);
}

interface Origin {
  readonly versionId: string;
  /** What its maker is offered to keep with it. */
  readonly note: string;
}

async function drafted({ typed, process }: Copied, name: string, from?: Origin): Promise<{ readonly formulaId: string }> {
  const lines = typed.lines.map((line) => ({ ...line, id: crypto.randomUUID() }));
  const rest = typed.lines.findIndex(({ id }) => id === typed.restLineId);
  const content = await contentOfTyped({ ...typed, name: name.slice(0, NAME_LENGTH), lines, restLineId: lines[rest]?.id ?? null });
  const ids = { formulaId: crypto.randomUUID(), versionId: crypto.randomUUID() };
  const idOf = new Map(typed.lines.map(({ id }, at) => [id, lines[at]?.id ?? id]));
  await database().transaction(async (tx) => {
    await insertFormula(tx, currentMakerId(), ids, content);
    if (process !== null) await saveProcess(tx, currentMakerId(), ids.versionId, processForLines(process, idOf));
    if (from === undefined) return;
    await keepOrigin(tx, currentMakerId(), { versionId: ids.versionId, fromVersionId: from.versionId });
    if (from.note !== "") await addToNote(tx, currentMakerId(), ids.versionId, from.note);
  });
  return { formulaId: ids.formulaId };
}

/** An earlier version comes back: into the draft that is there, otherwise as a new draft. */
export async function restoreVersion(formulaId: string, versionId: string): Promise<void> {
  const db = database();
  const makerId = currentMakerId();
  const { typed, process } = await typedOf(formulaId, versionId);
  const current = await findVersion(db, makerId, { formulaId });
  if (current === undefined) throw new Refusal("not-found", "This formula is not here any more.", "Go back to Today.");
  if (current.version.state !== "draft") {
    await insertDraftFrom(db, makerId, { parentId: versionId, versionId: crypto.randomUUID() });
    return;
  }
  const { id, revision } = current.version;
  const content = await contentOfTyped(typed);
  const saved = await db.transaction(async (tx) => {
    const done = await saveDraft(tx, makerId, { versionId: id, revision }, content);
    if (done !== undefined) await saveProcess(tx, makerId, id, process);
    return done;
  });
  if (saved === undefined)
    throw new Refusal("conflict", "The draft was changed in another window just now.", "Look at it, then restore again.");
}

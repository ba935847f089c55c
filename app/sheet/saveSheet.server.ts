import { assess, coreVersion } from "@tensidrum/core/assessment";
import { saltPeakOf } from "./saltPeaks.server";
import { completeSnapshot, noAim, nothingMeasured, withProcess } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import type { Database } from "../../db/client.server";
import { currentMakerId, database } from "../../db/workplace.server";
import {
  deleteDraft,
  deleteFormula,
  insertDraftFrom,
  insertFormula,
  saveDraft,
  finaliseDraft,
  type DraftContent,
  type SaveIdentity,
} from "../../db/formulas/writes.server";
import { findVersion, listVersions } from "../../db/formulas/queries.server";
import { brokenConstraint } from "../../db/failures.server";
import { materialsBySlug } from "../../db/materials/queries.server";
import { listScales } from "../../db/scales/queries.server";
import { formulaOfSheet } from "./draftContent";
import { withLotsOfShelf } from "./lotsOfShelf.server";
import { materialsOfLines } from "./materials.server";
import { typedVersion } from "./openSheet.server";
import { percentField, readTyped } from "./typed/readTyped";
import type { FieldProblem } from "../frame/formAnswer";
import type { TypedSheet } from "./typed/typedSheet";

export interface DraftBase {
  readonly formulaId: string;
  readonly versionId: string;
  readonly revision: number;
}

/** Another window saved first: what stands there now. */
export interface Overtaken {
  readonly kind: "stale";
  readonly message: string;
  readonly revision: number;
  readonly theirs: TypedSheet;
  /** The last saves of the draft. */
  readonly saves: readonly string[];
}

export type SaveResult =
  | { readonly kind: "saved"; readonly revision: number; readonly savedAt: string }
  | { readonly kind: "problems"; readonly problems: readonly FieldProblem[] }
  | Overtaken;

const FIRST_PROFILE = "everyday-shampoo";
const FIRST_BATCH_GRAMS = 500;

/** A new formula: one phase, and q.s. water. */
export async function beginFormula(ids: {
  readonly formulaId: string;
  readonly versionId: string;
  readonly waterLineId: string;
}): Promise<void> {
  const db = database();
  const makerId = currentMakerId();
  const [water] = await materialsBySlug(db, makerId, ["water-distilled"]);
  if (water === undefined) throw new Error("The reference library holds no water");
  const phases = [{ letter: "A", title: "water", temperatureC: null, sharePercent: null, addUpToPercent: null, mayAdd: "" }];
  const line = {
    id: ids.waterLineId,
    materialId: water.id,
    percent: null,
    takesTheRest: true,
    assayPercent: null,
    asWritten: "",
    lots: [],
  };
  const sheet = {
    name: "",
    profile: FIRST_PROFILE,
    batchGrams: FIRST_BATCH_GRAMS,
    aim: noAim,
    measured: nothingMeasured,
    method: "",
    phases,
    lines: [{ ...line, phase: "A" }],
  } as const;
  const scales = await listScales(db, makerId);
  const formula = formulaOfSheet(sheet, { materials: new Map([[water.id, water.facts]]), scales });
  const assessment = assess(formula, new Map([[water.facts.slug, water.facts]]));
  const content = { ...sheet, lines: [{ ...line, phaseLetter: "A" }], assessment, coreVersion };
  try {
    await insertFormula(db, makerId, ids, content);
  } catch (error) {
    if (brokenConstraint(error) === "taken") throw new Refusal("conflict", "This formula has been begun already.", "Open it from Today.");
    throw error;
  }
}

/** Saves what is typed, unless a cell must be fixed first or another window came before. */
export async function saveSheet(base: DraftBase, typed: TypedSheet, save: Partial<SaveIdentity> = {}): Promise<SaveResult> {
  const db = database();
  const makerId = currentMakerId();
  const made = await contentOf(db, makerId, typed);
  if (made.kind === "problems") return made;
  const revision = await saveDraft(db, makerId, { ...base, ...save }, made.content);
  if (revision === undefined) return overtaken(db, makerId, base);
  return { kind: "saved", revision, savedAt: new Date().toISOString() };
}

/** What is typed as the database keeps it, or what must be fixed first. */
export async function contentOf(db: Database, makerId: string, asTyped: TypedSheet) {
  const { typed, problems: unshelved } = await withLotsOfShelf(db, makerId, asTyped);
  const { sheet, problems: unread } = readTyped(typed, FIRST_BATCH_GRAMS);
  const [used, scales] = await Promise.all([
    materialsOfLines(
      db,
      makerId,
      typed.lines.map((line) => line.materialId),
    ),
    listScales(db, makerId),
  ]);
  const unknown = typed.lines
    .filter((line) => !used.byId.has(line.materialId))
    .map((line) => ({
      field: percentField(line.id),
      message: "This material is not in the library. Delete the line or choose another material.",
    }));
  const problems = [...unread, ...unshelved, ...unknown];
  if (problems.length > 0) return { kind: "problems", problems } as const;
  const formula = formulaOfSheet(sheet, { materials: used.byId, scales });
  const peak = await saltPeakOf(db, makerId, { formula, materials: used.bySlug });
  const content: DraftContent = {
    name: sheet.name,
    profile: sheet.profile,
    batchGrams: sheet.batchGrams,
    aim: sheet.aim,
    measured: sheet.measured,
    method: sheet.method,
    phases: sheet.phases,
    lines: sheet.lines.map(({ phase, ...line }) => ({ ...line, phaseLetter: phase })),
    assessment: assess(formula, used.bySlug, { saltPeaks: peak }),
    coreVersion,
  };
  return { kind: "content", content, formula, materials: used.bySlug } as const;
}

async function overtaken(db: Database, makerId: string, base: DraftBase): Promise<Overtaken> {
  const { version, typed } = await typedVersion(db, makerId, { formulaId: base.formulaId });
  if (version.id !== base.versionId) {
    throw new Refusal(
      "conflict",
      "This draft was finalised or deleted in another window.",
      "Load the page again to see what stands there now.",
    );
  }
  return {
    kind: "stale",
    message: "This draft was changed in another window since this page was loaded. What you typed is still here.",
    revision: version.revision,
    theirs: typed,
    saves: version.recentSaves,
  };
}

/** Saves, then sets the version with its note. Returns its number, or what is in the way. */
export async function finaliseSheet(base: DraftBase, typed: TypedSheet, note: string) {
  const db = database();
  const makerId = currentMakerId();
  const made = await contentOf(db, makerId, typed);
  if (made.kind === "problems") return made;
  if (made.content.name === "") {
    return { kind: "problems", problems: [{ field: "name", message: "Name the formula before you finalise it." }] } as const;
  }
  const bare = made.content.lines.filter((line) => line.percent === null && !line.takesTheRest);
  if (bare.length > 0) {
    const problems = bare.map((line) => ({
      field: percentField(line.id),
      message: "Type a percent or delete the line before you finalise the version.",
    }));
    return { kind: "problems", problems } as const;
  }
  const { assessment } = made.content;
  const number = await db.transaction(async (tx) => {
    const revision = await saveDraft(tx, makerId, base, made.content);
    if (revision === undefined) return undefined;
    const process = (await findVersion(tx, makerId, { formulaId: base.formulaId }))?.version.process ?? null;
    const snapshot = completeSnapshot(withProcess(made.formula, process), made.materials);
    return finaliseDraft(tx, makerId, { versionId: base.versionId, revision }, { note, snapshot, assessment, coreVersion });
  });
  if (number === undefined) return overtaken(db, makerId, base);
  return { kind: "final", number } as const;
}

/** A new draft from a final version. */
export async function beginDraft(formulaId: string, versionId: string): Promise<void> {
  const db = database();
  const makerId = currentMakerId();
  const current = await findVersion(db, makerId, { formulaId });
  if (current?.version.state === "draft") {
    throw new Refusal(
      "conflict",
      `There is a draft already, version ${current.version.number}.`,
      "Finalise or delete it first, then begin another.",
    );
  }
  const number = await insertDraftFrom(db, makerId, { parentId: versionId, versionId: crypto.randomUUID() });
  if (number === undefined) throw new Refusal("not-found", "The version to go on from is not here.", "Load the page again.");
}

/** Throws the draft away; a formula that was nothing but this draft goes with it. Returns whether the formula stays. */
export async function discardDraft(base: Pick<DraftBase, "formulaId" | "versionId">): Promise<{ formulaStays: boolean }> {
  const db = database();
  const makerId = currentMakerId();
  const versions = await listVersions(db, makerId, base.formulaId);
  const formulaStays = versions.some((version) => version.state === "final");
  const gone = formulaStays ? await deleteDraft(db, makerId, base.versionId) : await deleteFormula(db, makerId, base.formulaId);
  if (!gone) throw new Refusal("not-found", "This draft is not here any more.", "Go back to Today.");
  return { formulaStays };
}

/** Takes a formula away with all its versions. */
export async function removeFormula(formulaId: string): Promise<void> {
  if (!(await deleteFormula(database(), currentMakerId(), formulaId))) {
    throw new Refusal("not-found", "This formula is not here any more.", "Go back to Today.");
  }
}

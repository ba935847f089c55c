import type { Assessment } from "@tensidrum/core/assessment";
import { thingsToConsider } from "@tensidrum/core/findings";
import type { Aim, Formula, Measured, OwnProcess } from "@tensidrum/core/formula";
import { and, eq, inArray, max, or, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { insertBody, updateBody } from "./body.server";
import { formulas, lineLots, lines, phases, versionOrigins, versions } from "./schema";

export interface PhaseRow {
  readonly letter: string;
  readonly title: string;
  readonly temperatureC: number | null;
  /** Of the batch, %, where it is a named part; left out for a phase. */
  readonly sharePercent?: number | null;
  /** What others may add to the part, % of what they finish. */
  readonly addUpToPercent?: number | null;
  readonly mayAdd?: string;
}

export interface LineRow {
  readonly id: string;
  readonly phaseLetter: string;
  readonly materialId: string;
  readonly percent: number | null;
  readonly takesTheRest: boolean;
  readonly assayPercent: number | null;
  /** As the recipe it came from has it. */
  readonly asWritten?: string;
  /** From which lots it is weighed; null grams are what the others leave of the line. */
  readonly lots?: readonly { readonly lotId: string; readonly grams: number | null }[];
}

/** Everything a draft holds, with the readings made from it. */
export interface DraftContent {
  readonly name: string;
  readonly profile: string;
  readonly batchGrams: number;
  readonly aim: Aim;
  readonly measured: Measured;
  /** What is said of making it, a sentence a line. */
  readonly method?: string;
  readonly phases: readonly PhaseRow[];
  readonly lines: readonly LineRow[];
  readonly assessment: Assessment;
  readonly coreVersion: string;
}

function countOf(assessment: Assessment, severity: string): number {
  return assessment.findings.filter((finding) => finding.severity === severity).length;
}

function headOf(content: DraftContent) {
  const { assessment, aim } = content;
  return {
    profile: content.profile,
    batchGrams: content.batchGrams,
    ...aim,
    method: content.method ?? "",
    measuredPh: content.measured.ph,
    measuredDensity: content.measured.densityGramsPerMl,
    without: [...aim.without],
    assessment,
    coreVersion: content.coreVersion,
    activePercent: assessment.activeMatter.percent,
    stopCount: countOf(assessment, "stop"),
    fixCount: countOf(assessment, "fix"),
    considerCount: thingsToConsider(assessment.findings),
    lineCount: content.lines.length,
  };
}

/** A new formula with its first draft, version 1. */
export async function insertFormula(
  db: Executor,
  makerId: string,
  ids: { readonly formulaId: string; readonly versionId: string },
  content: DraftContent,
): Promise<void> {
  await db.transaction(async (tx) => {
    const updatedAt = sql`clock_timestamp()`;
    await tx.insert(formulas).values({ id: ids.formulaId, makerId, name: content.name, updatedAt });
    await tx.insert(versions).values({
      id: ids.versionId,
      makerId,
      formulaId: ids.formulaId,
      number: 1,
      state: "draft",
      ...headOf(content),
    });
    await insertBody(tx, makerId, ids.versionId, content);
  });
}

/** A save and the earlier ones of the same page that it may stand on. */
export interface SaveIdentity {
  readonly saveId: string;
  readonly unanswered: readonly string[];
}

const newestSave = sql<string>`${versions.recentSaves}[cardinality(${versions.recentSaves})]`;

/** Saves a draft remembers. */
const MOST_SAVES = 16;

/**
 * A save names the revision it began from. It also stands on a save of the same page whose answer was lost: then the newest
 * save of the draft is among its unanswered ones. Returns the new revision, or `undefined` when another save came first.
 */
export async function saveDraft(
  db: Executor,
  makerId: string,
  base: { readonly versionId: string; readonly revision: number } & Partial<SaveIdentity>,
  content: DraftContent,
): Promise<number | undefined> {
  return db.transaction(async (tx) => {
    const [won] = await tx
      .update(versions)
      .set({
        ...headOf(content),
        revision: sql`${versions.revision} + 1`,
        recentSaves: sql`(array_append(${versions.recentSaves}, ${base.saveId ?? crypto.randomUUID()}))[greatest(1, cardinality(${versions.recentSaves}) + 2 - ${MOST_SAVES}::int):]`,
        updatedAt: sql`now()`,
      })
      .where(
        and(
          eq(versions.makerId, makerId),
          eq(versions.id, base.versionId),
          eq(versions.state, "draft"),
          or(eq(versions.revision, base.revision), inArray(newestSave, [...(base.unanswered ?? [])])),
        ),
      )
      .returning({ revision: versions.revision, formulaId: versions.formulaId });
    if (won === undefined) return undefined;
    await tx
      .update(formulas)
      .set({ name: content.name, updatedAt: sql`clock_timestamp()` })
      .where(and(eq(formulas.makerId, makerId), eq(formulas.id, won.formulaId)));
    await updateBody(tx, makerId, base.versionId, content);
    return won.revision;
  });
}

/** Keeps the maker's own steps with a draft; null: as suggested. Returns whether there was such a draft. */
export async function saveProcess(db: Executor, makerId: string, versionId: string, process: OwnProcess | null): Promise<boolean> {
  const changed = await db
    .update(versions)
    .set({ process, updatedAt: sql`now()` })
    .where(and(eq(versions.makerId, makerId), eq(versions.id, versionId), eq(versions.state, "draft")))
    .returning({ id: versions.id });
  return changed.length > 0;
}

/** Turns a draft into a final version. Returns its number, or `undefined` when the draft has moved on. */
export async function finaliseDraft(
  db: Executor,
  makerId: string,
  base: { readonly versionId: string; readonly revision: number },
  record: {
    readonly note: string;
    readonly snapshot: Formula;
    readonly assessment: Assessment;
    readonly coreVersion: string;
    /** Absent: now. */
    readonly finalisedAt?: Date;
  },
): Promise<number | undefined> {
  const [won] = await db
    .update(versions)
    .set({ ...record, state: "final", finalisedAt: record.finalisedAt ?? sql`now()`, updatedAt: record.finalisedAt ?? sql`now()` })
    .where(
      and(
        eq(versions.makerId, makerId),
        eq(versions.id, base.versionId),
        eq(versions.state, "draft"),
        eq(versions.revision, base.revision),
      ),
    )
    .returning({ number: versions.number });
  return won?.number;
}

/** Keeps that a version began as one of another formula stands. */
export async function keepOrigin(
  db: Executor,
  makerId: string,
  origin: { readonly versionId: string; readonly fromVersionId: string },
): Promise<void> {
  await db.insert(versionOrigins).values({ ...origin, makerId });
}

/**
 * A new draft from a final version: same phases and lines, next free number, the final one as parent.
 * Returns its number, or `undefined` when there is no such final version.
 * @param ids `contentOf`: the final version of a trial whose lines it takes instead
 * @param note What its maker is offered to keep with it.
 */
export async function insertDraftFrom(
  db: Executor,
  makerId: string,
  ids: { readonly parentId: string; readonly versionId: string; readonly contentOf?: string },
  note = "",
): Promise<number | undefined> {
  return db.transaction(async (tx) => {
    const finalVersion = async (id: string) =>
      tx
        .select()
        .from(versions)
        .where(and(eq(versions.makerId, makerId), eq(versions.id, id), eq(versions.state, "final")));
    const [parent] = await finalVersion(ids.parentId);
    const [content] = ids.contentOf === undefined ? [parent] : await finalVersion(ids.contentOf);
    if (parent === undefined || content === undefined) return undefined;
    const [newest] = await tx
      .select({ number: max(versions.number) })
      .from(versions)
      .where(and(eq(versions.makerId, makerId), eq(versions.formulaId, parent.formulaId)));
    const number = (newest?.number ?? 0) + 1;
    const { snapshot: _snapshot, finalisedAt: _finalisedAt, createdAt: _created, updatedAt: _updated, ...head } = content;
    const own = { id: ids.versionId, formulaId: parent.formulaId, parentId: parent.id, number };
    await tx.insert(versions).values({ ...head, ...own, state: "draft", note, revision: 0, recentSaves: [] });
    await copyBody(tx, makerId, { from: content.id, to: ids.versionId });
    if (content.id !== parent.id) await keepOrigin(tx, makerId, { versionId: ids.versionId, fromVersionId: content.id });
    await tx
      .update(formulas)
      .set({ updatedAt: sql`clock_timestamp()` })
      .where(and(eq(formulas.makerId, makerId), eq(formulas.id, parent.formulaId)));
    return number;
  });
}

/** Characters a note holds, as its constraint has it. */
const NOTE_LENGTH = 2000;

/** Adds a sentence to the note of a draft. Returns whether it could: the draft is there, and its note has room. */
export async function addToNote(db: Executor, makerId: string, versionId: string, sentence: string): Promise<boolean> {
  const longer = sql`ltrim(${versions.note} || chr(10) || ${sentence}::text, chr(10))`;
  const isOwnDraft = and(eq(versions.makerId, makerId), eq(versions.id, versionId), eq(versions.state, "draft"));
  const added = await db
    .update(versions)
    .set({ note: longer })
    .where(and(isOwnDraft, sql`char_length(${longer}) <= ${NOTE_LENGTH}`))
    .returning({ id: versions.id });
  return added.length > 0;
}

async function copyBody(db: Executor, makerId: string, ids: { readonly from: string; readonly to: string }) {
  const ownPhases = await db
    .select()
    .from(phases)
    .where(and(eq(phases.makerId, makerId), eq(phases.versionId, ids.from)));
  const ownLines = await db
    .select()
    .from(lines)
    .where(and(eq(lines.makerId, makerId), eq(lines.versionId, ids.from)));
  if (ownPhases.length > 0) await db.insert(phases).values(ownPhases.map((phase) => ({ ...phase, versionId: ids.to })));
  const ownLots = await db
    .select()
    .from(lineLots)
    .where(and(eq(lineLots.makerId, makerId), eq(lineLots.versionId, ids.from)));
  if (ownLines.length > 0) await db.insert(lines).values(ownLines.map((line) => ({ ...line, versionId: ids.to })));
  if (ownLots.length > 0) await db.insert(lineLots).values(ownLots.map((lot) => ({ ...lot, versionId: ids.to })));
}

/** Throws a draft away. Returns whether there was one. */
export async function deleteDraft(db: Executor, makerId: string, versionId: string): Promise<boolean> {
  const gone = await db
    .delete(versions)
    .where(and(eq(versions.makerId, makerId), eq(versions.id, versionId), eq(versions.state, "draft")))
    .returning({ id: versions.id });
  return gone.length > 0;
}

/** Takes a formula away with all its versions. Returns whether there was one. */
export async function deleteFormula(db: Executor, makerId: string, formulaId: string): Promise<boolean> {
  const gone = await db
    .delete(formulas)
    .where(and(eq(formulas.makerId, makerId), eq(formulas.id, formulaId)))
    .returning({ id: formulas.id });
  return gone.length > 0;
}

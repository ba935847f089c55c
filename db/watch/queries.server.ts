import type { AlarmKind, BlindKind, Storage } from "@tensidrum/core/stability";
import { and, asc, desc, eq, getTableColumns, gt, inArray, isNotNull, or, sql, type SQL } from "drizzle-orm";
import { batches } from "../batches/schema";
import type { Executor } from "../client.server";
import { behindRow, type Part } from "../paging";
import { versions } from "../formulas/schema";
import { answeredAlarms, blindSheets, blindTests, checkPhotos, checks, latherTests, plannedChecks } from "./schema";

export interface NewPlannedCheck {
  readonly id: string;
  readonly storage: Storage;
  readonly title: string;
  /** Written 2026-11-26. */
  readonly dueOn: string;
}

export interface NewCheck {
  readonly id: string;
  readonly batchId: string;
  readonly storage: Storage;
  readonly plannedId: string | null;
  readonly lookedAt: Date;
  readonly ph: number | null;
  readonly viscosity: number | null;
  readonly said: string;
  readonly clarity: string;
  readonly colour: string;
  readonly smell: string;
  readonly sedimentMm: number | null;
  readonly labL: number | null;
  readonly labA: number | null;
  readonly labB: number | null;
  readonly hazePercent: number | null;
  readonly roomC: number | null;
  readonly signs: string[];
  readonly note: string;
}

/** A picture of a sample as it is kept: a JPEG with its sides in pixels. */
export interface NewCheckPhoto {
  readonly picture: Buffer;
  readonly width: number;
  readonly height: number;
}

/** Plans the checks of a batch; what is planned already stays as it is. */
export async function planChecks(db: Executor, makerId: string, batchId: string, planned: readonly NewPlannedCheck[]): Promise<void> {
  if (planned.length === 0) return;
  await db
    .insert(plannedChecks)
    .values(planned.map((one) => ({ ...one, makerId, batchId })))
    .onConflictDoNothing();
}

/** The planned checks of a batch with whether they were done, in the order of their days. */
export async function listPlannedChecks(db: Executor, makerId: string, batchId: string) {
  const { id, storage, title, dueOn, skippedBecause } = plannedChecks;
  return db
    .select({ id, storage, title, dueOn, skippedBecause, checkId: checks.id })
    .from(plannedChecks)
    .leftJoin(checks, and(eq(checks.plannedId, plannedChecks.id), eq(checks.makerId, makerId)))
    .where(and(eq(plannedChecks.makerId, makerId), eq(plannedChecks.batchId, batchId)))
    .orderBy(asc(dueOn), asc(storage));
}

/** Every planned check that is neither done nor skipped, the next first. */
export async function listDueChecks(db: Executor, makerId: string, most: number) {
  const { id, batchId, storage, title, dueOn } = plannedChecks;
  return (
    db
      .select({
        ...{ id, batchId, storage, title, dueOn, code: batches.code, formulaId: versions.formulaId },
        name: batches.name,
      })
      .from(plannedChecks)
      .innerJoin(batches, and(eq(batches.id, plannedChecks.batchId), eq(batches.makerId, makerId)))
      .leftJoin(versions, and(eq(versions.id, batches.versionId), eq(versions.makerId, makerId)))
      // As the index has it, so that years of checks that were done are not read.
      .where(and(eq(plannedChecks.makerId, makerId), sql`not ${plannedChecks.isDone} and ${plannedChecks.skippedBecause} = ''`))
      .orderBy(asc(dueOn), asc(batches.code), asc(storage))
      .limit(most)
  );
}

/** What was seen of a batch, in order, with whether there is a photo of it. */
export async function listChecks(db: Executor, makerId: string, batchId: string) {
  return db
    .select({ ...getTableColumns(checks), hasPhoto: sql<boolean>`exists (select from check_photos p where p.check_id = checks.id)` })
    .from(checks)
    .where(and(eq(checks.makerId, makerId), eq(checks.batchId, batchId)))
    .orderBy(asc(checks.lookedAt), asc(checks.id));
}

/** Keeps a check with its photo, all or nothing; the same sent twice is one. */
export async function keepCheck(db: Executor, makerId: string, look: NewCheck, photo: NewCheckPhoto | null = null): Promise<void> {
  await db.transaction(async (tx) => {
    await tx
      .insert(checks)
      .values({ ...look, makerId })
      .onConflictDoNothing({ target: checks.id });
    if (photo === null) return;
    await tx
      .insert(checkPhotos)
      .values({ ...photo, checkId: look.id, makerId })
      .onConflictDoNothing();
  });
}

/** Batches that were looked at since a moment, the one looked at last first, with how many of its bottles are for use. */
export async function listWatchedSince(db: Executor, makerId: string, since: Date, most: number) {
  const lastLookAt = sql<Date>`max(${checks.lookedAt})`.mapWith(checks.lookedAt);
  const looked = db
    .select({ batchId: checks.batchId, lastLookAt: lastLookAt.as("last_look_at") })
    .from(checks)
    .where(and(eq(checks.makerId, makerId), gt(checks.lookedAt, since)))
    .groupBy(checks.batchId)
    .orderBy(desc(lastLookAt), checks.batchId)
    .limit(most)
    .as("looked");
  return db
    .select({
      ...{ id: batches.id, code: batches.code, name: batches.name, formulaId: versions.formulaId, lastLookAt: looked.lastLookAt },
      madeAt: sql<Date>`coalesce(${batches.finishedAt}, ${batches.startedAt})`.mapWith(batches.startedAt),
      bottles:
        sql<number>`(select coalesce(sum(c.count), 0) from batch_containers c where c.batch_id = ${batches.id} and c.use = 'use')`.mapWith(
          Number,
        ),
    })
    .from(looked)
    .innerJoin(batches, and(eq(batches.id, looked.batchId), eq(batches.makerId, makerId)))
    .leftJoin(versions, and(eq(versions.id, batches.versionId), eq(versions.makerId, batches.makerId)))
    .orderBy(desc(looked.lastLookAt), batches.id);
}

/** Every look at batches, as far as it tells how they change, the earliest first. */
export async function listLooksOf(db: Executor, makerId: string, batchIds: readonly string[]) {
  if (batchIds.length === 0) return [];
  const { batchId, storage, lookedAt, ph, viscosity, labL, labA, labB, sedimentMm, signs } = getTableColumns(checks);
  return db
    .select({ batchId, storage, lookedAt, ph, viscosity, labL, labA, labB, sedimentMm, signs })
    .from(checks)
    .where(and(eq(checks.makerId, makerId), inArray(checks.batchId, [...batchIds])))
    .orderBy(asc(checks.lookedAt), asc(checks.id));
}

/** What the bench room had when a sample was looked at last, since a moment; null where nobody said. */
export async function lastRoomSince(db: Executor, makerId: string, since: Date) {
  const [row] = await db
    .select({ roomC: checks.roomC, at: checks.lookedAt })
    .from(checks)
    .where(and(eq(checks.makerId, makerId), gt(checks.lookedAt, since), isNotNull(checks.roomC)))
    .orderBy(desc(checks.lookedAt))
    .limit(1);
  return row?.roomC == null ? null : { roomC: row.roomC, at: row.at };
}

/** What the maker said to the alarms of batches. */
export async function listAnsweredAlarms(db: Executor, makerId: string, batchIds: readonly string[]) {
  if (batchIds.length === 0) return [];
  return db
    .select()
    .from(answeredAlarms)
    .where(and(eq(answeredAlarms.makerId, makerId), inArray(answeredAlarms.batchId, [...batchIds])));
}

export type NewAlarmAnswer = Omit<typeof answeredAlarms.$inferInsert, "makerId">;

/** Keeps what was said to an alarm; a later answer takes the place of an earlier one. */
export async function answerAlarm(db: Executor, makerId: string, said: NewAlarmAnswer): Promise<void> {
  const { because, answeredAt, lookedAt } = said;
  await db
    .insert(answeredAlarms)
    .values({ ...said, makerId })
    .onConflictDoUpdate({
      target: [answeredAlarms.batchId, answeredAlarms.what],
      set: { because, answeredAt, lookedAt },
      setWhere: eq(answeredAlarms.makerId, makerId),
    });
}

/** Takes back what was said to an alarm. */
export async function reopenAlarm(db: Executor, makerId: string, batchId: string, what: AlarmKind): Promise<void> {
  await db
    .delete(answeredAlarms)
    .where(and(eq(answeredAlarms.makerId, makerId), eq(answeredAlarms.batchId, batchId), eq(answeredAlarms.what, what)));
}

/** The photo of a check, or `undefined`. */
export async function findCheckPhoto(db: Executor, makerId: string, checkId: string) {
  const [photo] = await db
    .select({ picture: checkPhotos.picture })
    .from(checkPhotos)
    .where(and(eq(checkPhotos.makerId, makerId), eq(checkPhotos.checkId, checkId)));
  return photo;
}

/** What was seen of several batches, in order: what tells of their materials. */
export async function listSeenLater(db: Executor, makerId: string, batchIds: readonly string[]) {
  const { batchId, colour, clarity, labL, labA, labB } = checks;
  return db
    .select({ batchId, colour, clarity, labL, labA, labB })
    .from(checks)
    .where(and(eq(checks.makerId, makerId), inArray(checks.batchId, [...batchIds])))
    .orderBy(asc(checks.lookedAt), asc(checks.id));
}

/** Moves a planned check to another day, or skips it with why. Returns whether there is such a plan. */
export async function changePlannedCheck(
  db: Executor,
  makerId: string,
  plannedId: string,
  change: { readonly dueOn: string } | { readonly skippedBecause: string },
): Promise<boolean> {
  const changed = await db
    .update(plannedChecks)
    .set(change)
    .where(and(eq(plannedChecks.makerId, makerId), eq(plannedChecks.id, plannedId)))
    .returning({ id: plannedChecks.id });
  return changed.length > 0;
}

/** Finished batches, the newest first, with whether they are watched. */
export async function listWatchable(db: Executor, makerId: string, { most, behind }: Part) {
  return db
    .select({
      ...{ id: batches.id, code: batches.code, finishedAt: batches.finishedAt },
      name: batches.name,
      planned: sql<number>`(select count(*) from planned_checks p where p.batch_id = batches.id)::int`,
      looked: sql<number>`(select count(*) from checks c where c.batch_id = batches.id)::int`,
    })
    .from(batches)
    .where(
      and(
        eq(batches.makerId, makerId),
        isNotNull(batches.finishedAt),
        behindRow(makerId, { moment: batches.finishedAt, id: batches.id }, behind),
      ),
    )
    .orderBy(desc(batches.finishedAt), desc(batches.id))
    .limit(most);
}

export type NewLatherTest = Omit<typeof latherTests.$inferInsert, "makerId">;

/** Keeps a shake test; the same sent twice is one. */
export async function keepLather(db: Executor, makerId: string, test: NewLatherTest): Promise<void> {
  await db
    .insert(latherTests)
    .values({ ...test, makerId })
    .onConflictDoNothing();
}

/** The shake tests of a batch, the first first. */
export async function listLather(db: Executor, makerId: string, batchId: string) {
  return db
    .select()
    .from(latherTests)
    .where(and(eq(latherTests.makerId, makerId), eq(latherTests.batchId, batchId)))
    .orderBy(asc(latherTests.testedAt), asc(latherTests.id));
}

export interface NewBlindTest {
  readonly id: string;
  readonly kind: BlindKind;
  readonly firstBatchId: string;
  readonly secondBatchId: string;
  readonly question: string;
  readonly sheets: readonly { readonly tester: number; readonly codes: string[]; readonly cups: string[] }[];
}

/** Begins a blind test with what each tester gets, all or nothing; the same sent twice is one. */
export async function beginBlindTest(db: Executor, makerId: string, { sheets, ...test }: NewBlindTest): Promise<void> {
  await db.transaction(async (tx) => {
    const begun = await tx
      .insert(blindTests)
      .values({ ...test, makerId })
      .onConflictDoNothing()
      .returning({ id: blindTests.id });
    if (begun.length > 0) await tx.insert(blindSheets).values(sheets.map((sheet) => ({ ...sheet, testId: test.id, makerId })));
  });
}

/** The blind tests of a maker, the newest first, with how many answered. */
export async function listBlindTests(db: Executor, makerId: string) {
  const code = (of: "first_batch_id" | "second_batch_id") =>
    sql<string>`(select code from batches b where b.id = blind_tests.${sql.identifier(of)})`;
  const count = (only: SQL) => sql<number>`(select count(*) from blind_sheets s where s.test_id = blind_tests.id and ${only})::int`;
  const { id, kind, question, begunAt } = blindTests;
  return db
    .select({
      ...{ id, kind, question, begunAt, first: code("first_batch_id"), second: code("second_batch_id") },
      ...{ asked: count(sql`true`), answered: count(sql`(s.chosen is not null or s.ratings is not null)`) },
    })
    .from(blindTests)
    .where(eq(blindTests.makerId, makerId))
    .orderBy(sql`${blindTests.begunAt} desc`);
}

/** One blind test, or `undefined`. */
export async function findBlindTest(db: Executor, makerId: string, testId: string) {
  return (await listBlindTests(db, makerId)).find(({ id }) => id === testId);
}

/** The blind tests a batch is in, the first first, with what each tester got and said. */
export async function listBlindTestsOf(db: Executor, makerId: string, batchId: string) {
  const tests = await db
    .select()
    .from(blindTests)
    .where(and(eq(blindTests.makerId, makerId), or(eq(blindTests.firstBatchId, batchId), eq(blindTests.secondBatchId, batchId))))
    .orderBy(asc(blindTests.begunAt));
  return Promise.all(tests.map(async (test) => ({ ...test, sheets: await listBlindSheets(db, makerId, test.id) })));
}

/** What each tester of a test got and said. */
export async function listBlindSheets(db: Executor, makerId: string, testId: string) {
  return db
    .select()
    .from(blindSheets)
    .where(and(eq(blindSheets.makerId, makerId), eq(blindSheets.testId, testId)))
    .orderBy(asc(blindSheets.tester));
}

/** What a tester said: the code that was chosen, or a mark for each cup in the order of tasting. */
export type BlindAnswer = { readonly tester: number } & ({ readonly chosen: string } | { readonly ratings: number[] });

/** Keeps what testers said. Returns how many there were to keep. */
export async function answerBlindTest(db: Executor, makerId: string, testId: string, answers: readonly BlindAnswer[]): Promise<number> {
  return db.transaction(async (tx) => {
    let kept = 0;
    for (const { tester, ...said } of answers) {
      const changed = await tx
        .update(blindSheets)
        .set(said)
        .where(and(eq(blindSheets.makerId, makerId), eq(blindSheets.testId, testId), eq(blindSheets.tester, tester)))
        .returning({ tester: blindSheets.tester });
      kept += changed.length;
    }
    return kept;
  });
}

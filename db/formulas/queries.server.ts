import type { ByCharge } from "@tensidrum/core/surfactants";
import type { Assessment } from "@tensidrum/core/assessment";
import type { WordedFinding } from "@tensidrum/core/assessment";
import { withOwnFacts } from "@tensidrum/core/library";
import { and, asc, count, desc, eq, inArray, lte, or, sql } from "drizzle-orm";
import { alias } from "drizzle-orm/pg-core";
import type { Executor } from "../client.server";
import { behindRow, type Part } from "../paging";
import { materials, ownFacts } from "../materials/schema";
import { lots } from "../inventory/schema";
import { formulas, lineLots, lines, phases, versionOrigins, versions } from "./schema";

const currentFirst = [desc(sql`${versions.state} = 'draft'`), desc(versions.number)] as const;

/** A part of the formulas with the version being worked on: the draft, else the newest. Newest change first. */
export async function listFormulas(db: Executor, makerId: string, { most, behind }: Part) {
  const part = db
    .select({ id: formulas.id, name: formulas.name, changedAt: formulas.updatedAt })
    .from(formulas)
    .where(and(eq(formulas.makerId, makerId), behindRow(makerId, { moment: formulas.updatedAt, id: formulas.id }, behind)))
    .orderBy(desc(formulas.updatedAt), desc(formulas.id))
    .limit(most)
    .as("part");
  const current = db
    .select({
      number: versions.number,
      state: versions.state,
      profile: versions.profile,
      batchGrams: versions.batchGrams,
      activePercent: versions.activePercent,
      stopCount: versions.stopCount,
      fixCount: versions.fixCount,
      considerCount: versions.considerCount,
      lineCount: versions.lineCount,
      findings: sql<WordedFinding[]>`${versions.assessment} -> 'findings'`.as("findings"),
      byCharge: sql<ByCharge>`${versions.assessment} -> 'activeMatter' -> 'byCharge'`.as("by_charge"),
      updatedAt: versions.updatedAt,
    })
    .from(versions)
    .where(and(eq(versions.makerId, makerId), eq(versions.formulaId, part.id)))
    .orderBy(...currentFirst)
    .limit(1)
    .as("current");
  return db
    .select({
      id: part.id,
      name: part.name,
      number: current.number,
      state: current.state,
      profile: current.profile,
      batchGrams: current.batchGrams,
      activePercent: current.activePercent,
      stopCount: current.stopCount,
      fixCount: current.fixCount,
      considerCount: current.considerCount,
      lineCount: current.lineCount,
      findings: current.findings,
      byCharge: current.byCharge,
      updatedAt: current.updatedAt,
    })
    .from(part)
    .crossJoinLateral(current)
    .orderBy(desc(part.changedAt), desc(part.id));
}

export async function countFormulas(db: Executor, makerId: string): Promise<number> {
  const [row] = await db.select({ formulas: count() }).from(formulas).where(eq(formulas.makerId, makerId));
  return row?.formulas ?? 0;
}

/** What a page needs of a version. A draft's stored assessment stays behind: the page makes its own. */
const versionHead = {
  id: versions.id,
  number: versions.number,
  state: versions.state,
  note: versions.note,
  profile: versions.profile,
  batchGrams: versions.batchGrams,
  revision: versions.revision,
  recentSaves: versions.recentSaves,
  method: versions.method,
  measuredPh: versions.measuredPh,
  measuredDensity: versions.measuredDensity,
  process: versions.process,
  snapshot: versions.snapshot,
  storedAssessment: sql<Assessment | null>`case when ${versions.state} = 'final' then ${versions.assessment} end`,
};

/** What a version aims at. */
const aimOfVersion = {
  school: versions.school,
  eyeArea: versions.eyeArea,
  look: versions.look,
  leftOn: versions.leftOn,
  forWhom: versions.forWhom,
  thickness: versions.thickness,
  without: versions.without,
  closeTo: versions.closeTo,
};

/** The stored readings of one version, draft or set. */
export async function findAssessment(db: Executor, makerId: string, versionId: string): Promise<Assessment | undefined> {
  const [row] = await db
    .select({ assessment: versions.assessment })
    .from(versions)
    .where(and(eq(versions.makerId, makerId), eq(versions.id, versionId)));
  return row?.assessment;
}

/** One version with its formula's name: the one of that number, else the draft, else the newest. */
export async function findVersion(
  db: Executor,
  makerId: string,
  wanted: { readonly formulaId: string; readonly number?: number | undefined },
) {
  const [row] = await db
    .select({ version: versionHead, aim: aimOfVersion, formulaName: formulas.name })
    .from(versions)
    .innerJoin(formulas, eq(formulas.id, versions.formulaId))
    .where(
      and(
        eq(versions.makerId, makerId),
        eq(versions.formulaId, wanted.formulaId),
        wanted.number === undefined ? undefined : eq(versions.number, wanted.number),
      ),
    )
    .orderBy(...currentFirst)
    .limit(1);
  return row;
}

/** Several versions with their formulas' names, in no order; one that is not there is left out. */
export async function findVersions(
  db: Executor,
  makerId: string,
  wanted: readonly { readonly formulaId: string; readonly number: number }[],
) {
  if (wanted.length === 0) return [];
  return db
    .select({ formulaId: formulas.id, version: versionHead, aim: aimOfVersion, formulaName: formulas.name })
    .from(versions)
    .innerJoin(formulas, eq(formulas.id, versions.formulaId))
    .where(
      and(
        eq(versions.makerId, makerId),
        or(...wanted.map(({ formulaId, number }) => and(eq(versions.formulaId, formulaId), eq(versions.number, number)))),
      ),
    );
}

/** The newest versions of several formulas, each formula's newest first, and how many it has in all. */
export async function listNewestVersions(db: Executor, makerId: string, formulaIds: readonly string[], most: number) {
  const ranked = db
    .select({
      ...{ formulaId: versions.formulaId, number: versions.number, state: versions.state },
      nth: sql<number>`row_number() over (partition by ${versions.formulaId} order by ${versions.number} desc)`.as("nth"),
      inAll: sql<number>`count(*) over (partition by ${versions.formulaId})`.mapWith(Number).as("in_all"),
    })
    .from(versions)
    .where(and(eq(versions.makerId, makerId), inArray(versions.formulaId, [...formulaIds])))
    .as("ranked");
  const { formulaId, number, state, inAll } = ranked;
  return db.select({ formulaId, number, state, inAll }).from(ranked).where(lte(ranked.nth, most)).orderBy(asc(formulaId), desc(number));
}

/** Up to so many lines a material is looked for from its lines, beyond it from the formulas, of which most then have it. */
const FEW_LINES = 400;

/** Where a material is: each formula's current version and how much of it is in there, the one changed last first; null where it takes the rest. */
export async function usesOfMaterial(db: Executor, makerId: string, materialId: string, most: number) {
  const has = sql`${lines.makerId} = ${makerId} and ${lines.materialId} = ${materialId}`;
  const some = await db.select({ id: lines.id }).from(lines).where(has).limit(FEW_LINES);
  const isRare = some.length < FEW_LINES;
  const current = sql`(select v.id from versions v where v.formula_id = ${formulas.id} order by v.state = 'draft' desc, v.number desc limit 1)`;
  const mayHave = sql`${formulas.id} in (select v.formula_id from ${lines} join versions v on v.id = ${lines.versionId} where ${has})`;
  return db
    .select({
      formulaId: formulas.id,
      name: formulas.name,
      number: versions.number,
      percent: sql<
        number | null
      >`(select sum(${lines.percent}) from ${lines} where ${lines.versionId} = ${versions.id} and ${has})`.mapWith(Number),
    })
    .from(formulas)
    .innerJoin(versions, and(eq(versions.makerId, makerId), eq(versions.id, current)))
    .where(
      and(
        eq(formulas.makerId, makerId),
        isRare ? mayHave : undefined,
        sql`exists (select from ${lines} where ${lines.versionId} = ${versions.id} and ${has})`,
      ),
    )
    .orderBy(desc(formulas.updatedAt), desc(formulas.id))
    .limit(most);
}

export async function listVersions(db: Executor, makerId: string, formulaId: string) {
  return db
    .select({
      id: versions.id,
      number: versions.number,
      state: versions.state,
      note: versions.note,
      parentId: versions.parentId,
      activePercent: versions.activePercent,
      byCharge: sql<ByCharge>`${versions.assessment} -> 'activeMatter' -> 'byCharge'`.as("by_charge"),
      finalisedAt: versions.finalisedAt,
    })
    .from(versions)
    .where(and(eq(versions.makerId, makerId), eq(versions.formulaId, formulaId)))
    .orderBy(desc(versions.number));
}

/** Which versions of a formula began a trial, or came from one, and where the other end lies; the oldest first. */
export async function listOrigins(db: Executor, makerId: string, formulaId: string) {
  const [to, from, toFormula, fromFormula] = [
    alias(versions, "to_version"),
    alias(versions, "from_version"),
    alias(formulas, "to_formula"),
    alias(formulas, "from_formula"),
  ];
  return db
    .select({
      to: { id: to.id, formulaId: to.formulaId, number: to.number, name: toFormula.name, isFirst: sql<boolean>`${to.parentId} is null` },
      from: { id: from.id, formulaId: from.formulaId, number: from.number, name: fromFormula.name },
    })
    .from(versionOrigins)
    .innerJoin(to, eq(to.id, versionOrigins.versionId))
    .innerJoin(from, eq(from.id, versionOrigins.fromVersionId))
    .innerJoin(toFormula, eq(toFormula.id, to.formulaId))
    .innerJoin(fromFormula, eq(fromFormula.id, from.formulaId))
    .where(and(eq(versionOrigins.makerId, makerId), or(eq(to.formulaId, formulaId), eq(from.formulaId, formulaId))))
    .orderBy(asc(to.createdAt));
}

const phaseColumns = {
  ...{ letter: phases.letter, title: phases.title, temperatureC: phases.temperatureC },
  ...{ sharePercent: phases.sharePercent, addUpToPercent: phases.addUpToPercent, mayAdd: phases.mayAdd },
};

export async function listPhases(db: Executor, makerId: string, versionId: string) {
  return db
    .select(phaseColumns)
    .from(phases)
    .where(and(eq(phases.makerId, makerId), eq(phases.versionId, versionId)))
    .orderBy(asc(phases.position));
}

const lineColumns = {
  id: lines.id,
  phaseLetter: lines.phaseLetter,
  materialId: lines.materialId,
  percent: lines.percent,
  takesTheRest: lines.takesTheRest,
  assayPercent: lines.assayPercent,
  asWritten: lines.asWritten,
  facts: materials.facts,
  own: ownFacts.facts,
};

/** The lines of a version in their order, each with the facts of its material. */
export async function listLines(db: Executor, makerId: string, versionId: string) {
  const rows = await db
    .select(lineColumns)
    .from(lines)
    .innerJoin(materials, eq(materials.id, lines.materialId))
    .leftJoin(ownFacts, and(eq(ownFacts.materialId, materials.id), eq(ownFacts.makerId, makerId)))
    .where(and(eq(lines.makerId, makerId), eq(lines.versionId, versionId)))
    .orderBy(asc(lines.position));
  return rows.map(({ own, facts, ...line }) => ({ ...line, facts: withOwnFacts(facts, own) }));
}

/** Phases and lines of several versions at once; none where there is no such version. */
export async function listContents(db: Executor, makerId: string, versionIds: readonly string[]) {
  const [phaseRows, lineRows] = await Promise.all([
    db
      .select({ versionId: phases.versionId, ...phaseColumns })
      .from(phases)
      .where(and(eq(phases.makerId, makerId), inArray(phases.versionId, [...versionIds])))
      .orderBy(asc(phases.position)),
    db
      .select({ versionId: lines.versionId, ...lineColumns })
      .from(lines)
      .innerJoin(materials, eq(materials.id, lines.materialId))
      .leftJoin(ownFacts, and(eq(ownFacts.materialId, materials.id), eq(ownFacts.makerId, makerId)))
      .where(and(eq(lines.makerId, makerId), inArray(lines.versionId, [...versionIds])))
      .orderBy(asc(lines.position)),
  ]);
  return versionIds.map((versionId) => ({
    versionId,
    phases: phaseRows.filter((row) => row.versionId === versionId),
    lines: lineRows
      .filter((row) => row.versionId === versionId)
      .map(({ own, facts, ...line }) => ({ ...line, facts: withOwnFacts(facts, own) })),
  }));
}

/** The lots the lines of a version are weighed from, with what each lot says. */
export async function listLineLots(db: Executor, makerId: string, versionId: string) {
  return db
    .select({
      lineId: lineLots.lineId,
      lotId: lineLots.lotId,
      grams: lineLots.grams,
      code: lots.code,
      assayPercent: lots.assayPercent,
      price: lots.price,
      packGrams: lots.packGrams,
    })
    .from(lineLots)
    .innerJoin(lots, eq(lots.id, lineLots.lotId))
    .where(and(eq(lineLots.makerId, makerId), eq(lineLots.versionId, versionId)))
    .orderBy(asc(lineLots.lineId), asc(lineLots.position));
}

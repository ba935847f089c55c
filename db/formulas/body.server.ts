import { and, eq, ne, notInArray, sql, type Column, type SQL } from "drizzle-orm";
import type { Executor } from "../client.server";
import { lineLots, lines, phases } from "./schema";
import type { LineRow, PhaseRow } from "./writes.server";

interface Body {
  readonly phases: readonly PhaseRow[];
  readonly lines: readonly LineRow[];
}

/** The rows a version's body stands for. */
function rowsOf(makerId: string, versionId: string, body: Body) {
  const owner = { versionId, makerId };
  return {
    phases: body.phases.map(({ sharePercent = null, addUpToPercent = null, mayAdd = "", ...phase }, position) => ({
      ...{ ...owner, ...phase, position },
      ...{ sharePercent, addUpToPercent, mayAdd },
    })),
    lines: body.lines.map(({ lots: _, ...line }, position) => ({ ...owner, ...line, position })),
    lots: body.lines.flatMap(({ id, lots = [] }) => lots.map((lot, position) => ({ ...owner, ...lot, lineId: id, position }))),
  };
}

/** Writes the body of a version that has none yet. */
export async function insertBody(db: Executor, makerId: string, versionId: string, body: Body): Promise<void> {
  const rows = rowsOf(makerId, versionId, body);
  if (rows.phases.length > 0) await db.insert(phases).values(rows.phases);
  if (rows.lines.length > 0) await db.insert(lines).values(rows.lines);
  if (rows.lots.length > 0) await db.insert(lineLots).values(rows.lots);
}

/** Brings the body of a version to this: rows that are the same stay untouched. */
export async function updateBody(db: Executor, makerId: string, versionId: string, body: Body): Promise<void> {
  const rows = rowsOf(makerId, versionId, body);
  const ofPhases = and(eq(phases.makerId, makerId), eq(phases.versionId, versionId));
  const ofLines = and(eq(lines.makerId, makerId), eq(lines.versionId, versionId));
  const ofLots = and(eq(lineLots.makerId, makerId), eq(lineLots.versionId, versionId));
  if (rows.phases.length > 0) {
    const { title, position, temperatureC, sharePercent, addUpToPercent, mayAdd } = phases;
    await db
      .insert(phases)
      .values(rows.phases)
      .onConflictDoUpdate({
        target: [phases.versionId, phases.letter],
        ...whatDiffers({ title, position, temperatureC, sharePercent, addUpToPercent, mayAdd }),
      });
  }
  // Only one line may be q.s., so the former one steps back first.
  const restId = body.lines.find(({ takesTheRest }) => takesTheRest)?.id;
  await db
    .update(lines)
    .set({ takesTheRest: false })
    .where(and(ofLines, eq(lines.takesTheRest, true), restId === undefined ? undefined : ne(lines.id, restId)));
  if (rows.lines.length > 0) {
    const { phaseLetter, materialId, position, percent, takesTheRest, assayPercent, asWritten } = lines;
    await db
      .insert(lines)
      .values(rows.lines)
      .onConflictDoUpdate({
        target: [lines.versionId, lines.id],
        ...whatDiffers({ phaseLetter, materialId, position, percent, takesTheRest, assayPercent, asWritten }),
      });
  }
  await db.delete(lines).where(
    and(
      ofLines,
      notInArray(
        lines.id,
        rows.lines.map(({ id }) => id),
      ),
    ),
  );
  await db.delete(phases).where(
    and(
      ofPhases,
      notInArray(
        phases.letter,
        rows.phases.map(({ letter }) => letter),
      ),
    ),
  );
  if (rows.lots.length > 0) {
    await db
      .insert(lineLots)
      .values(rows.lots)
      .onConflictDoUpdate({
        target: [lineLots.versionId, lineLots.lineId, lineLots.lotId],
        ...whatDiffers({ position: lineLots.position, grams: lineLots.grams }),
      });
  }
  const kept = rows.lots.map(({ lineId, lotId }) => sql`(${lineId}::uuid, ${lotId}::uuid)`);
  await db
    .delete(lineLots)
    .where(and(ofLots, kept.length === 0 ? undefined : sql`(${lineLots.lineId}, ${lineLots.lotId}) not in (${sql.join(kept, sql`, `)})`));
}

/** Sets these columns to what was to be inserted, where one of them differs from it. */
function whatDiffers(columns: Readonly<Record<string, Column>>): { readonly set: Record<string, SQL>; readonly setWhere: SQL } {
  const pairs = Object.entries(columns);
  const inserted = (column: Column): SQL => sql`excluded.${sql.identifier(column.name)}`;
  const standing = sql.join(
    pairs.map(([, column]) => sql`${column}`),
    sql`, `,
  );
  const wanted = sql.join(
    pairs.map(([, column]) => inserted(column)),
    sql`, `,
  );
  return {
    set: Object.fromEntries(pairs.map(([key, column]) => [key, inserted(column)])),
    setWhere: sql`(${standing}) is distinct from (${wanted})`,
  };
}

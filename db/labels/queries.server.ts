import type { LabelDesign } from "@tensidrum/core/packaging";
import { and, desc, eq, inArray, isNull, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { labels } from "./schema";

/** Whose label it is: of a formula on a container. */
export interface LabelPlace {
  readonly formulaId: string;
  readonly containerId: string | null;
  /** Name of the part of the batch; empty for one that serves the whole batch. */
  readonly part: string;
}

function of(makerId: string, { formulaId, containerId, part }: LabelPlace) {
  return and(
    eq(labels.makerId, makerId),
    eq(labels.formulaId, formulaId),
    containerId === null ? isNull(labels.containerId) : eq(labels.containerId, containerId),
    inArray(labels.part, [part, ""]),
  );
}

/** The label of a formula on that container, or `undefined`: of the part or of the whole batch, whichever was kept last. */
export async function findLabel(db: Executor, makerId: string, place: LabelPlace): Promise<LabelDesign | undefined> {
  const [row] = await db.select({ design: labels.design }).from(labels).where(of(makerId, place)).orderBy(desc(labels.updatedAt)).limit(1);
  return row?.design;
}

/** Keeps the label of a formula on a container; the one there was goes. */
export async function saveLabel(db: Executor, makerId: string, place: LabelPlace, design: LabelDesign): Promise<void> {
  await db
    .insert(labels)
    .values({ id: crypto.randomUUID(), makerId, ...place, design })
    .onConflictDoUpdate({
      target: [labels.makerId, labels.formulaId, labels.containerId, labels.part],
      set: { design, updatedAt: sql`now()` },
    });
}

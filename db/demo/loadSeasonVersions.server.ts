import { coreVersion } from "@tensidrum/core/assessment";
import { eq } from "drizzle-orm";
import { withdrawDemoBatch } from "../batches/writes.server";
import type { Executor } from "../client.server";
import { products } from "../comparison/schema";
import { versions } from "../formulas/schema";
import { finaliseDraft, insertDraftFrom, saveDraft } from "../formulas/writes.server";
import { benchOf, contentOf } from "./loadDemo.server";
import { loadLots } from "./loadLots.server";
import { greenRoom, seasonBatches, seasonLots, seasonProduct, seasonVersions } from "./season";
import { stableUuid } from "./stableUuid";
import { workshop } from "./workshop";

export const batchIdOf = (key: string): string => stableUuid(`season ${key}`);

/** Takes the season's batches and product away, so that they can be laid in anew. */
export async function clearSeason(db: Executor): Promise<void> {
  const ids = seasonBatches.map(({ key }) => batchIdOf(key));
  await db.transaction(async (tx) => {
    for (const id of ids) await withdrawDemoBatch(tx, workshop.id, id);
    await tx.delete(products).where(eq(products.id, seasonProduct.id));
  });
}

/** The versions that came about in the season and the lots it was made from, on a demo as it was on its first day. */
export async function loadSeasonVersions(db: Executor, now: Date): Promise<void> {
  const bench = await benchOf(db);
  await db.transaction(async (tx) => {
    await loadLots(tx, bench.idOfSlug, seasonLots);
    for (const { formula, daysAgo, note, ...version } of seasonVersions) {
      const parentId = formula.versions[0]?.id ?? "";
      const before = seasonVersions.filter((one) => one.formula === formula && one.daysAgo > daysAgo && one.id !== parentId).at(-1);
      const at = new Date(now.getTime() - daysAgo * 86_400_000);
      const aim = formula === greenRoom ? { ...formula.aim, closeTo: seasonProduct.name } : formula.aim;
      const { content, snapshot } = contentOf({ ...formula, aim }, version, bench);
      let revision = 0;
      if (version.id !== parentId) {
        await insertDraftFrom(tx, workshop.id, { parentId: before?.id ?? parentId, versionId: version.id });
        revision = (await saveDraft(tx, workshop.id, { versionId: version.id, revision: 0 }, content)) ?? 0;
      }
      await tx.update(versions).set({ createdAt: at, updatedAt: at }).where(eq(versions.id, version.id));
      if (note !== undefined) {
        const record = { note, snapshot, assessment: content.assessment, coreVersion, finalisedAt: at };
        await finaliseDraft(tx, workshop.id, { versionId: version.id, revision }, record);
      }
    }
  });
}

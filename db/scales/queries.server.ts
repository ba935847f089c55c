import type { Scale } from "@tensidrum/core/quantities";
import { asc, eq } from "drizzle-orm";
import type { Executor } from "../client.server";
import { scales } from "./schema";

export interface OwnScale extends Scale {
  readonly id: string;
}

export async function listScales(db: Executor, makerId: string): Promise<OwnScale[]> {
  return db
    .select({
      id: scales.id,
      name: scales.name,
      readabilityGrams: scales.readabilityGrams,
      capacityGrams: scales.capacityGrams,
    })
    .from(scales)
    .where(eq(scales.makerId, makerId))
    .orderBy(asc(scales.position));
}

/** Puts the given scales in the place of all the maker had. */
export async function replaceScales(db: Executor, makerId: string, own: readonly OwnScale[]): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.delete(scales).where(eq(scales.makerId, makerId));
    if (own.length > 0) await tx.insert(scales).values(own.map((scale, position) => ({ ...scale, makerId, position })));
  });
}

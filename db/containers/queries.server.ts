import { asc, eq } from "drizzle-orm";
import type { Executor } from "../client.server";
import { containers } from "./schema";

/** A kind of bottle, jar or pump; volumes in mL, the price of one piece in the maker's currency. */
export interface OwnContainer {
  readonly id: string;
  readonly name: string;
  readonly nominalMl: number;
  readonly brimfulMl: number;
  readonly headspaceMl: number;
  readonly dipTubeMl: number;
  readonly priceEach: number | null;
}

export async function listContainers(db: Executor, makerId: string): Promise<OwnContainer[]> {
  const { id, name, nominalMl, brimfulMl, headspaceMl, dipTubeMl, priceEach } = containers;
  return db
    .select({ id, name, nominalMl, brimfulMl, headspaceMl, dipTubeMl, priceEach })
    .from(containers)
    .where(eq(containers.makerId, makerId))
    .orderBy(asc(containers.position));
}

/** Puts the given containers in the place of all the maker had. */
export async function replaceContainers(db: Executor, makerId: string, own: readonly OwnContainer[]): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.delete(containers).where(eq(containers.makerId, makerId));
    if (own.length > 0) await tx.insert(containers).values(own.map((container, position) => ({ ...container, makerId, position })));
  });
}

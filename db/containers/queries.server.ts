import type { ContainerType } from "@tensidrum/core/process";
import { and, asc, eq, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { containers } from "./schema";

/** A kind of bottle, jar or pump; volumes in mL, the price of one piece in the maker's currency. */
export interface OwnContainer {
  readonly id: string;
  readonly name: string;
  readonly type: ContainerType;
  readonly nominalMl: number;
  readonly brimfulMl: number;
  readonly headspaceMl: number;
  readonly dipTubeMl: number;
  /** Of an empty one with its closure. */
  readonly tareGrams: number | null;
  readonly labelWidthMm: number | null;
  readonly labelHeightMm: number | null;
  /** Empty ones on the shelf; null where nobody counts them. */
  readonly pieces: number | null;
  readonly note: string;
  readonly priceEach: number | null;
}

const columns = {
  id: containers.id,
  name: containers.name,
  type: containers.type,
  nominalMl: containers.nominalMl,
  brimfulMl: containers.brimfulMl,
  headspaceMl: containers.headspaceMl,
  dipTubeMl: containers.dipTubeMl,
  tareGrams: containers.tareGrams,
  labelWidthMm: containers.labelWidthMm,
  labelHeightMm: containers.labelHeightMm,
  pieces: containers.pieces,
  note: containers.note,
  priceEach: containers.priceEach,
};

export async function listContainers(db: Executor, makerId: string): Promise<OwnContainer[]> {
  return db.select(columns).from(containers).where(eq(containers.makerId, makerId)).orderBy(asc(containers.position), asc(containers.name));
}

/** A new container at the end of the list, or one that is there as it is now. */
export async function saveContainer(db: Executor, makerId: string, { id, ...own }: OwnContainer): Promise<void> {
  const position = sql`(select coalesce(max(${containers.position}), -1) + 1 from ${containers} where ${containers.makerId} = ${makerId})`;
  await db
    .insert(containers)
    .values({ id, makerId, position, ...own })
    .onConflictDoUpdate({ target: containers.id, set: own, setWhere: eq(containers.makerId, makerId) });
}

/** What was filled into it stays in the records. Returns whether it was there. */
export async function deleteContainer(db: Executor, makerId: string, id: string): Promise<boolean> {
  const gone = await db
    .delete(containers)
    .where(and(eq(containers.makerId, makerId), eq(containers.id, id)))
    .returning({ id: containers.id });
  return gone.length > 0;
}

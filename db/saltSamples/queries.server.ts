import type { ThicknessUnit } from "@tensidrum/core/process";
import { and, asc, eq } from "drizzle-orm";
import type { Executor } from "../client.server";
import { saltSamples } from "./schema";

export interface SaltSampleRow {
  readonly id: string;
  readonly saltPercent: number;
  readonly viscosity: number;
  readonly unit: ThicknessUnit;
  readonly said: string;
}

/** Every sample of a base, the one with the least salt first. */
export async function listSaltSamples(db: Executor, makerId: string, base: string): Promise<SaltSampleRow[]> {
  const { id, saltPercent, viscosity, unit, said } = saltSamples;
  return db
    .select({ id, saltPercent, viscosity, unit, said })
    .from(saltSamples)
    .where(and(eq(saltSamples.makerId, makerId), eq(saltSamples.base, base)))
    .orderBy(asc(saltSamples.saltPercent), asc(saltSamples.madeAt));
}

/** Every sample of every base of a maker. */
export async function listAllSaltSamples(
  db: Executor,
  makerId: string,
): Promise<(Omit<SaltSampleRow, "id" | "said"> & { base: string })[]> {
  const { base, saltPercent, viscosity, unit } = saltSamples;
  return db
    .select({ base, saltPercent, viscosity, unit })
    .from(saltSamples)
    .where(eq(saltSamples.makerId, makerId))
    .orderBy(asc(saltSamples.id));
}

/** Adds a sample; one that was added already stays as it is. */
export async function addSaltSample(db: Executor, makerId: string, base: string, saltSample: SaltSampleRow): Promise<void> {
  await db
    .insert(saltSamples)
    .values({ ...saltSample, makerId, base })
    .onConflictDoNothing({ target: saltSamples.id });
}

/** Deletes a sample. Returns it, or `undefined` where there was none. */
export async function removeSaltSample(db: Executor, makerId: string, saltSampleId: string): Promise<SaltSampleRow | undefined> {
  const { id, saltPercent, viscosity, unit, said } = saltSamples;
  const [gone] = await db
    .delete(saltSamples)
    .where(and(eq(saltSamples.makerId, makerId), eq(saltSamples.id, saltSampleId)))
    .returning({ id, saltPercent, viscosity, unit, said });
  return gone;
}

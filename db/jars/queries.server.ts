import type { ThicknessUnit } from "@tensidrum/core/process";
import { and, asc, eq } from "drizzle-orm";
import type { Executor } from "../client.server";
import { jars } from "./schema";

export interface JarRow {
  readonly id: string;
  readonly saltPercent: number;
  readonly viscosity: number;
  readonly unit: ThicknessUnit;
  readonly said: string;
}

/** Every jar of a base, the one with the least salt first. */
export async function listJars(db: Executor, makerId: string, base: string): Promise<JarRow[]> {
  const { id, saltPercent, viscosity, unit, said } = jars;
  return db
    .select({ id, saltPercent, viscosity, unit, said })
    .from(jars)
    .where(and(eq(jars.makerId, makerId), eq(jars.base, base)))
    .orderBy(asc(jars.saltPercent), asc(jars.madeAt));
}

/** Adds a jar; one that was added already stays as it is. */
export async function addJar(db: Executor, makerId: string, base: string, jar: JarRow): Promise<void> {
  await db
    .insert(jars)
    .values({ ...jar, makerId, base })
    .onConflictDoNothing({ target: jars.id });
}

/** Pours a jar away. Answers it, or `undefined` where there was none. */
export async function removeJar(db: Executor, makerId: string, jarId: string): Promise<JarRow | undefined> {
  const { id, saltPercent, viscosity, unit, said } = jars;
  const [gone] = await db
    .delete(jars)
    .where(and(eq(jars.makerId, makerId), eq(jars.id, jarId)))
    .returning({ id, saltPercent, viscosity, unit, said });
  return gone;
}

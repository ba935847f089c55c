import { createHash } from "node:crypto";
import { validatedLibrary } from "@tensidrum/core/formats";
import { referenceLibrary, referenceLibraryVersion } from "@tensidrum/core/reference";
import { and, eq, isNull, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { columnsOf } from "./queries.server";
import { materials } from "./schema";

/**
 * Brings the stored reference materials up to the library of this build. Returns how many were written.
 * @throws Refusal naming material and field when a fact of the library is not sound; nothing is written then.
 */
export async function loadReferenceLibrary(db: Executor): Promise<number> {
  const digest = createHash("sha256").update(JSON.stringify(referenceLibrary)).digest("hex").slice(0, 12);
  const libraryVersion = `${referenceLibraryVersion}-${digest}`;
  const [present] = await db
    .select({ rows: sql<number>`count(*)::int` })
    .from(materials)
    .where(and(isNull(materials.makerId), eq(materials.libraryVersion, libraryVersion)));
  if (present?.rows === referenceLibrary.length) return 0;
  await db
    .insert(materials)
    .values(validatedLibrary(referenceLibrary).map((facts) => ({ ...columnsOf(facts), libraryVersion })))
    .onConflictDoUpdate({
      target: [materials.makerId, materials.slug],
      set: {
        name: sql`excluded.name`,
        role: sql`excluded.role`,
        charge: sql`excluded.charge`,
        inciNames: sql`excluded.inci_names`,
        facts: sql`excluded.facts`,
        libraryVersion: sql`excluded.library_version`,
        updatedAt: sql`now()`,
      },
    });
  return referenceLibrary.length;
}

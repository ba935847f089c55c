import { createHash } from "node:crypto";
import { validatedLibrary } from "@tensidrum/core/formats";
import { factDifferences, type Material } from "@tensidrum/core/library";
import { referenceLibrary, referenceLibraryVersion } from "@tensidrum/core/reference";
import { isNull, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { columnsOf } from "./queries.server";
import { libraryChanges, materials } from "./schema";

/**
 * Brings the stored reference materials up to the library of this build and notes what that changed. Returns how many
 * were written.
 * @throws Refusal naming material and field when a fact of the library is not sound; nothing is written then.
 */
export async function loadReferenceLibrary(db: Executor, library: readonly Material[] = referenceLibrary): Promise<number> {
  const digest = createHash("sha256").update(JSON.stringify(library)).digest("hex").slice(0, 12);
  const libraryVersion = `${referenceLibraryVersion}-${digest}`;
  const stored = await db
    .select({ facts: materials.facts, libraryVersion: materials.libraryVersion })
    .from(materials)
    .where(isNull(materials.makerId));
  const current = stored.filter((row) => row.libraryVersion === libraryVersion);
  if (current.length === library.length) return 0;
  const facts = validatedLibrary(library);
  const changes = changesOf(new Map(stored.map((row) => [row.facts.slug, row.facts])), facts);
  await db.transaction(async (tx) => {
    await tx
      .insert(materials)
      .values(facts.map((one) => ({ ...columnsOf(one), libraryVersion })))
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
    if (changes.length > 0) await tx.insert(libraryChanges).values(changes.map((change) => ({ ...change, libraryVersion })));
  });
  return library.length;
}

/** What differs from the stored library; the first library of all changes nothing. */
function changesOf(stored: ReadonlyMap<string, Material>, facts: readonly Material[]) {
  if (stored.size === 0) return [];
  return facts.flatMap((material) => {
    const before = stored.get(material.slug);
    const differences = before === undefined ? [] : factDifferences(before, material);
    if (before !== undefined && differences.length === 0) return [];
    return [{ slug: material.slug, name: material.name, differences }];
  });
}

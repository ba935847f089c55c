import { referenceLibraryVersion } from "@tensidrum/core/reference";
import { database } from "../../../db/workplace.server";
import { listLibraryChanges } from "../../../db/materials/queries.server";
import { factName, factWords } from "../factWords";
import { writtenLongDay } from "../../frame/dates.server";

const MOST_SHOWN = 500;

/** What updates of the reference library changed, the newest first, day by day. */
export async function openLibraryChanges() {
  const rows = await listLibraryChanges(database(), MOST_SHOWN);
  const updates = new Map<string, typeof rows>();
  for (const row of rows) updates.set(row.libraryVersion, [...(updates.get(row.libraryVersion) ?? []), row]);
  return {
    version: referenceLibraryVersion,
    updates: [...updates].map(([version, changed]) => ({
      version,
      day: writtenLongDay(changed[0]?.madeAt),
      materials: changed.map(({ slug, name, differences }) => ({
        slug,
        name,
        isNew: differences.length === 0,
        differences: differences.map(({ fact, before, after }) => ({
          name: factName(fact),
          before: factWords(fact, before),
          after: factWords(fact, after),
        })),
      })),
    })),
  };
}

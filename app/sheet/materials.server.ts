import type { Database } from "../../db/client.server";
import { materialsById } from "../../db/materials/queries.server";
import { withParts, type MaterialsWithParts } from "../../db/materials/withParts.server";

/** The materials of those ids and all they are made of. */
export async function materialsOfLines(db: Database, makerId: string, materialIds: readonly string[]): Promise<MaterialsWithParts> {
  const stored = await materialsById(db, makerId, [...new Set(materialIds)]);
  return withParts(db, makerId, new Map(stored.map(({ id, facts }) => [id, facts])));
}

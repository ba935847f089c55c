import type { OwnFacts } from "@tensidrum/core/library";
import type { Executor } from "../client.server";
import { insertOwnMaterials, saveOwnFacts, type OwnMaterial } from "../materials/queries.server";
import { movements } from "./schema";
import { receiveLots, type NewLot } from "./writes.server";

export interface ImportedShelf {
  readonly materials: readonly OwnMaterial[];
  /** Facts held against reference materials. */
  readonly ownFacts: readonly { readonly materialId: string; readonly facts: OwnFacts }[];
  readonly lots: readonly { readonly lot: NewLot; readonly movementId: string; readonly leftGrams: number }[];
}

/** Why a lot that comes from elsewhere holds less than its pack. */
const ALREADY_USED = "used before it came here";

/** Brings materials, facts and lots in, all or none. `onProgress` is told how many are stored so far. */
export async function importShelf(
  db: Executor,
  makerId: string,
  { materials, ownFacts, lots }: ImportedShelf,
  onProgress: (done: number) => void = () => undefined,
): Promise<void> {
  await db.transaction(async (tx) => {
    await insertOwnMaterials(tx, makerId, materials, onProgress);
    for (const { materialId, facts } of ownFacts) await saveOwnFacts(tx, makerId, materialId, facts);
    if (lots.length === 0) return;
    await receiveLots(tx, makerId, lots);
    const used = lots.flatMap(({ lot, leftGrams }) =>
      leftGrams === lot.packGrams
        ? []
        : [
            {
              id: crypto.randomUUID(),
              makerId,
              lotId: lot.id,
              kind: "correct" as const,
              grams: leftGrams - lot.packGrams,
              note: ALREADY_USED,
            },
          ],
    );
    if (used.length > 0) await tx.insert(movements).values(used);
    onProgress(materials.length + ownFacts.length + lots.length);
  });
}

import dayjs from "dayjs";
import type { Executor } from "../client.server";
import { lots, movements } from "../inventory/schema";
import type { DemoLot } from "./lots";
import { stableUuid } from "./stableUuid";
import { workshop } from "./workshop";

/** Puts the demo's lots on the shelf, with their books. Lots that stand there already stay as they are. */
export async function loadLots(db: Executor, idOfSlug: ReadonlyMap<string, string>, wanted: readonly DemoLot[]): Promise<void> {
  const now = dayjs();
  for (const lot of wanted) {
    const [laid] = await db
      .insert(lots)
      .values(rowOf(lot, idOfSlug, now))
      .onConflictDoNothing()
      .returning({ id: lots.id });
    if (laid === undefined) continue;
    const owner = { makerId: workshop.id, lotId: laid.id };
    const entries = [["receive", lot.packGrams, lot.receivedDaysAgo, ""] as const, ...(lot.movements ?? [])];
    await db.insert(movements).values(
      entries.map(([kind, grams, daysAgo, note], at) => ({
        ...owner,
        id: stableUuid(`${lot.code} ${at}`),
        kind,
        grams,
        note,
        madeAt: now.subtract(daysAgo, "day").toDate(),
      })),
    );
  }
}

function rowOf(lot: DemoLot, idOfSlug: ReadonlyMap<string, string>, now: dayjs.Dayjs) {
  const materialId = idOfSlug.get(lot.material);
  if (materialId === undefined) throw new Error(`The demo's shelf holds "${lot.material}", which the library does not`);
  return {
    id: stableUuid(`lot ${lot.material} ${lot.code}`),
    makerId: workshop.id,
    materialId,
    code: lot.code,
    supplier: lot.supplier ?? "",
    assayPercent: lot.assayPercent ?? null,
    packGrams: lot.packGrams,
    price: lot.price ?? null,
    openedOn: now.subtract(lot.receivedDaysAgo - 1, "day").format("YYYY-MM-DD"),
    endsOn: lot.endsInDays === null ? null : now.add(lot.endsInDays, "day").format("YYYY-MM-DD"),
  };
}

import { shownFormulaName } from "@tensidrum/core/formula";
import { endOfLot } from "@tensidrum/core/inventory";
import { shownMaterial } from "@tensidrum/core/library";
import { bestBefore } from "@tensidrum/core/packaging";
import { Refusal } from "@tensidrum/core/quantities";
import { findBatch, listBatchLots, listFilledContainers } from "../../../db/batches/queries.server";
import { lotsOfBatch } from "../../../db/inventory/queries.server";
import { findLabel } from "../../../db/labels/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { here, isoDay, isoToday, writtenDay } from "../../frame/dates.server";

/** Where nobody made a label yet; as its templates have it. */
const USUAL = { months: 12, openMonths: null } as const;

/** The containers of a batch: where they are, how long they keep, and which lots are in them. */
export async function openWhereabouts(batchId: string) {
  const [db, makerId] = [database(), currentMakerId()];
  const batch = await findBatch(db, makerId, batchId);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not here.", "Go to Fill and look for it there.");
  const [rows, lots, reserved] = await Promise.all([
    listFilledContainers(db, makerId, [batchId]),
    lotsOfBatch(db, makerId, batchId),
    listBatchLots(db, makerId, batchId),
  ]);
  const today = isoToday();
  const madeOn = isoDay(batch.startedAt);
  const lotExpiries = reserved.flatMap(({ endsOn }) => (endsOn === null ? [] : [endsOn]));
  const containers = await Promise.all(
    rows.map(async (row) => {
      const place = { formulaId: batch.formulaId ?? "", containerId: row.containerId, part: "" };
      const label = (batch.formulaId === null ? undefined : await findLabel(db, makerId, place)) ?? USUAL;
      const closedEnd = bestBefore({ madeOn, months: label.months, lotExpiries });
      const opened = row.openedOn === null ? null : here(row.openedOn);
      const afterOpeningDays =
        opened === null || label.openMonths === null ? null : opened.add(label.openMonths, "month").diff(opened, "day");
      const end = endOfLot({ endsOn: closedEnd, openedOn: row.openedOn, afterOpeningDays }) ?? closedEnd;
      return { ...row, useUntil: writtenDay(end), isPast: end < today, isByOpening: end < closedEnd };
    }),
  );
  return {
    id: batchId,
    code: batch.code,
    name: shownFormulaName(batch.formula.name),
    made: writtenDay(batch.startedAt),
    containers,
    lots: lots.map(({ facts, ...lot }) => ({ ...lot, slug: facts.slug, name: shownMaterial(facts).name })),
  };
}

export type OpenWhereabouts = Awaited<ReturnType<typeof openWhereabouts>>;

import { batchState, fillingOf, isRunning, storedPlan, emptyShelf } from "@tensidrum/core/process";
import { listFillable } from "../../db/batches/queries.server";
import { currentMakerId, database } from "../../db/workplace.server";
import { askedFor, partOf } from "../frame/listParts.server";
import { writtenMoment, writtenUntil } from "../frame/dates.server";

const MOST = 12;

/** Batches that rest, that may be filled, and that were: each with how far its filling is. */
export async function openFill(behind = "") {
  const now = new Date().toISOString();
  const found = await listFillable(database(), currentMakerId(), { most: askedFor(MOST), behind });
  const { shown: rows, older } = partOf(found, MOST);
  const batches = rows.flatMap(({ entries, formula, steps, ...row }) => {
    const plan = storedPlan({ formula, steps }, emptyShelf);
    const state = batchState(plan, entries);
    const isMade = state.finished !== null || state.steps.every(({ step, state: of }) => of !== "open" || step.code === "fill");
    if (!isMade || state.finished?.isDiscarded === true) return [];
    const rests = state.waits.filter((wait) => isRunning(wait, now)).map(({ until }) => until);
    const { rows: containers, toFillGrams, isYieldKnown, leftGrams, next } = fillingOf(plan, state);
    const filled = containers.reduce((sum, { filled: ones }) => sum + ones.length, 0);
    const planned = containers.reduce((sum, { count, filled: ones }) => sum + Math.max(count, ones.length), 0);
    const counted = state.standing.flatMap((entry) => (entry.kind === "filled" ? [`${entry.count} × ${entry.container}`] : []));
    return [
      {
        ...{ id: row.id, code: row.code, name: formula.name, begun: writtenMoment(row.startedAt) },
        ...{ toFillGrams, isYieldKnown, leftGrams, filled, planned, counted },
        restsUntil: rests.length === 0 ? null : writtenUntil(rests.toSorted().at(-1) ?? now),
        isThrough: (filled > 0 && next === null) || (filled === 0 && counted.length > 0),
      },
    ];
  });
  return {
    waiting: batches.filter(({ isThrough }) => !isThrough),
    filled: batches.filter(({ isThrough }) => isThrough),
    older,
    isNewest: behind === "",
  };
}

export type OpenFill = Awaited<ReturnType<typeof openFill>>;

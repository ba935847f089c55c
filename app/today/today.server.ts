import { profileOf, shownFormulaName } from "@tensidrum/core/formula";
import { charges } from "@tensidrum/core/library";
import { writtenMass } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../db/workplace.server";
import { countFormulas, listFormulas } from "../../db/formulas/queries.server";
import { listToDiscard } from "../../db/inventory/queries.server";
import { listDueChecks } from "../../db/watch/queries.server";
import { group, whole } from "../frame/fields.server";
import type { PairingDesk } from "../frame/requestContext.server";
import { restsNow } from "../frame/restingBatches.server";
import { here, isoToday, writtenDay } from "../frame/dates.server";

const PAGE = 30;
const MOST_CHECKS = 12;
const FINDINGS_SHOWN = 2;

/** The home board: formulas, newest change first, with what must be fixed in each. Nothing is recomputed here. */
export async function openToday(page: number, desk: PairingDesk | null) {
  const db = database();
  const makerId = currentMakerId();
  const [rows, total, batches, discards, checks] = await Promise.all([
    listFormulas(db, makerId, { limit: PAGE, offset: (page - 1) * PAGE }),
    countFormulas(db, makerId),
    restsNow(),
    listToDiscard(db, makerId, isoToday()),
    listDueChecks(db, makerId, MOST_CHECKS),
  ]);
  const now = here();
  return {
    day: now.format("D"),
    weekday: now.format("dddd"),
    month: now.format("MMMM YYYY"),
    page,
    pages: Math.max(1, Math.ceil(total / PAGE)),
    total,
    batches,
    checks: checks
      .filter(({ dueOn }) => dueOn <= isoToday())
      .map(({ id, batchId, storage, title, code, dueOn }) => ({ id, batchId, storage, title, code, isLate: dueOn < isoToday() })),
    discards: discards.map(({ id, slug, name, code, endsOn }) => ({
      id,
      slug,
      name,
      code,
      since: endsOn === null ? "" : writtenDay(endsOn),
    })),
    lan: desk === null ? null : lanOf(desk),
    newIds: { formulaId: crypto.randomUUID(), versionId: crypto.randomUUID(), waterLineId: crypto.randomUUID() },
    formulas: rows.map((row) => {
      const profile = profileOf(row.profile);
      return {
        id: row.id,
        name: shownFormulaName(row.name),
        number: row.number,
        isDraft: row.state === "draft",
        profile: profile?.name ?? row.profile,
        window: profile?.activePercent ?? { low: 0, high: 100 },
        actives: charges.map((charge) => ({ charge, percent: row.byCharge[charge] })),
        batch: writtenMass(row.batchGrams),
        activePercent: row.activePercent,
        lineCount: row.lineCount,
        counts: { stops: row.stopCount, fixes: row.fixCount, considers: row.considerCount },
        findings: row.findings
          .filter(({ severity }) => severity !== "consider")
          .slice(0, FINDINGS_SHOWN)
          .map(({ code, severity, what, cure }) => ({ code, severity, what, cure })),
        changed: here(row.updatedAt).isSame(now, "day") ? `today ${here(row.updatedAt).format("HH:mm")}` : writtenDay(row.updatedAt),
      };
    }),
  };
}

export type TodayBoard = Awaited<ReturnType<typeof openToday>>;

/** Which page of the formulas. */
export const todayQuestions = group({ page: whole(1, 100_000).default(1) });

/** How a device gets in, for the first screen. */
function lanOf({ code, addresses, wrong, lastWrong, devices }: PairingDesk) {
  return { code, addresses, wrong, lastWrong, devices: devices.length };
}

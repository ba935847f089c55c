import { profileOf, shownFormulaName } from "@tensidrum/core/formula";
import { charges } from "@tensidrum/core/library";
import { written, writtenMass } from "@tensidrum/core/quantities";
import { currentMakerId, database, rightNow } from "../../db/workplace.server";
import { countFormulas, listFormulas } from "../../db/formulas/queries.server";
import { listToDiscard } from "../../db/inventory/queries.server";
import { choice, group } from "../frame/fields.server";
import type { PairingDesk } from "../frame/requestContext.server";
import { askedFor, partOf } from "../frame/listParts.server";
import { here, isoToday, isToday, momentOf, writtenDay } from "../frame/dates.server";
import { openAgenda, openUrgent, type AgendaItem } from "./agenda.server";

const PAGE = 12;
const MOST_CHECKS = 6;
const MOST_ROWS = 7;
const FINDINGS_SHOWN = 2;

/** The home board: formulas, newest change first, with what must be fixed in each. Nothing is recomputed here. */
export async function openToday(behind: string, desk: PairingDesk | null) {
  const db = database();
  const makerId = currentMakerId();
  const [found, total, discards, agenda, urgent] = await Promise.all([
    listFormulas(db, makerId, { most: askedFor(PAGE), behind }),
    countFormulas(db, makerId),
    listToDiscard(db, makerId, isoToday()),
    openAgenda(),
    openUrgent(),
  ]);
  const { shown: rows, older } = partOf(found, PAGE);
  const moment = rightNow();
  const now = here(moment);
  const { batches, items } = agenda;
  const checks = agenda.checks.filter(({ dueOn }) => dueOn <= isoToday());
  const { lastPh, calibratedDaysAgo, room, ...pressing } = urgent;
  return {
    day: now.format("D"),
    weekday: now.format("dddd"),
    month: now.format("MMMM YYYY"),
    older,
    isNewest: behind === "",
    total,
    batches,
    ...pressing,
    // Only who is to look at something today needs a meter and a room for it.
    ...(checks.length > 0 ? { calibratedDaysAgo, room } : { calibratedDaysAgo: null, room: null }),
    clock: now.format("HH:mm"),
    now: moment.getTime(),
    offset: now.valueOf() - moment.getTime(),
    ...daysAhead(),
    coming: comingRows(items, new Set(pressing.alarms.flatMap(({ formulaId }) => formulaId ?? [])), (formulaId) => {
      const row = rows.find(({ id }) => id === formulaId);
      const read = lastPh.get(formulaId);
      if (read !== undefined) return { value: read.ph, unit: `pH, ${read.at}` };
      return row === undefined ? null : { value: written(row.activePercent, 2), unit: "% active" };
    }),
    checks: checks
      .slice(0, MOST_CHECKS)
      .map(({ id, batchId, storage, title, code, dueOn }) => ({ id, batchId, storage, title, code, isLate: dueOn < isoToday() })),
    finishedToday: pressing.finishedToday.map((batch) => {
      const next = items.find(({ kind, batchId }) => kind === "look" && batchId === batch.id);
      return { ...batch, next: next === undefined ? null : { words: next.words, day: here(next.on).format("ddd D MMM"), to: next.to } };
    }),
    moreChecks: Math.max(0, checks.length - MOST_CHECKS),
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
        changed: isToday(row.updatedAt) ? `today ${here(row.updatedAt).format("HH:mm")}` : writtenDay(row.updatedAt),
      };
    }),
  };
}

export type TodayBoard = Awaited<ReturnType<typeof openToday>>;

type Figure = { readonly value: string; readonly unit: string } | null;

/** The coming days of each formula, and of the shelf below them. */
function comingRows(items: readonly AgendaItem[], alarmed: ReadonlySet<string>, figureOf: (formulaId: string) => Figure) {
  const ids = [...new Set(items.map(({ formulaId }) => formulaId))];
  const rows = ids.map((formulaId) => {
    const own = items.filter((item) => item.formulaId === formulaId);
    const rest = own.find(({ kind }) => kind === "rest");
    const late = own.filter(({ kind, isLate }) => kind === "look" && isLate);
    const isAlarm = formulaId !== null && alarmed.has(formulaId);
    const overdue = late.length === 0 ? "" : late.length === 1 ? "a look was due" : `${late.length} looks were due`;
    const buying = own.some(({ kind }) => kind === "buy") ? "something to buy" : "";
    const state = isAlarm ? "its readings alarm" : (rest?.words ?? (overdue || buying));
    const lots = own.filter(({ kind }) => kind === "lot").length;
    return {
      ...{ key: formulaId ?? "shelf", name: own[0]?.name ?? "", to: formulaId === null ? "/shelf" : `/sheet/${formulaId}`, state, isAlarm },
      figure:
        formulaId !== null ? figureOf(formulaId) : lots === 0 ? null : { value: String(lots), unit: lots === 1 ? "lot ends" : "lots end" },
      restsUntil: rest?.at ?? null,
      events: own.map(({ key, at, words, detail, to, isLate, on }) => ({
        key,
        at,
        words,
        detail,
        to,
        isLate,
        day: here(on).format("ddd D MMM"),
      })),
    };
  });
  return [...rows.filter(({ key }) => key !== "shelf").slice(0, MOST_ROWS), ...rows.filter(({ key }) => key === "shelf")];
}

/** Beginnings of the next days and months where the reader is. */
function daysAhead() {
  const today = here().startOf("day");
  const days = [1, 2, 3, 4, 5].map((ahead) => today.add(ahead, "day"));
  const months = [1, 2, 3].map((ahead) => today.startOf("month").add(ahead, "month"));
  return {
    days: days.map((day) => ({ at: momentOf(day).getTime(), name: day.format("ddd D") })),
    months: months.map((month) => ({ at: momentOf(month).getTime(), name: month.format("MMMM") })),
  };
}

/** How a newcomer begins. */
export const todayForm = group({ intent: choice(["first", "demo"]) });

/** How a device gets in, for the first screen. */
function lanOf({ code, addresses, wrong, lastWrong, devices }: PairingDesk) {
  return { code, addresses, wrong, lastWrong, devices: devices.length };
}

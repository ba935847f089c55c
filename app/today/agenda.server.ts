import { shownFormulaName } from "@tensidrum/core/formula";
import { standingEntries } from "@tensidrum/core/process";
import { unanswered, watchedAlarms, type WatchStart } from "@tensidrum/core/stability";
import { READ_AT_C, written, writtenMass } from "@tensidrum/core/quantities";
import { lastCalibratedAt, listFinishedSince, listLastPhReadings } from "../../db/batches/queries.server";
import { listEndingLots } from "../../db/inventory/queries.server";
import { listPlannedBatches } from "../../db/planning/queries.server";
import { lastRoomSince, listAnsweredAlarms, listDueChecks, listLooksOf, listWatchedSince } from "../../db/watch/queries.server";
import { sampleLook } from "../../db/watch/sampleLook";
import { currentMakerId, database, rightNow } from "../../db/workplace.server";
import { here, isoDay, isoToday, isToday, momentOf } from "../frame/dates.server";
import { lookedAhead } from "../frame/lookedAhead.server";
import { restsNow } from "../frame/restingBatches.server";

const [MOST_CHECKS, MOST_BATCHES, MOST_LOTS] = [120, 40, 40];
const DAY = 86_400_000;
/** How far ahead one looks, days. */
const AHEAD_DAYS = 100;
/** An alarm of the bottles leads the day this long, and a batch that waits for its bottles. Ours. */
const [ALARM_DAYS, FILL_DAYS] = [28, 14];
/** A meter that was not calibrated for this long is calibrated before it is read. Ours. */
const CALIBRATED_DAYS = 7;
/** What a planned batch lacks is bought this long before its day: a parcel takes a week. Ours. */
const PARCEL_DAYS = 7;
/** Planned batches that are looked at for what they lack, the soonest first. */
const MOST_PLANS = 12;
const NAMES_TOLD = 3;

export type AgendaKind = "rest" | "make" | "look" | "lot" | "buy";

/** One thing of the coming days. */
export interface AgendaItem {
  readonly key: string;
  readonly kind: AgendaKind;
  /** ISO day, or a moment of it. */
  readonly on: string;
  readonly at: number;
  readonly words: string;
  readonly detail: string;
  readonly to: string;
  readonly isLate: boolean;
  /** The batch it is to be done with; null where there is none yet. */
  readonly batchId: string | null;
  /** Whose it is; null: the shelf's. */
  readonly formulaId: string | null;
  readonly name: string;
}

/** Beginning of a calendar day where the reader is, but not before now. */
function beginningOf(day: string): number {
  return Math.max(momentOf(here(day)).getTime(), rightNow().getTime());
}

/** Everything that falls on a day: rests, looks, planned batches, lots that end; the soonest first. */
export async function openAgenda() {
  const [db, makerId, today] = [database(), currentMakerId(), isoToday()];
  const until = here().add(AHEAD_DAYS, "day").format("YYYY-MM-DD");
  const [batches, checks, plans, ending] = await Promise.all([
    restsNow(),
    listDueChecks(db, makerId, MOST_CHECKS),
    listPlannedBatches(db, makerId),
    listEndingLots(db, makerId, { from: today, until }, MOST_LOTS),
  ]);
  const near = plans.filter(({ plannedOn }) => plannedOn <= until).slice(0, MOST_PLANS);
  const items: AgendaItem[] = [
    ...(await shopping(near, today)),
    ...batches.flatMap(({ id, code, name, formulaId, rests }) =>
      rests.slice(-1).map(({ text, untilAt, until: written }) => ({
        ...{ key: `rest ${id}`, kind: "rest" as const, on: isoDay(untilAt), at: Date.parse(untilAt), isLate: false },
        ...{
          words: `rests until ${written}`,
          detail: `${code}: ${text.toLowerCase()}`,
          to: `/bench/${id}`,
          batchId: id,
          formulaId,
          name: shownFormulaName(name),
        },
      })),
    ),
    ...checks
      .filter(({ dueOn }) => dueOn <= until)
      .map(({ id, batchId, storage, title, dueOn, code, name, formulaId }) => ({
        ...{ key: `look ${id}`, kind: "look" as const, on: dueOn, at: beginningOf(dueOn), isLate: dueOn < today },
        ...{ words: `look: ${title.toLowerCase()}`, detail: `${code}, ${storage}`, to: `/watch/${batchId}?sample=${storage}` },
        ...{ batchId, formulaId, name: shownFormulaName(name) },
      })),
    ...plans
      .filter(({ plannedOn }) => plannedOn <= until)
      .map(({ id, plannedOn, grams, name, number, formulaId, state }) => ({
        ...{ key: `make ${id}`, kind: "make" as const, on: plannedOn, at: beginningOf(plannedOn), isLate: plannedOn < today },
        ...{ words: `make ${writtenMass(grams)}`, detail: `v${number}`, batchId: null, formulaId, name: shownFormulaName(name) },
        to: state === "final" ? `/bench/begin/${formulaId}/${number}?grams=${grams}&plan=${id}` : "/shelf/outlook",
      })),
    ...ending.map(({ id, slug, name, code, leftGrams, endsOn }) => ({
      ...{ key: `lot ${id}`, kind: "lot" as const, on: endsOn ?? today, at: beginningOf(endsOn ?? today), isLate: false },
      ...{
        words: `${name} ends`,
        detail: `lot ${code}, ${writtenMass(leftGrams)}`,
        to: `/shelf/${slug}`,
        batchId: null,
        formulaId: null,
        name: "Shelf",
      },
    })),
  ];
  return { batches, checks, items: items.sort((a, b) => a.at - b.at) };
}

/** What to buy for what is planned: one row for each day something is needed on. */
async function shopping(plans: Awaited<ReturnType<typeof listPlannedBatches>>, today: string): Promise<AgendaItem[]> {
  if (plans.length === 0) return [];
  const { found, named } = await lookedAhead(plans);
  const days = [...new Set(found.toBuy.map(({ neededOn }) => neededOn))];
  return days.map((neededOn) => {
    const names = found.toBuy.filter((one) => one.neededOn === neededOn).map(({ material }) => named(material).name);
    const parcel = here(neededOn).subtract(PARCEL_DAYS, "day").format("YYYY-MM-DD");
    const on = parcel < today ? today : parcel;
    const more = names.length - NAMES_TOLD;
    return {
      ...{
        key: `buy ${neededOn}`,
        kind: "buy",
        on,
        at: beginningOf(on),
        isLate: false,
        to: "/shelf/shopping",
        batchId: null,
        formulaId: null,
      },
      ...{ name: "Shelf", words: `buy for ${here(neededOn).format("ddd D MMM")}` },
      detail: `${names.slice(0, NAMES_TOLD).join(", ")}${more > 0 ? ` and ${more} more` : ""}`,
    };
  });
}

/** What asks for something at once: alarms of bottles that are out, batches that wait for theirs, a meter to calibrate. */
export async function openUrgent() {
  const [db, makerId, now] = [database(), currentMakerId(), rightNow().getTime()];
  const [watched, finished, calibrated, room] = await Promise.all([
    listWatchedSince(db, makerId, new Date(now - AHEAD_DAYS * DAY), MOST_BATCHES),
    listFinishedSince(db, makerId, new Date(now - FILL_DAYS * DAY), MOST_BATCHES),
    lastCalibratedAt(db, makerId),
    lastRoomSince(db, makerId, momentOf(here().startOf("day"))),
  ]);
  const ids = watched.map(({ id }) => id);
  const recent = watched.filter(({ lastLookAt }) => now - lastLookAt.getTime() <= ALARM_DAYS * DAY);
  const mayAlarm = recent.map(({ id }) => id);
  const [looks, readings, answers] = await Promise.all([
    listLooksOf(db, makerId, ids),
    listLastPhReadings(db, makerId, mayAlarm),
    listAnsweredAlarms(db, makerId, mayAlarm),
  ]);
  const alarms = recent.toReversed().flatMap(({ id: batchId, code, formulaId, name, bottles, madeAt, lastLookAt }) => {
    const own = looks.filter((look) => look.batchId === batchId);
    const entries = standingEntries(readings.filter((row) => row.batchId === batchId).map(({ entry }) => entry));
    const ph = entries.findLast((entry) => entry.kind === "ph-read");
    const start: WatchStart = { ph: ph?.kind === "ph-read" ? ph.ph : null, viscosity: null };
    const found = unanswered(
      watchedAlarms(
        start,
        own.map((look) => sampleLook(look, madeAt)),
        "room",
      ),
      answers.filter((answer) => answer.batchId === batchId),
      lastLookAt,
    );
    const [worst] = [...found].sort((a, b) => Number(b.discard) - Number(a.discard));
    if (worst === undefined) return [];
    return [{ batchId, code, formulaId, name: shownFormulaName(name), bottles, text: worst.text, discard: worst.discard }];
  });
  const formulaOf = new Map(watched.map(({ id, formulaId }) => [id, formulaId]));
  const lastPh = new Map(
    looks.flatMap((look) => {
      const formulaId = formulaOf.get(look.batchId) ?? null;
      return look.ph === null || formulaId === null ? [] : [[formulaId, look] as const];
    }),
  );
  const days = calibrated === null ? null : Math.floor((now - calibrated.getTime()) / DAY);
  return {
    alarms: alarms.sort((a, b) => Number(b.discard) - Number(a.discard)),
    finishedToday: finished
      .filter(({ finishedAt }) => finishedAt !== null && isToday(finishedAt))
      .map(({ id, code, name }) => ({ id, code, name: shownFormulaName(name) })),
    toFill: finished.filter(({ containers }) => containers === 0).map(({ id, code, name }) => ({ id, code, name: shownFormulaName(name) })),
    /** Days since the meter was calibrated, where that is long ago; null where nothing is to be said. */
    calibratedDaysAgo: days !== null && days >= CALIBRATED_DAYS ? days : null,
    /** The bench room as it was told today, where readings in it would not compare; null else. */
    room:
      room !== null && (room.roomC < READ_AT_C.low || room.roomC > READ_AT_C.high)
        ? { degrees: written(room.roomC, 1), at: here(room.at).format("HH:mm") }
        : null,
    lastPh: new Map(
      [...lastPh].map(([formulaId, { ph, lookedAt }]) => [formulaId, { ph: written(ph ?? 0, 2), at: here(lookedAt).format("D MMM") }]),
    ),
  };
}

import { shownFormulaName } from "@tensidrum/core/formula";
import { standingEntries, type BatchEntry } from "@tensidrum/core/process";
import {
  storages,
  unanswered,
  watchedAlarms,
  watchedReadings,
  watchedShelfLife,
  wayOn,
  type Storage,
  type WatchStart,
} from "@tensidrum/core/stability";
import { Refusal } from "@tensidrum/core/quantities";
import { findBatch, listEntries, listFilledContainers } from "../../db/batches/queries.server";
import { sampleLook } from "../../db/watch/sampleLook";
import {
  findCheckPhoto,
  lastRoomSince,
  listAnsweredAlarms,
  listChecks,
  listDueChecks,
  listPlannedChecks,
  listWatchable,
} from "../../db/watch/queries.server";
import { currentMakerId, database } from "../../db/workplace.server";
import { daysBetween, here, isoToday, momentOf, writtenMoment, writtenShortDay } from "../frame/dates.server";
import type { DueCheck } from "../frame/dueChecks/newlyDue";
import { askedFor, partOf } from "../frame/listParts.server";
import { photoAnswer } from "../frame/photo.server";

/** Batches of a part of the list, looks of the list, and looks a page that stays open is told of. */
const [MOST, MOST_LOOKS, MOST_DUE] = [24, 40, 60];
/** Looks that are told at once, the newest. */
const TOLD = 40;

/** What is to be looked at, and the batches that are watched or might be. */
export async function openWatchList(behind = "") {
  const [db, makerId] = [database(), currentMakerId()];
  const today = isoToday();
  const [looks, found] = await Promise.all([
    listDueChecks(db, makerId, askedFor(MOST_LOOKS)),
    listWatchable(db, makerId, { most: askedFor(MOST), behind }),
  ]);
  const { shown: batches, older } = partOf(found, MOST);
  const told = looks.slice(0, MOST_LOOKS).map(({ dueOn, name, ...one }) => ({
    ...one,
    name: shownFormulaName(name),
    day: here(dueOn).format("ddd D MMM"),
    isDue: dueOn <= today,
    isLate: dueOn < today,
  }));
  return {
    due: told.filter(({ isDue }) => isDue),
    coming: told.filter(({ isDue }) => !isDue),
    hasMoreLooks: looks.length > MOST_LOOKS,
    watched: batches.filter(({ planned }) => planned > 0).map((batch) => ({ ...batch, name: shownFormulaName(batch.name) })),
    others: batches.filter(({ planned }) => planned === 0).map((batch) => ({ ...batch, name: shownFormulaName(batch.name) })),
    older,
    isNewest: behind === "",
  };
}

export type OpenWatchList = Awaited<ReturnType<typeof openWatchList>>;

/** The last pH and thickness of the bench: what a batch begins with. */
export function startOf(entries: readonly BatchEntry[]): WatchStart {
  const standing = standingEntries(entries);
  const ph = standing.findLast((entry) => entry.kind === "ph-read");
  const thickness = standing.findLast((entry) => entry.kind === "thickness-read" && entry.unit === "Pa·s");
  return { ph: ph?.kind === "ph-read" ? ph.ph : null, viscosity: thickness?.kind === "thickness-read" ? thickness.viscosity : null };
}

type Look = Awaited<ReturnType<typeof listChecks>>[number];

/** What was seen last of a sample, each reading for itself; what nobody noted is left open. */
function lastOf(storage: Storage, rows: readonly Look[]) {
  const own = rows.filter((row) => row.storage === storage);
  const last = <Key extends "ph" | "viscosity" | "sedimentMm">(key: Key) => own.findLast((row) => row[key] !== null)?.[key] ?? null;
  const word = (key: "clarity" | "colour" | "smell"): string => own.findLast((row) => row[key] !== "")?.[key] ?? "";
  const readings = { ph: last("ph"), viscosity: last("viscosity"), sedimentMm: last("sedimentMm") };
  return { storage, isLooked: own.length > 0, ...readings, clarity: word("clarity"), colour: word("colour"), smell: word("smell") };
}

interface WatchQuestions {
  readonly sample: Storage | "";
  readonly looks: "" | "all";
}

/** One batch that is watched: its readings over the days, where they go, and what is to be looked at next. */
export async function openWatch(batchId: string, { sample: asked, looks: told }: WatchQuestions = { sample: "", looks: "" }) {
  const [db, makerId] = [database(), currentMakerId()];
  const batch = await findBatch(db, makerId, batchId);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not here.", "Go to Watch and look for it there.");
  const [planned, rows, entries, containers, answers, room] = await Promise.all([
    listPlannedChecks(db, makerId, batchId),
    listChecks(db, makerId, batchId),
    listEntries(db, makerId, batchId),
    listFilledContainers(db, makerId, [batchId]),
    listAnsweredAlarms(db, makerId, [batchId]),
    lastRoomSince(db, makerId, momentOf(here().startOf("day"))),
  ]);
  const made = batch.finishedAt ?? batch.startedAt;
  const start = startOf(entries.map(({ entry }) => entry));
  const looks = rows.map((row) => sampleLook(row, made));
  const samples = storages.filter(
    (storage) => planned.some((one) => one.storage === storage) || rows.some((one) => one.storage === storage),
  );
  const open = planned.filter(({ checkId, skippedBecause }) => checkId === null && skippedBecause === "");
  const sample = asked !== "" ? asked : (open[0]?.storage ?? samples[0] ?? "room");
  const days = [...new Set(planned.map(({ dueOn }) => daysBetween(made, dueOn)))].sort((a, b) => a - b);
  const readings = watchedReadings(start, looks, samples);
  const found = watchedAlarms(start, looks, sample);
  const alarms = unanswered(found, answers, rows.at(-1)?.lookedAt ?? null);
  return {
    id: batchId,
    newId: crypto.randomUUID(),
    today: isoToday(),
    /** What the bench room had at the last look of today, °C. */
    roomC: room?.roomC ?? null,
    code: batch.code,
    name: shownFormulaName(batch.formula.name),
    made: writtenShortDay(made),
    isFinished: batch.finishedAt !== null,
    /** Days since it was made, for instruments that are not there. */
    age: Math.max(0, (Date.now() - made.getTime()) / 86_400_000),
    start,
    /** Colour of the first photo. */
    firstLab: looks.find(({ lab }) => lab !== null)?.lab ?? null,
    samples,
    sample,
    days,
    readings: readings
      .map((reading) => ({ of: reading.of, series: reading.series, band: reading.band, on: wayOn(reading, sample) }))
      .filter(({ of, band }) => of === "ph" || of === "viscosity" || band !== null),
    alarms,
    /** Alarms the maker answered, with what was said. */
    answered: found
      .filter((alarm) => !alarms.includes(alarm))
      .flatMap(({ what, text }) =>
        answers
          .filter((answer) => answer.what === what)
          .map(({ because, answeredAt }) => ({ what, text, because, on: writtenShortDay(answeredAt) })),
      ),
    shelfLife: watchedShelfLife(readings),
    open: open.map(({ id, storage, title, dueOn }) => ({ id, storage, title, dueOn })),
    planned: planned.map((one) => ({ ...one, day: here(one.dueOn).format("ddd D MMM YYYY"), isLate: one.dueOn < isoToday() })),
    last: samples.map((storage) => lastOf(storage, rows)),
    count: rows.length,
    looks: rows
      .map((row, at) => ({ ...row, day: Math.round(looks[at]?.day ?? 0) }))
      .toReversed()
      .slice(0, told === "all" ? undefined : TOLD)
      .map((row) => ({ ...row, at: writtenMoment(row.lookedAt) })),
    containers: alarms.some(({ discard }) => discard) ? containers.map(({ count, name, toWhom }) => ({ count, name, toWhom })) : [],
  };
}

export type OpenWatch = Awaited<ReturnType<typeof openWatch>>;

/** The photo of a check. */
export async function checkPhoto(checkId: string): Promise<Response> {
  const photo = await findCheckPhoto(database(), currentMakerId(), checkId);
  if (photo === undefined) throw new Refusal("not-found", "This photo is not here.", "Go back to the batch.");
  return photoAnswer(photo.picture);
}

/** What is due now, for pages that stay open. */
export async function dueNow(): Promise<{ readonly due: readonly DueCheck[] }> {
  const today = isoToday();
  const rows = await listDueChecks(database(), currentMakerId(), MOST_DUE);
  const due = rows.filter(({ dueOn }) => dueOn <= today);
  return { due: due.map(({ id, batchId, storage, title, code }) => ({ id, batchId, storage, words: `${code}: ${title}, ${storage}` })) };
}

import { shownFormulaName } from "@tensidrum/core/formula";
import { standingEntries, type BatchEntry } from "@tensidrum/core/process";
import {
  ageingFactor,
  alarmDays,
  checkCalendar,
  driftOf,
  MOST_PH,
  MOST_VISCOSITY,
  storages,
  trendAt,
  trendOf,
  type SpoilSign,
  type Ageing,
  type Storage,
  type Trend,
} from "@tensidrum/core/stability";
import { Refusal } from "@tensidrum/core/quantities";
import { findBatch, listEntries, listFilledContainers } from "../../db/batches/queries.server";
import { listChecks, listDueChecks, listPlannedChecks, listWatchable } from "../../db/watch/queries.server";
import { currentMakerId, database } from "../../db/workplace.server";
import { here, isoToday, writtenMoment, writtenShortDay } from "../frame/dates.server";

const MOST = 60;
/** Repeated readings of the same scatter so much: pH, and a part of the thickness. Ours, for a bench meter and a flow cup. */
const SCATTER = { ph: 0.03, viscosity: 0.05 } as const;
/** Trends are followed two years and no further. */
const UNTIL_DAYS = 730;

/** What is to be looked at, and the batches that are watched or might be. */
export async function openWatchList() {
  const [db, makerId] = [database(), currentMakerId()];
  const today = isoToday();
  const [due, batches] = await Promise.all([listDueChecks(db, makerId, MOST), listWatchable(db, makerId, MOST)]);
  const told = due.map(({ dueOn, name, ...one }) => ({
    ...one,
    name: shownFormulaName(name),
    day: here(dueOn).format("ddd D MMM"),
    isDue: dueOn <= today,
    isLate: dueOn < today,
  }));
  return {
    due: told.filter(({ isDue }) => isDue),
    coming: told.filter(({ isDue }) => !isDue),
    watched: batches.filter(({ planned }) => planned > 0).map((batch) => ({ ...batch, name: shownFormulaName(batch.name) })),
    others: batches.filter(({ planned }) => planned === 0).map((batch) => ({ ...batch, name: shownFormulaName(batch.name) })),
  };
}

export type OpenWatchList = Awaited<ReturnType<typeof openWatchList>>;

/** The last pH and thickness of the bench: what a batch begins with. */
function startOf(entries: readonly BatchEntry[]): { readonly ph: number | null; readonly viscosity: number | null } {
  const standing = standingEntries(entries);
  const ph = standing.findLast((entry) => entry.kind === "ph-read");
  const thickness = standing.findLast((entry) => entry.kind === "thickness-read" && entry.unit === "Pa·s");
  return { ph: ph?.kind === "ph-read" ? ph.ph : null, viscosity: thickness?.kind === "thickness-read" ? thickness.viscosity : null };
}

type Look = Awaited<ReturnType<typeof listChecks>>[number];
type Read = "ph" | "viscosity";

/** One batch that is watched: its readings over the days, where they go, and what is to be looked at next. */
export async function openWatch(batchId: string, asked: Storage | "") {
  const [db, makerId] = [database(), currentMakerId()];
  const batch = await findBatch(db, makerId, batchId);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not here.", "Go to Watch and look for it there.");
  const [planned, looks, entries, containers] = await Promise.all([
    listPlannedChecks(db, makerId, batchId),
    listChecks(db, makerId, batchId),
    listEntries(db, makerId, batchId),
    listFilledContainers(db, makerId, [batchId]),
  ]);
  const made = batch.finishedAt ?? batch.startedAt;
  const dayOf = (at: Date): number => Math.max(0, (at.getTime() - made.getTime()) / 86_400_000);
  const start = startOf(entries.map(({ entry }) => entry));
  const samples = storages.filter(
    (storage) => planned.some((one) => one.storage === storage) || looks.some((one) => one.storage === storage),
  );
  const open = planned.filter(({ checkId, skippedBecause }) => checkId === null && skippedBecause === "");
  const sample = asked !== "" ? asked : (open[0]?.storage ?? samples[0] ?? "room");
  const days = [...new Set(planned.map(({ dueOn }) => here(dueOn).startOf("day").diff(here(made).startOf("day"), "day")))].sort(
    (a, b) => a - b,
  );
  const readings = (["ph", "viscosity"] as const).map((of) => readingOf(of, { start: start[of], looks, samples, sample, dayOf }));
  const own = looks.filter(({ storage }) => storage === sample);
  const signs = looks.flatMap((one) => one.signs as SpoilSign[]);
  return {
    id: batchId,
    newId: crypto.randomUUID(),
    today: isoToday(),
    code: batch.code,
    name: shownFormulaName(batch.formula.name),
    made: writtenShortDay(made),
    isFinished: batch.finishedAt !== null,
    samples,
    sample,
    days,
    readings,
    alarms: alarmsOf({ start, looks: own, all: signs }),
    shelfLife: shelfLifeOf(readings),
    next: open.find((one) => one.storage === sample) ?? null,
    planned: planned.map((one) => ({ ...one, day: here(one.dueOn).format("ddd D MMM YYYY"), isLate: one.dueOn < isoToday() })),
    last: own.at(-1) ?? null,
    looks: looks.toReversed().map((one) => ({ ...one, at: writtenMoment(one.lookedAt), day: Math.round(dayOf(one.lookedAt)) })),
    containers: signs.length === 0 ? [] : containers.map(({ count, name, toWhom }) => ({ count, name, toWhom })),
  };
}

export type OpenWatch = Awaited<ReturnType<typeof openWatch>>;

interface ReadingOptions {
  readonly start: number | null;
  readonly looks: readonly Look[];
  readonly samples: readonly Storage[];
  readonly sample: Storage;
  readonly dayOf: (at: Date) => number;
}

/** One reading of every sample over the days, with its bounds and where the sample looked at is going. */
function readingOf(of: Read, { start, looks, samples, sample, dayOf }: ReadingOptions) {
  const pointsOf = (storage: Storage) => [
    ...(start === null ? [] : [{ day: 0, value: start }]),
    ...looks.flatMap((look) => (look.storage === storage && look[of] !== null ? [{ day: dayOf(look.lookedAt), value: look[of] }] : [])),
  ];
  const series = samples.map((storage) => ({ storage, points: pointsOf(storage) }));
  const first = start ?? looks.find((look) => look[of] !== null)?.[of] ?? null;
  const band =
    first === null
      ? null
      : of === "ph"
        ? { low: first - MOST_PH, high: first + MOST_PH }
        : { low: first * (1 - MOST_VISCOSITY), high: first * (1 + MOST_VISCOSITY) };
  const trendFor = (storage: Storage): Trend | null =>
    trendOf(pointsOf(storage), of === "ph" ? SCATTER.ph : SCATTER.viscosity * (first ?? 1));
  const trend = trendFor(sample);
  const from = pointsOf(sample).at(-1)?.day ?? 0;
  return {
    of,
    series,
    band,
    trend:
      trend === null ? null : Array.from({ length: 60 }, (_, at) => from + (at * 84) / 59).map((day) => ({ day, ...trendAt(trend, day) })),
    kind: trend?.kind ?? null,
    meets: trend === null || band === null ? null : alarmDays(trend, band, { from, until: UNTIL_DAYS }),
    from,
    room: trendFor("room"),
    warm: trendFor("warm"),
  };
}

/** What has moved too far in the sample looked at, and any sign of spoiling in any of them. */
function alarmsOf({ start, looks, all }: { start: ReturnType<typeof startOf>; looks: readonly Look[]; all: readonly SpoilSign[] }) {
  const firstOf = (of: Read): number | null => start[of] ?? looks.find((look) => look[of] !== null)?.[of] ?? null;
  const lastOf = (of: Read): number | null => looks.findLast((look) => look[of] !== null)?.[of] ?? null;
  return driftOf(
    { ph: firstOf("ph"), viscosity: firstOf("viscosity"), signs: [] },
    { ph: lastOf("ph"), viscosity: lastOf("viscosity"), signs: [...new Set(all)] },
  );
}

interface ShelfLife {
  readonly of: Read;
  /** Which sample tells it. */
  readonly by: "warm" | "room";
  /** Days; the last null where it may be longer than anybody looks. */
  readonly low: number;
  readonly likely: number;
  readonly high: number | null;
  readonly ageing: Ageing;
}

/** How long it keeps at room temperature by what its samples do: days, from where to where; null while nothing moves. */
function shelfLifeOf(readings: readonly ReturnType<typeof readingOf>[]): ShelfLife | null {
  const found = readings.flatMap(({ of, band, room, warm }): readonly ShelfLife[] => {
    if (band === null) return [];
    const ageing = ageingFactor(room, warm);
    const meets = (trend: Trend | null) => (trend === null ? null : alarmDays(trend, band, { from: 0, until: UNTIL_DAYS }));
    const [slow, fast] = [meets(room), meets(warm)];
    if (fast?.likely != null) {
      const low = (fast.earliest ?? fast.likely) * ageing.low;
      return [
        {
          of,
          by: "warm" as const,
          low,
          likely: fast.likely * ageing.factor,
          high: fast.latest === null ? null : fast.latest * ageing.high,
          ageing,
        },
      ];
    }
    return slow?.likely == null
      ? []
      : [{ of, by: "room" as const, low: slow.earliest ?? slow.likely, likely: slow.likely, high: slow.latest, ageing }];
  });
  return found.toSorted((a, b) => a.likely - b.likely)[0] ?? null;
}

/** The checks a batch usually gets, for the samples that are put aside. */
export async function usualChecks(batchId: string, samples: readonly Storage[]) {
  const batch = await findBatch(database(), currentMakerId(), batchId);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not here.", "Go to Watch and look for it there.");
  const madeOn = here(batch.finishedAt ?? batch.startedAt).format("YYYY-MM-DD");
  return checkCalendar(madeOn, batch.formula.profile).flatMap(({ title, on, samples: of }) =>
    of.filter((storage) => samples.includes(storage)).map((storage) => ({ id: crypto.randomUUID(), storage, title, dueOn: on })),
  );
}

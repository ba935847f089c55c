import { colourDifference, type Lab } from "../appearance/photoColour.ts";
import { ageingFactor, type Ageing } from "./ageing.ts";
import type { Storage } from "./checkCalendar.ts";
import { driftOf, MOST_COLOUR, MOST_PH, MOST_SEDIMENT_MM, MOST_VISCOSITY, type DriftAlarm, type SpoilSign } from "./drift.ts";
import { alarmDays, trendAt, trendOf, type AlarmBand, type AlarmDays, type Trend, type TrendReading } from "./trend.ts";

/** What a batch began with; null what nobody read. */
export interface WatchStart {
  readonly ph: number | null;
  /** Pa·s */
  readonly viscosity: number | null;
}

/** What was seen of a sample on a day. */
export interface SampleLook extends WatchStart {
  readonly storage: Storage;
  /** Since it was made. */
  readonly day: number;
  readonly lab: Lab | null;
  readonly sedimentMm: number | null;
  readonly signs: readonly SpoilSign[];
}

export const watchedKinds = ["ph", "viscosity", "colour", "sediment"] as const;

/** A reading that is followed: pH, Pa·s, ΔE to the first photo, mm. */
export type WatchedKind = (typeof watchedKinds)[number];

/** One reading of every sample over the days. */
export interface WatchedReading {
  readonly of: WatchedKind;
  readonly series: readonly { readonly storage: Storage; readonly points: readonly TrendReading[] }[];
  /** Null while there is nothing to compare with. */
  readonly band: AlarmBand | null;
  /** Of each sample that has one. */
  readonly trends: ReadonlyMap<Storage, Trend>;
}

/** Repeated readings of the same scatter so much; thickness by a part of it. Ours, for a bench meter, a flow cup, a phone and a ruler. */
const SCATTER: Readonly<Record<WatchedKind, number>> = { ph: 0.03, viscosity: 0.05, colour: 0.7, sediment: 0.5 };

/**
 * Every reading of the samples over the days with its bounds and trends. pH and thickness begin with what the batch was made
 * with, colour with the first photo of any sample, and what has settled with nothing.
 */
export function watchedReadings(start: WatchStart, looks: readonly SampleLook[], samples: readonly Storage[]): readonly WatchedReading[] {
  const firstLab = looks.find(({ lab }) => lab !== null)?.lab ?? null;
  const valueOf = (look: SampleLook, of: WatchedKind): number | null => {
    if (of === "colour") return look.lab === null || firstLab === null ? null : colourDifference(firstLab, look.lab);
    return of === "sediment" ? look.sedimentMm : look[of];
  };
  return watchedKinds.map((of) => {
    const begun = of === "ph" || of === "viscosity" ? start[of] : null;
    const series = samples.map((storage) => ({
      storage,
      points: [
        ...(begun === null ? [] : [{ day: 0, value: begun }]),
        ...looks.flatMap((look) => {
          const value = look.storage === storage ? valueOf(look, of) : null;
          return value === null ? [] : [{ day: look.day, value }];
        }),
      ],
    }));
    const first = begun ?? looks.map((look) => valueOf(look, of)).find((value) => value !== null) ?? null;
    const scatter = SCATTER[of] * (of === "viscosity" ? (first ?? 1) : 1);
    const trends = series.flatMap(({ storage, points }) => {
      const trend = trendOf(points, scatter);
      return trend === null ? [] : [[storage, trend] as const];
    });
    return { of, series, band: first === null ? null : bandOf(of, first), trends: new Map(trends) };
  });
}

function bandOf(of: WatchedKind, first: number): AlarmBand {
  if (of === "ph") return { low: first - MOST_PH, high: first + MOST_PH };
  if (of === "viscosity") return { low: first * (1 - MOST_VISCOSITY), high: first * (1 + MOST_VISCOSITY) };
  return { low: null, high: of === "colour" ? MOST_COLOUR : MOST_SEDIMENT_MM };
}

/** Trends are followed two years and no further, days. */
const UNTIL_DAYS = 730;
/** What a picture shows of the way a reading goes on, days. */
const [SHOWN_DAYS, SHOWN_POINTS] = [84, 60];

export interface WayOn {
  /** The day of the last reading. */
  readonly from: number;
  readonly points: readonly { readonly day: number; readonly value: number; readonly low: number; readonly high: number }[];
  readonly meets: AlarmDays;
}

/** Where a reading of one sample goes from its last look on; null where that is not known. */
export function wayOn({ series, band, trends }: WatchedReading, sample: Storage): WayOn | null {
  const trend = trends.get(sample);
  if (trend === undefined || band === null) return null;
  const from = series.find(({ storage }) => storage === sample)?.points.at(-1)?.day ?? 0;
  const days = Array.from({ length: SHOWN_POINTS }, (_, at) => from + (at * SHOWN_DAYS) / (SHOWN_POINTS - 1));
  return {
    from,
    points: days.map((day) => ({ day, ...trendAt(trend, day) })),
    meets: alarmDays(trend, band, { from, until: UNTIL_DAYS }),
  };
}

/**
 * How far each reading of one sample has moved from its first to its last: pH, thickness in % of the first, ΔE, mm. 2.0 Pa·s that
 * became 1.5 have moved by −25. What was read less than twice is left out; what has settled began with nothing.
 */
export function movedSince(
  start: WatchStart,
  looks: readonly SampleLook[],
  sample: Storage,
): Readonly<Partial<Record<WatchedKind, number>>> {
  return Object.fromEntries(
    watchedReadings(start, looks, [sample]).flatMap(({ of, series }) => {
      const points = series[0]?.points ?? [];
      const [first, last] = [of === "sediment" ? { day: 0, value: 0 } : points[0], points.at(-1)];
      if (first === undefined || last === undefined || last.day <= first.day) return [];
      const by = last.value - first.value;
      return [[of, of === "viscosity" ? (100 * by) / first.value : by]];
    }),
  );
}

/** What has moved too far in one sample, and any sign of spoiling in any of them. */
export function watchedAlarms(start: WatchStart, looks: readonly SampleLook[], sample: Storage): readonly DriftAlarm[] {
  const own = looks.filter(({ storage }) => storage === sample);
  const first = <Key extends "ph" | "viscosity">(key: Key) => start[key] ?? own.find((look) => look[key] !== null)?.[key] ?? null;
  const last = <Key extends "ph" | "viscosity" | "lab" | "sedimentMm">(key: Key) =>
    own.findLast((look) => look[key] !== null)?.[key] ?? null;
  const signs = [...new Set(looks.flatMap((look) => look.signs))];
  return driftOf(
    {
      ...{ ph: first("ph"), viscosity: first("viscosity"), signs: [] },
      ...{ lab: looks.find(({ lab }) => lab !== null)?.lab ?? null, sedimentMm: 0 },
    },
    { ph: last("ph"), viscosity: last("viscosity"), lab: last("lab"), sedimentMm: last("sedimentMm"), signs },
  );
}

export interface ShelfLife {
  readonly of: WatchedKind;
  /** Which sample tells it. */
  readonly by: "warm" | "room";
  /** Days; the last null where it may be longer than anybody looks. */
  readonly low: number;
  readonly likely: number;
  readonly high: number | null;
  readonly ageing: Ageing;
}

/**
 * How long it keeps at room temperature by what its samples do: the warm one's days times how much faster it ages, else the room
 * one's own; of several readings the one that ends first. A warm sample that meets its alarm on day 40 and ages four times
 * faster: 160 days. Null while nothing moves.
 */
export function watchedShelfLife(readings: readonly WatchedReading[]): ShelfLife | null {
  const found = readings.flatMap(({ of, band, trends }): readonly ShelfLife[] => {
    if (band === null) return [];
    const [room, warm] = [trends.get("room") ?? null, trends.get("warm") ?? null];
    const ageing = ageingFactor(room, warm);
    const meets = (trend: Trend | null) => (trend === null ? null : alarmDays(trend, band, { from: 0, until: UNTIL_DAYS }));
    const [slow, fast] = [meets(room), meets(warm)];
    if (fast?.likely != null) {
      const low = (fast.earliest ?? fast.likely) * ageing.low;
      const high = fast.latest === null ? null : fast.latest * ageing.high;
      return [{ of, by: "warm", low, likely: fast.likely * ageing.factor, high, ageing }];
    }
    if (slow?.likely == null) return [];
    return [{ of, by: "room", low: slow.earliest ?? slow.likely, likely: slow.likely, high: slow.latest, ageing }];
  });
  return found.toSorted((a, b) => a.likely - b.likely)[0] ?? null;
}

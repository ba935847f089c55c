import jstat from "jstat";

export interface TrendReading {
  /** Days since it was made. */
  readonly day: number;
  readonly value: number;
}

/** A line through readings, straight or of a steady percentage, with how sure it is. */
export interface Trend {
  readonly kind: "straight" | "exponential";
  /** Of the value, or of its natural logarithm. */
  readonly start: number;
  readonly perDay: number;
  readonly spread: number;
  readonly count: number;
  readonly meanDay: number;
  readonly squaredDays: number;
  /** Of Student's distribution, for four out of five. */
  readonly quantile: number;
}

/** Where a value must stay; null below where it may be as little as it likes. */
export interface AlarmBand {
  readonly low: number | null;
  readonly high: number;
}

/** When a trend leaves its band, days since it was made; null where that is not within the days looked at. */
export interface AlarmDays {
  readonly earliest: number | null;
  readonly likely: number | null;
  readonly latest: number | null;
}

/** Fewer readings on different days have no direction. */
const FEWEST = 3;
/** The spread of the instrument counts like so many readings, so that three that happen to lie on a line are not believed blindly. */
const KNOWN_SPREAD_WEIGHT = 3;
/** The range holds four of five. */
const UPPER = 0.9;

/**
 * The straight or the exponential trend, whichever is nearer to the readings, by least squares (Draper and Smith 1998, Applied
 * Regression Analysis). What reaches 0 has no steady percentage and is straight. Its spread is pooled with what the instrument scatters by itself: (Σ residual² + 3 s₀²) ⁄ (n − 2 + 3).
 * 5.20, 5.10 and 5.00 on days 0, 7 and 14 fall by 0.0143 a day.
 * @param instrumentSpread standard deviation of repeated readings of the same, in the unit of the values
 * @returns null for fewer than three days
 */
export function trendOf(readings: readonly TrendReading[], instrumentSpread: number): Trend | null {
  if (new Set(readings.map(({ day }) => day)).size < FEWEST) return null;
  const mean = readings.reduce((sum, { value }) => sum + value, 0) / readings.length;
  const straight = fitted("straight", readings, ({ value }) => value, instrumentSpread);
  if (readings.some(({ value }) => !(value > 0))) return straight;
  const exponential = fitted("exponential", readings, ({ value }) => Math.log(value), instrumentSpread / mean);
  const missOf = (trend: Trend): number => readings.reduce((sum, { day, value }) => sum + (trendAt(trend, day).value - value) ** 2, 0);
  return missOf(exponential) < missOf(straight) ? exponential : straight;
}

function fitted(
  kind: Trend["kind"],
  readings: readonly TrendReading[],
  of: (reading: TrendReading) => number,
  instrumentSpread: number,
): Trend {
  const count = readings.length;
  const meanDay = readings.reduce((sum, { day }) => sum + day, 0) / count;
  const mean = readings.reduce((sum, reading) => sum + of(reading), 0) / count;
  const squaredDays = readings.reduce((sum, { day }) => sum + (day - meanDay) ** 2, 0);
  const perDay = readings.reduce((sum, reading) => sum + (reading.day - meanDay) * (of(reading) - mean), 0) / squaredDays;
  const start = mean - perDay * meanDay;
  const missed = readings.reduce((sum, reading) => sum + (of(reading) - start - perDay * reading.day) ** 2, 0);
  const degrees = count - 2 + KNOWN_SPREAD_WEIGHT;
  const spread = Math.sqrt((missed + KNOWN_SPREAD_WEIGHT * instrumentSpread ** 2) / degrees);
  return { kind, start, perDay, spread, count, meanDay, squaredDays, quantile: jstat.jStat.studentt.inv(UPPER, degrees) };
}

/** The value of a trend on a day, with the range in which its line lies four times of five. */
export function trendAt(trend: Trend, day: number): { readonly value: number; readonly low: number; readonly high: number } {
  const { kind, start, perDay, spread, count, meanDay, squaredDays, quantile } = trend;
  const middle = start + perDay * day;
  const room = quantile * spread * Math.sqrt(1 / count + (day - meanDay) ** 2 / squaredDays);
  const back = (value: number): number => (kind === "exponential" ? Math.exp(value) : value);
  return { value: back(middle), low: back(middle - room), high: back(middle + room) };
}

/**
 * When a trend meets its alarm: first where the near edge of its range does, then the line, last the far edge.
 * @param from day of the last reading: what lies before is past
 * @param until days that are looked at
 */
export function alarmDays(trend: Trend, band: AlarmBand, { from, until }: { readonly from: number; readonly until: number }): AlarmDays {
  const first = (isOut: (day: number) => boolean): number | null => {
    for (let day = Math.ceil(from); day <= until; day += 1) if (isOut(day)) return day;
    return null;
  };
  const { high } = band;
  const low = band.low ?? -Infinity;
  const at = (day: number) => trendAt(trend, day);
  return {
    earliest: first((day) => at(day).low <= low || at(day).high >= high),
    likely: first((day) => at(day).value <= low || at(day).value >= high),
    latest: first((day) => at(day).high <= low || at(day).low >= high),
  };
}

import type { Trend } from "./trend.ts";

/** How many times faster a warm sample ages, most likely and from where to where (four of five). */
export interface Ageing {
  readonly factor: number;
  readonly low: number;
  readonly high: number;
  /** Whether both samples have told something of it, or it is the rule of thumb alone. */
  readonly isMeasured: boolean;
}

/** Warm and room, °C. */
const [WARM_C, ROOM_C] = [40, 20];
/** Twice as fast for every 10 °C (van 't Hoff 1884); a rule of thumb. */
const PER_TEN_DEGREES = 2;
const GUESS = Math.log(PER_TEN_DEGREES ** ((WARM_C - ROOM_C) / 10));
/** Most reactions lie between half and double of it. */
const GUESS_SPREAD = Math.log(2);
/** Four of five lie within so many standard deviations. */
const FOUR_OF_FIVE = 1.2816;
/** A slope that is less than so many of its own standard errors has no size yet. */
const LEAST_SURE = 1;

/**
 * How much faster it ages at 40 than at 20 °C: the guess of four times, corrected by how fast both samples really move as far
 * as they tell it. Both are weighed by how sure they are, on the logarithm. Slopes that go opposite ways, or cannot be told from
 * none, leave the guess.
 */
export function ageingFactor(room: Trend | null, warm: Trend | null): Ageing {
  const [mean, spread, isMeasured] = combined(room, warm);
  return {
    factor: Math.exp(mean),
    low: Math.exp(mean - FOUR_OF_FIVE * spread),
    high: Math.exp(mean + FOUR_OF_FIVE * spread),
    isMeasured,
  };
}

function combined(room: Trend | null, warm: Trend | null): readonly [number, number, boolean] {
  const guess = [GUESS, GUESS_SPREAD, false] as const;
  if (room === null || warm === null || room.kind !== warm.kind) return guess;
  const [slow, fast] = [sureness(room), sureness(warm)];
  if (room.perDay * warm.perDay <= 0 || slow < LEAST_SURE || fast < LEAST_SURE) return guess;
  const seen = Math.log(warm.perDay / room.perDay);
  const weights = [1 / GUESS_SPREAD ** 2, 1 / (1 / slow ** 2 + 1 / fast ** 2)] as const;
  const sum = weights[0] + weights[1];
  return [(weights[0] * GUESS + weights[1] * seen) / sum, Math.sqrt(1 / sum), true];
}

/** A slope in its own standard errors. */
function sureness({ perDay, spread, squaredDays }: Trend): number {
  return Math.abs(perDay) / (spread / Math.sqrt(squaredDays));
}

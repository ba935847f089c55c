import { curveStepAfter, line } from "d3-shape";
import { scaleLinear } from "d3-scale";
import type { PictureFrame } from "../frame";

export const STAIR: PictureFrame = { width: 560, height: 290, left: 40, right: 12, top: 14, bottom: 34 };
export const NARROW_STAIR: PictureFrame = { ...STAIR, width: 358, height: 270, left: 34, right: 8 };

export interface StairPoint {
  readonly grams: number;
  readonly ph: number;
}

export interface StairDrawn {
  /** Treads are doses, drops the reading after them. */
  readonly path: string;
  readonly points: readonly { readonly x: number; readonly y: number; readonly ph: number }[];
  readonly curve: string;
  readonly truth: string;
  readonly band: { readonly top: number; readonly bottom: number };
  readonly expected: { readonly x: number; readonly y: number; readonly low: number; readonly high: number; readonly path: string } | null;
  readonly xTicks: readonly { readonly value: number; readonly x: number }[];
  readonly yTicks: readonly { readonly value: number; readonly y: number }[];
}

export interface StairAsk {
  readonly readings: readonly StairPoint[];
  readonly curve: readonly StairPoint[];
  /** What the batch is known to do; only of one whose truth is known. */
  readonly truth?: readonly StairPoint[];
  readonly band: { readonly low: number; readonly high: number };
  /** After the advised dose; null for none. */
  readonly expected: (StairPoint & { readonly low: number; readonly high: number }) | null;
}

/** A tread for each dose, a drop for each reading. */
const stair = line<{ readonly x: number; readonly y: number }>()
  .x((point) => point.x)
  .y((point) => point.y)
  .curve(curveStepAfter);

const TICKS = 5;
const LEAST_GRAMS = 0.5;
const AROUND_PH = 0.35;

/** A titration as a stair: running grams to the right, pH upwards. Everything that is told lies inside the picture. */
export function stairGeometry({ readings, curve, truth = [], band, expected }: StairAsk, frame = STAIR): StairDrawn {
  const grams = [...readings.map((one) => one.grams), expected?.grams ?? 0];
  const most = Math.max(LEAST_GRAMS, ...grams, ...truth.map((one) => one.grams)) * 1.12;
  const phs = [
    ...readings.map(({ ph }) => ph),
    ...truth.map(({ ph }) => ph),
    band.low,
    band.high,
    ...(expected === null ? [] : [expected.low, expected.high]),
  ];
  const [low, high] = [Math.min(...phs) - AROUND_PH, Math.max(...phs) + AROUND_PH];
  const dose = scaleLinear([0, most], [frame.left, frame.width - frame.right]).clamp(true);
  const acidity = scaleLinear([low, high], [frame.height - frame.bottom, frame.top]).clamp(true);
  const x = (value: number): number => round(dose(value));
  const y = (ph: number): number => round(acidity(ph));
  const points = readings.map((one) => ({ x: x(one.grams), y: y(one.ph), ph: one.ph }));
  const along = line<StairPoint>()
    .x((one) => x(one.grams))
    .y((one) => y(one.ph));
  const last = points.at(-1);
  return {
    path: stair(points) ?? "",
    points,
    curve: along(curve) ?? "",
    truth: along(truth) ?? "",
    band: { top: y(band.high), bottom: y(band.low) },
    expected:
      expected === null || last === undefined
        ? null
        : {
            ...{ x: x(expected.grams), y: y(expected.ph), low: y(expected.low), high: y(expected.high) },
            path: stair([last, { x: x(expected.grams), y: y(expected.ph) }]) ?? "",
          },
    xTicks: dose.ticks(TICKS).map((value) => ({ value, x: x(value) })),
    yTicks: acidity.ticks(TICKS).map((value) => ({ value, y: y(value) })),
  };
}

function round(value: number): number {
  return Math.round(value * 10) / 10;
}

import type { DrawnCurve } from "@tensidrum/core/rheology";
import { area, curveStepAfter, line } from "d3-shape";
import { scaleLinear } from "d3-scale";
import type { PictureFrame } from "../frame";

export const SALT_CURVE: PictureFrame = { width: 560, height: 290, left: 48, right: 12, top: 14, bottom: 34 };
export const NARROW_SALT_CURVE: PictureFrame = { ...SALT_CURVE, width: 358, height: 270, left: 42, right: 8 };

export interface CurvePoint {
  readonly saltPercent: number;
  readonly viscosity: number;
}

export interface SaltCurveAsk {
  readonly readings: readonly CurvePoint[];
  /** Trials of the same base. */
  readonly saltSamples?: readonly CurvePoint[];
  /** Fitted or known; null where neither. */
  readonly saltCurve?: DrawnCurve | null;
  readonly target: number;
  /** After the advised addition; null for none. */
  readonly expected: (CurvePoint & { readonly low: number; readonly high: number }) | null;
}

export interface SaltCurveDrawn {
  readonly points: readonly { readonly x: number; readonly y: number; readonly viscosity: number }[];
  readonly saltSamples: readonly { readonly x: number; readonly y: number }[];
  readonly path: string;
  readonly targetY: number;
  readonly expected: { readonly x: number; readonly y: number; readonly low: number; readonly high: number } | null;
  readonly saltCurve: {
    readonly curve: string;
    /** 95 %; empty where it is not known. */
    readonly band: string;
    /** Under the curve up to the most salt to go to, and from there on. */
    readonly safe: string;
    readonly beyond: string;
    readonly peakX: number;
    readonly peak: { readonly x: number; readonly y: number };
  } | null;
  readonly xTicks: readonly { readonly value: number; readonly x: number }[];
  readonly yTicks: readonly { readonly value: number; readonly y: number }[];
}

/** A tread for each addition, a rise for each reading. */
const stair = line<{ readonly x: number; readonly y: number }>()
  .x((point) => point.x)
  .y((point) => point.y)
  .curve(curveStepAfter);

const TICKS = 5;
const MOST_MARKS = 9;
const AROUND_PERCENT = 0.25;
const AROUND_DECADES = 0.25;
/** The picture does not follow a band further than this from what was read, decades. */
const MOST_BAND_DECADES = 0.5;

/** Thickness over whole salt, the thickness by decades. Everything that is told lies inside the picture. */
export function saltCurveGeometry(
  { readings, saltSamples = [], saltCurve = null, target, expected }: SaltCurveAsk,
  frame = SALT_CURVE,
): SaltCurveDrawn {
  const all = [...readings, ...saltSamples, ...(expected === null ? [] : [expected]), ...(saltCurve?.points ?? [])];
  const salts = all.map(({ saltPercent }) => saltPercent);
  const [from, to] = [Math.max(0, Math.min(...salts, 1) - AROUND_PERCENT), Math.max(...salts, 2) + AROUND_PERCENT];
  const thick = [...all.map(({ viscosity }) => viscosity), target, ...(expected === null ? [] : [expected.low, expected.high])].filter(
    (one) => one > 0,
  );
  const [low, high] = [Math.log10(Math.min(...thick)) - AROUND_DECADES, Math.log10(Math.max(...thick)) + AROUND_DECADES];
  const salt = scaleLinear([from, to], [frame.left, frame.width - frame.right]).clamp(true);
  const decade = scaleLinear([low, high], [frame.height - frame.bottom, frame.top]).clamp(true);
  const x = (saltPercent: number): number => round(salt(saltPercent));
  const y = (viscosity: number): number => round(decade(Math.log10(Math.max(1e-12, viscosity))));
  const points = readings.map((one) => ({ x: x(one.saltPercent), y: y(one.viscosity), viscosity: one.viscosity }));
  return {
    points,
    saltSamples: saltSamples.map((one) => ({ x: x(one.saltPercent), y: y(one.viscosity) })),
    path: stair(points) ?? "",
    targetY: y(target),
    expected:
      expected === null ? null : { x: x(expected.saltPercent), y: y(expected.viscosity), low: y(expected.low), high: y(expected.high) },
    saltCurve: saltCurve === null ? null : curvePaths(saltCurve, { x, y, floor: frame.height - frame.bottom }),
    xTicks: salt.ticks(TICKS).map((value) => ({ value, x: x(value) })),
    yTicks: marksOf(low, high).map((value) => ({ value, y: y(value) })),
  };
}

/** Round numbers between two powers of ten: 1, 2 and 5 of each decade, or where those are many the 1 alone. */
function marksOf(low: number, high: number): readonly number[] {
  const decades = Array.from({ length: Math.floor(high) - Math.floor(low) + 1 }, (_, at) => Math.floor(low) + at);
  const inside = (digits: readonly number[]): readonly number[] =>
    decades
      .flatMap((power) => digits.map((digit) => Number((digit * 10 ** power).toPrecision(3))))
      .filter((value) => Math.log10(value) >= low && Math.log10(value) <= high);
  const all = inside([1, 2, 5]);
  return all.length <= MOST_MARKS ? all : inside([1]);
}

interface Axis {
  readonly x: (saltPercent: number) => number;
  readonly y: (viscosity: number) => number;
  /** Where the picture ends below. */
  readonly floor: number;
}

function curvePaths(
  { points, peakSaltPercent, peakViscosity, safeMaxPercent }: DrawnCurve,
  { x, y, floor }: Axis,
): SaltCurveDrawn["saltCurve"] {
  const along = line<CurvePoint>()
    .x((one) => x(one.saltPercent))
    .y((one) => y(one.viscosity));
  const under = area<CurvePoint>()
    .x((one) => x(one.saltPercent))
    .y0(floor)
    .y1((one) => y(one.viscosity));
  const edge = edgeOf(points, safeMaxPercent);
  const near = (viscosity: number, bound: number): number =>
    10 **
    Math.min(
      Math.log10(viscosity) + MOST_BAND_DECADES,
      Math.max(Math.log10(viscosity) - MOST_BAND_DECADES, Math.log10(Math.max(1e-12, bound))),
    );
  const banded = points.flatMap(({ saltPercent, viscosity, low, high }) =>
    low === null || high === null ? [] : [{ saltPercent, low: near(viscosity, low), high: near(viscosity, high) }],
  );
  const between = area<(typeof banded)[number]>()
    .x((one) => x(one.saltPercent))
    .y0((one) => y(one.low))
    .y1((one) => y(one.high));
  return {
    curve: along(points) ?? "",
    band: between(banded) ?? "",
    safe: under([...points.filter(({ saltPercent }) => saltPercent < safeMaxPercent), ...edge]) ?? "",
    beyond: under([...edge, ...points.filter(({ saltPercent }) => saltPercent > safeMaxPercent)]) ?? "",
    peakX: x(safeMaxPercent),
    peak: { x: x(peakSaltPercent), y: y(peakViscosity) },
  };
}

/** Where the safe part ends on the curve; nothing when that lies outside of what is drawn. */
function edgeOf(points: readonly CurvePoint[], saltPercent: number): readonly CurvePoint[] {
  const after = points.findIndex((one) => one.saltPercent >= saltPercent);
  const [a, b] = [points[after - 1], points[after]];
  if (a === undefined || b === undefined) return [];
  const part = (saltPercent - a.saltPercent) / (b.saltPercent - a.saltPercent);
  return [{ saltPercent, viscosity: a.viscosity * (b.viscosity / a.viscosity) ** part }];
}

function round(value: number): number {
  return Math.round(value * 10) / 10;
}

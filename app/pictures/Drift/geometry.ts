import type { Storage } from "@tensidrum/core/stability";
import { scaleLinear, scaleSqrt } from "d3-scale";
import { line, symbol, symbolCircle, symbolDiamond, symbolSquare, symbolStar, symbolTriangle, type SymbolType } from "d3-shape";
import type { PictureFrame } from "../frame";

export const DRIFT: PictureFrame = { width: 760, height: 230, left: 46, right: 96, top: 22, bottom: 36 };
export const NARROW_DRIFT: PictureFrame = { ...DRIFT, width: 358, height: 200, left: 38, right: 58 };

export interface DriftPoint {
  readonly day: number;
  readonly value: number;
}

export interface DriftAsk {
  readonly series: readonly { readonly storage: Storage; readonly points: readonly DriftPoint[] }[];
  /** Where it must stay, its lower end null where it begins with nothing; null while there is nothing to compare with. */
  readonly band: { readonly low: number | null; readonly high: number } | null;
  /** Where the sample looked at is going, with its range; null where that is not known. */
  readonly trend: readonly { readonly day: number; readonly value: number; readonly low: number; readonly high: number }[] | null;
  /** Days on which a look is planned. */
  readonly days: readonly number[];
}

/** A shape for each way to keep a sample, told apart without colour. */
const SYMBOLS: Readonly<Record<Storage, SymbolType>> = {
  room: symbolCircle,
  warm: symbolTriangle,
  cold: symbolSquare,
  "freeze-thaw": symbolDiamond,
  light: symbolStar,
};
const SIZE = 64;
/** A band as wide as this part of the picture leaves room for what lies beyond it. */
const BEYOND = 0.25;
const LEAST_DAYS = 7;

/** Days are told so close to each other that early looks stand apart: by their square root. */
export function driftGeometry({ series, band, trend, days }: DriftAsk, frame: PictureFrame) {
  const { width, height, left, right, top, bottom } = frame;
  const points = series.flatMap((one) => one.points);
  const lastDay = Math.max(LEAST_DAYS, ...days, ...points.map(({ day }) => day));
  const shown = (trend ?? []).filter(({ day }) => day <= lastDay);
  const values = [...points.map(({ value }) => value), ...(band === null ? [] : [band.low ?? 0, band.high])];
  const [least, most] = values.length === 0 ? [0, 1] : [Math.min(...values), Math.max(...values)];
  const room = Math.max((most - least) * BEYOND, Math.abs(most) * 0.01, 1e-6);
  const y = scaleLinear([least - room, most + room], [height - bottom, top]);
  const x = scaleSqrt([0, lastDay], [left, width - right]);
  const within = (value: number): number => Math.min(height - bottom, Math.max(top, y(value)));
  const path = line<DriftPoint>(
    ({ day }) => round(x(day)),
    ({ value }) => round(y(value)),
  );
  const ends = spaced(series.flatMap(({ storage, points: of }) => of.slice(-1).map(({ value }) => ({ storage, y: within(value) }))));
  return {
    series: series
      .filter((one) => one.points.length > 0)
      .map(({ storage, points: of }) => {
        const last = of.at(-1);
        const labelY = ends.find((end) => end.storage === storage)?.y ?? 0;
        return {
          storage,
          path: path([...of]) ?? "",
          points: of.map(({ day, value }) => ({ x: round(x(day)), y: round(within(value)) })),
          mark: symbol(SYMBOLS[storage], SIZE)() ?? "",
          end: last === undefined ? null : { x: round(x(last.day)), y: round(labelY), value: last.value },
        };
      }),
    band: band === null ? null : { high: round(within(band.high)), low: band.low === null ? null : round(within(band.low)) },
    trend: shown.length < 2 ? null : (path(shown.map(({ day, value }) => ({ day, value }))) ?? ""),
    range:
      shown.length < 2
        ? null
        : `${path(shown.map(({ day, high }) => ({ day, value: high }))) ?? ""}${(path(shown.toReversed().map(({ day, low }) => ({ day, value: low }))) ?? "").replace("M", "L")}Z`,
    xTicks: [...new Set([0, ...days])].map((day) => ({ value: day, x: round(x(day)) })),
    yTicks: y.ticks(4).map((value) => ({ value, y: round(y(value)) })),
  };
}

/** Names closer to each other than this cannot be read. */
const NAME_HEIGHT = 15;

/** Moves names down that would lie on each other, the uppermost stays. */
function spaced<End extends { readonly y: number }>(ends: readonly End[]): readonly End[] {
  let lowest = -Infinity;
  return ends
    .toSorted((a, b) => a.y - b.y)
    .map((end) => {
      lowest = Math.max(end.y, lowest + NAME_HEIGHT);
      return { ...end, y: lowest };
    });
}

function round(value: number): number {
  return Math.round(value * 10) / 10;
}

/** The shape that stands for a way to keep a sample. */
export const markOf = (storage: Storage): string => symbol(SYMBOLS[storage], SIZE)() ?? "";

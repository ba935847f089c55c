import { scaleLinear } from "d3-scale";
import { line } from "d3-shape";
import type { LatherHeights } from "../Lather/geometry";
import type { PictureFrame } from "../frame";

export const DECAY: PictureFrame = { width: 420, height: 200, left: 38, right: 70, top: 14, bottom: 34 };

const MINUTES = [0, 1, 5] as const;
const LEAST_MM = 40;
const ROOM = 1.1;
const CURVE_POINTS = 40;

export interface DecayAsk {
  readonly tests: readonly LatherHeights[];
  /** Of their mean, by a steady fall; null where it does not fall. */
  readonly halfLifeMinutes: number | null;
  readonly mean: LatherHeights | null;
}

/** Foam over five minutes: each test as dots on a line, and the steady fall of their mean. */
export function decayGeometry({ tests, halfLifeMinutes, mean }: DecayAsk, frame: PictureFrame) {
  const { width, height, left, right, top, bottom } = frame;
  const most = Math.max(LEAST_MM, ...tests.map(({ atOnceMm }) => atOnceMm)) * ROOM;
  const x = scaleLinear([0, 5], [left, width - right]);
  const y = scaleLinear([0, most], [height - bottom, top]);
  const path = line<readonly [number, number]>(
    ([minutes]) => round(x(minutes)),
    ([, mm]) => round(y(mm)),
  );
  const pointsOf = ({ atOnceMm, afterOneMinuteMm, afterFiveMinutesMm }: LatherHeights) =>
    [atOnceMm, afterOneMinuteMm, afterFiveMinutesMm].map((mm, at) => [MINUTES[at] ?? 0, mm] as const);
  const fall =
    mean === null
      ? null
      : Array.from({ length: CURVE_POINTS }, (_, at) => (at * 5) / (CURVE_POINTS - 1)).map(
          (minutes) => [minutes, halfLifeMinutes === null ? mean.atOnceMm : mean.atOnceMm * 2 ** (-minutes / halfLifeMinutes)] as const,
        );
  return {
    tests: tests.map((test) => ({
      path: path(pointsOf(test)) ?? "",
      dots: pointsOf(test).map(([minutes, mm]) => ({ x: round(x(minutes)), y: round(y(mm)) })),
    })),
    fall: fall === null ? null : (path(fall) ?? ""),
    end: fall === null ? null : { x: round(x(5)), y: round(y(fall.at(-1)?.[1] ?? 0)), mm: fall.at(-1)?.[1] ?? 0 },
    xTicks: MINUTES.map((value) => ({ value, x: round(x(value)) })),
    yTicks: y.ticks(4).map((value) => ({ value, y: round(y(value)) })),
  };
}

function round(value: number): number {
  return Math.round(value * 10) / 10;
}

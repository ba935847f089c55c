import type { Span } from "@tensidrum/core/library";

export const STRIP = { width: 464, top: 18, height: 22 } as const;

export interface StripData {
  /** Ends of the scale. */
  readonly scale: Span;
  readonly range: Span | null;
  /** A narrower range within, drawn as a frame. */
  readonly frame: Span | null;
  readonly dots: readonly number[];
  /** The scale has numbers at so many equal steps. */
  readonly steps: number;
}

export interface StripGeometry {
  readonly range: { readonly x: number; readonly width: number } | null;
  readonly frame: { readonly x: number; readonly width: number } | null;
  readonly dots: readonly number[];
  readonly ticks: readonly { readonly x: number; readonly value: number }[];
}

/** A range of one value is still to be seen, px. */
const THINNEST = 2;

/** A scale from left to right with what is usual on it, a frame, and dots; what lies beyond an end stands at the end. */
export function stripGeometry({ scale, range, frame, dots, steps }: StripData): StripGeometry {
  const xOf = (value: number): number =>
    (STRIP.width * (Math.min(scale.high, Math.max(scale.low, value)) - scale.low)) / (scale.high - scale.low);
  const bar = (span: Span | null) =>
    span === null ? null : { x: xOf(span.low), width: Math.max(THINNEST, xOf(span.high) - xOf(span.low)) };
  const step = (scale.high - scale.low) / steps;
  return {
    range: bar(range),
    frame: bar(frame),
    dots: dots.map(xOf),
    ticks: Array.from({ length: steps + 1 }, (_, at) => ({ x: xOf(scale.low + at * step), value: scale.low + at * step })),
  };
}

/** Scale of a dose strip, %: from 0 to the next round end above all that is to be shown, so that fifths of it are short numbers. */
export function doseScale(values: readonly number[]): Span {
  const most = Math.max(0.1, ...values);
  const ends = [0.2, 0.5, 1, 2, 5, 10, 20, 40, 60, 100];
  return { low: 0, high: ends.find((end) => end >= most) ?? 100 };
}

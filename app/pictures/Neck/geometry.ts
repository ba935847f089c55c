import type { Charge, Span } from "@tensidrum/core/library";
import { neckRange } from "../Column/geometry";

export interface NeckGeometry {
  readonly width: number;
  readonly height: number;
  readonly glass: string;
  readonly bands: readonly { readonly charge: Charge; readonly y: number; readonly height: number }[];
  readonly inside: { readonly left: number; readonly width: number };
  readonly bracket: { readonly x: number; readonly top: number; readonly bottom: number };
}

const LEFT = 14;
const WALL = 30;
const TOP = 4;
const BOTTOM = 58;

/** The neck of the measuring bottle alone, small: active matter by charge against its window. */
export function neckGeometry(actives: readonly { readonly charge: Charge; readonly percent: number }[], window: Span): NeckGeometry {
  const active = actives.reduce((sum, band) => sum + band.percent, 0);
  const range = neckRange(active, window);
  const yOf = (percent: number) => BOTTOM - ((BOTTOM - TOP) * Math.min(percent, range)) / range;
  let below = 0;
  const bands = actives
    .filter((band) => band.percent > 0)
    .map(({ charge, percent }) => {
      const bottom = yOf(below);
      below += percent;
      const y = yOf(below);
      return { charge, y, height: bottom - y };
    });
  return {
    width: LEFT + WALL + 4,
    height: BOTTOM + 4,
    glass: `M${LEFT - 3} ${TOP}H${LEFT}V${BOTTOM}M${LEFT + WALL} ${BOTTOM}V${TOP}h3M${LEFT - 3} ${BOTTOM}H${LEFT + WALL + 3}`,
    bands,
    inside: { left: LEFT, width: WALL },
    bracket: { x: LEFT - 5, top: yOf(window.high), bottom: yOf(window.low) },
  };
}

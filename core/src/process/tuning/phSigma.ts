import { METER_SIGMA } from "../../acidity/titration/bookkeeping.ts";
import type { PhWay } from "../batch/entries.ts";

/** By a strip, pH. */
const STRIP_SIGMA = 0.25;

/** What a reading is good for, by how it was taken, pH. */
export function sigmaOf(way: PhWay): number {
  return way === "strip" ? STRIP_SIGMA : METER_SIGMA;
}

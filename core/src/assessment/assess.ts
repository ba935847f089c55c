import type { MaterialsBySlug } from "../library/material.ts";
import type { Formula } from "../formula/types.ts";
import { judgementOf, type Judgement } from "./judgement.ts";
import { readingOf, type Known, type Readings } from "./readings.ts";

/** Stored beside every assessment, so that a reading can be traced to the sums that made it. */
export const coreVersion = "0.5.0";

/** All readings of a formula and what they lead to. */
export interface Assessment extends Readings, Judgement {}

/**
 * Reads and judges a formula. Pure, and the same in the browser and on the server.
 * @throws Refusal when the profile or a material is unknown or a material contains itself.
 */
export function assess(formula: Formula, library: MaterialsBySlug, known: Known = {}): Assessment {
  const reading = readingOf(formula, library, known);
  return { ...reading.readings, ...judgementOf(reading) };
}

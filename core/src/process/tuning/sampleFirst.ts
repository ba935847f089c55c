import type { TitrationAdvice } from "../../acidity/titration/adviseTitration.ts";
import { SAMPLE_GRAMS } from "./sampleAside.ts";

/** Why a sample aside is worth its minutes: a dose may overshoot, several are to come, or much is at stake. */
export type SampleReason = "chance" | "many-doses" | "large";

export interface SampleFirst {
  /** Null where it is possible, and nothing calls for it. */
  readonly reason: SampleReason | null;
  /** What to take aside, g. */
  readonly grams: number;
}

const HIGH_CHANCE = 0.02;
const MANY_DOSES = 3;
const LARGE_GRAMS = 1500;
/** Of the batch. */
const PART = 0.1;
/** A sample of more than this part of the batch is no sample. */
const MOST_PART = 0.4;

/**
 * Whether a sample is to be offered, and how large; null where the batch needs no dose, or is too small for one. A sample
 * may be overshot, and its curve is the batch's.
 * @param leftGrams what is in the batch
 * @param doses that went in so far
 */
export function sampleFirst(
  { state, said, recommend }: Pick<TitrationAdvice, "state" | "said" | "recommend">,
  leftGrams: number,
  doses: number,
): SampleFirst | null {
  if (state !== "dose" || leftGrams * MOST_PART < SAMPLE_GRAMS.low) return null;
  const grams = Math.round(Math.min(SAMPLE_GRAMS.high, Math.max(SAMPLE_GRAMS.low, leftGrams * PART)));
  const isProbing = said.code === "dose" && said.isProbing;
  const reason =
    said.code === "drop-too-strong" || recommend.overshootChance >= HIGH_CHANCE
      ? "chance"
      : isProbing || doses >= MANY_DOSES
        ? "many-doses"
        : leftGrams >= LARGE_GRAMS
          ? "large"
          : null;
  return { reason, grams };
}

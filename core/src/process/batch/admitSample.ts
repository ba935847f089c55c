import { written } from "../../quantities/written.ts";
import { leftInBeaker } from "../tuning/leftInBeaker.ts";
import { SAMPLE_GRAMS, sampleOut } from "../tuning/sampleAside.ts";
import type { BatchPlan } from "./batchPlan.ts";
import type { BatchState } from "./batchState.ts";
import type { BatchEntry } from "./entries.ts";
import { stepIsOver, tunes, wrongWeight } from "./whatCannotBe.ts";

type SampleEntry = BatchEntry & { readonly kind: `sample-${string}` };

/** Why an entry of a sample taken aside cannot follow; null when it can. */
export function whyNotSample(plan: BatchPlan, state: BatchState, entry: SampleEntry): string | null {
  if (!tunes(plan, entry.step, "ph")) return "A sample is taken aside where the pH is adjusted.";
  const out = sampleOut(state.standing);
  if (entry.kind === "sample-lost") {
    return out === null ? NO_SAMPLE : entry.reason === "" ? "Say where the sample went; it stands in the record." : null;
  }
  const over = stepIsOver(state, entry.step);
  // Poured back late is better than never.
  if (over !== null && entry.kind !== "sample-back") return over;
  if (entry.kind === "sample-taken") {
    if (out !== null) return "A sample is out already. Pour it back first.";
    const before = state.standing.findLast(({ kind }) => kind === "ph-read" || kind === "dosed");
    if (before?.kind !== "ph-read") return "Read the pH of the batch first: the sample begins with it.";
    if (!(entry.grams > 0)) return "A sample is more than 0 g.";
    const there = leftInBeaker(plan, state.standing);
    return entry.grams < there
      ? wrongWeight(plan, entry.grams)
      : `The sample would be larger than the batch: ${written(there, 1)} g are there. Take ${SAMPLE_GRAMS.low} to ${SAMPLE_GRAMS.high} g.`;
  }
  if (out === null) return NO_SAMPLE;
  if (entry.kind === "sample-read") {
    if (!(entry.ph >= 0 && entry.ph <= 14)) return "A pH lies between 0 and 14. Look at the meter again.";
    return entry.sampleGrams <= out.contentGrams ? wrongWeight(plan, entry.sampleGrams) : "That is more than the sample holds.";
  }
  if (entry.kind === "sample-back" && entry.grams > out.contentGrams + WEIGHED_NEAR_GRAMS) {
    return `The sample holds ${written(out.contentGrams, 1)} g with what was dosed. More than that cannot come back.`;
  }
  return entry.grams > 0 ? wrongWeight(plan, entry.grams) : "This is more than 0 g.";
}

const NO_SAMPLE = "No sample is out.";
/** Two weighings of one beaker may differ by so much, g. */
const WEIGHED_NEAR_GRAMS = 1;

import { dosesBack, samplesAside, type SampleAside } from "../tuning/sampleAside.ts";
import type { BatchState } from "./batchState.ts";
import type { BatchPlan } from "./batchPlan.ts";
import { besidesOf, type Beside } from "./besides.ts";

/** Where the mass of a batch came from and where it went, g. */
export interface MassAccount {
  readonly linesGrams: number;
  readonly besides: readonly Beside[];
  /** Lines and what came in beside them. */
  readonly inGrams: number;
  /** Water put back for steam after heating, g; it is none of what went in unless it was more than the steam. */
  readonly putBackGrams: number;
  /** What readings used up, and samples that never came back whole. */
  readonly samplesGrams: number;
  /** Null until the batch is closed. */
  readonly yieldGrams: number | null;
  /** What is neither yield nor sample: left on beakers and tools, or steamed off; negative where more came out than went in. */
  readonly lossGrams: number | null;
  /** Yield of all that went in, %; null until the batch is closed, or where nothing went in. */
  readonly yieldPercent: number | null;
}

/**
 * What went in and what came out: 500 g of lines and 3.89 g of an acid beside them are 503.89 g; 488 g of yield are
 * 96.85 % of it.
 */
export function massAccount(
  plan: BatchPlan,
  { lines, standing, finished }: Pick<BatchState, "lines" | "standing" | "finished">,
): MassAccount {
  const linesGrams = [...lines.values()].reduce((sum, { actualGrams }) => sum + (actualGrams ?? 0), 0);
  const besides = besidesOf(plan, standing);
  const inGrams = besides.reduce((sum, { grams }) => sum + grams, linesGrams);
  const readGrams = standing.reduce((sum, entry) => sum + (entry.kind === "ph-read" ? entry.sampleGrams : 0), 0);
  const samplesGrams = samplesAside(standing).reduce((sum, sample) => sum + goneWith(sample), readGrams);
  const yieldGrams = finished === null || finished.isDiscarded ? null : finished.yieldGrams;
  return {
    linesGrams,
    besides,
    inGrams,
    putBackGrams: standing.reduce((sum, entry) => sum + (entry.kind === "topped-up" ? entry.grams : 0), 0),
    samplesGrams,
    yieldGrams,
    lossGrams: yieldGrams === null ? null : inGrams - samplesGrams - yieldGrams,
    yieldPercent: yieldGrams === null || inGrams <= 0 ? null : (100 * yieldGrams) / inGrams,
  };
}

/** What of the batch did not come back with a sample, g: what was poured back counts with the doses that came in it. */
function goneWith(sample: SampleAside): number {
  const { state, takenGrams, backGrams } = sample;
  if (state === "out") return 0;
  const doses = dosesBack(sample).reduce((sum, { grams }) => sum + grams, 0);
  return Math.max(0, takenGrams + doses - backGrams);
}

import type { Titration } from "../../acidity/titration/bookkeeping.ts";
import type { Span } from "../../library/material.ts";
import type { PhWay } from "../batch/entries.ts";
import type { SampleAside } from "./sampleAside.ts";

/** A reading with what went in before it. */
export interface PhRow {
  readonly id: string;
  readonly at: string;
  readonly ph: number;
  readonly way: PhWay;
  /** Of the sample; null where nobody said. */
  readonly temperatureC: number | null;
  readonly isSimulated: boolean;
  /** Dosed since the reading before, in words of grams and names; empty for none. */
  readonly doses: readonly { readonly grams: number; readonly name: string }[];
  /** All of the chosen solution so far, g; others of its kind count as what they amount to. */
  readonly totalGrams: number;
  /** What is left of the batch after it, g. */
  readonly leftGrams: number;
}

/** A batch on its way to its pH. */
export interface PhTuning {
  readonly rows: readonly PhRow[];
  /** For the advisor; null before the first reading. */
  readonly titration: Titration | null;
  /** The last sample that was taken aside, with its own titration; null for none. */
  readonly sample: TitratedSample | null;
  /** Where the pH belongs. */
  readonly corridor: Span & { readonly isEmpty: boolean };
  /** All of the chosen solution so far, that dosed since the last reading with it, g. */
  readonly dosedGrams: number;
  readonly samplesGrams: number;
  readonly leftGrams: number;
  /** Dosed since the last reading: it must be read before anything more goes in. */
  readonly isDosedSince: boolean;
}

/** A sample with its titration and its own readings, as the screen shows them beside the batch's. */
export interface TitratedSample extends Pick<PhTuning, "rows" | "isDosedSince"> {
  readonly aside: SampleAside;
  readonly titration: Titration;
}

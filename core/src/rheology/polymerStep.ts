/** Step of an associative thickener where no jars tell better, % of the batch. */
const STEP_PERCENT = 0.25;

/** The next addition of an associative thickener without jars: a quarter of a percent of the batch, g. */
export function polymerStepGrams(batchGrams: number): number {
  return (batchGrams * STEP_PERCENT) / 100;
}

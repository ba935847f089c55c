import { meanAndSpread } from "../numerics/spread.ts";
import { writtenShort } from "../quantities/written.ts";

/** What a scent, colour or extract did to one batch; null where nobody looked. */
export interface ScentTrial {
  readonly batch: string;
  /** Slug. */
  readonly material: string;
  /** % w/w. */
  readonly percent: number;
  /** Thickness just before and after it rested, in one unit. */
  readonly viscosityBefore: number | null;
  readonly viscosityAfter: number | null;
  /** pH after it less pH before it, with no acid or base in between. */
  readonly phMoved: number | null;
  readonly clouded: boolean | null;
  readonly colourChanged: boolean | null;
}

export interface ScentMemory {
  readonly material: string;
  readonly batches: number;
  /** Geometric mean of thickness after ⁄ before; null where it was never measured. */
  readonly viscosityFactor: number | null;
  /** The least and the greatest of them. */
  readonly lowestFactor: number | null;
  readonly highestFactor: number | null;
  /** Mean; null where it was never read before and after. */
  readonly phMoved: number | null;
  readonly clouded: { readonly times: number; readonly of: number };
  readonly colourChanged: { readonly times: number; readonly of: number };
  readonly text: string;
}

/** Less than this is no change one would feel. */
const FELT = 0.1;
/** Less than this is what a meter scatters. */
const PH_TOLD = 0.1;

/**
 * All that past batches tell of one material: how it moved the thickness (geometric mean, so that half and double make
 * one), how often it clouded the wash or shifted its colour. A factor of 0.5 and one of 0.8 have a mean of 0.632.
 */
export function scentMemory(material: string, trials: readonly ScentTrial[]): ScentMemory {
  const own = trials.filter((trial) => trial.material === material);
  const factors = own.flatMap(({ viscosityBefore, viscosityAfter }) =>
    viscosityBefore !== null && viscosityAfter !== null && viscosityBefore > 0 && viscosityAfter > 0
      ? [viscosityAfter / viscosityBefore]
      : [],
  );
  const moves = own.flatMap(({ phMoved }) => (phMoved === null ? [] : [phMoved]));
  const count = (told: readonly (boolean | null)[]) => ({
    times: told.filter((one) => one === true).length,
    of: told.filter((one) => one !== null).length,
  });
  const memory = {
    material,
    batches: own.length,
    viscosityFactor: factors.length === 0 ? null : Math.exp(factors.reduce((sum, factor) => sum + Math.log(factor), 0) / factors.length),
    lowestFactor: factors.length === 0 ? null : Math.min(...factors),
    highestFactor: factors.length === 0 ? null : Math.max(...factors),
    phMoved: moves.length === 0 ? null : meanAndSpread(moves).mean,
    clouded: count(own.map(({ clouded }) => clouded)),
    colourChanged: count(own.map(({ colourChanged }) => colourChanged)),
  };
  return { ...memory, text: wordsOf(memory) };
}

function wordsOf({ batches, viscosityFactor, phMoved, clouded, colourChanged }: Omit<ScentMemory, "text">): string {
  if (batches === 0) return "Not used before: judge the thickness again ten minutes after it goes in.";
  const told: string[] = [];
  if (viscosityFactor !== null) {
    const change = viscosityFactor - 1;
    told.push(
      Math.abs(change) < FELT
        ? "left the thickness as it was"
        : `made it ${writtenShort(Math.abs(change) * 100, 0)} % ${change > 0 ? "thicker" : "thinner"} in the middle`,
    );
  }
  if (phMoved !== null && Math.abs(phMoved) >= PH_TOLD) {
    told.push(`moved pH ${phMoved > 0 ? "up" : "down"} by ${writtenShort(Math.abs(phMoved), 1)}`);
  }
  if (clouded.of > 0) told.push(`clouded ${clouded.times} of ${clouded.of}`);
  if (colourChanged.of > 0) told.push(`shifted the colour of ${colourChanged.times} of ${colourChanged.of}`);
  const where = `In ${batches} ${batches === 1 ? "batch" : "batches"} it`;
  return told.length === 0 ? `${where} was used, and nobody noted what it did.` : `${where} ${told.join(", ")}.`;
}

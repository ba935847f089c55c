import type { Span } from "../../library/material.ts";
import { millimolesIn, type Agent } from "../equivalents.ts";

/** A pH reading and all that was added before it, g. */
export interface TitrationReading {
  readonly doseGramsTotal: number;
  readonly counterGramsTotal?: number;
  /** Brine, scent and whatever else went in between; it thins. */
  readonly otherGramsTotal?: number;
  /** Of a sample that was taken aside and poured back: it thins what was dosed, not what the batch is made of. */
  readonly backGramsTotal?: number;
  readonly ph: number;
  /** Uncertainty of the instrument, pH. */
  readonly phSigma?: number;
  /** What the reading took out of the batch. */
  readonly sampleGrams?: number;
}

/** Titratable sites the formula is known to hold, mmol/kg. */
export interface KnownBuffer extends Span {
  readonly pKa: number;
}

/** A batch on its way to a pH. */
export interface Titration {
  readonly batchGrams: number;
  readonly agent: Agent;
  readonly target: Span;
  /** Mass of one drop of the agent, g; null where it is weighed. */
  readonly dropGrams: number | null;
  readonly counterAgent: Agent | null;
  readonly knownBuffers: readonly KnownBuffer[];
  /** At least one. */
  readonly readings: readonly TitrationReading[];
}

/** Uncertainty of a usual meter, pH. */
export const METER_SIGMA = 0.03;

/** A reading with everything per kilogram of what was there. */
export interface Station {
  readonly ph: number;
  readonly sigma: number;
  /** Dosed since the station before, mmol/kg. */
  readonly agentStep: number;
  readonly counterStep: number;
  /** What other additions left of what was dosed, per kilogram, since the station before, 0 to 1. */
  readonly thinning: number;
  /** What they left of the batch's own sites since the first station, 0 to 1. */
  readonly thinned: number;
  /** All dosed so far, mmol/kg. */
  readonly agentTotal: number;
  readonly counterTotal: number;
  /** Whether nothing was added since the station before. */
  readonly isRepeat: boolean;
  /** Whether it is the first reading after something was added, and stands alone. */
  readonly isFresh: boolean;
}

/** All stations and what is left of the batch after the last, g. */
export interface Book {
  readonly stations: readonly Station[];
  readonly leftGrams: number;
}

/**
 * Keeps the books per kilogram: each dose counts as dose ⁄ mass left at that moment; a sample takes its share away, so
 * that the total per kilogram stays; other additions thin; a sample that comes back thins the doses alone. The mass of the
 * doses themselves is not counted.
 */
export function keepBook({ batchGrams, agent, counterAgent, readings }: Titration): Book {
  let leftGrams = batchGrams;
  let last = { dose: 0, counter: 0, other: 0, back: 0 };
  let agentTotal = 0;
  let counterTotal = 0;
  let thinned = 1;
  const stations = readings.map((reading, k): Station => {
    const next = {
      dose: reading.doseGramsTotal,
      counter: reading.counterGramsTotal ?? 0,
      other: reading.otherGramsTotal ?? last.other,
      back: reading.backGramsTotal ?? last.back,
    };
    const withBack = leftGrams + next.back - last.back;
    const byOthers = withBack / (withBack + next.other - last.other);
    const thinning = byOthers * (leftGrams / withBack);
    leftGrams = withBack + next.other - last.other;
    const kilograms = leftGrams / 1000;
    const agentStep = millimolesIn(agent, next.dose - last.dose) / kilograms;
    const counterStep = counterAgent === null ? 0 : millimolesIn(counterAgent, next.counter - last.counter) / kilograms;
    agentTotal = agentTotal * thinning + agentStep;
    counterTotal = counterTotal * thinning + counterStep;
    thinned *= k === 0 ? 1 : byOthers;
    last = next;
    leftGrams -= reading.sampleGrams ?? 0;
    const isRepeat = k > 0 && agentStep === 0 && counterStep === 0 && thinning === 1;
    const { ph, phSigma } = reading;
    return {
      ph,
      sigma: phSigma ?? METER_SIGMA,
      agentStep,
      counterStep,
      thinning,
      thinned,
      agentTotal,
      counterTotal,
      isRepeat,
      isFresh: k > 0 && !isRepeat,
    };
  });
  return { stations, leftGrams };
}

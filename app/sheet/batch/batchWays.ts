import { batchForContainers, batchForMaterial, roundsForPot, type Formula, type PotRounds } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import type { MaterialsBySlug } from "@tensidrum/core/library";
import { fillMassGrams } from "@tensidrum/core/packaging";
import { floorToMultiple, readNumber, writtenMass, writtenShort } from "@tensidrum/core/quantities";

/** The batch that was asked for, and what is to be known of it; or why there is none. */
export type WantedBatch =
  { readonly ok: true; readonly grams: number; readonly note?: string } | { readonly ok: false; readonly problem: string };

export interface TypedFilling {
  readonly containers: string;
  readonly content: string;
  readonly unit: "mL" | "g";
  /** What stays on tools, %. */
  readonly loss: string;
  /** Taken for tests, g. */
  readonly samples: string;
}

/** As in the core: what stays on tools of a usual kitchen batch. */
export const usualFilling: TypedFilling = { containers: "", content: "", unit: "mL", loss: "3", samples: "20" };

/** The batch that fills the containers, rounded up to a whole gram. */
export function fillingBatch(typed: TypedFilling, densityGramsPerMl: number | null): WantedBatch {
  return wanted(() => {
    const content = numberIn(typed.content, "the content of one container");
    const fillGrams = typed.unit === "g" ? content : contentGrams(content, densityGramsPerMl);
    const grams = batchForContainers({
      containers: numberIn(typed.containers, "how many containers"),
      fillGrams,
      lossPercent: numberIn(typed.loss, "the loss"),
      sampleGrams: numberIn(typed.samples, "the samples"),
    });
    return Math.ceil(grams);
  });
}

function contentGrams(millilitres: number, densityGramsPerMl: number | null): number {
  if (densityGramsPerMl === null) {
    throw new Refusal("not-possible", "The density of this formula is not known.", "Type the content of a container in grams.");
  }
  return fillMassGrams({ name: "", nominalMl: millilitres, brimfulMl: millilitres }, densityGramsPerMl);
}

/** Grams of a batch are read to this. */
const BATCH_STEP_GRAMS = 0.1;

/** The batch that uses up what is in hand, rounded down: it never asks for more than there is. */
export function inHandBatch(
  formula: Formula,
  typed: { readonly material: string; readonly grams: string },
  materials: MaterialsBySlug,
): WantedBatch {
  return wanted(() => {
    const grams = numberIn(typed.grams, "the grams in hand");
    return floorToMultiple(batchForMaterial(formula, { material: typed.material, grams }, materials), BATCH_STEP_GRAMS);
  });
}

export interface TypedPot {
  /** What it holds to the brim. */
  readonly holds: string;
  readonly unit: "mL" | "L";
  /** Left free for stirring, %. */
  readonly free: string;
}

/** Where the density of a formula is not known. */
const WATER_GRAMS_PER_ML = 1;

export const usualPot: TypedPot = { holds: "", unit: "L", free: "20" };

/** One of the equal rounds in which the batch fits the largest pot, rounded down; the most it takes where the batch fits. */
export function potBatch(batchGrams: number, typed: TypedPot, densityGramsPerMl: number | null): WantedBatch {
  const fit = parted(batchGrams, typed, densityGramsPerMl ?? WATER_GRAMS_PER_ML);
  const basis = `Calculated at ${writtenShort(densityGramsPerMl ?? WATER_GRAMS_PER_ML, 2)} g/mL, an estimate.`;
  if ("problem" in fit) return { ok: false, problem: fit.problem };
  if (fit.rounds === 1) {
    const most = floorToMultiple(fit.mostGrams, 1);
    return { ok: true, grams: most, note: `${writtenMass(batchGrams)} fits. This is the most that the pot takes. ${basis}` };
  }
  const grams = floorToMultiple(fit.gramsEach, BATCH_STEP_GRAMS);
  return {
    ok: true,
    grams,
    note: `${fit.rounds} rounds of it are ${writtenMass(fit.rounds * grams)}. Weigh each round by itself. ${basis}`,
  };
}

function parted(batchGrams: number, typed: TypedPot, densityGramsPerMl: number): PotRounds | { readonly problem: string } {
  return refused(() => {
    const holds = numberIn(typed.holds, "what the largest pot holds");
    return roundsForPot(batchGrams, {
      brimfulMl: typed.unit === "L" ? holds * 1000 : holds,
      freePercent: numberIn(typed.free, "how much of it stays free"),
      densityGramsPerMl,
    });
  });
}

function numberIn(text: string, what: string): number {
  const read = readNumber(text);
  if (read.ok) return read.value;
  throw new Refusal("not-possible", text.trim() === "" ? `Type ${what}.` : `“${text}” is no number.`, "");
}

function wanted(work: () => number): WantedBatch {
  const grams = refused(work);
  return typeof grams === "number" ? { ok: true, grams } : { ok: false, problem: grams.problem };
}

function refused<T>(work: () => T): T | { readonly problem: string } {
  try {
    return work();
  } catch (error) {
    if (error instanceof Refusal) return { problem: `${error.message} ${error.remedy}`.trim() };
    throw error;
  }
}

import { batchForContainers, batchForMaterial, type Formula } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import type { MaterialsBySlug } from "@tensidrum/core/library";
import { fillMassGrams } from "@tensidrum/core/packaging";
import { floorToMultiple, readNumber } from "@tensidrum/core/quantities";

/** The batch that was asked for, or why there is none yet. */
export type WantedBatch = { readonly ok: true; readonly grams: number } | { readonly ok: false; readonly problem: string };

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

function numberIn(text: string, what: string): number {
  const read = readNumber(text);
  if (read.ok) return read.value;
  throw new Refusal("not-possible", text.trim() === "" ? `Type ${what}.` : `“${text}” is no number.`, "");
}

function wanted(work: () => number): WantedBatch {
  try {
    return { ok: true, grams: work() };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, problem: `${error.message} ${error.remedy}`.trim() };
    throw error;
  }
}

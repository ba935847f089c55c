import type { BatchResult, MassAccount } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";

/** What went in, in words: the lines, and what came in beside them by name. */
export function totalInWords({ inGrams, linesGrams, besides, putBackGrams }: MassAccount): string {
  const putBack = putBackGrams > 0 ? ` ${written(putBackGrams, 1)} g of water was put back for steam.` : "";
  if (besides.length === 0) return `Total weighed in: ${written(inGrams, 1)} g.${putBack}`;
  const beside = besides.map(({ name, grams }) => `${written(grams, 2)} g ${name}`).join(", ");
  return `Total weighed in: ${written(inGrams, 1)} g: lines ${written(linesGrams, 1)} g, beside them ${beside}.${putBack}`;
}

/** What came out: the yield as a part of all that went in, with samples and loss; null until the batch is closed. */
export function yieldWords({ yieldGrams, yieldPercent, samplesGrams, lossGrams }: MassAccount): string | null {
  if (yieldGrams === null || lossGrams === null) return null;
  const of = yieldPercent === null ? "" : `, ${written(yieldPercent, 1)} % of the total weighed in`;
  const samples = samplesGrams > 0 ? `; samples ${written(samplesGrams, 1)} g` : "";
  const loss =
    lossGrams < -SCALES_DIFFER_GRAMS
      ? `${written(-lossGrams, 1)} g more than was weighed in`
      : `loss ${written(Math.max(0, lossGrams), 1)} g`;
  return `Yield ${written(yieldGrams, 1)} g${of}${samples}; ${loss}.`;
}

/** A thickness as it was read: a word, or a number with its unit. */
export function readThicknessWords({ gauge, said, viscosity, unit }: NonNullable<BatchResult["thickness"]>): string {
  if (gauge === "word") return `thickness: ${said}`;
  return `${written(viscosity, 2)} ${unit}${unit === "s" && said !== "" ? ` (${said})` : ""}`;
}

/** pH and thickness as they were read last; empty where neither was. */
export function readLastWords({ ph, thickness }: Pick<BatchResult, "ph" | "thickness">): string {
  const parts = [ph === null ? "" : `pH ${written(ph, 2)}`, thickness === null ? "" : readThicknessWords(thickness)].filter(
    (part) => part !== "",
  );
  return parts.length === 0 ? "" : `Last read: ${parts.join(", ")}.`;
}

/** So much more than went in is the noise of two weighings. */
const SCALES_DIFFER_GRAMS = 0.5;

import type { PreservativeFacts, Span } from "../library/material.ts";
import { forEachSource } from "../formula/leaves.ts";
import type { ResolvedSheet } from "../formula/types.ts";

/** A preservative of the formula, wherever it comes from. */
export interface PreservativeDose {
  /** Slug of the preservative, also when it came inside a base. */
  readonly material: string;
  readonly facts: PreservativeFacts;
  /** Its usual dose, % w/w; null where it is unknown. */
  readonly use: Span | null;
  /** % w/w of the formula, all sources together. */
  readonly percent: number;
  /** Ids of the lines that bring it. */
  readonly lines: readonly string[];
}

export interface PreservativeReading {
  readonly material: string;
  readonly percent: number;
  /** Usual dose, % w/w; null where it is unknown. */
  readonly low: number | null;
  readonly high: number | null;
  /** Undissociated acid at the pH it is judged at, % w/w; null for one that does not work as an acid. */
  readonly workingPercent: number | null;
}

/** Every preservative with its dose in the whole formula, those inside bases and blends included. */
export function preservativeDoses({ lines, materials }: ResolvedSheet): readonly PreservativeDose[] {
  const doses = new Map<string, { facts: PreservativeFacts; use: Span | null; percent: number; lines: string[] }>();
  for (const { line, material, percent } of lines) {
    if (percent === 0) continue;
    forEachSource(material, "preservative", materials, (source, fraction) => {
      if (source.preservative === null) return;
      const dose = doses.get(source.slug);
      const more = percent * fraction;
      if (dose === undefined) {
        doses.set(source.slug, { facts: source.preservative, use: source.use, percent: more, lines: [line.id] });
        return;
      }
      dose.percent += more;
      if (!dose.lines.includes(line.id)) dose.lines.push(line.id);
    });
  }
  return [...doses].map(([material, dose]) => ({ material, ...dose }));
}

/**
 * What of an acid preservative works at a pH, % w/w: percent × acid share ⁄ (1 + 10^(pH − pKa)), summed over its acids
 * (Henderson–Hasselbalch; only the undissociated acid enters a cell). 1 % sodium benzoate (84.3 % benzoic acid, pKa
 * 4.20) at pH 5 has 0.1153 % of it at work.
 */
export function workingDosePercent(percent: number, acids: PreservativeFacts["acids"], ph: number): number {
  return acids.reduce((sum, acid) => sum + (percent * acid.percentOfMaterial) / 100 / (1 + 10 ** (ph - acid.pKa)), 0);
}

/** Doses with what of them works at the pH they are judged at; null stands for a pH nobody knows. */
export function preservativeReadings(doses: readonly PreservativeDose[], ph: number | null): readonly PreservativeReading[] {
  return doses.map(({ material, facts, use, percent }) => ({
    material,
    percent,
    low: use?.low ?? null,
    high: use?.high ?? null,
    workingPercent: ph === null || facts.acids.length === 0 ? null : workingDosePercent(percent, facts.acids, ph),
  }));
}

/** A point of the curve of strength against pH. */
export interface StrengthPoint {
  readonly ph: number;
  readonly workingPercent: number;
}

/** Working dose over a span of pH in equal steps, for the picture of strength against pH. */
export function strengthCurve(
  dose: Pick<PreservativeDose, "percent" | "facts">,
  { low, high, steps }: Span & { readonly steps: number },
): readonly StrengthPoint[] {
  return Array.from({ length: steps + 1 }, (_, step) => {
    const ph = low + ((high - low) * step) / steps;
    return { ph, workingPercent: workingDosePercent(dose.percent, dose.facts.acids, ph) };
  });
}

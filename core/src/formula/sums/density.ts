import type { Material, MaterialsBySlug } from "../../library/material.ts";
import { leavesOf } from "../leaves.ts";
import type { ResolvedSheet } from "../types.ts";

/** How far ideal mixing is usually off, as a part of the density. */
export const DENSITY_UNCERTAINTY = 0.02;

export interface DensityReading {
  /** g/mL; null when a material's density is unknown or nothing is in the formula. */
  readonly gramsPerMl: number | null;
  readonly isMeasured: boolean;
  /** Ids of the lines whose material has no known density. */
  readonly unknownLines: readonly string[];
}

/** Volume of one gram of a material in the batch, mL; null when its density, or that of a leaf, is unknown. */
function mlPerGram(material: Material, materials: MaterialsBySlug): number | null {
  if (material.trueDensityGramsPerMl !== null) return 1 / material.trueDensityGramsPerMl;
  if (material.parts === undefined) return null;
  let volume = 0;
  for (const leaf of leavesOf(material, materials)) {
    if (leaf.material.trueDensityGramsPerMl === null) return null;
    volume += leaf.fraction / leaf.material.trueDensityGramsPerMl;
  }
  return volume;
}

/**
 * Density of the finished wash by ideal mixing, 1 ⁄ ρ = Σ w ⁄ ρᵢ with the true densities (an estimate, ± 2 %). A
 * measured one stands in its place. Half water (0.997) and half glycerin (1.26) give 1.1132 g/mL.
 */
export function densityReading({ lines, materials, formula }: ResolvedSheet): DensityReading {
  const measured = formula.measured?.densityGramsPerMl;
  if (measured !== undefined) return { gramsPerMl: measured, isMeasured: true, unknownLines: [] };
  let mass = 0;
  let volume = 0;
  const unknownLines: string[] = [];
  for (const { line, material, percent } of lines) {
    if (percent === 0) continue;
    const each = mlPerGram(material, materials);
    if (each === null) {
      unknownLines.push(line.id);
      continue;
    }
    mass += percent;
    volume += percent * each;
  }
  const isKnown = unknownLines.length === 0 && volume > 0;
  return { gramsPerMl: isKnown ? mass / volume : null, isMeasured: false, unknownLines };
}

import { forEachSource, type FactName } from "../formula/leaves.ts";
import type { ResolvedSheet } from "../formula/types.ts";

/** Readings that take facts of materials, and the facts they take. */
const FACTS_OF_READING = {
  activeMatter: ["active"],
  saltPercent: ["saltPercent"],
  electrolytePercent: ["electrolytePercent"],
  densityGramsPerMl: ["trueDensityGramsPerMl"],
  waterActivity: ["waterActivity"],
  phCorridor: ["phStable"],
  preservatives: ["preservative", "use"],
  micelles: ["cmcMillimolar", "molarMass"],
  irritation: ["zein"],
  foam: ["foam"],
} as const satisfies Record<string, readonly FactName[]>;

/** Readings that are estimates by their model, however well the facts are known. */
const ALWAYS_ESTIMATES = new Set<string>(["waterActivity", "densityGramsPerMl", "micelles", "irritation", "foam"]);

/** Facts that count for cleansing actives only. */
const OF_CLEANSERS: ReadonlySet<FactName> = new Set<FactName>(["cmcMillimolar", "molarMass", "zein", "foam"]);

export type EstimatedReading = keyof typeof FACTS_OF_READING | "composition";

/** A reading that rests on estimates, and on whose. */
export interface Estimate {
  readonly reading: EstimatedReading;
  /** The model itself is rough. */
  readonly byModel: boolean;
  /** Materials whose fact is an estimate, by slug. */
  readonly materials: readonly string[];
  /** Ids of the lines that bring them. */
  readonly lines: readonly string[];
}

/** Every reading that rests on an estimate: a rough model or a material's fact marked uncertain. */
export function estimatesOf(sheet: ResolvedSheet): readonly Estimate[] {
  const { measured } = sheet.formula;
  const found: Estimate[] = [];
  for (const [name, facts] of Object.entries(FACTS_OF_READING)) {
    const reading = name as keyof typeof FACTS_OF_READING;
    if (reading === "densityGramsPerMl" && measured?.densityGramsPerMl !== undefined) continue;
    const { materials, lines } = uncertainSources(sheet, facts);
    const byModel = ALWAYS_ESTIMATES.has(reading);
    if (byModel || materials.length > 0) found.push({ reading, byModel, materials, lines });
  }
  const rough = uncertainCompositions(sheet);
  if (rough.materials.length > 0) found.push({ reading: "composition", byModel: false, ...rough });
  return found;
}

interface Sources {
  readonly materials: readonly string[];
  readonly lines: readonly string[];
}

function uncertainSources(sheet: ResolvedSheet, facts: readonly FactName[]): Sources {
  const materials = new Set<string>();
  const lines = new Set<string>();
  for (const { line, material, percent } of sheet.lines) {
    if (percent === 0) continue;
    for (const fact of facts) {
      // An assay on the certificate stands in the place of the estimate.
      if (fact === "active" && line.assayPercent !== undefined) continue;
      forEachSource(material, fact, sheet.materials, (source) => {
        if (!source.uncertain.includes(fact) || !counts(source[fact])) return;
        if (OF_CLEANSERS.has(fact) && source.countsAsActive !== true) return;
        materials.add(source.slug);
        lines.add(line.id);
      });
    }
  }
  return { materials: [...materials], lines: [...lines] };
}

function counts(value: unknown): boolean {
  return value !== null && value !== 0 && value !== undefined;
}

function uncertainCompositions(sheet: ResolvedSheet): Sources {
  const rough = sheet.lines.filter(
    ({ material, percent }) => percent > 0 && (material.uncertain.includes("inci") || material.uncertain.includes("parts")),
  );
  return { materials: [...new Set(rough.map(({ material }) => material.slug))], lines: rough.map(({ line }) => line.id) };
}

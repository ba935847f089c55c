import type { Material } from "../../library/material.ts";
import { shownMaterial } from "../../library/shownMaterial.ts";
import type { BatchPlan } from "../batch/batchPlan.ts";
import type { BatchEntry, DosedAgent } from "../batch/entries.ts";

/** A solution a pH can be set with. */
export interface BenchAgent extends DosedAgent {
  /** Mass of one of its drops, g; null where it is weighed. */
  readonly dropGrams: number | null;
}

const CITRIC = { kind: "acid", molarMass: 192.12, pKas: [3.13, 4.76, 6.4] } as const;
const CAUSTIC = { kind: "base", molarMass: 40, pKas: [] } as const;

/** What stands on most benches; of a solution nobody weighed a drop of, none is counted. */
const usual: readonly BenchAgent[] = [
  { name: "citric acid 20 %", line: null, ...CITRIC, strengthPercent: 20, dropGrams: null },
  { name: "citric acid 10 %", line: null, ...CITRIC, strengthPercent: 10, dropGrams: null },
  { name: "sodium hydroxide 10 %", line: null, ...CAUSTIC, strengthPercent: 10, dropGrams: null },
  { name: "sodium hydroxide 2 %", line: null, ...CAUSTIC, strengthPercent: 2, dropGrams: null },
];

/**
 * Acids and bases a batch can be tuned with: those of its formula that are dosed first, then what stands on most benches.
 * Whose drops were weighed in this batch is counted in those drops.
 */
export function agentsOf({ formula, materials, steps }: BatchPlan, standing: readonly BatchEntry[] = []): readonly BenchAgent[] {
  const tuned = new Set(steps.flatMap(({ tunes, lines }) => (tunes === "ph" ? lines : [])));
  const own = formula.lines.flatMap(({ id, material }) => {
    const known = tuned.has(id) ? materials.get(material) : undefined;
    const agent = known === undefined ? null : agentOf(known, id);
    return agent === null ? [] : [agent];
  });
  const weighed = new Map(standing.flatMap((entry) => (entry.kind === "drops-weighed" ? [[entry.agent, entry.grams / entry.drops]] : [])));
  return [...own, ...usual].map((agent) => ({ ...agent, dropGrams: weighed.get(agent.name) ?? agent.dropGrams }));
}

function agentOf(material: Material, line: string): BenchAgent | null {
  const { acidBase, dropMilligrams } = material;
  if (acidBase === null || !(acidBase.percentOfMaterial > 0)) return null;
  const { name } = shownMaterial(material);
  return {
    name: /^[A-Z][a-z]/.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name,
    line,
    kind: acidBase.equivalentsModel === "base" ? "base" : "acid",
    molarMass: acidBase.molarMass,
    pKas: acidBase.pKas,
    strengthPercent: acidBase.percentOfMaterial,
    dropGrams: dropMilligrams === null ? null : dropMilligrams / 1000,
  };
}

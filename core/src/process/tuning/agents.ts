import type { Agent } from "../../acidity/equivalents.ts";
import { soluteContentPercent, STOCK_WATER } from "../../acidity/stockMaterial.ts";
import type { Material, MaterialPart, MaterialsBySlug } from "../../library/material.ts";
import { shownMaterial } from "../../library/shownMaterial.ts";
import { isDryForm } from "../../quantities/dryForms.ts";
import type { BatchPlan, ShelfSolution } from "../batch/batchPlan.ts";
import { dosedByLot } from "../batch/dosedByLot.ts";
import type { BatchEntry, DosedAgent } from "../batch/entries.ts";

/** A solution a pH can be set with. */
export interface BenchAgent extends DosedAgent {
  /** Mass of one of its drops, g; null where it is weighed. */
  readonly dropGrams: number | null;
  /** What its lot still holds, g; null for one that is of no lot of the shelf. */
  readonly leftGrams: number | null;
}

const CITRIC = { kind: "acid", molarMass: 192.12, pKas: [3.13, 4.76, 6.4] } as const;
const CAUSTIC = { kind: "base", molarMass: 40, pKas: [] } as const;

/** What the usual solutions are dissolved from, with its content, %. */
const SOLUTES = {
  citric: { material: "citric-acid-anhydrous", contentPercent: 99.5 },
  caustic: { material: "sodium-hydroxide-pellets", contentPercent: 98.5 },
} as const;

function dissolved({ material, contentPercent }: (typeof SOLUTES)[keyof typeof SOLUTES], strengthPercent: number): readonly MaterialPart[] {
  const percent = (100 * strengthPercent) / contentPercent;
  return [
    { material, percent },
    { material: STOCK_WATER, percent: 100 - percent },
  ];
}

const usualAgent = (name: string, facts: typeof CITRIC | typeof CAUSTIC, strengthPercent: number): BenchAgent => ({
  ...{ name: `${name} ${strengthPercent} %`, line: null, ...facts, strengthPercent, dropGrams: null, leftGrams: null },
  parts: dissolved(facts.kind === "acid" ? SOLUTES.citric : SOLUTES.caustic, strengthPercent),
});

/** What stands on most benches; of a solution nobody weighed a drop of, none is counted. */
const usual: readonly BenchAgent[] = [
  usualAgent("citric acid", CITRIC, 20),
  usualAgent("citric acid", CITRIC, 10),
  usualAgent("sodium hydroxide", CAUSTIC, 10),
  usualAgent("sodium hydroxide", CAUSTIC, 2),
];

/** The usual solution of a kind, the one that is reached for first. */
export function usualAgentOf(kind: "acid" | "base"): BenchAgent {
  return usual.find((one) => one.kind === kind)!;
}

/** The materials the usual solutions are made of, by slug. */
export const usualSolutes: readonly string[] = [SOLUTES.citric.material, SOLUTES.caustic.material, STOCK_WATER];

/**
 * Acids and bases a batch can be tuned with: those of its formula that are dosed, the liquid ones on the shelf by their
 * lots, what stands on most benches, then the dry ones of the shelf. Whose drops were weighed in this batch is counted in those drops.
 */
export function agentsOf(plan: BatchPlan, standing: readonly BatchEntry[] = []): readonly BenchAgent[] {
  const { formula, materials, steps, shelf = [] } = plan;
  const tuned = new Set(steps.flatMap(({ tunes, lines }) => (tunes === "ph" ? lines : [])));
  const ofFormula = formula.lines.filter(({ id }) => tuned.has(id));
  const own = ofFormula.flatMap(({ id, material }) => agentOf(materials.get(material), materials, { line: id }));
  const known = new Set(ofFormula.map(({ material }) => material));
  const onShelf = (isDry: boolean): readonly BenchAgent[] =>
    shelf
      .filter(({ material }) => !known.has(material) && isDryForm(materials.get(material)?.form ?? null) === isDry)
      .flatMap((solution) => agentOf(materials.get(solution.material), materials, { solution }));
  const weighed = new Map(standing.flatMap((entry) => (entry.kind === "drops-weighed" ? [[entry.agent, entry.grams / entry.drops]] : [])));
  const drawn = dosedByLot(standing);
  return [...own, ...onShelf(false), ...usual, ...onShelf(true)].map((agent) => ({
    ...agent,
    dropGrams: weighed.get(agent.name) ?? agent.dropGrams,
    leftGrams: agent.leftGrams === null ? null : Math.max(0, agent.leftGrams - (drawn.get(agent.lot?.id ?? "") ?? 0)),
  }));
}

function agentOf(
  material: Material | undefined,
  materials: MaterialsBySlug,
  from: { readonly line: string } | { readonly solution: ShelfSolution },
): readonly BenchAgent[] {
  const facts = material === undefined ? null : acidOrBase(material, materials);
  if (material === undefined || facts === null) return [];
  const { name } = shownMaterial(material);
  const said = /^[A-Z][a-z]/.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name;
  const dropGrams = material.dropMilligrams === null ? null : material.dropMilligrams / 1000;
  if ("line" in from) return [{ name: said, line: from.line, ...facts, dropGrams, leftGrams: null }];
  const { lot, leftGrams, material: slug } = from.solution;
  return [{ name: `${said}, lot ${lot.code}`, line: null, ...facts, dropGrams, leftGrams, parts: [{ material: slug, percent: 100 }], lot }];
}

/**
 * A material as the acid or base it is dosed as; of a solution made here the one part that is one, as strong as its share
 * makes it. Null for what is neither.
 */
export function acidOrBase(material: Material, materials: MaterialsBySlug): Agent | null {
  const { acidBase } = material;
  if (acidBase !== null) {
    if (!(acidBase.percentOfMaterial > 0)) return null;
    return {
      kind: acidBase.equivalentsModel === "base" ? "base" : "acid",
      molarMass: acidBase.molarMass,
      pKas: acidBase.pKas,
      strengthPercent: acidBase.percentOfMaterial,
    };
  }
  const solutes = (material.parts ?? []).flatMap(({ material: slug, percent }) => {
    const solute = materials.get(slug);
    return solute?.acidBase == null ? [] : [{ solute, percent }];
  });
  const [only] = solutes;
  if (only === undefined || solutes.length > 1) return null;
  const agent = acidOrBase(only.solute, materials);
  return agent === null ? null : { ...agent, strengthPercent: (only.percent * soluteContentPercent(only.solute)) / 100 };
}

/** What a solution is made of, % of it; null for a line of the formula, and for one whose parts nobody knows. */
export function partsOfAgent({ name, line, parts }: DosedAgent): readonly MaterialPart[] | null {
  if (line !== null) return null;
  return parts ?? usual.find((one) => one.name === name)?.parts ?? null;
}

import { assessSums } from "@tensidrum/core/assessment";
import { agentsOf, saltsOf, type BatchPlan, type BenchAgent, type DosedSalt } from "@tensidrum/core/process";
import type { FunnelConstants } from "@tensidrum/core/rheology";

/** What a batch can be tuned with, and what its thickness is measured by. */
export interface Solutions {
  readonly agents: readonly BenchAgent[];
  readonly salts: readonly DosedSalt[];
  /** Null while the maker's funnel was never run with known liquids: its seconds stand for themselves then. */
  readonly funnel: FunnelConstants | null;
  readonly densityGramsPerMl: number;
}

/** Where no material says its density, g/mL. */
const USUAL_DENSITY = 1.02;

/** What a batch can be tuned with and measured by. */
export function solutionsOf(plan: BatchPlan, funnel: FunnelConstants | null): Solutions {
  const { densityGramsPerMl } = assessSums(plan.formula, plan.materials);
  return { agents: agentsOf(plan), salts: saltsOf(plan), funnel, densityGramsPerMl: densityGramsPerMl ?? USUAL_DENSITY };
}

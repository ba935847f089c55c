import { assessSums } from "@tensidrum/core/formula";
import { agentsOf, saltsOf, type BatchPlan } from "@tensidrum/core/making";
import type { FunnelConstants } from "@tensidrum/core/thickness";
import type { Solutions } from "./entriesOf";

/** Where no material says its density, g/mL. */
const USUAL_DENSITY = 1.02;

/** What a batch can be tuned with and measured by. */
export function solutionsOf(plan: BatchPlan, funnel: FunnelConstants | null): Solutions {
  const { densityGramsPerMl } = assessSums(plan.formula, plan.materials);
  return { agents: agentsOf(plan), salts: saltsOf(plan), funnel, densityGramsPerMl: densityGramsPerMl ?? USUAL_DENSITY };
}

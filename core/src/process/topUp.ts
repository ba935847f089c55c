import type { Planner } from "./planner.ts";

/** Puts back what steamed off. */
export function topUp(plan: Planner, id: string): void {
  plan.add({ id, code: "top-up", stage: "cool", vessel: "main", measures: "after-heating" });
}

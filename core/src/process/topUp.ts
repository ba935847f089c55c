import type { Planner } from "./planner.ts";

/** Puts back what steamed off: hot water into a beaker that is still hot, else cold. */
export function topUp(plan: Planner, id: string, code: "top-up" | "top-up-hot" = "top-up"): void {
  plan.add({ id, code, stage: code === "top-up-hot" ? "heat" : "cool", vessel: "main", measures: "after-heating" });
}

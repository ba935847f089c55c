import type { Planner } from "./planner.ts";

/** Puts back what steamed off. */
export function topUp(plan: Planner, id: string): void {
  plan.add({
    id,
    stage: "cool",
    vessel: "main",
    title: "Put back what steamed off",
    do: "Weigh beaker, stirrer and content again. Add hot water: the weight before less the weight now.",
    why: "Steam leaves the wash stronger, saltier and smaller than written.",
    check: "The weight from before.",
    measures: "after-heating",
  });
}

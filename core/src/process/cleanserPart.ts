import type { Planner } from "./planner.ts";
import { isHot } from "./tasks.ts";

/** Ready washes, as bought or made before. */
export function basePart(plan: Planner): void {
  const bases = plan.take("base");
  if (bases.length === 0) return;
  plan.add({ id: "base", code: "base", facts: plan.weighed(bases), stage: "weigh", vessel: "main", lines: bases });
}

/** Cleansers in their own beaker: powder first, the liquid amphoteric onto it, the others after. */
export function cleanserPart(plan: Planner): void {
  const powders = plan.take("cleanser-powder");
  const amphoterics = plan.take("cleanser-amphoteric");
  const others = plan.take("cleanser");
  const melting = plan.take("melt");
  const into = { stage: "weigh", vessel: "surfactants" } as const;
  if (powders.length > 0) {
    plan.add({ ...into, id: "cleanser-powders", code: "surfactant-powders", facts: plan.weighed(powders), lines: powders });
  }
  if (amphoterics.length > 0) {
    const code = powders.length > 0 ? "amphoterics-onto-powder" : "amphoterics";
    plan.add({ ...into, id: "cleanser-amphoterics", code, facts: plan.weighed(amphoterics), lines: amphoterics });
  }
  if (others.length > 0) {
    plan.add({ ...into, id: "cleansers", code: "other-surfactants", facts: plan.weighed(others), lines: others });
  }
  if (melting.length > 0) {
    plan.add({ ...into, id: "melt-thickener", code: "melt-thickener", facts: plan.weighed(melting), lines: melting });
  }
  const needWarmth = [...powders, ...others, ...melting].some(({ material }) => material.flags.includes("needs-heat"));
  if (needWarmth) {
    plan.add({
      id: "warm-cleansers",
      code: "warm-surfactants",
      stage: "heat",
      vessel: "surfactants",
      wait: { from: 10, until: 40 },
      temperature: { low: 65, high: 75 },
    });
  }
}

/** Whether the cleansers are warmed, so that scent must wait. */
export function cleansersAreWarm(plan: Planner): boolean {
  return plan.bench.lines.some(
    ({ material }) => material.flags.includes("needs-heat") && (material.role === "surfactant" || material.role === "thickener"),
  );
}

/** Scent and oils into their solubiliser; they join the cleansers when those are cold, otherwise they wait. */
export function scentPart(plan: Planner): void {
  const scents = plan.take("scent");
  const solubilisers = plan.take("solubiliser");
  if (scents.length === 0 && solubilisers.length === 0) return;
  const into = { id: "scent", stage: "weigh", vessel: "scent", lines: [...solubilisers, ...scents] } as const;
  if (solubilisers.length > 0) {
    const facts = { scents: plan.amounts(scents), solubilisers: plan.amounts(solubilisers) };
    plan.add({ ...into, code: "scent-into-solubiliser", facts });
  } else plan.add({ ...into, code: "scent", facts: plan.weighed(scents) });
  const waits = cleansersAreWarm(plan) || isHot(plan.bench);
  if (!waits && plan.holds("surfactants")) {
    plan.add({ id: "scent-into-cleansers", code: "scent-into-surfactants", stage: "combine", vessel: "surfactants", joins: ["scent"] });
  }
}

import type { ResolvedLine } from "../formula/types.ts";
import type { Planner } from "./planner.ts";
import { isHot } from "./tasks.ts";

/** Ready washes, as bought or made before. */
export function basePart(plan: Planner): void {
  const bases = plan.take("base");
  if (bases.length === 0) return;
  plan.add({ id: "base", code: "base", facts: plan.weighed(bases), stage: "weigh", vessel: "main", lines: bases });
}

/** Where pasty and waxy materials clear, °C; what is stable to less is warmed less. */
const WARM_C = 75;
const WARM_SPAN_C = 10;
/** It is warmed to so far below the heat stability of a material, °C. */
const BELOW_MOST_C = 5;

/** How warm cleansers are to get: as the least heat-stable one allows. */
function warmth(lines: readonly ResolvedLine[]): { readonly low: number; readonly high: number } {
  const most = Math.min(WARM_C, ...lines.map(({ material }) => (material.maxTemperatureC ?? WARM_C + BELOW_MOST_C) - BELOW_MOST_C));
  return { low: most - WARM_SPAN_C, high: most };
}

/**
 * Cleansers in their own beaker: powder first, the liquid amphoteric onto it, the others after. Powder with no liquid
 * cleanser to wet it goes into the hot water: warmed dry and alone it never clears.
 */
export function cleanserPart(plan: Planner): void {
  const powders = plan.take("cleanser-powder");
  const amphoterics = plan.take("cleanser-amphoteric");
  const others = plan.take("cleanser", ...(isCarrierWarmed(plan) ? (["scent-carrier"] as const) : []));
  const melting = plan.take("melt");
  const into = { stage: "weigh", vessel: "surfactants" } as const;
  if (powders.length > 0 && amphoterics.length + others.length === 0 && plan.holds("main")) {
    const lines = [...powders, ...melting];
    const temperature = warmth(lines);
    plan.add({
      id: "solids-into-hot-water",
      code: "solids-into-hot-water",
      facts: { ...plan.weighed(lines), ...temperature },
      stage: "heat",
      vessel: "main",
      lines,
      wait: { from: 10, until: 40 },
      temperature,
    });
    return;
  }
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
  const { route } = plan.bench.choices;
  const needWarmth = [...powders, ...others, ...melting].some(({ material }) => material.flags.includes("needs-heat"));
  const isThere = powders.length + amphoterics.length + others.length > 0;
  if ((needWarmth && route !== "cold") || (route === "warm" && isThere)) {
    const temperature = warmth([...powders, ...amphoterics, ...others, ...melting]);
    const wait = { from: 10, until: 40 };
    plan.add({
      ...{ id: "warm-cleansers", code: "warm-surfactants", facts: temperature, stage: "heat", vessel: "surfactants", wait, temperature },
    });
  }
}

/** What would carry the scent is warmed with the other cleansers, unless the maker keeps it for the scent. */
function isCarrierWarmed(plan: Planner): boolean {
  return cleansersAreWarm(plan) && plan.bench.choices.scentInto === undefined;
}

/** Whether the cleansers are warmed, so that scent must wait. */
export function cleansersAreWarm(plan: Planner): boolean {
  const { route } = plan.bench.choices;
  if (route !== undefined) return route === "warm";
  return plan.bench.lines.some(
    ({ material }) => material.flags.includes("needs-heat") && (material.role === "surfactant" || material.role === "thickener"),
  );
}

/** Scent and oils into their solubiliser; they join the cleansers when those are cold, otherwise they wait. */
export function scentPart(plan: Planner): void {
  const scents = plan.take("scent");
  const solubilisers = plan.take("solubiliser", "scent-carrier");
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

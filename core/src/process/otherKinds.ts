import type { Planner } from "./planner.ts";
import { around, COOLED, heatedTo } from "./heated.ts";
import { isHot } from "./tasks.ts";

/** A stock solution: the water first, what is dissolved into it. */
export function makeStock(plan: Planner): void {
  const water = plan.take("water");
  const solutes = plan.take("solute");
  plan.add({ id: "water", code: "stock-water", facts: plan.weighed(water), stage: "weigh", vessel: "main", lines: water });
  plan.add({
    id: "dissolve",
    code: "stock-dissolve",
    facts: plan.weighed(solutes),
    stage: "combine",
    vessel: "main",
    lines: solutes,
    wait: { from: 10, until: 30 },
  });
  plan.add({ id: "label", code: "stock-label", stage: "finish", vessel: null });
}

/** A dry blend: powders together, scent rubbed into a part of them. */
export function makeDry(plan: Planner): void {
  const liquids = plan.take("dry-liquid");
  for (const { phase, lines } of plan.takeByPhase("dry")) {
    plan.add({ id: `powders-${phase}`, code: "powders", facts: { phase, ...plan.weighed(lines) }, stage: "weigh", vessel: "bowl", lines });
  }
  if (liquids.length > 0) {
    plan.add({ id: "rub-in", code: "rub-in", facts: plan.weighed(liquids), stage: "combine", vessel: "cup", lines: liquids });
    plan.add({ id: "rub-into-bowl", code: "rub-into-bowl", stage: "combine", vessel: "bowl", joins: ["cup"] });
  }
}

/** An oil or balm in one pot. */
export function makeOil(plan: Planner): void {
  for (const { phase, lines } of plan.takeByPhase("fat")) {
    plan.add({ id: `oils-${phase}`, code: "oils", facts: { phase, ...plan.weighed(lines) }, stage: "weigh", vessel: "main", lines });
  }
  const waxy = plan.bench.lines.some(({ material }) => material.flags.includes("needs-heat"));
  if (waxy || isHot(plan.bench)) {
    const temperatureC = heatedTo(plan.bench, [...new Set(plan.bench.lines.map(({ line }) => line.phase))]);
    const into = { vessel: "main" } as const;
    const temperature = around(temperatureC);
    plan.add({ ...into, id: "melt", code: "melt-oil", facts: { temperatureC }, stage: "heat", wait: { from: 10, until: 30 }, temperature });
    plan.add({ ...into, id: "cool", code: "cool-oil", stage: "cool", wait: { from: 15, until: 60 }, temperature: COOLED });
  }
}

/** Two layers that stay apart: water and oil are made separately and meet in the container. */
export function oilLayer(plan: Planner): void {
  const oils = plan.take("layer-oil");
  if (oils.length === 0) return;
  plan.add({ id: "oil-layer", code: "oil-layer", facts: plan.weighed(oils), stage: "weigh", vessel: "oils", lines: oils });
}

/** The layers meet in the container, not in a beaker. */
export function meetInContainer(plan: Planner): void {
  plan.add({ id: "layers", code: "layers", stage: "finish", vessel: "main", joins: plan.holds("oils") ? ["oils"] : [] });
}

import { HEATED_C } from "./batchKind.ts";
import type { Planner } from "./planner.ts";
import { around, COOLED, heatedTo } from "./heated.ts";
import { topUp } from "./topUp.ts";

const HOUR = 60;

/** Fats melted beside the water, both at one temperature, and the two blended. */
export function fatPart(plan: Planner): void {
  const phases = plan.takeByPhase("fat");
  if (phases.length === 0) {
    const heatedWater = plan.bench.lines.some(
      ({ line, material }) => material.role === "water" && plan.bench.temperatureOf(line.phase) >= HEATED_C,
    );
    if (heatedWater && plan.holds("main") && !plan.bench.lines.some(({ material }) => material.flags.includes("soap"))) heatMain(plan);
    return;
  }
  for (const { phase, lines } of phases) {
    plan.add({ id: `fats-${phase}`, code: "fats", facts: { phase, ...plan.weighed(lines) }, stage: "weigh", vessel: "fats", lines });
  }
  if (plan.holds("main")) heatMain(plan);
  const temperatureC = heatedTo(
    plan.bench,
    phases.map(({ phase }) => phase),
  );
  const wait = { from: 10, until: 30 };
  const temperature = around(temperatureC);
  plan.add({ id: "heat-fats", code: "melt-fats", facts: { temperatureC }, stage: "heat", vessel: "fats", wait, temperature });
  if (!plan.holds("main")) return;
  topUp(plan, "top-up-water", "top-up-hot");
  plan.add({
    id: "fats-and-water",
    code: "fats-and-water",
    stage: "combine",
    vessel: "main",
    joins: ["fats"],
    measures: "before-heating",
    temperature,
  });
}

function heatMain(plan: Planner): void {
  const { waterPhases, fatPhases } = plan.bench;
  const temperatureC = heatedTo(plan.bench, [...waterPhases, ...fatPhases]);
  const into = { stage: "heat", vessel: "main", measures: "before-heating" } as const;
  plan.add({ ...into, id: "heat-water", code: "heat-water", facts: { temperatureC }, temperature: around(temperatureC) });
}

/** Stir until cool, then put back what steamed off meanwhile. */
export function coolPart(plan: Planner): void {
  plan.add({ id: "cool", code: "cool", stage: "cool", vessel: "main", wait: { from: 20, until: 2 * HOUR }, temperature: COOLED });
  topUp(plan, "top-up");
}

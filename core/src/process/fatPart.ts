import { HEATED_C } from "./batchKind.ts";
import type { Planner } from "./planner.ts";
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
    plan.add({
      id: `fats-${phase}`,
      stage: "weigh",
      vessel: "fats",
      title: `Weigh the fats of phase ${phase}`,
      do: `Weigh ${plan.amounts(lines)} into the fat beaker.`,
      why: "Fats melt by themselves; water that gets in early makes them spit and set.",
      lines,
    });
  }
  if (plan.holds("main")) heatMain(plan);
  plan.add({
    id: "heat-fats",
    stage: "heat",
    vessel: "fats",
    title: "Melt the fats",
    do: "Heat to 70 to 75 °C in a water bath and hold it there until everything is clear.",
    why: "Grains that have not melted stay in the cream for good.",
    wait: { from: 10, until: 30 },
    check: "Clear, 70 to 75 °C.",
  });
  if (!plan.holds("main")) return;
  plan.add({
    id: "fats-and-water",
    stage: "combine",
    vessel: "main",
    joins: ["fats"],
    title: "Fats and water together",
    do: "Both at the same temperature. Pour the fats into the water in a thin stream with short bursts of the blender; where the fats set fast, pour the water into them.",
    why: "More than five degrees apart, the fat sets as grains where the two meet.",
    caution: "Hot: gloves, and no splashing.",
    check: "Even and white, no drops of oil.",
  });
}

function heatMain(plan: Planner): void {
  plan.add({
    id: "heat-water",
    stage: "heat",
    vessel: "main",
    title: "Heat the water phase",
    do: "Note the weight of beaker, stirrer and content. Cover it and heat to 70 to 75 °C.",
    why: "Both phases must be equally hot when they join, and what steams off must be put back.",
    check: "70 to 75 °C, weight noted.",
    measures: "before-heating",
  });
}

/** Stir until cool, with what steamed off put back. */
export function coolPart(plan: Planner): void {
  topUp(plan, "top-up");
  plan.add({
    id: "cool",
    stage: "cool",
    vessel: "main",
    title: "Cool below 40 °C",
    do: "Stir slowly while it cools; a cold water bath shortens it.",
    why: "Stirred, it sets fine and even; what comes next does not stand heat.",
    wait: { from: 20, until: 2 * HOUR },
    check: "Below 40 °C.",
  });
}

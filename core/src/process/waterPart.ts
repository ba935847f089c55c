import type { Planner } from "./planner.ts";
import { soapPart } from "./soapPart.ts";

const HOUR = 60;

/** The main beaker up to the cleansers: water, chelator, what swells, what is sheared, what dissolves. */
export function waterPart(plan: Planner): void {
  slurry(plan);
  const water = plan.take("water");
  if (water.length > 0) {
    plan.add({ id: "water", code: "weigh-water", facts: plan.weighed(water), stage: "weigh", vessel: "main", lines: water });
  }
  const chelator = plan.take("chelator");
  if (chelator.length > 0) {
    plan.add({ id: "chelator", code: "chelator", facts: plan.weighed(chelator), stage: "weigh", vessel: "main", lines: chelator });
  }
  swelling(plan);
  soapPart(plan);
  dissolving(plan);
}

function slurry(plan: Planner): void {
  const wetting = plan.take("gum-wetting");
  const gums = plan.take("gum");
  if (gums.length === 0 && wetting.length === 0) return;
  const facts = { wetting: plan.amounts(wetting), gums: plan.amounts(gums) };
  plan.add({ id: "slurry", code: "slurry", facts, stage: "weigh", vessel: "slurry", lines: [...wetting, ...gums] });
}

function swelling(plan: Planner): void {
  // Plates and fibres open in plain water; a gum in it would be sheared for ten minutes with them.
  const sheared = plan.take("shear");
  if (sheared.length > 0) {
    const wait = { from: 10, until: 30 };
    plan.add({ id: "shear", code: "shear", facts: plan.weighed(sheared), stage: "combine", vessel: "main", lines: sheared, wait });
  }
  const guar = plan.take("guar");
  if (guar.length > 0) {
    const wait = { from: 10, until: 30 };
    plan.add({ id: "guar", code: "guar", facts: plan.weighed(guar), stage: "weigh", vessel: "main", lines: guar, wait });
  }
  const spread = plan.take("spread");
  if (spread.length > 0) {
    const wait = { from: 30, until: 2 * HOUR };
    plan.add({ id: "spread", code: "spread", facts: plan.weighed(spread), stage: "weigh", vessel: "main", lines: spread, wait });
  }
  if (plan.holds("slurry")) {
    plan.add({
      id: "slurry-into-water",
      code: "slurry-into-water",
      facts: { hasWater: plan.holds("main") },
      stage: "combine",
      vessel: "main",
      joins: ["slurry"],
      wait: { from: 20, until: 30 },
    });
  }
}

function dissolving(plan: Planner): void {
  for (const { phase, lines } of plan.takeByPhase("dissolve")) {
    const cleansers = lines.filter(({ material }) => material.role === "surfactant");
    const others = lines.filter((line) => !cleansers.includes(line));
    if (others.length > 0) {
      const facts = { phase, ...plan.weighed(others) };
      plan.add({ id: `dissolve-${phase}`, code: "dissolve-phase", facts, stage: "weigh", vessel: "main", lines: others });
    }
    if (cleansers.length > 0) {
      plan.add({
        id: `cleansers-into-water-${phase}`,
        code: "surfactants-into-water",
        facts: plan.weighed(cleansers),
        stage: "combine",
        vessel: "main",
        lines: cleansers,
      });
    }
  }
}

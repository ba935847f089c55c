import type { Planner } from "./planner.ts";
import { isHot } from "./tasks.ts";

/** A stock solution: the water first, what is dissolved into it. */
export function makeStock(plan: Planner): void {
  const water = plan.take("water");
  const solutes = plan.take("solute");
  plan.add({
    id: "water",
    stage: "weigh",
    vessel: "main",
    title: "Weigh the water",
    do: `Weigh ${plan.amounts(water)} into the beaker.`,
    why: "The water stands ready before anything strong is opened.",
    lines: water,
  });
  plan.add({
    id: "dissolve",
    stage: "combine",
    vessel: "main",
    title: "Dissolve it in the water",
    do: `Add ${plan.amounts(solutes)} to the water little by little and stir.`,
    why: "Into the water, never the water onto it: it warms, and strong ones spit.",
    lines: solutes,
    wait: { from: 10, until: 30 },
    check: "Clear and back at room temperature.",
  });
  plan.add({
    id: "label",
    stage: "finish",
    vessel: null,
    title: "Bottle and label it",
    do: "Fill it into a closed bottle. Write name, strength, the date it was made and the date to discard it.",
    why: "A clear liquid without a name is the most dangerous thing on the bench.",
    check: "Label complete.",
  });
}

/** A dry blend: powders together, scent rubbed into a part of them. */
export function makeDry(plan: Planner): void {
  const liquids = plan.take("dry-liquid");
  const phases = plan.takeByPhase("dry");
  phases.forEach(({ phase, lines }) => {
    plan.add({
      id: `powders-${phase}`,
      stage: "weigh",
      vessel: "bowl",
      title: `Blend the powders of phase ${phase}`,
      do: `Sieve ${plan.amounts(lines)} into the dry bowl and blend slowly.`,
      why: "Sieved and turned slowly, light and heavy grains stay mixed and little dust rises.",
      lines,
      check: "One colour throughout.",
    });
  });
  if (liquids.length > 0) {
    plan.add({
      id: "rub-in",
      stage: "combine",
      vessel: "cup",
      title: "Rub scent and oils into a spoonful",
      do: `Drop ${plan.amounts(liquids)} onto a spoonful of the powder and rub it through a sieve.`,
      why: "Dropped into the bowl it would make lumps.",
      lines: liquids,
    });
    plan.add({
      id: "rub-into-bowl",
      stage: "combine",
      vessel: "bowl",
      joins: ["cup"],
      title: "Blend it into the bowl",
      do: "Mix the scented spoonful into the remaining powder.",
      why: "Step by step it spreads evenly.",
      check: "No damp lumps.",
    });
  }
}

/** An oil or balm in one pot. */
export function makeOil(plan: Planner): void {
  for (const { phase, lines } of plan.takeByPhase("fat")) {
    plan.add({
      id: `oils-${phase}`,
      stage: "weigh",
      vessel: "main",
      title: `Weigh phase ${phase}`,
      do: `Weigh ${plan.amounts(lines)} into the dry beaker.`,
      why: "A drop of water would cloud it and let microbes in.",
      lines,
    });
  }
  const waxy = plan.bench.lines.some(({ material }) => material.flags.includes("needs-heat"));
  if (waxy || isHot(plan.bench)) {
    plan.add({
      id: "melt",
      stage: "heat",
      vessel: "main",
      title: "Melt it",
      do: "Warm it in a water bath to 70 to 75 °C, covered against steam, until clear.",
      why: "Waxes set as grains if any stays unmelted.",
      wait: { from: 10, until: 30 },
      check: "Clear.",
    });
    plan.add({
      id: "cool",
      stage: "cool",
      vessel: "main",
      title: "Cool below 40 °C",
      do: "Stir slowly until it just begins to thicken.",
      why: "What comes next does not stand heat.",
      wait: { from: 15, until: 60 },
    });
  }
}

/** Two layers that stay apart: water and oil are made separately and meet in the container. */
export function oilLayer(plan: Planner): void {
  const oils = plan.take("layer-oil");
  if (oils.length === 0) return;
  plan.add({
    id: "oil-layer",
    stage: "weigh",
    vessel: "oils",
    title: "Weigh the oil layer",
    do: `Weigh ${plan.amounts(oils)} into the dry oil beaker and stir until clear.`,
    why: "Made by itself it stays clear, and no water gets into the oil.",
    lines: oils,
    check: "Clear.",
  });
}

/** The layers meet in the container, not in a beaker. */
export function meetInContainer(plan: Planner): void {
  plan.add({
    id: "layers",
    stage: "finish",
    vessel: "main",
    joins: plan.holds("oils") ? ["oils"] : [],
    title: "Fill the layers one after the other",
    do: "Fill the water layer into each container first, then the oil layer in its share, both by weight.",
    why: "Filled from one beaker, the first containers would get the oil and the last the water.",
    check: "The line between the layers stands at the same height everywhere.",
  });
}

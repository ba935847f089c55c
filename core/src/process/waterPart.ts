import type { Planner } from "./planner.ts";
import { soapPart } from "./soapPart.ts";

const HOUR = 60;

/** The main beaker up to the cleansers: water, chelator, what swells, what is sheared, what dissolves. */
export function waterPart(plan: Planner): void {
  slurry(plan);
  const water = plan.take("water");
  if (water.length > 0) {
    plan.add({
      id: "water",
      stage: "weigh",
      vessel: "main",
      title: "Weigh the water",
      do: `Weigh ${plan.amounts(water)} into the main beaker; hold a spoonful back to rinse with.`,
      why: "Everything is carried into the water; what is held back rinses the small beakers and still goes in.",
      lines: water,
    });
  }
  const chelator = plan.take("chelator");
  if (chelator.length > 0) {
    plan.add({
      id: "chelator",
      stage: "weigh",
      vessel: "main",
      title: "Dissolve the chelator",
      do: `Stir in ${plan.amounts(chelator)} until clear.`,
      why: "Metals bound at the start can neither cloud the wash nor dull the preservative.",
      lines: chelator,
    });
  }
  swelling(plan);
  soapPart(plan);
  dissolving(plan);
}

function slurry(plan: Planner): void {
  const wetting = plan.take("gum-wetting");
  const gums = plan.take("gum");
  if (gums.length === 0 && wetting.length === 0) return;
  plan.add({
    id: "slurry",
    stage: "weigh",
    vessel: "slurry",
    title: "Slurry the gum",
    do:
      wetting.length > 0
        ? `Weigh ${plan.amounts(wetting)}, sprinkle ${plan.amounts(gums)} over it and stir until no dry grain is left.`
        : `Weigh ${plan.amounts(gums)} into a dry beaker, ready to be rained into fast-stirred water.`,
    why: "Wetted without water, the grains swell one by one instead of lumping.",
    lines: [...wetting, ...gums],
    caution: "The beaker must be dry: a drop of water makes lumps.",
    check: "A smooth, pourable slurry.",
  });
}

function swelling(plan: Planner): void {
  const guar = plan.take("guar");
  if (guar.length > 0) {
    plan.add({
      id: "guar",
      stage: "weigh",
      vessel: "main",
      title: "Spread the cationic guar",
      do: `Rain ${plan.amounts(guar)} into the stirred water at about pH 7, before anything acidic.`,
      why: "In plain water it only spreads; once acid comes it swells, and lumps could no longer open.",
      lines: guar,
      wait: { from: 10, until: 30 },
      check: "Hazy, without lumps.",
    });
  }
  const spread = plan.take("spread");
  if (spread.length > 0) {
    plan.add({
      id: "spread",
      stage: "weigh",
      vessel: "main",
      title: "Spread what swells",
      do: `Sift ${plan.amounts(spread)} into the stirred water and let it wet through.`,
      why: "These polymers take up water slowly; stirred hard too soon, they trap air and lumps.",
      lines: spread,
      wait: { from: 30, until: 2 * HOUR },
      check: "No white specks.",
    });
  }
  if (plan.holds("slurry")) {
    plan.add({
      id: "slurry-into-water",
      stage: "combine",
      vessel: "main",
      joins: ["slurry"],
      title: plan.holds("main") ? "Pour the slurry into the water" : "Keep the slurry in the main beaker",
      do: "Pour it in a thin stream into the fast-stirred water and stir until it thickens; rinse the beaker with held-back water.",
      why: "The slurry into the water, never the water onto the gum.",
      wait: { from: 20, until: 30 },
      check: "Evenly thick, no fish eyes.",
    });
  }
  const sheared = plan.take("shear");
  if (sheared.length > 0) {
    plan.add({
      id: "shear",
      stage: "combine",
      vessel: "main",
      title: "Shear in clay and suspending agents",
      do: `Blend ${plan.amounts(sheared)} into it for ten minutes with the blade under the surface.`,
      why: "Plates and fibres open only under shear, and with cleansers in it the blender would whip foam.",
      lines: sheared,
      wait: { from: 10, until: 30 },
      check: "Smooth between two fingers.",
    });
  }
}

function dissolving(plan: Planner): void {
  for (const { phase, lines } of plan.takeByPhase("dissolve")) {
    const cleansers = lines.filter(({ material }) => material.role === "surfactant");
    const others = lines.filter((line) => !cleansers.includes(line));
    if (others.length > 0) {
      plan.add({
        id: `dissolve-${phase}`,
        stage: "weigh",
        vessel: "main",
        title: `Dissolve phase ${phase}`,
        do: `Stir in ${plan.amounts(others)} one after the other, each until clear.`,
        why: "What dissolves in water goes in while the beaker is thin and clear enough to see it.",
        lines: others,
        check: "Nothing left at the bottom.",
      });
    }
    if (cleansers.length > 0) {
      plan.add({
        id: `cleansers-into-water-${phase}`,
        stage: "combine",
        vessel: "main",
        title: "Stir the cleansers in",
        do: `Let ${plan.amounts(cleansers)} run in along the wall and fold slowly.`,
        why: "Whisked, it fills with foam that clouds the wash and cannot be poured.",
        lines: cleansers,
        caution: "A mist of alcohol knocks foam down.",
      });
    }
  }
}

import type { Planner } from "./planner.ts";
import { isHot } from "./tasks.ts";

/** Ready washes, as bought or made before. */
export function basePart(plan: Planner): void {
  const bases = plan.take("base");
  if (bases.length === 0) return;
  plan.add({
    id: "base",
    stage: "weigh",
    vessel: "main",
    title: "Weigh the base",
    do: `Weigh ${plan.amounts(bases)} into the main beaker and fold slowly.`,
    why: "A ready base contains surfactants, salt and preservative; whisking makes it foam.",
    lines: bases,
  });
}

/** Cleansers in their own beaker: powder first, the liquid amphoteric onto it, the others after. */
export function cleanserPart(plan: Planner): void {
  const powders = plan.take("cleanser-powder");
  const amphoterics = plan.take("cleanser-amphoteric");
  const others = plan.take("cleanser");
  const melting = plan.take("melt");
  const vessel = "surfactants" as const;
  if (powders.length > 0) {
    plan.add({
      id: "cleanser-powders",
      stage: "weigh",
      vessel,
      title: "Weigh the cleanser powders",
      do: `Weigh ${plan.amounts(powders)} into a beaker of their own.`,
      why: "Weighed first, the powder lies still when the liquid comes.",
      lines: powders,
    });
  }
  if (amphoterics.length > 0) {
    plan.add({
      id: "cleanser-amphoterics",
      stage: "weigh",
      vessel,
      title: powders.length > 0 ? "Pour the amphoteric onto the powder" : "Weigh the amphoterics",
      do: `${powders.length > 0 ? "Pour" : "Weigh"} ${plan.amounts(amphoterics)} ${powders.length > 0 ? "onto the powder and press it through with a spatula" : "into the surfactant beaker"}.`,
      why:
        powders.length > 0
          ? "The liquid onto the powder: the other way round it floats in dry lumps."
          : "Amphoterics and anionics share their micelles best when they meet undiluted.",
      lines: amphoterics,
    });
  }
  if (others.length > 0) {
    plan.add({
      id: "cleansers",
      stage: "weigh",
      vessel,
      title: "Weigh the other cleansers",
      do: `Add ${plan.amounts(others)} and stir slowly, without drawing air in.`,
      why: "Joined undiluted they clear sooner and foam less than in the water.",
      lines: others,
    });
  }
  if (melting.length > 0) {
    plan.add({
      id: "melt-thickener",
      stage: "weigh",
      vessel,
      title: "Add what must melt",
      do: `Add ${plan.amounts(melting)} to the cleansers.`,
      why: "Flakes dissolve in hot cleanser, never in cold water.",
      lines: melting,
    });
  }
  const needWarmth = [...powders, ...others, ...melting].some(({ material }) => material.flags.includes("needs-heat"));
  if (needWarmth) {
    plan.add({
      id: "warm-cleansers",
      stage: "heat",
      vessel,
      title: "Warm the cleansers",
      do: "Note the weight, cover the beaker and warm it in a water bath to 65 to 75 °C; stir now and then.",
      why: "Pasty and waxy materials clear in the warmth; uncovered they dry to a skin.",
      wait: { from: 10, until: 40 },
      check: "Clear or evenly pearly, no grains. Replace what steamed off.",
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
  plan.add({
    id: "scent",
    stage: "weigh",
    vessel: "scent",
    title: solubilisers.length > 0 ? "Scent and oils into the solubiliser" : "Weigh scent and oils",
    do:
      solubilisers.length > 0
        ? `Weigh ${plan.amounts(solubilisers)}, drop ${scents.length > 0 ? plan.amounts(scents) : "nothing else"} into it and stir until clear.`
        : `Weigh ${plan.amounts(scents)} into a small beaker.`,
    why:
      solubilisers.length > 0
        ? "Oil that has met water first can no longer be taken up."
        : "Without a solubiliser the cleansers themselves must take it up.",
    lines: [...solubilisers, ...scents],
    check: solubilisers.length > 0 ? "Clear before you go on." : "Weighed to the drop.",
  });
  const waits = cleansersAreWarm(plan) || isHot(plan.bench);
  if (!waits && plan.holds("surfactants")) {
    plan.add({
      id: "scent-into-cleansers",
      stage: "combine",
      vessel: "surfactants",
      joins: ["scent"],
      title: "Scent into the cleansers",
      do: "Fold the scent into the cleansers until it is clear again.",
      why: "Cleansers take it up undiluted; in the finished wash it would stay as droplets.",
      check: "Clear.",
    });
  }
}

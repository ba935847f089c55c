import type { Planner } from "./planner.ts";
import { isHot } from "./tasks.ts";
import { HEATED_C } from "./batchKind.ts";

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

/** Soap takes hours to dissolve and is never whisked or acidified. */
function soapPart(plan: Planner): void {
  const soaps = plan.take("soap");
  if (soaps.length === 0) return;
  const isSolid = soaps.some(({ material }) => material.form !== "liquid");
  if (isSolid && plan.holds("main")) {
    plan.add({
      id: "heat-water",
      stage: "heat",
      vessel: "main",
      title: "Heat the water",
      do: "Note the weight of beaker, stirrer and content. Heat to 75 to 80 °C with the lid on.",
      why: "Soap dissolves only in hot water, and what steams off must be put back.",
      check: "75 to 80 °C, weight noted.",
    });
  }
  plan.add({
    id: "soap",
    stage: "combine",
    vessel: "main",
    title: isSolid ? "Dissolve the soap" : "Weigh the soap",
    do: isSolid
      ? `Add ${plan.amounts(soaps)} in small pieces. Do not whisk. Cover it and stir slowly every two hours until no lump is left.`
      : `Pour in ${plan.amounts(soaps)} and stir slowly.`,
    why: "Soap drinks water slowly; whisking fills it with air that does not leave.",
    lines: soaps,
    ...(isSolid ? { wait: { from: 10 * HOUR, until: 12 * HOUR } } : {}),
    caution: "No acid: it splits soap into greasy fatty acid.",
    check: "Even, without lumps.",
  });
  if (isSolid) topUp(plan, "top-up-soap");
}

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
  });
}

function dissolving(plan: Planner): void {
  const isCleanser = (role: string): boolean => role === "surfactant";
  for (const { phase, lines } of plan.takeByPhase("dissolve")) {
    const cleansers = lines.filter(({ material }) => isCleanser(material.role));
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
    why: "A ready base brings its own cleansers, salt and preservative, and does not like to be whisked.",
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

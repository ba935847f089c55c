import { listed, type StepText, type Weighed } from "./stepText.ts";

/** How hot it gets, °C. */
interface Heated {
  readonly temperatureC: number;
}

/** Steps of what is heated, melted, cooled and whipped. */
export const heatSteps = {
  fats: ({ phase, amounts }: Weighed & { readonly phase: string }): StepText => ({
    title: `Weigh the fats of phase ${phase}`,
    do: `Weigh ${listed(amounts)} into the fat beaker.`,
    why: "Fats melt by themselves; water that gets in early makes them spit and set.",
  }),
  "melt-fats": ({ temperatureC }: Heated): StepText => ({
    title: "Melt the fats",
    do: `Heat to ${temperatureC} °C in a water bath and hold it there until everything is clear.`,
    why: "Grains that have not melted stay in the cream for good.",
    check: `Clear, ${temperatureC} °C.`,
  }),
  "fats-and-water": (): StepText => ({
    title: "Fats and water together",
    do: "Both at the same temperature. Pour the fats into the water in a thin stream with short bursts of the blender; where the fats set fast, pour the water into them. Note the weight of the whole.",
    why: "More than five degrees apart, the fat sets as grains where the two meet. What stays in the fat beaker is no steam: the weight counts from here.",
    caution: "Hot: gloves, and no splashing.",
    check: "Even and white, no drops of oil.",
  }),
  "heat-water": ({ temperatureC }: Heated): StepText => ({
    title: "Heat the water phase",
    do: `Note the weight of beaker, stirrer and content. Cover it and heat to ${temperatureC} °C.`,
    why: "Both phases must be equally hot when they join, and what steams off must be put back.",
    check: `${temperatureC} °C, weight noted.`,
  }),
  "top-up": (): StepText => ({
    title: "Put back what steamed off",
    do: "Weigh beaker, stirrer and content again. Add water: the weight before less the weight now.",
    why: "Steam leaves the wash stronger, saltier and smaller than written.",
    check: "The weight from before.",
  }),
  "top-up-hot": (): StepText => ({
    title: "Top up with hot water",
    do: "Weigh beaker, stirrer and content again. Add hot water: the weight before less the weight now.",
    why: "Put back while it is hot, it mixes at once, and the shares are right before anything else comes in.",
    check: "The weight from before.",
  }),
  cool: (): StepText => ({
    title: "Cool below 40 °C",
    do: "Stir slowly while it cools; a cold water bath shortens it.",
    why: "Stirred, it sets fine and even; what comes next does not stand heat.",
    check: "Below 40 °C.",
  }),
  "cool-oil": (): StepText => ({
    title: "Cool below 40 °C",
    do: "Stir slowly until it just begins to thicken.",
    why: "What comes next does not stand heat.",
  }),
  "melt-oil": ({ temperatureC }: Heated): StepText => ({
    title: "Melt it",
    do: `Warm it in a water bath to ${temperatureC} °C, covered against steam, until clear.`,
    why: "Waxes set as grains if any stays unmelted.",
    check: "Clear.",
  }),
  "cool-down": ({
    phase,
    amounts,
    isHot,
    hasPowder,
  }: Weighed & { readonly phase: string; readonly isHot: boolean; readonly hasPowder: boolean }): StepText => ({
    title: `Stir in phase ${phase}`,
    do: `${isHot ? "Below 40 °C: fold in" : "Fold in"} ${listed(amounts)}${amounts.length > 1 ? " one after the other" : ""}${hasPowder ? ", powders dissolved in a little held-back water" : ""}.`,
    why: isHot
      ? "Preservatives, scent and vitamins are driven off or broken by heat."
      : "Late and one by one: what clouds or thins the wash shows at once.",
  }),
  temper: ({ amounts }: Weighed): StepText => ({
    title: "Temper the powder",
    do: `Rub ${listed(amounts)} smooth with a spoonful of the batch in a small cup.`,
    why: "Dropped in dry, powder and pigment stay as specks.",
    check: "Smooth, no specks.",
  }),
  "temper-into-batch": (): StepText => ({
    title: "Tempered powder into the batch",
    do: "Fold it in and rinse the cup with some of the batch.",
    why: "Thinned first, it spreads evenly.",
  }),
  grains: ({ amounts }: Weighed): StepText => ({
    title: "Fold in the grains",
    do: `Fold in ${listed(amounts)} by hand.`,
    why: "Shear crushes them, and what dissolves loses its grip.",
    check: "Evenly spread; nothing sinks in ten minutes.",
  }),
  whip: (): StepText => ({
    title: "Whip it hot",
    do: "Whip at the lowest speed until it is even and begins to stand. Weigh a full measuring cup before and after.",
    why: "Hot it takes powders without lumps, and fats set evenly round the air.",
    check: "Even, no lumps.",
  }),
  "whip-again": (): StepText => ({
    title: "Whip it again, cool",
    do: "Whip at the lowest speed, then a minute at the highest, until it stands. Weigh a full measuring cup.",
    why: "Cool and still soft the paste holds the air; scent and preservative are spread with it.",
    check: "Overrun in percent: 100 × (weight before ÷ weight after − 1).",
  }),
  "whip-last": (): StepText => ({
    title: "Whip once more",
    do: "Whip briefly at the lowest speed before you fill.",
    why: "It has set while it rested: whipped once more it fills without holes.",
    check: "Soft peaks, even.",
  }),
} as const;

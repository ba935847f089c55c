import { listed, type Amount, type StepText, type Weighed } from "./stepText.ts";

/** Steps of the water phase, of what swells in it and of soap. */
export const waterSteps = {
  "weigh-water": ({ amounts }: Weighed): StepText => ({
    title: "Weigh the water",
    do: `Weigh ${listed(amounts)} into the main beaker; hold a spoonful back to rinse with.`,
    why: "Everything is carried into the water; what is held back rinses the small beakers and still goes in.",
  }),
  chelator: ({ amounts }: Weighed): StepText => ({
    title: "Dissolve the chelator",
    do: `Stir in ${listed(amounts)} until clear.`,
    why: "Metals bound at the start can neither cloud the wash nor dull the preservative.",
  }),
  slurry: ({ wetting, gums }: { readonly wetting: readonly Amount[]; readonly gums: readonly Amount[] }): StepText => ({
    title: "Slurry the gum",
    do:
      wetting.length > 0
        ? `Weigh ${listed(wetting)}, sprinkle ${listed(gums)} over it and stir until no dry grain is left.`
        : `Weigh ${listed(gums)} into a dry beaker, ready to be rained into fast-stirred water.`,
    why: "Wetted without water, the grains swell one by one instead of lumping.",
    caution: "The beaker must be dry: a drop of water makes lumps.",
    check: "A smooth, pourable slurry.",
  }),
  guar: ({ amounts }: Weighed): StepText => ({
    title: "Spread the cationic guar",
    do: `Rain ${listed(amounts)} into the stirred water at about pH 7, before anything acidic.`,
    why: "In plain water it only spreads; once acid comes it swells, and lumps could no longer open.",
    check: "Hazy, without lumps.",
  }),
  spread: ({ amounts }: Weighed): StepText => ({
    title: "Spread what swells",
    do: `Sift ${listed(amounts)} into the stirred water and let it wet through.`,
    why: "These polymers take up water slowly; stirred hard too soon, they trap air and lumps.",
    check: "No white specks.",
  }),
  "slurry-into-water": ({ hasWater }: { readonly hasWater: boolean }): StepText => ({
    title: hasWater ? "Pour the slurry into the water" : "Keep the slurry in the main beaker",
    do: "Pour it in a thin stream into the fast-stirred water and stir until it thickens; rinse the beaker with held-back water.",
    why: "The slurry into the water, never the water onto the gum.",
    check: "Evenly thick, no fish eyes.",
  }),
  shear: ({ amounts }: Weighed): StepText => ({
    title: "Shear in clay and suspending agents",
    do: `Blend ${listed(amounts)} into it for ten minutes with the blade under the surface.`,
    why: "Plates and fibres open only under shear, and with cleansers in it the blender would whip foam.",
    check: "Smooth between two fingers.",
  }),
  "dissolve-phase": ({ phase, amounts }: Weighed & { readonly phase: string }): StepText => ({
    title: `Dissolve phase ${phase}`,
    do: `Stir in ${listed(amounts)} one after the other, each until clear.`,
    why: "What dissolves in water goes in while the beaker is thin and clear enough to see it.",
    check: "Nothing left at the bottom.",
  }),
  "surfactants-into-water": ({ amounts }: Weighed): StepText => ({
    title: "Stir the cleansers in",
    do: `Let ${listed(amounts)} run in along the wall and fold slowly.`,
    why: "Whisked, it fills with foam that clouds the wash and cannot be poured.",
    caution: "A mist of alcohol knocks foam down.",
  }),
  "heat-soap-water": (): StepText => ({
    title: "Heat the water",
    do: "Note the weight of beaker, stirrer and content. Heat to 75 to 80 °C with the lid on.",
    why: "Soap dissolves only in hot water, and what steams off must be put back.",
    check: "75 to 80 °C, weight noted.",
  }),
  soap: ({ amounts, isSolid }: Weighed & { readonly isSolid: boolean }): StepText => ({
    title: isSolid ? "Dissolve the soap" : "Weigh the soap",
    do: isSolid
      ? `Add ${listed(amounts)} in small pieces and take it off the heat. Cover it and stir slowly every two hours until no lump is left; do not whisk.`
      : `Pour in ${listed(amounts)} and stir slowly.`,
    why: "Soap takes up water slowly; whisking fills it with air that does not leave.",
    caution: "No acid: it splits soap into greasy fatty acid.",
    check: "Even, without lumps.",
  }),
} as const;

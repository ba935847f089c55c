import { listed, type Amount, type StepText, type Weighed } from "./stepText.ts";

/** How warm cleansers get, °C. */
interface Warm {
  readonly low: number;
  readonly high: number;
}

/** Steps of ready bases, cleansers, and the scent that goes into them. */
export const surfactantSteps = {
  base: ({ amounts }: Weighed): StepText => ({
    title: "Weigh the base",
    do: `Weigh ${listed(amounts)} into the main beaker and fold slowly.`,
    why: "A ready base contains surfactants, salt and preservative; whisking makes it foam.",
  }),
  "surfactant-powders": ({ amounts }: Weighed): StepText => ({
    title: "Weigh the cleanser powders",
    do: `Weigh ${listed(amounts)} into a beaker of their own.`,
    why: "Weighed first, the powder lies still when the liquid comes.",
  }),
  amphoterics: ({ amounts }: Weighed): StepText => ({
    title: "Weigh the amphoterics",
    do: `Weigh ${listed(amounts)} into the surfactant beaker.`,
    why: "Amphoterics and anionics share their micelles best when they meet undiluted.",
  }),
  "amphoterics-onto-powder": ({ amounts }: Weighed): StepText => ({
    title: "Pour the amphoteric onto the powder",
    do: `Pour ${listed(amounts)} onto the powder and press it through with a spatula.`,
    why: "The liquid onto the powder: the other way round it floats in dry lumps.",
  }),
  "other-surfactants": ({ amounts }: Weighed): StepText => ({
    title: "Weigh the other cleansers",
    do: `Add ${listed(amounts)} and stir slowly, without drawing air in.`,
    why: "Joined undiluted they clear sooner and foam less than in the water.",
  }),
  "melt-thickener": ({ amounts }: Weighed): StepText => ({
    title: "Add what must melt",
    do: `Add ${listed(amounts)} to the cleansers.`,
    why: "Flakes dissolve in hot cleanser, never in cold water.",
  }),
  "solids-into-hot-water": ({ amounts, low, high }: Weighed & Warm): StepText => ({
    title: "Solid cleansers into hot water",
    do: `Note the weight, cover the beaker and heat it to ${low} to ${high} °C. Sprinkle ${listed(amounts)} in, fold slowly and keep it warm until no grain is left.`,
    why: "Wetted in hot water it swells and dissolves; warmed dry it only cakes.",
    check: "Clear or evenly pearly, no grains. Replace what steamed off.",
  }),
  "warm-surfactants": ({ low, high }: Warm): StepText => ({
    title: "Warm the cleansers",
    do: `Note the weight, cover the beaker and warm it in a water bath to ${low} to ${high} °C; stir now and then.`,
    why: "Pasty and waxy materials clear in the warmth; uncovered they dry to a skin.",
    check: "Clear or evenly pearly, no grains. Replace what steamed off.",
  }),
  "scent-into-solubiliser": ({
    scents,
    solubilisers,
  }: {
    readonly scents: readonly Amount[];
    readonly solubilisers: readonly Amount[];
  }): StepText => ({
    title: "Scent and oils into the solubiliser",
    do: `Weigh ${listed(solubilisers)}, drop ${scents.length > 0 ? listed(scents) : "nothing else"} into it and stir until clear.`,
    why: "Oil that has met water first can no longer be taken up.",
    check: "Clear before you go on.",
  }),
  scent: ({ amounts }: Weighed): StepText => ({
    title: "Weigh scent and oils",
    do: `Weigh ${listed(amounts)} into a small beaker.`,
    why: "Without a solubiliser the cleansers themselves must take it up.",
    check: "Weighed to the drop.",
  }),
  "scent-into-surfactants": (): StepText => ({
    title: "Scent into the cleansers",
    do: "Fold the scent into the cleansers until it is clear again.",
    why: "Cleansers take it up undiluted; in the finished wash it would stay as droplets.",
    check: "Clear.",
  }),
  "scent-into-batch": ({ isHot }: { readonly isHot: boolean }): StepText => ({
    title: "Scent into the batch",
    do: "Fold the scent in slowly until it is even again.",
    why: isHot ? "Below 40 °C it stays in; hot it would be in the air of the room." : "Stirred in slowly at the end, it draws no air in.",
    check: "Look again after ten minutes: scent can thin it.",
  }),
  "becomes-batch": ({ what }: { readonly what: "fats" | "surfactants" }): StepText => ({
    title: `The ${what === "fats" ? "fats" : "cleansers"} become the batch`,
    do: "Go on in the same beaker, or move it into the main one.",
    why: "There is nothing else to pour it into.",
    check: "Everything is in.",
  }),
  "joins-water": ({ isWhipped }: { readonly isWhipped: boolean }): StepText => ({
    title: "Cleansers into the water",
    do: `Pour the cleansers slowly into the water and fold${isWhipped ? "" : "; never whisk"}. Rinse the beaker with held-back water.`,
    why: isWhipped
      ? "Air is beaten in later, once the paste is even."
      : "Stirred in slowly it stays clear; whisked it is all foam. A mist of alcohol knocks foam down.",
    check: isWhipped ? "Even, no lumps." : "Even, little foam.",
  }),
} as const;

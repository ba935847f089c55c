import { listed, type StepText, type Weighed } from "./stepText.ts";

/** Steps of stock solutions, dry blends, oils and layers. */
export const otherSteps = {
  "stock-water": ({ amounts }: Weighed): StepText => ({
    title: "Weigh the water",
    do: `Weigh ${listed(amounts)} into the beaker.`,
    why: "The water stands ready before anything strong is opened.",
  }),
  "stock-dissolve": ({ amounts }: Weighed): StepText => ({
    title: "Dissolve it in the water",
    do: `Add ${listed(amounts)} to the water little by little and stir.`,
    why: "Into the water, never the water onto it: it warms, and strong ones spit.",
    check: "Clear and back at room temperature.",
  }),
  "stock-label": (): StepText => ({
    title: "Bottle and label it",
    do: "Fill it into a closed bottle. Write name, strength, the date it was made and the date to discard it.",
    why: "A clear liquid without a name is the most dangerous thing on the bench.",
    check: "Label complete.",
  }),
  powders: ({ phase, amounts }: Weighed & { readonly phase: string }): StepText => ({
    title: `Blend the powders of phase ${phase}`,
    do: `Sieve ${listed(amounts)} into the dry bowl and blend slowly.`,
    why: "Sieved and turned slowly, light and heavy grains stay mixed and little dust rises.",
    check: "One colour throughout.",
  }),
  "rub-in": ({ amounts }: Weighed): StepText => ({
    title: "Rub scent and oils into a spoonful",
    do: `Drop ${listed(amounts)} onto a spoonful of the powder and rub it through a sieve.`,
    why: "Dropped into the bowl it would make lumps.",
  }),
  "rub-into-bowl": (): StepText => ({
    title: "Blend it into the bowl",
    do: "Mix the scented spoonful into the remaining powder.",
    why: "Step by step it spreads evenly.",
    check: "No damp lumps.",
  }),
  oils: ({ phase, amounts }: Weighed & { readonly phase: string }): StepText => ({
    title: `Weigh phase ${phase}`,
    do: `Weigh ${listed(amounts)} into the dry beaker.`,
    why: "A drop of water would cloud it and let microbes in.",
  }),
  "oil-layer": ({ amounts }: Weighed): StepText => ({
    title: "Weigh the oil layer",
    do: `Weigh ${listed(amounts)} into the dry oil beaker and stir until clear.`,
    why: "Made by itself it stays clear, and no water gets into the oil.",
    check: "Clear.",
  }),
  layers: (): StepText => ({
    title: "Fill the layers one after the other",
    do: "Fill the water layer into each container first, then the oil layer in its share, both by weight.",
    why: "Filled from one beaker, the first containers would get the oil and the last the water.",
    check: "The line between the layers stands at the same height everywhere.",
  }),
} as const;

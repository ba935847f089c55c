import { writtenMass } from "../../quantities/written.ts";
import { listed, type Amount, type StepText, type Weighed } from "./stepText.ts";

/** Steps of pH, thickness, rest and filling, and the bench before all. */
export const tuningSteps = {
  prepare: ({ wear, isWet }: { readonly wear: readonly string[]; readonly isWet: boolean }): StepText => ({
    title: "Prepare the bench",
    do: `Clean and disinfect tools, beakers and containers and let them dry. Put on ${wear.join(", ")}. Note the tare weight of each beaker with its stirrer.${isWet ? " Calibrate the meter, and see that stock solutions are in date." : " Everything must be dry."}`,
    why: "Most microbes come from tools and containers, and a tare weight cannot be taken afterwards.",
    check: "Nothing smells, everything is dry, every tare weight is noted.",
  }),
  neutralise: ({ amounts }: Weighed): StepText => ({
    title: "Neutralise the polymer",
    do: `Drop ${listed(amounts)} in slowly; hold the last third back until you have read the pH.`,
    why: "The polymer swells only once its acid groups are neutral.",
    check: "It turns from milky to clear and thick.",
  }),
  "soap-ph": ({ held }: { readonly held: readonly Amount[] }): StepText => ({
    title: "Check the pH",
    do: `Stir 2 g into 18 g distilled water and read: 9 to 10 is right.${held.length > 0 ? ` Hold back ${listed(held)}.` : ""}`,
    why: "Soap is alkaline by nature: below 9 it splits into greasy fatty acid, above 10 it bites.",
    check: "9 to 10 on two readings.",
  }),
  ph: ({ held, hasClay }: { readonly held: readonly Amount[]; readonly hasClay: boolean }): StepText => ({
    title: "Read the pH and set it",
    do: `Stir 2 g into 18 g distilled water and read at 20 to 25 °C.${held.length > 0 ? ` Hold back ${listed(held)}: dose it bit by bit as advised, stir, wait two minutes, read again.` : " Correct it with a weak acid or base in small doses."}`,
    why: BEFORE_SALT,
    check: hasClay ? `${TWO_READINGS} ${CLAY_AT_THE_METER}` : TWO_READINGS,
  }),
  "late-thickener": ({ amounts }: Weighed): StepText => ({
    title: "Thicken in small steps",
    do: `Fold in ${listed(amounts)} in at most five portions, half an hour apart; hold the last one back until next morning.`,
    why: "Associative thickeners go on building all night, and too much cannot be taken out.",
    check: "Judge next morning.",
  }),
  salt: ({ amounts }: Weighed): StepText => ({
    title: "Thicken with salt",
    do: `Dissolve ${listed(amounts)} in a little of the held-back water. Add it in small parts as advised; hold back what is not needed.`,
    why: "Past its peak every gram of salt makes the wash thinner.",
    check: "Rest, then look; stop when the last part gained less than a tenth.",
  }),
  disperse: ({ amounts, hasPowder }: Weighed & { readonly hasPowder: boolean }): StepText => ({
    title: "Stir in what does not dissolve",
    do: `${hasPowder ? "Rub powders smooth with a spoonful of the batch first. " : ""}Fold ${listed(amounts)} in slowly until it is even.`,
    why: "It stays as particles: only a batch that is thick already carries them.",
    check: "Even; nothing settles while you look.",
  }),
  "ph-again": (): StepText => ({
    title: "Read the pH again",
    do: "Take another 10 % dilution and note the reading.",
    why: "Salt and thickener move the reading a little.",
    check: "Still inside the corridor.",
  }),
  "acids-dry": ({ amounts }: Weighed): StepText => ({
    title: "Add acids and bases",
    do: `Stir in ${listed(amounts)}.`,
    why: "Without water they set no pH now, only when it is used.",
  }),
  "draw-part": ({ name, grams }: { readonly name: string; readonly grams: number }): StepText => ({
    title: `Draw the part "${name}"`,
    do: `Weigh ${writtenMass(grams)} of the finished base into a beaker of its own.`,
    why: "Each part gets its own label, so its weight must be known.",
  }),
  "finish-part": ({ name, amounts, isColour }: Weighed & { readonly name: string; readonly isColour: boolean }): StepText => ({
    title: `Finish the part "${name}"`,
    do: `Fold in ${listed(amounts)}${isColour ? ", little by little" : ""}.`,
    why: isColour ? "Colour goes by the eye: less is put right, more is not." : "What only this part has goes into it alone.",
    check: isColour
      ? "Look at it in a glass against white. Record how much it really took."
      : "Look again after ten minutes: scent can thin it.",
  }),
  rest: ({ kind }: { readonly kind: keyof typeof REST }): StepText => ({
    title: "Let it rest, covered",
    do: "Cover it and leave it alone.",
    why: REST[kind],
    check: "Bubbles are gone; look, smell, thickness noted.",
  }),
  fill: ({ foamsItself, kind }: { readonly foamsItself: boolean; readonly kind: keyof typeof JUDGED }): StepText => ({
    title: "Judge it, then fill",
    do: `${JUDGED[kind]}${foamsItself ? " Pump one container empty of air and look at the foam before you fill them all." : " Fill one container and try it before you fill them all."} Label each with batch and date.`,
    why:
      kind === "dry"
        ? "Without water nothing grows in it, until something wet gets in."
        : "Some pumps froth a gel, and some caps do not let it through.",
    check: "Yield weighed, containers counted, one kept back.",
  }),
} as const;

const BEFORE_SALT = "Before salt: amphoterics thicken as the pH falls. What is written is only an estimate of what this batch takes.";
const CLAY_AT_THE_METER = "Clay unsettles a meter: read a strip beside it.";
const TWO_READINGS = "Inside the corridor on two readings.";

/** What is judged before it is filled, by what it is. */
const JUDGED = {
  wet: "Judge thickness, look and pH now, not before.",
  oil: "Judge look and smell now: clear, even, no grains.",
  dry: "Look for lumps now. Fill it dry, tapped down and by weight, and take it with a dry spoon; its oil says how long it keeps.",
} as const;

/** Why it rests, by what makes it need that. */
const REST = {
  whipped: "The foam sets as its fats do.",
  gum: "Gums swell for a day or two: what looks thin today is thick the day after tomorrow.",
  dry: "Scent spreads through the powder, and lumps show.",
  wash: "Bubbles rise, it clears, and the thickness settles.",
} as const;

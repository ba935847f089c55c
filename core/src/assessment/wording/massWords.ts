import { dropsOf, smallDoseWay } from "../../formula/smallDose.ts";
import type { Material } from "../../library/material.ts";
import { decimalPlaces } from "../../quantities/decimals.ts";
import { written, writtenMass, writtenPercent, writtenShort } from "../../quantities/written.ts";
import type { WordsFor } from "./words.ts";

/** What to do with what no solution in water helps: scents, oils and colours. Null for everything else. */
function smallWords(material: Material | undefined, grams: number, batch: string): string | null {
  if (material === undefined) return null;
  const drops = dropsOf(material, grams);
  const inDrops = drops === null || drops < 1 ? "" : `, count ${Math.round(drops)} ${Math.round(drops) === 1 ? "drop" : "drops"}`;
  switch (smallDoseWay(material)) {
    case "scent":
      return `Weigh it as part of one scent blend${inDrops}, or ${batch}.`;
    case "oil":
      return `Thin it tenfold with an oil or the solubiliser of the formula and weigh that${inDrops}, or ${batch}.`;
    case "colour":
      return `Make a 1 % solution or slurry and add it by the drop, to look, or ${batch}.`;
    case "solution":
      return null;
  }
}

/** The sum of the lines, and masses too small for the scale. */
export const massWords: WordsFor<"MASS_OVER" | "MASS_OPEN" | "MASS_NO_QS" | "LINE_OPEN" | "TOO_SMALL_TO_WEIGH"> = {
  MASS_OVER: ({ totalPercent, excessPercent, qsMaterial, hasWaterToSpare }, names) => ({
    what: `The lines add up to ${writtenPercent(totalPercent)} %.`,
    why: qsMaterial === null ? "A formula cannot hold more than 100 %." : `The q.s. line, ${names.of(qsMaterial)}, cannot go below 0 %.`,
    cure: `Remove ${writtenPercent(excessPercent)} %${hasWaterToSpare ? ", for example from the water" : ""}.`,
  }),
  MASS_OPEN: ({ totalPercent, openPercent }) => ({
    what: `The lines add up to ${writtenPercent(totalPercent)} %; ${writtenPercent(openPercent)} % is open.`,
    why: "Without a q.s. line the batch comes out lighter than planned.",
    cure: "Make the water q.s. to 100 %, or distribute the open share.",
  }),
  MASS_NO_QS: () => ({
    what: "The lines add up to 100 % without a q.s. line.",
    why: "The next change of a line leaves the formula open or over 100 %.",
    cure: "Make the water q.s. to 100 %.",
  }),
  LINE_OPEN: ({ texts: [first = "", ...others], percent }) => ({
    what:
      others.length === 0
        ? `“${first}” has no material yet.`
        : `${others.length + 1} lines have no material yet: “${first}” and ${others.length === 1 ? `“${others[0] ?? ""}”` : `${others.length} more`}.`,
    why: `${others.length === 0 ? "It counts" : "They count"} ${writtenPercent(percent)} % in the whole, and in no reading beside it.`,
    cure: `Choose ${others.length === 0 ? "what it is" : "what they are"}, or delete ${others.length === 0 ? "the line" : "the lines"}.`,
  }),
  TOO_SMALL_TO_WEIGH: ({ material, grams, scale, stepGrams, leastGrams, smallestBatchGrams, dilution }, names) => {
    const decimals = decimalPlaces(stepGrams);
    const batch = `make at least ${writtenMass(smallestBatchGrams)}`;
    return {
      what: `${writtenShort(grams, decimals + 2)} g of ${names.of(material)} is too small to weigh.`,
      why: `The ${scale} scale shows steps of ${writtenShort(stepGrams, 4)} g. Below ${writtenShort(leastGrams, 4)} g rounding alone is an error of more than 2.5 %.`,
      cure:
        smallWords(names.material(material), grams, batch) ??
        (dilution === null
          ? `M${batch.slice(1)}.`
          : `Make a ${writtenShort(dilution.strengthPercent, 1)} % solution and weigh ${written(dilution.massGrams, decimals)} g of it (reduce the water by the difference), or ${batch}.`),
    };
  },
};

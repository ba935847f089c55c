import { isoDay } from "../quantities/isoDay.ts";
import { Refusal } from "../quantities/refusal.ts";
import type { Agent } from "./equivalents.ts";

export interface StockWish {
  readonly solute: string;
  /** null for salt and other neutral things. */
  readonly kind: Agent["kind"] | null;
  /** Of the finished solution, % w/w. */
  readonly strengthPercent: number;
  /** Solute in the material as bought, %; 100 when left out. */
  readonly percentOfMaterial?: number;
  readonly grams: number;
  /** ISO date. */
  readonly madeOn: string;
  /** 3 when left out, at most 12. */
  readonly monthsToKeep?: number;
}

export interface StockPlan {
  readonly soluteGrams: number;
  readonly waterGrams: number;
  /** ISO date. */
  readonly discardOn: string;
  readonly steps: readonly string[];
  readonly cautions: readonly string[];
  readonly label: string;
}

const USUAL_MONTHS = 3;
const MOST_MONTHS = 12;

/**
 * A stock solution by mass: solute = grams × strength ⁄ content, water the rest. 100 g of 25 % citric acid out of a
 * 99.5 % powder takes 25.13 g of it and 74.87 g of water.
 * @throws Refusal when the material is weaker than the wish or the time to keep is out of range.
 */
export function planStock({
  solute,
  kind,
  strengthPercent,
  percentOfMaterial = 100,
  grams,
  madeOn,
  monthsToKeep = USUAL_MONTHS,
}: StockWish): StockPlan {
  if (strengthPercent > percentOfMaterial) {
    throw new Refusal(
      "not-possible",
      `${solute} holds ${percentOfMaterial} %; ${strengthPercent} % cannot be made from it.`,
      "Choose a weaker solution.",
    );
  }
  if (!(monthsToKeep > 0 && monthsToKeep <= MOST_MONTHS)) {
    throw new Refusal("not-possible", `A stock solution is kept up to ${MOST_MONTHS} months, not ${monthsToKeep}.`, "Set a shorter time.");
  }
  const soluteGrams = (grams * strengthPercent) / percentOfMaterial;
  const discardOn = isoDay(madeOn).add(monthsToKeep, "month").format("YYYY-MM-DD");
  return {
    soluteGrams,
    waterGrams: grams - soluteGrams,
    discardOn,
    steps: [
      "Weigh the distilled water into the bottle's beaker.",
      `Add the ${solute} to the water a little at a time, stirring; never the water to it.`,
      kind === "base" ? "Let it cool and clear before closing it." : "Stir until it is clear, about ten minutes.",
      "Label it with name, strength and date.",
    ],
    cautions: cautionsOf(kind),
    label: `${solute} ${strengthPercent} % w/w · made ${madeOn} · discard ${discardOn}`,
  };
}

function cautionsOf(kind: StockWish["kind"]): readonly string[] {
  if (kind === "base") return ["Caustic: gloves and eye protection, no aluminium, away from children.", "It heats up as it dissolves."];
  if (kind === "acid") return ["Stings eyes and cuts: eye protection, rinse splashes at once.", "Dust of powdered acids makes one cough."];
  return [];
}

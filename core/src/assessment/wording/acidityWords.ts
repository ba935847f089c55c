import { writtenShort } from "../../quantities/written.ts";
import { joined, type Names } from "./names.ts";
import type { WordsFor } from "./words.ts";

const ph = (value: number): string => writtenShort(value, 2);

/** Who claims a part of the pH corridor: the aim's own claims, or a material by its name. */
function claimant(who: string, names: Names): string {
  if (who === "school") return "the formulation style";
  return who === "profile" || who === "eye area" ? `the ${who}` : names.of(who);
}

/** The finished pH. */
export const acidityWords: WordsFor<"PH_NO_CORRIDOR" | "PH_OUTSIDE" | "EYE_PH" | "SOAP_ACIDIFIED" | "RAW_PH_HIGH"> = {
  PH_NO_CORRIDOR: ({ claims }, names) => {
    const told = claims.map(({ who, low, high }) =>
      low === null || high === null ? claimant(who, names) : `${claimant(who, names)} (pH ${ph(low)} to ${ph(high)})`,
    );
    return {
      what: `No pH suits all lines: ${joined(told)} exclude each other.`,
      why: "Whichever pH you choose, one of them fails.",
      cure: "Exchange one of them, or change the aim.",
    };
  },
  PH_OUTSIDE: ({ ph: measured, low, high, who }, names) => ({
    what: `The measured pH is ${ph(measured)}. The corridor is ${ph(low)} to ${ph(high)}.`,
    why: `It is outside the range of ${joined(who.map((one) => claimant(one, names)))}.`,
    cure: measured > high ? "Add acid in small doses and measure after each." : "Add base in small doses and measure after each.",
  }),
  RAW_PH_HIGH: ({ ph: raw, highPh }) => ({
    what: `It comes out at about pH ${writtenShort(raw, 1)} (estimate), and no acid is planned; the corridor ends at ${ph(highPh)}.`,
    why: "Glucosides, soaps and some chelators arrive alkaline, and acid preservatives do nothing up there.",
    cure: "Plan an acid, such as citric or lactic, and have its solution ready at the bench.",
  }),
  EYE_PH: ({ ph: measured, low, high }) => ({
    what: `The measured pH is ${ph(measured)}. Near the eye it should be ${ph(low)} to ${ph(high)}.`,
    why: "Outside the pH of tears it stings.",
    cure: measured < low ? `Raise it to ${ph(low)} or above.` : `Lower it to ${ph(high)} or below.`,
  }),
  SOAP_ACIDIFIED: ({ soaps, acids, lowPh, leastPh }, names) => ({
    what:
      lowPh === null
        ? `${names.list(acids)} would react with the soap, ${names.list(soaps)}.`
        : `The soap was measured at pH ${ph(lowPh)}. Below pH ${ph(leastPh)} it breaks down.`,
    why: "Acid turns soap back into fatty acid: the product clouds, thins and no longer cleans.",
    cure: "Delete the acid and keep soap at pH 9 to 10. For a skin-like pH use other surfactants.",
  }),
};

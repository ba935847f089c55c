import type { Beside, DesignedBlend, LeftOutReason, Mend, NumberWish, Reason, SetCuts } from "@tensidrum/core/design";
import { written, writtenShort } from "@tensidrum/core/quantities";
import { wishFields } from "./wishesOf";

type NameOf = (slug: string) => string;

export const leftOutWords: Readonly<Record<LeftOutReason, string>> = {
  "left-out": "left out by you",
  "not-on-shelf": "not on the shelf",
  style: "outside the style or the aim",
  solubility: "does not dissolve in what makes up the rest",
  heat: "needs heat",
  clouds: "clouds",
  ph: "does not stand the pH",
  facts: "its facts are not known",
  price: "its price is not known",
  soap: "is a soap",
};

export const cutWords: Readonly<Record<keyof SetCuts, string>> = {
  charge: "clash by charge",
  ph: "share no pH with each other and the preservative",
  thickening: "answer to no salt",
  impossible: "cannot keep the wishes in any amounts",
};

export const wishWords = (wish: NumberWish): string => wishFields.find((field) => field.wish === wish)?.words ?? wish;

/** The lines of a blend as they go on a sheet. */
export function partsWords({ lines }: Pick<DesignedBlend, "lines">, nameOf: NameOf): string {
  return lines.map(({ material, percent }) => `${nameOf(material)} ${written(percent, 2)} %`).join(", ");
}

/** A blend in a sentence, for who cannot see the picture. */
export function blendWords({ lines, irritation, flash, cost, clarity }: DesignedBlend, nameOf: NameOf, money: string): string {
  const paid = cost === null ? "" : `, 100 g for ${written(cost, 2)}${money}`;
  const parts = lines.map(({ material, activePercent }) => `${nameOf(material)} ${written(activePercent, 1)} %`);
  const seen = clarity === "clear" ? "" : `, ${clarity}`;
  return `Irritation ${written(irritation, 0)}, initial foam ${written(flash, 1)}${paid}${seen}: ${parts.join(", ")}.`;
}

/** Differences smaller than this are not told. */
const FELT = { irritation: 3, flash: 0.3, stability: 0.3, cost: 0.01 } as const;

/** What a surfactant is in for: how the blend would be without it. */
export function reasonWords({ without }: Reason, now: Beside, money: string): string {
  if (without === null) return "Without it nothing would be left to judge.";
  const told: string[] = [];
  const tell = (what: string, key: keyof typeof FELT, decimals: number, unit = ""): void => {
    const [before, after] = [now[key], without[key]];
    if (before === null || after === null || Math.abs(after - before) < FELT[key]) return;
    told.push(`${what} ${written(before, decimals)} → ${written(after, decimals)}${unit}`);
  };
  tell("irritation", "irritation", 0);
  tell("initial foam", "flash", 1);
  tell("stability", "stability", 1);
  tell("100 g", "cost", 2, money);
  if (now.answersToSalt && !without.answersToSalt) told.push("salt would do little");
  return told.length === 0 ? "Without it little would change." : `Without it: ${told.join(", ")}.`;
}

/** A change of the wishes that would let something be found. */
export function mendWords(mend: Mend, nameOf: NameOf): string {
  switch (mend.kind) {
    case "number":
      return `${capital(wishWords(mend.wish))} ${writtenShort(mend.to, 2)} instead of ${writtenShort(mend.from, 2)}`;
    case "thickening":
      return "Any way of thickening instead of salt";
    case "must-have":
      return `Without ${nameOf(mend.material)} as a must`;
    case "count":
      return `Up to ${mend.to} surfactants`;
    case "active":
      return `Active matter from ${writtenShort(mend.low, 1)} to ${writtenShort(mend.high, 1)} %`;
  }
}

export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

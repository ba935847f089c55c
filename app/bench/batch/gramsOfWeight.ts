import { readNumber } from "@tensidrum/core/quantities";

/** A weight as a scale in grams shows it: a number, alone or with g. */
export function gramsOfWeight(text: string): { readonly value: number } | { readonly problem: string } {
  const unit = /[a-zµ]+\.?$/i.exec(text.trim())?.[0] ?? "";
  if (unit !== "" && /\d/.test(text) && !/^(g|grams?)$/i.test(unit)) {
    return { problem: `Your scales show grams, not ${unit}. Set the scale to g and type what it shows.` };
  }
  const read = readNumber(unit === "" ? text : text.trim().slice(0, -unit.length));
  return read.ok ? { value: read.value } : { problem: "Type the weight in grams, as the scale shows it." };
}

import type { LegalLimit } from "../../preservation/limits.ts";
import { limitsFor, limitsOf } from "../../preservation/limits.ts";
import type { Material } from "../../library/material.ts";
import { writtenPercent } from "../../quantities/written.ts";

interface ToldLimit extends Pick<LegalLimit, "name" | "calculatedAs"> {
  readonly mostPercent: number;
}

/** A limit of law for orientation: what, how much, as what, where and when. */
export function orientation({ name, calculatedAs, mostPercent }: ToldLimit, leftOn: boolean): string {
  const most = mostPercent === 0 ? "not allowed" : `at most ${writtenPercent(mostPercent)} %`;
  const as = calculatedAs === null ? "" : ` as ${calculatedAs}`;
  return `For orientation, ${limitsOf.place} of ${limitsOf.asOf}: ${name} ${most}${as}, ${leftOn ? "left on" : "rinsed off"}.`;
}

/** The limits a material falls under in what is rinsed off, a sentence each; check where you live. */
export function limitsInWords(material: Material): readonly string[] {
  if (material.parts !== undefined) return [];
  return limitsFor(material).map(({ rinsedPercent, ...limit }) => orientation({ ...limit, mostPercent: rinsedPercent }, false));
}

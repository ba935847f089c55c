import type { Material, MaterialFacts } from "./material.ts";

/** Facts a maker may know better than the reference: what a certificate, a scale or a meter says. */
export const ownableFacts = [
  "active",
  "saltPercent",
  "electrolytePercent",
  "densityGramsPerMl",
  "trueDensityGramsPerMl",
  "dropMilligrams",
  "molarMass",
  "cmcMillimolar",
  "zein",
  "phSupplied",
  "phStable",
  "use",
  "maxTemperatureC",
  "handling",
] as const satisfies readonly (keyof MaterialFacts)[];

export type OwnableFact = (typeof ownableFacts)[number];

/** What a maker holds against the reference; a fact that is missing is left to it. */
export type OwnFacts = { readonly [Fact in OwnableFact]?: MaterialFacts[Fact] };

/**
 * The material as its maker knows it: own facts stand above the reference's and are no estimates any more. A blend takes
 * them as measured on itself, else its parts would speak. Nothing of one's own leaves the material as it is.
 */
export function withOwnFacts(material: Material, own: OwnFacts | null): Material {
  const facts = own === null ? [] : Object.keys(own);
  if (facts.length === 0) return material;
  const whole = { ...material, ...own, uncertain: material.uncertain.filter((fact) => !facts.includes(fact)) };
  if (material.parts === undefined) return whole as Material;
  return { ...whole, measured: [...new Set([...(material.measured ?? []), ...facts])] } as Material;
}

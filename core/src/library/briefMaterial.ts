import type { Material } from "./material.ts";

/** Facts no reading and no rule looks at: words for people, and what serves spoons and drops. A test holds it to that. */
const UNREAD_FACTS: ReadonlySet<string> = new Set(["handling", "caution", "densityGramsPerMl"]);

/** A material with the facts its readings need, and no others. */
export type BriefMaterial = Partial<Material> & Pick<Material, "slug" | "name" | "role">;

function isLacking(value: unknown): boolean {
  return value === null || value === false || value === undefined || (Array.isArray(value) && value.length === 0);
}

/** The material in as few words as its readings need; what is null, false or empty is left out too. */
export function briefMaterial(material: Material): BriefMaterial {
  const told = Object.entries(material).filter(([fact, value]) => !UNREAD_FACTS.has(fact) && !isLacking(value));
  return Object.fromEntries(told) as BriefMaterial;
}

const lacking: Omit<Material, "slug" | "name" | "role" | "inci" | "parts"> = {
  form: null,
  charge: null,
  active: null,
  countsAsActive: false,
  saltPercent: null,
  electrolytePercent: null,
  molarMass: null,
  cmcMillimolar: null,
  densityGramsPerMl: null,
  trueDensityGramsPerMl: null,
  dropMilligrams: null,
  phSupplied: null,
  phStable: null,
  use: null,
  maxTemperatureC: null,
  solubleIn: [],
  flags: [],
  zein: null,
  foam: null,
  preservative: null,
  acidBase: null,
  buffers: [],
  waterActivity: null,
  allergens: [],
  dispersed: null,
  handling: "",
  caution: null,
  restrictions: [],
  uncertain: [],
};

/** A material of full shape again, for readings alone: what was left out is null, false or empty. */
export function wholeMaterial(brief: BriefMaterial): Material {
  const whole = { ...lacking, ...brief };
  return (brief.parts === undefined ? { ...whole, inci: brief.inci ?? [] } : whole) as Material;
}

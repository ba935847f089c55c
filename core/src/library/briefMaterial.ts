import type { Material } from "./material.ts";

/** A material without the facts it lacks and without its prose; the slug, name and role are always there. */
export type BriefMaterial = Partial<Material> & Pick<Material, "slug" | "name" | "role">;

/** Words for people, which no reading needs. */
const PROSE: ReadonlySet<string> = new Set(["handling", "caution", "restrictions"]);

function isLacking(value: unknown): boolean {
  return value === null || value === false || value === undefined || (Array.isArray(value) && value.length === 0);
}

/** The material in as few words as its readings need: what is null, false or empty is left out, and so is the prose. */
export function briefMaterial(material: Material): BriefMaterial {
  const kept = Object.entries(material).filter(([key, value]) => !PROSE.has(key) && !isLacking(value));
  return Object.fromEntries(kept) as BriefMaterial;
}

const lacking: Omit<Material, "slug" | "name" | "role" | "inci" | "parts"> = {
  form: "liquid",
  charge: null,
  active: null,
  countsAsActive: false,
  saltPercent: null,
  electrolytePercent: null,
  molarMass: null,
  cmcMillimolar: null,
  densityGramsPerMl: 1,
  trueDensityGramsPerMl: 1,
  dropMilligrams: null,
  phSupplied: null,
  phStable: null,
  use: { low: 0, high: 100 },
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

/** The whole material again; what was left out is null, false or empty, which is what leaving it out means. */
export function wholeMaterial(brief: BriefMaterial): Material {
  const whole = { ...lacking, ...brief };
  return (brief.parts === undefined ? { ...whole, inci: brief.inci ?? [] } : whole) as Material;
}

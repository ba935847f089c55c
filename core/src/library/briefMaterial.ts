import { electrolyteOf, saltOf } from "../formula/sums/hiddenSalt.ts";
import type { Material } from "./material.ts";

/** The facts `assessSums` looks at. A rule that needs another one adds it here; a test holds the two together. */
const READ_FACTS = [
  "slug",
  "name",
  "role",
  "charge",
  "active",
  "countsAsActive",
  "trueDensityGramsPerMl",
  "flags",
  "parts",
  "measured",
] as const;

/** A material with the facts its readings need, and no others. */
export type BriefMaterial = Partial<Material> & Pick<Material, "slug" | "name" | "role">;

function isLacking(value: unknown): boolean {
  return value === null || value === false || value === undefined || (Array.isArray(value) && value.length === 0);
}

/**
 * The material in as few words as its readings need; what is null, false or empty is left out too. Salts
 * stand as they are counted, since the composition they may follow from stays behind.
 */
export function briefMaterial(material: Material): BriefMaterial {
  const brief: Record<string, unknown> = {};
  const add = (key: string, value: unknown): void => {
    if (!isLacking(value)) brief[key] = value;
  };
  for (const key of READ_FACTS) add(key, material[key]);
  if (material.parts === undefined || material.measured?.includes("saltPercent") === true) add("saltPercent", saltOf(material) || null);
  if (material.parts === undefined || material.measured?.includes("electrolytePercent") === true) {
    add("electrolytePercent", electrolyteOf(material) || null);
  }
  return brief as BriefMaterial;
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

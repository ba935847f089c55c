import { isKind } from "../library/ingredientKinds.ts";
import type { PlainMaterial } from "../library/material.ts";

/** Kinds of material that inactivate a preservative, by the codes of the library. */
const CLASSES: ReadonlyMap<string, { readonly words: string; is(material: PlainMaterial): boolean }> = new Map([
  [
    "ethoxylated-nonionic",
    { words: "ethoxylated nonionics", is: ({ charge, flags }: PlainMaterial) => charge === "nonionic" && flags.includes("ethoxylated") },
  ],
  ["cationic", { words: "cationics", is: ({ charge }: PlainMaterial) => charge === "cationic" }],
  ["anionic", { words: "anionics", is: ({ charge }: PlainMaterial) => charge === "anionic" }],
  ["clay", { words: "clay", is: (material: PlainMaterial) => isKind(material, "clay") }],
  [
    "protein",
    { words: "proteins and amines", is: (material: PlainMaterial) => material.role === "protein" || isKind(material, "protein") },
  ],
  ["oxidiser", { words: "oxidisers", is: (material: PlainMaterial) => isKind(material, "oxidiser") }],
  ["reducer", { words: "reducing materials", is: (material: PlainMaterial) => isKind(material, "reducer") }],
  ["iron", { words: "clay and iron pigments", is: (material: PlainMaterial) => isKind(material, "clay") || isKind(material, "iron") }],
  ["starch", { words: "starch, xanthan and cellulose gums", is: (material: PlainMaterial) => isKind(material, "starch") }],
]);

/** The kind of material a code stands for; undefined for codes that are judged otherwise, as a high pH is. */
export function materialClass(code: string): { readonly words: string; is(material: PlainMaterial): boolean } | undefined {
  return CLASSES.get(code);
}

/** Holds metals, whether it is sold for that or comes inside another material. */
export function isChelator(material: PlainMaterial): boolean {
  return material.role === "chelator" || isKind(material, "chelator");
}

/** Dissolves preservatives that hardly mix with water. */
export function isSolvent(material: PlainMaterial): boolean {
  return (material.role === "humectant" || material.role === "solubiliser") && isKind(material, "solvent");
}

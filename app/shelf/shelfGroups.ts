import type { Role } from "@tensidrum/core/library";

/** A board of the shelf and what stands on it. */
export interface ShelfGroup {
  readonly slug: string;
  readonly name: string;
  readonly roles: readonly Role[];
  /** Fill of a vessel without a charge. */
  readonly tint: string;
}

const shelfGroups: readonly ShelfGroup[] = [
  { slug: "cleansers", name: "Cleansers", roles: ["surfactant", "base"], tint: "var(--stratum-plain)" },
  {
    slug: "care",
    name: "Care, feel",
    roles: [
      "conditioner",
      "humectant",
      "emollient",
      "superfat",
      "protein",
      "active",
      "botanical",
      "thickener",
      "suspender",
      "solubiliser",
      "emulsifier",
      "fatty-solid",
      "powder",
      "exfoliant",
    ],
    tint: "var(--stratum-care)",
  },
  {
    slug: "keep",
    name: "Keep, pH",
    roles: ["preservative", "chelator", "ph-adjuster", "salt", "antioxidant", "water"],
    tint: "var(--stratum-keep)",
  },
  { slug: "scent", name: "Scent, colour", roles: ["fragrance", "colour"], tint: "var(--stratum-scent)" },
];

/** Solutions, waters and blends of one's own. */
const madeHere: ShelfGroup = { slug: "made", name: "Made here", roles: [], tint: "var(--stratum-water)" };

export const allShelfGroups: readonly ShelfGroup[] = [...shelfGroups, madeHere];

/** The board a material stands on: what was made here has one of its own, the rest stands by role. */
export function shelfGroupFor({ role }: { readonly role: Role }, isMadeHere: boolean): ShelfGroup {
  return isMadeHere ? madeHere : shelfGroupOf(role);
}

/** The board a role stands on; every role has one. */
export function shelfGroupOf(role: Role): ShelfGroup {
  const board = shelfGroups.find(({ roles }) => roles.includes(role));
  if (board === undefined) throw new Error(`No group has ${role}`);
  return board;
}

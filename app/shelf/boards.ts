import type { Role } from "@tensidrum/core/library";

/** A board of the shelf and what stands on it. */
export interface Board {
  readonly slug: string;
  readonly name: string;
  readonly roles: readonly Role[];
  /** Fill of a vessel without a charge. */
  readonly tint: string;
}

const boards: readonly Board[] = [
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
const madeHere: Board = { slug: "made", name: "Made here", roles: [], tint: "var(--stratum-water)" };

export const allBoards: readonly Board[] = [...boards, madeHere];

/** The board a material stands on: what was made here has one of its own, the rest stands by role. */
export function boardFor({ role }: { readonly role: Role }, isMadeHere: boolean): Board {
  return isMadeHere ? madeHere : boardOf(role);
}

/** The board a role stands on; every role has one. */
export function boardOf(role: Role): Board {
  const board = boards.find(({ roles }) => roles.includes(role));
  if (board === undefined) throw new Error(`No board holds ${role}`);
  return board;
}

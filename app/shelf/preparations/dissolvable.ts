import type { Material, Role } from "@tensidrum/core/library";

/** What nobody makes a stock solution of: it is bought as one, or foams. */
const NOT_AS_STOCK: ReadonlySet<Role> = new Set(["water", "surfactant", "base", "solubiliser", "fragrance"]);

/** Whether a stock solution in water can be made of it. */
export function isDissolvable(material: Material): boolean {
  return material.parts === undefined && material.solubleIn.includes("water") && !NOT_AS_STOCK.has(material.role);
}

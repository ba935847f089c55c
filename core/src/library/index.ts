export { charges, forms, roles } from "./material.ts";
export type * from "./material.ts";
export { roleOf, shownInci, shownMaterial } from "./shownMaterial.ts";
export { isSameMaterial } from "./isSameMaterial.ts";
export { briefMaterial, wholeMaterial } from "./briefMaterial.ts";
export type { BriefMaterial } from "./briefMaterial.ts";

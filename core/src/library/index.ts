export { charges } from "./material.ts";
export type * from "./material.ts";
export { roleOf, shownInci, shownMaterial } from "./shownMaterial.ts";

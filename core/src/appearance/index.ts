export { isAsForeseen } from "./clarity.ts";
export type { ClarityOutlook } from "./clarity.ts";
export { colourBesideCard, colourDifference, gridContrast, hazeBehind, patchLight } from "./photoColour.ts";
export type { Lab, PatchLight } from "./photoColour.ts";

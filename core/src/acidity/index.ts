export { EYE_PH, intersect, phCorridor } from "./corridor.ts";
export type { PhClaim, PhCorridor } from "./corridor.ts";

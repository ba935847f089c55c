export { isAsForeseen } from "./clarity.ts";
export type { ClarityOutlook } from "./clarity.ts";

export { loadLinearSolver } from "./linearProgram.ts";
export type { LinearSolver } from "./linearProgram.ts";
export { meanAndSpread } from "./spread.ts";
export type { MeanAndSpread } from "./spread.ts";

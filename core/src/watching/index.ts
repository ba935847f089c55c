export { unmix, type Unmixed, type UnmixedRange } from "./unmix/unmix.ts";
export type { PrintedIngredient, PrintedList } from "./unmix/printedList.ts";
export { loadLinearSolver, type LinearSolver } from "../numerics/linearProgram.ts";

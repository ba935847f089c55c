export { loadLinearSolver } from "./linearProgram.ts";
export type { LinearSolver } from "./linearProgram.ts";

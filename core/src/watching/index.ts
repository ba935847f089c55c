export { unmix, type Unmixed, type UnmixedRange } from "./unmix/unmix.ts";
export type { PrintedIngredient, PrintedList } from "./unmix/printedList.ts";
export { loadLinearSolver, type LinearSolver } from "../numerics/linearProgram.ts";
export { checkCalendar, type PlannedCheck, type Storage } from "./checkCalendar.ts";
export { driftOf, type Check, type DriftAlarm } from "./drift.ts";
export { latherOf, type Lather, type LatherTest } from "./lather.ts";
export { scentMemory, type ScentMemory, type ScentTrial } from "./scentMemory.ts";

export { instrumentUnits, readInstrumentLine } from "./instrumentLine.ts";
export type { InstrumentLine, InstrumentReading, InstrumentUnit } from "./instrumentLine.ts";
export { CUP_TIMES_FASTER, SIMULATED_CUP, cupLine, emptyCup, filledCup, flowSeconds } from "./simulatedCup.ts";
export type { SimulatedCup } from "./simulatedCup.ts";
export { dipped, drifted, meterLines, shownPh, simulatedMeter } from "./simulatedMeter.ts";
export type { SimulatedMeter } from "./simulatedMeter.ts";
export { poured, simulatedLine, simulatedScale, tared } from "./simulatedScale.ts";
export type { SimulatedScale } from "./simulatedScale.ts";
export { textLines } from "./textLines.ts";

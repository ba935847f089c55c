export { instrumentUnits, readInstrumentLine, type InstrumentLine, type InstrumentReading, type InstrumentUnit } from "./instrumentLine.ts";
export { CUP_TIMES_FASTER, cupLine, emptyCup, filledCup, flowSeconds, SIMULATED_CUP, type SimulatedCup } from "./simulatedCup.ts";
export { dipped, drifted, meterLines, shownPh, simulatedMeter, type SimulatedMeter } from "./simulatedMeter.ts";
export { poured, simulatedLine, simulatedScale, tared, type SimulatedScale } from "./simulatedScale.ts";
export { textLines } from "./textLines.ts";

export { readScaleLine, type ScaleLine, type ScaleReading } from "./scaleLine.ts";
export { poured, simulatedLine, simulatedScale, tared, type SimulatedScale } from "./simulatedScale.ts";

import type { Agent } from "../equivalents.ts";
import { chargeSign, equivalentsPerMole } from "../equivalents.ts";

/** Tables over pH from below 0 to above 14, fine enough that a straight line between two entries errs below 1e-5. */
const STEP = 0.01;
const LOWEST = -3;
const ENTRIES = 2001;
/** pH − pK reaches further than pH alone. */
const SIGMOID_LOWEST = -20;
const SIGMOID_ENTRIES = 4001;

function table(lowest: number, entries: number, value: (x: number) => number): Float64Array {
  return Float64Array.from({ length: entries }, (_, k) => value(lowest + k * STEP));
}

const sigmoids = table(SIGMOID_LOWEST, SIGMOID_ENTRIES, (x) => 1 / (1 + 10 ** -x));
const waters = table(LOWEST, ENTRIES, (ph) => 1000 * (10 ** (ph - 14) - 10 ** -ph));

function lookUp(values: Float64Array, lowest: number, x: number): number {
  const place = (x - lowest) / STEP;
  if (place <= 0) return values[0]!;
  const index = Math.floor(place);
  if (index >= values.length - 1) return values[values.length - 1]!;
  return values[index]! + (place - index) * (values[index + 1]! - values[index]!);
}

/** Share of a site that has lost its proton: 1 ⁄ (1 + 10^(pK − pH)). */
export function sigmoid(difference: number): number {
  return lookUp(sigmoids, SIGMOID_LOWEST, difference);
}

/** What water itself carries, OH⁻ less H⁺, mmol/kg: 1000 (10^(pH − 14) − 10^−pH). */
export function waterAlkalinity(ph: number): number {
  return lookUp(waters, LOWEST, ph);
}

/** A table of any function of pH. */
export function phTable(value: (ph: number) => number): (ph: number) => number {
  const values = table(LOWEST, ENTRIES, value);
  return (ph) => lookUp(values, LOWEST, ph);
}

/** Charge a millimole of an agent adds at a pH, as a table. */
export type AgentTable = (ph: number) => number;

export function agentTable(agent: Agent): AgentTable {
  const sign = chargeSign(agent);
  return phTable((ph) => sign * equivalentsPerMole(agent, ph));
}

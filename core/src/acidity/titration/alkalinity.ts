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

/**
 * What a wash may take off a pKa for each charge, pH: an ionic strength of 0.02 to 0.5 mol/kg (Davies 1962). The nth proton
 * of an acid comes off against n − 1 charges and counts 2n − 1 times. Which level holds is not known.
 */
const ACTIVITY_LEVELS = [0.05, 0.09, 0.12, 0.15];
export const ACTIVITY_LEVEL_COUNT = ACTIVITY_LEVELS.length;

export function agentTable(agent: Agent, loss = 0): AgentTable {
  const sign = chargeSign(agent);
  // Of a base nobody knows the charge its acid has.
  const pKas = agent.kind === "acid" ? [...agent.pKas].sort((a, b) => a - b).map((pKa, k) => pKa - loss * (2 * k + 1)) : agent.pKas;
  return phTable((ph) => sign * equivalentsPerMole({ kind: agent.kind, pKas }, ph));
}

/** The same at each level a wash may have. */
export function agentTables(agent: Agent): readonly AgentTable[] {
  return ACTIVITY_LEVELS.map((loss) => agentTable(agent, loss));
}

import { thickenByAdvice } from "./thickeningRun";
import { titrateByAdvice, titrateBySample } from "./titrationRun";

/** Every simulation by name: a number draws a batch, the answer is what came of it. */
export const simulations = {
  "pH by the advisor": titrateByAdvice,
  "pH by a sample first": titrateBySample,
  "salt by the advisor": thickenByAdvice,
} as const;

export type SimulationName = keyof typeof simulations;

/** Run as a process of its own: name, first and last number; one outcome per line. */
const [name, first, last] = process.argv.slice(2);
if (name !== undefined && name in simulations) {
  for (let number = Number(first); number < Number(last); number += 1) {
    process.stdout.write(`${JSON.stringify(simulations[name as SimulationName](number))}\n`);
  }
}

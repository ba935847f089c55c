import { thickenByAdvice } from "./thickeningRun";
import { titrateByAdvice, titrateBySlope } from "./titrationRun";

/** Every simulation by name: a number draws a batch, the answer is what came of it. */
export const simulations = {
  "pH by the advisor": titrateByAdvice,
  "pH by the slope rule": titrateBySlope,
  "salt, one reading each": (number: number) => thickenByAdvice(number, { readingsEach: 1, jarSteps: [] }),
  "salt, three readings each": (number: number) => thickenByAdvice(number, { readingsEach: 3, jarSteps: [] }),
  "salt, three readings each, after five jars": (number: number) =>
    thickenByAdvice(number, { readingsEach: 3, jarSteps: [0.4, 0.8, 1.3, 1.8, 2.4] }),
} as const;

export type SimulationName = keyof typeof simulations;

/** Run as a process of its own: name, first and last number; one outcome per line. */
const [name, first, last] = process.argv.slice(2);
if (name !== undefined && name in simulations) {
  for (let number = Number(first); number < Number(last); number += 1) {
    process.stdout.write(`${JSON.stringify(simulations[name as SimulationName](number))}\n`);
  }
}

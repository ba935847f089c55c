import { HEATED_C, type Workbench } from "./batchKind.ts";
import type { Step } from "./step.ts";

/** Where waxes and fats melt when no phase says a temperature, °C. */
const USUAL_C = 75;
/** Two phases this far apart are as hot as each other, °C. */
export const AS_HOT_C = 5;
/** What is driven off or broken by heat goes in below it, °C. */
export const COOLED: NonNullable<Step["temperature"]> = { high: 40 };

/** How hot phases are to get: the highest temperature they name, °C. */
export function heatedTo({ temperatureOf }: Workbench, phases: readonly string[]): number {
  const named = phases.map(temperatureOf).filter((temperatureC) => temperatureC >= HEATED_C);
  return named.length === 0 ? USUAL_C : Math.max(...named);
}

/** Where a step that heats to a temperature belongs. */
export function around(temperatureC: number): NonNullable<Step["temperature"]> {
  return { low: temperatureC - AS_HOT_C, high: temperatureC + AS_HOT_C };
}

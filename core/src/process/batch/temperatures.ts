import { AS_HOT_C } from "../heated.ts";
import type { Step } from "../step.ts";
import type { BatchEntry } from "./entries.ts";

/** The last temperature that was read in a step, °C; null for none. */
export function temperatureRead(standing: readonly BatchEntry[], step: string): number | null {
  const last = standing.findLast((entry) => entry.kind === "temperature-read" && entry.step === step);
  return last?.kind === "temperature-read" ? last.temperatureC : null;
}

/** Where the temperature of a step belongs, in words; null where it does not matter. */
export function temperatureWords({ temperature }: Pick<Step, "temperature">): string | null {
  if (temperature === undefined) return null;
  const { low, high } = temperature;
  if (low === undefined) return high === undefined ? null : `below ${high} °C`;
  return high === undefined ? `from ${low} °C` : `${low} to ${high} °C`;
}

/**
 * What to ask before a step is called done: the last temperature read in it lies outside where it belongs, or what it joins
 * was read more than 5 °C away from the rest. Null where nothing was read: a thermometer is not on every bench.
 */
export function questionOfTemperature(step: Step, steps: readonly Step[], standing: readonly BatchEntry[]): string | null {
  const own = temperatureRead(standing, step.id);
  const { low = -Infinity, high = Infinity } = step.temperature ?? {};
  if (own !== null && (own < low || own > high)) {
    return `The last reading is ${own} °C; this step belongs ${temperatureWords(step)}. Go on all the same?`;
  }
  const meeting = new Set(steps.filter(({ id }) => step.after.includes(id)).map(({ vessel }) => vessel));
  const temperatures = [...meeting].flatMap((vessel) => {
    const heated = steps.filter((one) => one.vessel === vessel && one.stage === "heat").map(({ id }) => temperatureRead(standing, id));
    return heated.filter((one) => one !== null).slice(-1);
  });
  const apart = Math.max(...temperatures) - Math.min(...temperatures);
  if (own === null && temperatures.length > 1 && apart > AS_HOT_C) {
    return `The two were read at ${temperatures.join(" and ")} °C, ${apart} °C apart. More than ${AS_HOT_C} °C, and fat sets where they meet. Go on all the same?`;
  }
  return null;
}

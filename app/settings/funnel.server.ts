import { Refusal } from "@tensidrum/core/quantities";
import { readNumber } from "@tensidrum/core/quantities";
import { calibrateFunnel } from "@tensidrum/core/rheology";
import { currentMakerId, database } from "../../db/workplace.server";
import { saveFunnel } from "../../db/makers/queries.server";

/** Two known liquids through the funnel, as typed: thickness, density and seconds of each. */
export interface TypedFunnel {
  readonly thickness: readonly string[];
  readonly density: readonly string[];
  readonly seconds: readonly string[];
}

/** Takes the constants of the funnel from two known liquids. Answers what is wrong, or nothing. */
export async function calibrate({ thickness, density, seconds }: TypedFunnel): Promise<string | null> {
  const [first, second] = [0, 1].map((at) => {
    const [pascalSeconds, grams, time] = [thickness[at], density[at], seconds[at]].map((text) => readNumber(text ?? ""));
    return pascalSeconds?.ok === true && grams?.ok === true && time?.ok === true
      ? { pascalSeconds: pascalSeconds.value, density: grams.value, seconds: time.value }
      : null;
  });
  if (first == null || second == null) return "Give thickness, density and seconds of both liquids.";
  if ([first, second].some((one) => !(one.pascalSeconds > 0 && one.density > 0 && one.seconds > 0))) {
    return "Thickness, density and seconds are all more than 0.";
  }
  try {
    await saveFunnel(database(), currentMakerId(), calibrateFunnel(first, second));
    return null;
  } catch (error) {
    if (error instanceof Refusal) return `${error.message} ${error.remedy}`;
    throw error;
  }
}

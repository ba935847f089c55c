import { readNumber } from "@tensidrum/core/quantities";
import { calibrateFunnel } from "@tensidrum/core/rheology";
import { wholeProblem, type FieldProblem } from "../frame/formAnswer";
import type { TypedFunnel } from "./settingsForm.server";
import { currentMakerId, database } from "../../db/workplace.server";
import { saveFunnel } from "../../db/makers/queries.server";

/**
 * Takes the constants of the funnel from two known liquids: thickness, density and seconds of each. Answers what is wrong.
 * @throws Refusal when the two liquids do not tell the constants
 */
export async function calibrate({ thickness, density, seconds }: TypedFunnel): Promise<readonly FieldProblem[]> {
  const [first, second] = [0, 1].map((at) => {
    const [pascalSeconds, grams, time] = [thickness[at], density[at], seconds[at]].map((text) => readNumber(text ?? ""));
    return pascalSeconds?.ok === true && grams?.ok === true && time?.ok === true
      ? { pascalSeconds: pascalSeconds.value, density: grams.value, seconds: time.value }
      : null;
  });
  if (first == null || second == null) return wholeProblem("Give thickness, density and seconds of both liquids.");
  if ([first, second].some((one) => !(one.pascalSeconds > 0 && one.density > 0 && one.seconds > 0))) {
    return wholeProblem("Thickness, density and seconds are all more than 0.");
  }
  await saveFunnel(database(), currentMakerId(), calibrateFunnel(first, second));
  return [];
}

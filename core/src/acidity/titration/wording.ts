import type { Titration } from "./bookkeeping.ts";
import type { Dose } from "./nextDose.ts";
import type { Situation } from "./situation.ts";

/** One drop may move the pH by this part of the window. */
const DROP_PART_OF_WINDOW = 1 / 3;
const WEAKER = "a weaker solution (10 %, or 1 % where it is 10 % already)";

const grams = (value: number): string => `${value < 1 ? value.toFixed(3) : value.toFixed(2)} g`;
const ph = (value: number): string => value.toFixed(2);

/** Nobody counts more drops than these; the scale tells it better. */
const MOST_COUNTED = 40;

/** The advice in words. */
export function adviceText(titration: Titration, situation: Situation, { advice, drops, phPerDrop }: Dose): string {
  const { target, agent } = titration;
  const { state, fault } = situation;
  if (fault === "wrong-way") {
    const kind = lastDosed(titration);
    const moved = kind === "acid" ? "acid raised the pH" : "base lowered the pH";
    return `Read again before anything more goes in: ${moved}. Check the probe, and which bottle was used.`;
  }
  const window = `${ph(target.low)} to ${ph(target.high)}`;
  if (state === "in-target") return `Inside ${window}: leave it. Read once more after a day.`;
  if (state === "reread") return `Most likely inside ${window}, but not surely: stir, wait two minutes and read again before dosing.`;
  const solution = situation.use === "agent" ? agent.kind : agent.kind === "acid" ? "base" : "acid";
  const past = state === "overshot" ? `Past the far edge of ${window}. ` : "";
  const other =
    state === "needs-other-agent"
      ? `${agent.kind === "acid" ? "Below" : "Above"} ${window} already: ${agent.kind} only leads away from it. `
      : "";
  if (!situation.doses)
    return `${past}${other}It takes ${solution === "acid" ? "an acid" : "a base"}: prepare a weak solution of one and go on with it.`;
  if (drops?.oneIsTooMuch === true) return `${past}${other}Even one drop could pass the far edge: make up ${WEAKER}.`;
  const amount =
    advice.drops === null || advice.drops > MOST_COUNTED
      ? grams(advice.grams)
      : `${advice.drops} ${advice.drops === 1 ? "drop" : "drops"}, ${grams(advice.grams)}`;
  const expected = `Expect pH ${ph(advice.expectedPh)}, most likely ${ph(advice.expectedPhLow)} to ${ph(advice.expectedPhHigh)} (estimate).`;
  const coarse =
    phPerDrop !== null && phPerDrop > (target.high - target.low) * DROP_PART_OF_WINDOW
      ? ` One drop moves it by about ${ph(phPerDrop)}: ${WEAKER} is easier to hit with.`
      : "";
  return `${past}${other}Add ${amount} of the ${solution}, stir, wait two minutes, read again. ${expected}${coarse}`;
}

function lastDosed({ readings, agent, counterAgent }: Titration): "acid" | "base" {
  const [before, last] = readings.slice(-2);
  const isCounter = (last?.counterGramsTotal ?? 0) > (before?.counterGramsTotal ?? 0);
  return isCounter && counterAgent !== null ? counterAgent.kind : agent.kind;
}

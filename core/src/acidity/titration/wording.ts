import type { Titration } from "./bookkeeping.ts";
import { STRIP_SIGMA } from "./bufferCurve.ts";
import type { DoseAdvice, Dose } from "./nextDose.ts";
import type { Situation } from "./situation.ts";

/** One drop may move the pH by this part of the window. */
const DROP_PART_OF_WINDOW = 1 / 3;

type Kind = "acid" | "base";

/** Facts an advice that doses, or would dose, has beside its own. */
interface Around {
  readonly window: { readonly low: number; readonly high: number };
  /** The far edge of the window has been passed. */
  readonly isPast: boolean;
  /** The agent at hand that only leads away; null where it leads into the window. */
  readonly leadsAway: Kind | null;
  /** What is needed. */
  readonly needs: Kind;
}

/** The advice as code and facts. */
export type TitrationSaid =
  | { readonly code: "wrong-way"; readonly dosed: Kind }
  | { readonly code: "no-fit" }
  | { readonly code: "coarse"; readonly window: Around["window"] }
  | { readonly code: "inside"; readonly window: Around["window"] }
  | { readonly code: "reread"; readonly window: Around["window"] }
  | ({ readonly code: "prepare-other" } & Around)
  | ({ readonly code: "drop-too-strong" } & Around)
  | ({
      readonly code: "dose";
      readonly advice: DoseAdvice;
      /** Read by a strip, which does not resolve the window. */
      readonly isCoarse: boolean;
      /** Little is known yet: the dose is small enough for the weakest plausible batch. */
      readonly isProbing: boolean;
      /** What one drop moves the pH by, where that is much of the window; else null. */
      readonly phPerCoarseDrop: number | null;
    } & Around);

/** What the situation and the next dose say, before words. */
export function titrationSaid(titration: Titration, situation: Situation, { advice, drops, phPerDrop, isProbing }: Dose): TitrationSaid {
  const { target: window, agent } = titration;
  const { state, fault } = situation;
  if (fault === "wrong-way") return { code: "wrong-way", dosed: lastDosed(titration) };
  if (fault === "no-fit") return { code: "no-fit" };
  if (fault === "coarse") return { code: "coarse", window };
  if (state === "in-target") return { code: "inside", window };
  if (state === "reread") return { code: "reread", window };
  const around: Around = {
    window,
    isPast: state === "overshot",
    leadsAway: state === "needs-other-agent" ? agent.kind : null,
    needs: situation.use === "agent" ? agent.kind : agent.kind === "acid" ? "base" : "acid",
  };
  if (!situation.doses) return { code: "prepare-other", ...around };
  if (drops?.oneIsTooMuch === true) return { code: "drop-too-strong", ...around };
  const isCoarse = phPerDrop !== null && phPerDrop > (window.high - window.low) * DROP_PART_OF_WINDOW;
  return { code: "dose", advice, isProbing, isCoarse: isCoarseReading(titration), phPerCoarseDrop: isCoarse ? phPerDrop : null, ...around };
}

/** A strip shows steps of half a pH: a window narrower than two of them it cannot tell inside from outside. */
const STRIP_RESOLVES = 1;

function isCoarseReading({ readings, target }: Titration): boolean {
  return (readings.at(-1)?.phSigma ?? 0) >= STRIP_SIGMA && target.high - target.low < STRIP_RESOLVES;
}

const WEAKER = "a weaker solution (10 %, or 1 % where it is 10 % already)";
/** Nobody counts more drops than these; the scale tells it better. */
const MOST_COUNTED = 40;

const grams = (value: number): string => `${value < 1 ? value.toFixed(3) : value.toFixed(2)} g`;
const ph = (value: number): string => value.toFixed(2);
const span = ({ low, high }: Around["window"]): string => `${ph(low)} to ${ph(high)}`;

/** The advice in words. */
export function adviceText(said: TitrationSaid): string {
  switch (said.code) {
    case "wrong-way": {
      const moved = said.dosed === "acid" ? "acid raised the pH" : "base lowered the pH";
      return `Read again before anything more goes in: ${moved}. Check the probe, and which bottle was used.`;
    }
    case "no-fit":
      return "The readings fit no plausible batch. Stir, wait two minutes and read again; check the meter in a buffer, and what was dosed.";
    case "coarse":
      return `A strip shows steps of half a pH: it cannot tell more about ${span(said.window)}. Read with a meter before anything more goes in.`;
    case "inside":
      return `Inside ${span(said.window)}: leave it. Read once more after a day.`;
    case "reread":
      return `Most likely inside ${span(said.window)}, but not surely: stir, wait two minutes and read again before dosing.`;
    case "prepare-other":
      return `${before(said)}It takes ${said.needs === "acid" ? "an acid" : "a base"}: prepare a weak solution of one and go on with it.`;
    case "drop-too-strong":
      return `${before(said)}Even one drop could pass the far edge: make up ${WEAKER}.`;
    case "dose": {
      const { advice, isProbing, isCoarse: byStrip, phPerCoarseDrop, needs } = said;
      const expected = `Expect pH ${ph(advice.expectedPh)}, most likely ${ph(advice.expectedPhLow)} to ${ph(advice.expectedPhHigh)} (estimate).`;
      const coarse = phPerCoarseDrop === null ? "" : ` One drop moves it by about ${ph(phPerCoarseDrop)}: ${WEAKER} is easier to hit with.`;
      const probe = isProbing ? " as a probing dose: little is known of this batch yet. Stir" : ", stir";
      return `${before(said)}Add ${amountOf(advice)} of the ${needs}${probe}, wait two minutes, read again. ${expected}${coarse}${byStrip ? " A strip does not resolve this window: near it, read with a meter." : ""}`;
    }
  }
}

function before({ window, isPast, leadsAway }: Around): string {
  if (isPast) return `Past the far edge of ${span(window)}. `;
  if (leadsAway === null) return "";
  return `${leadsAway === "acid" ? "Below" : "Above"} ${span(window)} already: ${leadsAway} only leads away from it. `;
}

function amountOf({ drops, grams: mass }: DoseAdvice): string {
  return drops === null || drops > MOST_COUNTED ? grams(mass) : `${drops} ${drops === 1 ? "drop" : "drops"}, ${grams(mass)}`;
}

function lastDosed({ readings, agent, counterAgent }: Titration): Kind {
  const [earlier, last] = readings.slice(-2);
  const isCounter = (last?.counterGramsTotal ?? 0) > (earlier?.counterGramsTotal ?? 0);
  return isCounter && counterAgent !== null ? counterAgent.kind : agent.kind;
}

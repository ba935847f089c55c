import { adviseTitration, type Agent, type Titration, type TitrationAdvice, type TitrationReading } from "@tensidrum/core/acidity";
import { drawsFrom } from "./world/draws";
import { trueBatch, type Bottle, type TrueBatch, type TrueBeaker } from "./world/trueBatch";

/** What a dose was promised and what it did. */
export interface PromisedDose {
  readonly chance: number;
  /** The true pH was carried past the far edge. */
  readonly passed: boolean;
}

/** What came of one batch. */
export interface TitrationOutcome {
  readonly classes: TrueBatch["classes"];
  readonly doses: number;
  /** Farthest past the far edge at any time, pH. */
  readonly past: number;
  /** How far outside it truly was while it was said to be inside; null where that was never said. */
  readonly saidInside: number | null;
  /** How far outside it ends, pH. */
  readonly endsOutside: number;
  readonly promised: readonly PromisedDose[];
  /** What the advisor said last. */
  readonly last: string;
}

const MOST_ADVICES = 24;
const MOST_DOSES = 16;
const SAMPLE_GRAMS = 2;

const agentOf = ({ kind, molarMass, pKas, strengthPercent }: Bottle): Agent => ({ kind, molarMass, pKas, strengthPercent });

type Totals = Pick<TitrationReading, "doseGramsTotal" | "counterGramsTotal" | "otherGramsTotal" | "backGramsTotal">;

const readingOf = (beaker: TrueBeaker, { statedSigma }: TrueBatch, totals: Totals): TitrationReading => ({
  ...totals,
  ph: beaker.read(SAMPLE_GRAMS),
  phSigma: statedSigma,
  sampleGrams: SAMPLE_GRAMS,
});

/** A maker who follows the advice to the letter and sees only the instrument. */
export function titrateByAdvice(number: number): TitrationOutcome {
  return titrate(trueBatch(drawsFrom(number)), false);
}

/** One who takes a sample aside first, titrates it with the solution diluted tenfold, and pours it back at the end. */
export function titrateBySample(number: number): TitrationOutcome {
  return titrate(trueBatch(drawsFrom(number)), true);
}

const LEAST_ASIDE_GRAMS = 40;
const SAMPLE_DOSES = 8;
const DILUTION = 10;

/** Titrates a sample until it is inside or past; its readings, and the beaker to pour back. */
function titrateAside(batch: TrueBatch, whole: Titration): { readonly titration: Titration; readonly beaker: TrueBeaker } {
  const beaker = batch.takeAside(LEAST_ASIDE_GRAMS);
  const bottle = { ...batch.agent, strengthPercent: batch.agent.strengthPercent / DILUTION };
  let titration: Titration = {
    ...{ ...whole, batchGrams: LEAST_ASIDE_GRAMS, agent: agentOf(bottle), dropGrams: null, counterAgent: null },
    readings: whole.readings.slice(-1).map((one) => ({ ...one, sampleGrams: 0 })),
  };
  for (let asked = 0; asked < 2 * SAMPLE_DOSES; asked += 1) {
    const { state, recommend } = adviseTitration(titration, { isSample: true });
    if (state !== "dose" && state !== "reread") break;
    if (recommend.grams > 0) beaker.dose(bottle, recommend.grams, false);
    const dosed = titration.readings.at(-1)!.doseGramsTotal + recommend.grams;
    // The water of the thin solution thins the sample.
    titration = {
      ...titration,
      readings: [...titration.readings, readingOf(beaker, batch, { doseGramsTotal: dosed, otherGramsTotal: dosed })],
    };
  }
  return { titration, beaker };
}

function titrate(batch: TrueBatch, hasSample: boolean): TitrationOutcome {
  const { target, classes } = batch;
  const reading = (totals: Totals) => readingOf(batch, batch, totals);
  let bottle = batch.agent;
  let titration: Titration = {
    batchGrams: batch.batchGrams,
    agent: agentOf(bottle),
    target,
    dropGrams: batch.dropGrams,
    counterAgent: batch.counterAgent === null ? null : agentOf(batch.counterAgent),
    knownBuffers: batch.list,
    readings: [reading({ doseGramsTotal: 0 })],
  };
  const aside = hasSample ? titrateAside(batch, titration) : null;
  if (aside !== null)
    titration = { ...titration, readings: titration.readings.map((one) => ({ ...one, sampleGrams: SAMPLE_GRAMS + LEAST_ASIDE_GRAMS })) };
  const promised: PromisedDose[] = [];
  let doses = 0;
  let past = 0;
  let saidInside: number | null = null;
  let advice: TitrationAdvice | null = null;
  for (let asked = 0; asked < MOST_ADVICES && doses < MOST_DOSES; asked += 1) {
    advice = adviseTitration(titration, { sample: aside?.titration ?? null });
    const { state, recommend } = advice;
    if (state === "in-target") {
      saidInside = outside(batch);
      break;
    }
    const isCounter = recommend.agent === "counterAgent";
    if (recommend.grams === 0) {
      if (state === "reread") titration = withReading(titration, reading, 0, false);
      else if (state === "dose" && titration.agent.strengthPercent > 0.05) {
        bottle = { ...bottle, strengthPercent: bottle.strengthPercent / 10 };
        titration = withWeakerSolution(titration);
      } else break;
      continue;
    }
    const used = isCounter ? batch.counterAgent! : bottle;
    batch.dose(used, recommend.grams, !isCounter && titration.dropGrams !== null);
    doses += 1;
    const over = pastEdge(batch, used);
    past = Math.max(past, over);
    promised.push({ chance: recommend.overshootChance, passed: over > 0 });
    titration = withReading(titration, reading, recommend.grams, isCounter);
  }
  if (aside !== null) batch.pourBack(aside.beaker);
  return { classes, doses, past, saidInside, endsOutside: outside(batch), promised, last: advice?.said.code ?? "" };
}

function withReading(
  titration: Titration,
  read: (totals: { doseGramsTotal: number; counterGramsTotal: number }) => Titration["readings"][number],
  grams: number,
  isCounter: boolean,
): Titration {
  const { doseGramsTotal, counterGramsTotal = 0 } = titration.readings.at(-1)!;
  const totals = {
    doseGramsTotal: doseGramsTotal + (isCounter ? 0 : grams),
    counterGramsTotal: counterGramsTotal + (isCounter ? grams : 0),
  };
  return { ...titration, readings: [...titration.readings, read(totals)] };
}

/** The books in grams of a solution a tenth as strong. */
function withWeakerSolution(titration: Titration): Titration {
  return {
    ...titration,
    agent: { ...titration.agent, strengthPercent: titration.agent.strengthPercent / 10 },
    readings: titration.readings.map((one) => ({ ...one, doseGramsTotal: one.doseGramsTotal * 10 })),
  };
}

function outside({ target: { low, high }, truePh }: TrueBatch): number {
  const ph = truePh();
  return Math.max(0, ph - high, low - ph);
}

function pastEdge({ target: { low, high }, truePh }: TrueBatch, { kind }: Bottle): number {
  return kind === "acid" ? Math.max(0, low - truePh()) : Math.max(0, truePh() - high);
}

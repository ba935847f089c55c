import { adviseTitration, knownBuffersOf, type Agent, type KnownBuffer, type Titration } from "@tensidrum/core/acidity";
import { resolveLines } from "@tensidrum/core/formula";
import { referenceLibrary } from "@tensidrum/core/reference";
import { randomFormula } from "./randomFormula";
import { drawsFrom } from "./world/draws";
import { simulatedBatch, type SimulatedBatch } from "./world/trueBatch";

const library = new Map(referenceLibrary.map((material) => [material.slug, material]));

/** What came of one batch. */
export interface TitrationOutcome {
  readonly doses: number;
  /** The true pH passed the far edge at some time. */
  readonly passed: boolean;
  readonly endsInside: boolean;
  /** Stopped without being told that it is inside. */
  readonly gaveUp: boolean;
}

const ACIDS: readonly Omit<Agent, "strengthPercent">[] = [
  { kind: "acid", molarMass: 192.12, pKas: [3.13, 4.76, 6.4] },
  { kind: "acid", molarMass: 90.08, pKas: [3.86] },
];
const BASE: Omit<Agent, "strengthPercent"> = { kind: "base", molarMass: 40, pKas: [14] };
const MOST_READINGS = 15;
const SAMPLE_GRAMS = 2;

interface Task {
  readonly batchGrams: number;
  readonly agent: Agent;
  readonly target: { readonly low: number; readonly high: number };
  readonly dropGrams: number | null;
  readonly known: readonly KnownBuffer[];
  readonly batch: SimulatedBatch;
}

/** A batch to bring into its window; the same number draws the same one. */
function drawTask(number: number): Task {
  const draws = drawsFrom(number);
  const batchGrams = draws.uniform(300, 2000);
  const isAcid = draws.uniform(0, 1) < 0.8;
  const agent = { ...(isAcid ? draws.pick(ACIDS) : BASE), strengthPercent: draws.pick(isAcid ? [10, 25, 50] : [2, 10]) };
  const width = draws.uniform(0.6, 1);
  const middle = draws.uniform(4.6, 6.4);
  const target = { low: middle - width / 2, high: middle + width / 2 };
  const startPh = isAcid
    ? draws.uniform(target.high + 0.4, Math.min(10.5, target.high + 4))
    : draws.uniform(target.low - 2.5, target.low - 0.4);
  const dropGrams = draws.uniform(0, 1) < 0.5 ? draws.uniform(0.03, 0.06) : null;
  const { sheet } = resolveLines(randomFormula(draws), library);
  const known = knownBuffersOf(sheet);
  return { batchGrams, agent, target, dropGrams, known, batch: simulatedBatch({ batchGrams, stated: known, startPh }, draws) };
}

/** A maker who follows the advice to the letter and sees only the meter. */
export function titrateByAdvice(number: number): TitrationOutcome {
  const { batchGrams, agent, target, dropGrams, known, batch } = drawTask(number);
  let titration: Titration = {
    batchGrams,
    agent,
    target,
    dropGrams,
    counterAgent: null,
    knownBuffers: known,
    readings: [{ doseGramsTotal: 0, ph: batch.read(SAMPLE_GRAMS), sampleGrams: SAMPLE_GRAMS }],
  };
  const watch = watcher(batch, agent, target);
  let doses = 0;
  while (titration.readings.length < MOST_READINGS) {
    const { state, recommend } = adviseTitration(titration);
    if (state === "in-target") return { doses, ...watch.outcome(), gaveUp: false };
    if (state === "overshot" || state === "needs-other-agent") break;
    if (state === "dose" && recommend.grams === 0) {
      titration = withWeakerSolution(titration);
      continue;
    }
    if (state === "dose") {
      batch.dose(titration.agent, recommend.grams);
      doses += 1;
      watch.look();
    }
    const { doseGramsTotal } = titration.readings.at(-1)!;
    const reading = { doseGramsTotal: doseGramsTotal + recommend.grams, ph: batch.read(SAMPLE_GRAMS), sampleGrams: SAMPLE_GRAMS };
    titration = { ...titration, readings: [...titration.readings, reading] };
  }
  return { doses, ...watch.outcome(), gaveUp: true };
}

/** The books in grams of a solution a tenth as strong. */
function withWeakerSolution(titration: Titration): Titration {
  return {
    ...titration,
    agent: { ...titration.agent, strengthPercent: titration.agent.strengthPercent / 10 },
    readings: titration.readings.map((reading) => ({ ...reading, doseGramsTotal: reading.doseGramsTotal * 10 })),
  };
}

function watcher(batch: SimulatedBatch, { kind }: Agent, { low, high }: Task["target"]) {
  let passed = false;
  return {
    look(): void {
      const ph = batch.truePh();
      passed ||= kind === "acid" ? ph < low : ph > high;
    },
    outcome() {
      const ph = batch.truePh();
      return { passed, endsInside: ph >= low && ph <= high };
    },
  };
}

/** Share of the way to the middle that the rule doses. */
const SLOPE_RULE_SHARE = 0.6;
/** What the rule assumes before it has a slope, mmol/kg per pH. */
const SLOPE_RULE_FIRST = 6;

/** The usual rule on the same batches: 60 % of the way to the middle by the last slope. */
export function titrateBySlope(number: number): TitrationOutcome {
  const { batchGrams, agent, target, batch } = drawTask(number);
  const watch = watcher(batch, agent, target);
  const middle = (target.low + target.high) / 2;
  let slope = SLOPE_RULE_FIRST;
  let ph = batch.read(SAMPLE_GRAMS);
  let doses = 0;
  while (doses < MOST_READINGS && (ph < target.low || ph > target.high)) {
    const towards = agent.kind === "acid" ? ph - middle : middle - ph;
    if (towards < 0) break;
    const millimolesPerKg = SLOPE_RULE_SHARE * slope * towards;
    batch.dose(agent, ((millimolesPerKg * batchGrams) / 1e6) * agent.molarMass * (100 / agent.strengthPercent));
    doses += 1;
    watch.look();
    const next = batch.read(SAMPLE_GRAMS);
    const moved = Math.max(0.05, Math.abs(next - ph));
    slope = millimolesPerKg / moved;
    ph = next;
  }
  const gaveUp = ph < target.low || ph > target.high;
  return { doses, ...watch.outcome(), gaveUp };
}

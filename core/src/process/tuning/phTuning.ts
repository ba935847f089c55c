import { phCorridor } from "../../acidity/corridor.ts";
import { equivalentsPerMole, gramsOf } from "../../acidity/equivalents.ts";
import type { KnownBuffer, Titration, TitrationReading } from "../../acidity/titration/bookkeeping.ts";
import { drawnCurve, type BufferPoint } from "../../acidity/titration/bufferCurve.ts";
import { knownBuffersOf } from "../../acidity/titration/knownBuffers.ts";
import { aimedProfile } from "../../formula/aim.ts";
import { resolveLines } from "../../formula/resolveLines.ts";
import { preservativeDoses } from "../../preservation/preservatives.ts";
import type { Span } from "../../library/material.ts";
import type { BatchState } from "../batch/batchState.ts";
import type { BatchPlan } from "../batch/batchPlan.ts";
import type { DosedAgent } from "../batch/entries.ts";
import type { BenchAgent } from "./agents.ts";
import { changeInBeaker, tunedLines } from "./leftInBeaker.ts";
import { sigmaOf } from "./phSigma.ts";
import { dosesBack, gramsAs, samplesAside, type SampleAside } from "./sampleAside.ts";
import type { PhRow, PhTuning } from "./phRows.ts";
import { titratedSample, titrationOfSample } from "./sampleTitration.ts";

/** Where nobody claims a pH: any that skin and wash bear. */
const ANY: Span = { low: 4.5, high: 7 };

type Choice = { readonly agent: BenchAgent; readonly counterAgent: BenchAgent | null };

/**
 * The readings and doses of a batch as the advisor wants them: every dose counts as the chosen solution of its kind (by the
 * equivalents it brings at the middle of the corridor), samples leave the batch, and what else is weighed between two
 * readings thins it.
 */
export function phTuning(plan: BatchPlan, state: Pick<BatchState, "standing">, { agent, counterAgent }: Choice): PhTuning {
  const corridor = targetOf(plan, state.standing);
  const middle = (corridor.low + corridor.high) / 2;
  const tuned = tunedLines(plan, "ph");
  const totals = { dose: 0, counter: 0, other: 0, back: 0, left: 0, samples: 0 };
  const { low, high } = corridor.isEmpty ? ANY : corridor;
  const isRead = state.standing.some(({ kind }) => kind === "ph-read");
  const knownBuffers = isRead ? buffersInBatch(plan) : [];
  const whole = { agent, counterAgent, target: { low, high }, dropGrams: agent.dropGrams, knownBuffers };
  const rows: PhRow[] = [];
  const readings: TitrationReading[] = [];
  let batchGrams = 0;
  let doses: { grams: number; name: string }[] = [];
  const takeIn = (dose: { readonly agent: DosedAgent; readonly grams: number }, name: string): void => {
    if (dose.agent.kind === agent.kind) totals.dose += gramsAs(agent, dose, middle);
    else if (counterAgent !== null) totals.counter += gramsAs(counterAgent, dose, middle);
    doses.push({ grams: dose.grams, name });
  };
  const samples = samplesAside(state.standing);
  let taken = 0;
  let aside: SampleAside | null = null;
  let sample: PhTuning["sample"] = null;
  for (const entry of state.standing) {
    if (entry.kind === "weighed" && tuned.has(entry.line)) continue;
    totals.left += changeInBeaker(entry);
    if (entry.kind === "weighed" || entry.kind === "salted" || entry.kind === "thickened") {
      if (readings.length > 0) totals.other += entry.grams;
    } else if (entry.kind === "dosed") takeIn(entry, entry.agent.name);
    else if (entry.kind === "sample-taken") {
      aside = samples[(taken += 1) - 1] ?? null;
      const last = readings.pop();
      if (last === undefined) continue;
      if (aside !== null)
        sample = titratedSample(
          aside,
          titrationOfSample(aside, { ...whole, batchGrams, readings: [...readings, last] }, agent),
          rows.at(-1)!,
        );
      // It leaves with the last reading: what follows is dosed into what is left.
      readings.push({ ...last, sampleGrams: (last.sampleGrams ?? 0) + entry.grams });
    } else if (entry.kind === "sample-back") {
      const came = aside === null ? [] : dosesBack(aside);
      const solution = came.reduce((sum, { grams }) => sum + grams, 0);
      totals.back += Math.max(0, entry.grams - solution);
      totals.other += Math.min(entry.grams, solution);
      for (const dose of came) takeIn(dose, `${dose.agent.name}, with the sample`);
      if (came.length === 0) doses.push({ grams: entry.grams, name: "of the sample back" });
    } else if (entry.kind === "ph-read") {
      if (readings.length === 0) batchGrams = totals.left + entry.sampleGrams;
      totals.samples += entry.sampleGrams;
      readings.push({
        doseGramsTotal: totals.dose,
        counterGramsTotal: totals.counter,
        otherGramsTotal: totals.other,
        backGramsTotal: totals.back,
        ph: entry.ph,
        phSigma: sigmaOf(entry.way),
        sampleGrams: entry.sampleGrams,
      });
      rows.push({
        ...{ id: entry.id, at: entry.at, ph: entry.ph, way: entry.way, doses },
        temperatureC: entry.temperatureC ?? null,
        isSimulated: entry.readOff === "simulated meter",
        totalGrams: totals.dose,
        leftGrams: totals.left,
      });
      doses = [];
    }
  }
  return {
    rows,
    titration: readings.length === 0 ? null : { ...whole, batchGrams, readings },
    sample,
    corridor,
    dosedGrams: totals.dose,
    samplesGrams: totals.samples,
    leftGrams: totals.left,
    isDosedSince: doses.length > 0 && rows.length > 0,
  };
}

/** Titratable sites the batch holds before it is tuned, mmol/kg: what is dosed by reading counts as a dose, not as a site. */
export function buffersInBatch(plan: BatchPlan): readonly KnownBuffer[] {
  const { sheet } = resolveLines(plan.formula, plan.materials);
  const dosed = new Set(plan.steps.flatMap(({ tunes, lines }) => (tunes === "ph" ? lines : [])));
  return knownBuffersOf({ ...sheet, lines: sheet.lines.map((line) => (dosed.has(line.line.id) ? { ...line, percent: 0 } : line)) });
}

/** Where the pH is to come to: where the maker wants it, else where the formula has it. */
export function targetOf(plan: BatchPlan, standing: BatchState["standing"]): PhTuning["corridor"] {
  const own = standing.findLast((entry) => entry.kind === "ph-target");
  return own?.kind === "ph-target" ? { low: own.low, high: own.high, isEmpty: false } : tunedCorridor(plan);
}

/** Where the pH of a batch belongs: what suits everyone in it, else what skin and wash bear. */
export function tunedCorridor(plan: BatchPlan): PhTuning["corridor"] {
  const { sheet } = resolveLines(plan.formula, plan.materials);
  const found = phCorridor(sheet, aimedProfile(plan.formula), preservativeDoses(sheet));
  if (found === null) return { ...ANY, isEmpty: false };
  return { low: found.low, high: found.high, isEmpty: found.empty };
}

/**
 * The batch's own buffer curve as running grams of the solution against pH, for the picture: what was used up at a pH,
 * divided by what a gram of the solution gives off there. Empty with fewer than two readings.
 */
export function curveInGrams(
  { agent }: Titration,
  points: readonly BufferPoint[],
  leftGrams: number,
): readonly { readonly grams: number; readonly ph: number }[] {
  if (points.length < 2) return [];
  const phs = points.map(({ ph }) => ph);
  const [low, high] = [Math.min(...phs), Math.max(...phs)];
  const used = drawnCurve(points);
  return Array.from({ length: CURVE_POINTS }, (_, at) => {
    const ph = high - ((high - low) * at) / (CURVE_POINTS - 1);
    const millimolesPerKg = Math.abs(used(ph)) / Math.max(1e-9, equivalentsPerMole(agent, ph));
    return { ph, grams: gramsOf(agent, (millimolesPerKg * leftGrams) / 1000) };
  });
}

const CURVE_POINTS = 40;

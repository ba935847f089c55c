import { phCorridor } from "../../acidity/corridor.ts";
import { equivalentsPerMole, gramsOf, millimolesIn } from "../../acidity/equivalents.ts";
import { METER_SIGMA, type KnownBuffer, type Titration, type TitrationReading } from "../../acidity/titration/bookkeeping.ts";
import { drawnCurve, type BufferPoint } from "../../acidity/titration/bufferCurve.ts";
import { knownBuffersOf } from "../../acidity/titration/knownBuffers.ts";
import { aimedProfile } from "../../formula/aim.ts";
import { resolveLines } from "../../formula/resolveLines.ts";
import { preservativeDoses } from "../../preservation/preservatives.ts";
import type { Span } from "../../library/material.ts";
import type { BatchState } from "../batch/batchState.ts";
import type { BatchPlan } from "../batch/batchPlan.ts";
import type { BatchEntry, PhWay } from "../batch/entries.ts";
import type { BenchAgent } from "./agents.ts";

/** A reading with what went in before it. */
export interface PhRow {
  readonly id: string;
  readonly at: string;
  readonly ph: number;
  readonly way: PhWay;
  /** Of the sample; null where nobody said. */
  readonly temperatureC: number | null;
  readonly isSimulated: boolean;
  /** Dosed since the reading before, in words of grams and names; empty for none. */
  readonly doses: readonly { readonly grams: number; readonly name: string }[];
  /** All of the chosen solution so far, g; others of its kind count as what they amount to. */
  readonly totalGrams: number;
  /** What is left of the batch after it, g. */
  readonly leftGrams: number;
}

/** A batch on its way to its pH. */
export interface PhTuning {
  readonly rows: readonly PhRow[];
  /** For the advisor; null before the first reading. */
  readonly titration: Titration | null;
  /** Where the pH belongs, and who says so. */
  readonly corridor: Span & { readonly isEmpty: boolean };
  readonly samplesGrams: number;
  readonly leftGrams: number;
  /** Dosed since the last reading: it must be read before anything more goes in. */
  readonly isDosedSince: boolean;
}

/** By a strip, pH. */
const STRIP_SIGMA = 0.25;
/** Where nobody claims a pH: any that skin and wash bear. */
const ANY: Span = { low: 4.5, high: 7 };

type Choice = { readonly agent: BenchAgent; readonly counterAgent: BenchAgent | null };

/**
 * The readings and doses of a batch as the advisor wants them: every dose counts as the chosen solution of its kind (by the
 * equivalents it brings at the middle of the corridor), samples leave the batch, and what else is weighed between two
 * readings thins it.
 */
export function phTuning(plan: BatchPlan, state: Pick<BatchState, "standing">, { agent, counterAgent }: Choice): PhTuning {
  const corridor = tunedCorridor(plan);
  const middle = (corridor.low + corridor.high) / 2;
  const tuned = new Set(plan.steps.flatMap(({ tunes, lines }) => (tunes === "ph" ? lines : [])));
  const inCounted = (solution: BenchAgent, entry: BatchEntry & { readonly kind: "dosed" }): number => {
    const isThatOne = entry.agent.molarMass === solution.molarMass && entry.agent.strengthPercent === solution.strengthPercent;
    if (isThatOne) return entry.grams;
    const millimoles = millimolesIn(entry.agent, entry.grams) * equivalentsPerMole(entry.agent, middle);
    return gramsOf(solution, millimoles / Math.max(1e-9, equivalentsPerMole(solution, middle)));
  };
  const totals = { dose: 0, counter: 0, other: 0, weighed: 0, dosed: 0, samples: 0 };
  const rows: PhRow[] = [];
  const readings: TitrationReading[] = [];
  let batchGrams = 0;
  let doses: { grams: number; name: string }[] = [];
  for (const entry of state.standing) {
    if ((entry.kind === "weighed" && !tuned.has(entry.line)) || entry.kind === "salted" || entry.kind === "thickened") {
      totals.weighed += entry.grams;
      if (readings.length > 0) totals.other += entry.grams;
    } else if (entry.kind === "dosed") {
      if (entry.agent.kind === agent.kind) totals.dose += inCounted(agent, entry);
      else if (counterAgent !== null) totals.counter += inCounted(counterAgent, entry);
      totals.dosed += entry.grams;
      doses.push({ grams: entry.grams, name: entry.agent.name });
    } else if (entry.kind === "ph-read") {
      if (readings.length === 0) batchGrams = totals.weighed + totals.dosed;
      totals.samples += entry.sampleGrams;
      readings.push({
        doseGramsTotal: totals.dose,
        counterGramsTotal: totals.counter,
        otherGramsTotal: totals.other,
        ph: entry.ph,
        phSigma: entry.way === "strip" ? STRIP_SIGMA : METER_SIGMA,
        sampleGrams: entry.sampleGrams,
      });
      rows.push({
        ...{ id: entry.id, at: entry.at, ph: entry.ph, way: entry.way, doses },
        temperatureC: entry.temperatureC ?? null,
        isSimulated: entry.readOff === "simulated meter",
        totalGrams: totals.dose,
        leftGrams: totals.weighed + totals.dosed - totals.samples,
      });
      doses = [];
    }
  }
  const target = corridor.isEmpty ? ANY : corridor;
  const whole = { batchGrams, agent, counterAgent, target: { low: target.low, high: target.high }, dropGrams: agent.dropGrams };
  return {
    rows,
    titration: readings.length === 0 ? null : { ...whole, knownBuffers: buffersInBatch(plan), readings },
    corridor,
    samplesGrams: totals.samples,
    leftGrams: totals.weighed + totals.dosed - totals.samples,
    isDosedSince: doses.length > 0 && rows.length > 0,
  };
}

/** Titratable sites the batch holds before it is tuned, mmol/kg: what is dosed by reading counts as a dose, not as a site. */
export function buffersInBatch(plan: BatchPlan): readonly KnownBuffer[] {
  const { sheet } = resolveLines(plan.formula, plan.materials);
  const dosed = new Set(plan.steps.flatMap(({ tunes, lines }) => (tunes === "ph" ? lines : [])));
  return knownBuffersOf({ ...sheet, lines: sheet.lines.map((line) => (dosed.has(line.line.id) ? { ...line, percent: 0 } : line)) });
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

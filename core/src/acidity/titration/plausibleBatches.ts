import type { EnsembleProblem } from "../../numerics/ensemble.ts";
import { ACTIVITY_LEVEL_COUNT, agentTables } from "./alkalinity.ts";
import { keepBook, type KnownBuffer, type Station, type Titration } from "./bookkeeping.ts";
import { chargeOf, nearPhFrom, type Dosed, type PlausibleBatch } from "./plausibleBatch.ts";
import { STRIP_SIGMA } from "./bufferCurve.ts";

/** What the advisor holds possible before anything is read; docs/models.md says why. */
const UNKNOWN_SITES = 3;
const UNKNOWN_MMOL_PER_KG = logSpan(0.1, 250);
/** Weight of a batch without any, beside 1 for each number of them. */
const NO_UNKNOWN = 1.6;
const UNKNOWN_PKA = { low: 2, high: 10.5 };
const BACKGROUND_MMOL_PER_KG = logSpan(0.02, 15);
/** Known sites mostly miss their stated range by no more than this. */
const KNOWN_TOLERANCE = 0.2;
/** One listed site in so many is told wrongly by a factor, and a few are not there at all. */
const LIST_HOLDS = 0.72;
const LIST_IS_OFF = 0.25;
const OFF_FACTOR = logSpan(0.25, 4);
/** What the salts of a wash may do to a pKa from the table. */
const PKA_SHIFT = { low: -0.7, high: 0.3 };
/** Relative error of one dose: drops, strength of the solution, what stays on the spoon. */
export const DOSE_ERROR = 0.06;
/** Known sites this close are one, pKa. */
const SAME_PKA = 0.15;
/** What all readings of one instrument are off by together, pH. */
const COMMON_OFFSET = { meter: 0.06, strip: 0.12 };
/** A first reading after a dose may be behind by about so much: it has not spread everywhere. */
const BEHIND = 0.1;
/** A slip: one reading in 500 says little; more would leave every advice to chance. */
const SLIP_CHANCE = 0.002;
const SLIP_SPREAD = 0.5;

const PER_UNKNOWN = 2;
const FIRST_UNKNOWN = 1;
const BACKGROUND = FIRST_UNKNOWN + UNKNOWN_SITES * PER_UNKNOWN;
const LEVEL = BACKGROUND + 1;
const FIRST_KNOWN = LEVEL + 1;
const PER_KNOWN = 2;

/** Reads members back as batches and says how the readings fit them. */
export interface BatchModel {
  readonly problem: EnsembleProblem;
  /** Every reading by itself. */
  readonly stations: readonly Station[];
  /** Readings of one dose as one. */
  readonly pooled: readonly Station[];
  readonly leftGrams: number;
  readonly dosed: Dosed;
  /** Makes the batch of a member after the last reading; the same object is used again. */
  batchNow(coordinates: Float64Array, offset: number): PlausibleBatch;
  /** How far the last reading lies from what a member expects, in its spreads. */
  missOfLast(coordinates: Float64Array, offset: number): number;
}

/** Sites with one pKa or nearly: a sum at their weighted mean. */
export function merged(known: readonly KnownBuffer[]): readonly KnownBuffer[] {
  const groups: KnownBuffer[] = [];
  for (const site of [...known].filter(({ high }) => high > 0).sort((a, b) => a.pKa - b.pKa)) {
    const last = groups.at(-1);
    if (last === undefined || site.pKa - last.pKa > SAME_PKA) {
      groups.push(site);
      continue;
    }
    const [weight, more] = [last.low + last.high, site.low + site.high];
    const pKa = (last.pKa * weight + site.pKa * more) / (weight + more);
    groups[groups.length - 1] = { pKa, low: last.low + site.low, high: last.high + site.high };
  }
  return groups;
}

/** One titration of a batch, with where its own coordinates lie. */
interface Run {
  readonly stations: readonly Station[];
  readonly dosed: Dosed;
  /** The pH of a member beside the reading of each station. */
  readonly nearPh: readonly ((batch: PlausibleBatch) => number)[];
  /** −1 where what was dosed before a station brings the pH down, 1 where it brings it up, 0 where nothing was. */
  readonly towards: readonly number[];
  /** Of its normal coordinates: the first reading's error, then each dose's. */
  readonly firstNormal: number;
}

function runOf({ agent, counterAgent }: Titration, stations: readonly Station[], firstNormal: number): Run {
  const dosed: Dosed = { agent: agentTables(agent), counter: counterAgent === null ? null : agentTables(counterAgent) };
  const down = agent.kind === "acid" ? -1 : 1;
  return {
    stations,
    dosed,
    nearPh: stations.map(({ ph }) => nearPhFrom(ph, dosed)),
    towards: stations.map(({ agentStep, counterStep }) => (agentStep > 0 ? down : counterStep > 0 ? -down : 0)),
    firstNormal,
  };
}

/**
 * @param titration The batch in hand.
 * @param earlier Titrations of earlier batches of the same version: what their readings say of the sites holds for this
 * one too.
 */
export function batchModel(titration: Titration, earlier: readonly Titration[] = []): BatchModel {
  const { stations: all, leftGrams } = keepBook(titration);
  const stations = pooled(all);
  const known = merged(titration.knownBuffers);
  const uniformCount = FIRST_KNOWN + known.length * PER_KNOWN;
  const batch: PlausibleBatch = {
    sites: new Float64Array(known.length + UNKNOWN_SITES),
    pKas: new Float64Array(known.length + UNKNOWN_SITES),
    siteCount: 0,
    background: 0,
    level: 0,
    excess: 0,
    agentTotal: 0,
    counterTotal: 0,
    thinned: 1,
  };
  const runs: Run[] = [];
  const OFFSET = uniformCount;
  let normals = 1;
  for (const one of [...earlier.map((other) => ({ ...other, own: pooled(keepBook(other).stations) })), { ...titration, own: stations }]) {
    runs.push(runOf(one, one.own, uniformCount + normals));
    normals += one.own.length;
  }
  const present = runs.at(-1)!;

  function readSites(coordinates: Float64Array, offset: number): void {
    for (let k = 0; k < known.length; k += 1) {
      const at = offset + FIRST_KNOWN + k * PER_KNOWN;
      batch.sites[k] = listedAmount(known[k]!, coordinates[at]!);
      batch.pKas[k] = known[k]!.pKa + PKA_SHIFT.low + (PKA_SHIFT.high - PKA_SHIFT.low) * coordinates[at + 1]!;
    }
    batch.background = logUniform(BACKGROUND_MMOL_PER_KG, coordinates[offset + BACKGROUND]!);
    batch.level = Math.min(ACTIVITY_LEVEL_COUNT - 1, Math.floor(coordinates[offset + LEVEL]! * ACTIVITY_LEVEL_COUNT));
    const unknown = Math.max(0, Math.floor(coordinates[offset]! * (UNKNOWN_SITES + NO_UNKNOWN) - NO_UNKNOWN + 1));
    for (let k = 0; k < unknown; k += 1) {
      const at = offset + FIRST_UNKNOWN + k * PER_UNKNOWN;
      batch.sites[known.length + k] = logUniform(UNKNOWN_MMOL_PER_KG, coordinates[at]!);
      batch.pKas[known.length + k] = UNKNOWN_PKA.low + (UNKNOWN_PKA.high - UNKNOWN_PKA.low) * coordinates[at + 1]!;
    }
    batch.siteCount = known.length + unknown;
  }

  /** What a reading is off by with all others of its instrument. */
  function commonOffset({ sigma }: Station, coordinates: Float64Array, offset: number): number {
    return (sigma >= STRIP_SIGMA ? COMMON_OFFSET.strip : COMMON_OFFSET.meter) * coordinates[offset + OFFSET]!;
  }

  /** The first reading fixes what the strong ions leave over. */
  function begin({ stations: [first], dosed, firstNormal }: Run, coordinates: Float64Array, offset: number): void {
    batch.agentTotal = first!.agentTotal;
    batch.counterTotal = first!.counterTotal;
    batch.thinned = 1;
    const truePh = first!.ph - first!.sigma * coordinates[offset + firstNormal]! - commonOffset(first!, coordinates, offset);
    batch.excess = chargeOf(batch, truePh, dosed);
  }

  /** Takes the additions before a station into the books, with this member's own dosing error. */
  function advance({ stations: its, firstNormal }: Run, station: number, coordinates: Float64Array, offset: number): void {
    const { agentStep, counterStep, thinning, thinned } = its[station]!;
    const factor = Math.max(0, 1 + DOSE_ERROR * coordinates[offset + firstNormal + station]!);
    batch.agentTotal = batch.agentTotal * thinning + agentStep * factor;
    batch.counterTotal = batch.counterTotal * thinning + counterStep * factor;
    batch.thinned = thinned;
  }

  /** How far a reading lies from what the batch expects, in spreads; a first reading after a dose may be behind. */
  function missOf(run: Run, k: number, coordinates: Float64Array, offset: number): number {
    const station = run.stations[k]!;
    const off = station.ph - commonOffset(station, coordinates, offset) - run.nearPh[k]!(batch);
    const isBehind = station.isFresh && off * run.towards[k]! < 0;
    return off / (isBehind ? Math.hypot(station.sigma, BEHIND) : station.sigma);
  }

  const problem: EnsembleProblem = {
    uniformCount,
    normalCount: normals,
    stages: normals - 1 - runs.length,
    evaluate(coordinates, offset, stage, out) {
      readSites(coordinates, offset);
      let before = 0;
      let taken = -1;
      for (const run of runs) {
        if (taken >= stage) break;
        begin(run, coordinates, offset);
        for (let k = 1; k < run.stations.length && taken < stage; k += 1) {
          advance(run, k, coordinates, offset);
          const logLikelihood = logOfMiss(missOf(run, k, coordinates, offset), run.stations[k]!.sigma);
          taken += 1;
          if (taken === stage) out[1] = logLikelihood;
          else before += logLikelihood;
        }
      }
      out[0] = before;
    },
  };

  function batchNow(coordinates: Float64Array, offset: number): PlausibleBatch {
    readSites(coordinates, offset);
    begin(present, coordinates, offset);
    for (let k = 1; k < stations.length; k += 1) advance(present, k, coordinates, offset);
    return batch;
  }

  return {
    problem,
    stations: all,
    pooled: stations,
    leftGrams,
    dosed: present.dosed,
    batchNow,
    missOfLast(coordinates, offset) {
      if (stations.length === 1) return 0;
      batchNow(coordinates, offset);
      return missOf(present, stations.length - 1, coordinates, offset);
    },
  };
}

/** Log-likelihood of a reading: a bell, over the flat ground of slips. */
function logOfMiss(miss: number, sigma: number): number {
  const wide = (miss * sigma) / SLIP_SPREAD;
  return Math.log((1 - SLIP_CHANCE) * Math.exp((-miss * miss) / 2) + ((SLIP_CHANCE * sigma) / SLIP_SPREAD) * Math.exp((-wide * wide) / 2));
}

/** What there is of a listed site, mmol/kg: mostly what is listed, at times off by a factor, at times nothing. */
function listedAmount({ low, high }: KnownBuffer, part: number): number {
  if (part < LIST_HOLDS) {
    const least = low * (1 - KNOWN_TOLERANCE);
    return least + (high * (1 + KNOWN_TOLERANCE) - least) * (part / LIST_HOLDS);
  }
  if (part < LIST_HOLDS + LIST_IS_OFF) return ((low + high) / 2) * logUniform(OFF_FACTOR, (part - LIST_HOLDS) / LIST_IS_OFF);
  return 0;
}

/**
 * Readings of one dose as one: their mean by weight, and what is left of their uncertainty. The first after a dose counts
 * less, as it may be behind; a strip shows the same step again, so that reading it again tells nothing new.
 */
export function pooled(stations: readonly Station[]): readonly Station[] {
  const pools: Station[] = [];
  stations.forEach((station, k) => {
    const last = pools.at(-1);
    if (!station.isRepeat || last === undefined) {
      pools.push({ ...station, isFresh: k > 0 });
      return;
    }
    const own = last.isFresh ? Math.hypot(last.sigma, BEHIND) : last.sigma;
    const [a, b] = [1 / own ** 2, 1 / station.sigma ** 2];
    const isStrip = station.sigma >= STRIP_SIGMA && last.sigma >= STRIP_SIGMA;
    const sigma = isStrip ? Math.min(last.sigma, station.sigma) : 1 / Math.sqrt(a + b);
    pools[pools.length - 1] = { ...last, ph: (last.ph * a + station.ph * b) / (a + b), sigma, isFresh: false };
  });
  return pools;
}

/** A span of amounts by its logarithm. */
function logSpan(low: number, high: number): { readonly lnLow: number; readonly lnSpan: number } {
  return { lnLow: Math.log(low), lnSpan: Math.log(high / low) };
}

function logUniform({ lnLow, lnSpan }: ReturnType<typeof logSpan>, part: number): number {
  return Math.exp(lnLow + lnSpan * part);
}

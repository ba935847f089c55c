import type { EnsembleProblem } from "../../numerics/ensemble.ts";
import { agentTable, type AgentTable } from "./alkalinity.ts";
import { keepBook, type KnownBuffer, type Station, type Titration } from "./bookkeeping.ts";
import { chargeOf, nearPhFrom, type PlausibleBatch } from "./plausibleBatch.ts";

/** What the advisor holds possible before anything is read; docs/models.md says why. */
const UNKNOWN_SITES = 3;
const UNKNOWN_MMOL_PER_KG = logSpan(0.5, 250);
const UNKNOWN_PKA = { low: 2, high: 10.5 };
const BACKGROUND_MMOL_PER_KG = logSpan(1, 25);
/** Known sites may miss their stated range by this. */
const KNOWN_TOLERANCE = 0.2;
/** Relative error of one dose: drops, strength of the solution, what stays on the spoon. */
export const DOSE_ERROR = 0.08;
/** Known sites this close are one, pKa. */
const SAME_PKA = 0.15;

const PER_UNKNOWN = 2;
const FIRST_UNKNOWN = 1;
const BACKGROUND = FIRST_UNKNOWN + UNKNOWN_SITES * PER_UNKNOWN;
const FIRST_KNOWN = BACKGROUND + 1;

/** Reads members back as batches and says how the readings fit them. */
export interface BatchModel {
  readonly problem: EnsembleProblem;
  /** Every reading by itself. */
  readonly stations: readonly Station[];
  readonly leftGrams: number;
  readonly agent: AgentTable;
  readonly counter: AgentTable | null;
  /** Makes the batch of a member after the last reading; the same object is used again. */
  batchNow(coordinates: Float64Array, offset: number): PlausibleBatch;
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
  readonly agent: AgentTable;
  readonly counter: AgentTable | null;
  /** The pH of a member beside the reading of each station. */
  readonly nearPh: readonly ((batch: PlausibleBatch) => number)[];
  /** Of its normal coordinates: the first reading's error, then each dose's. */
  readonly firstNormal: number;
}

function runOf(
  { agent: dosed, counterAgent }: Titration,
  stations: readonly Station[],
  from: Pick<Run, "firstNormal"> & { readonly knownPKas: readonly number[] },
): Run {
  const [agent, counter] = [agentTable(dosed), counterAgent === null ? null : agentTable(counterAgent)];
  const nearPh = stations.map(({ ph }) => nearPhFrom(ph, from.knownPKas, { agent, counter }));
  return { stations, agent, counter, nearPh, firstNormal: from.firstNormal };
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
  const uniformCount = FIRST_KNOWN + known.length;
  const least = known.map(({ low }) => low * (1 - KNOWN_TOLERANCE));
  const span = known.map(({ high }, k) => high * (1 + KNOWN_TOLERANCE) - least[k]!);
  const batch: PlausibleBatch = {
    sites: new Float64Array(known.length + UNKNOWN_SITES),
    pKas: Float64Array.from([...known.map(({ pKa }) => pKa), ...new Array<number>(UNKNOWN_SITES).fill(0)]),
    siteCount: 0,
    background: 0,
    excess: 0,
    agentTotal: 0,
    counterTotal: 0,
    thinned: 1,
  };
  const runs: Run[] = [];
  let normals = 0;
  for (const one of [...earlier.map((other) => ({ ...other, own: pooled(keepBook(other).stations) })), { ...titration, own: stations }]) {
    runs.push(runOf(one, one.own, { firstNormal: uniformCount + normals, knownPKas: known.map(({ pKa }) => pKa) }));
    normals += one.own.length;
  }
  const present = runs.at(-1)!;

  function readSites(coordinates: Float64Array, offset: number): void {
    const firstKnown = offset + FIRST_KNOWN;
    for (let k = 0; k < known.length; k += 1) batch.sites[k] = least[k]! + span[k]! * coordinates[firstKnown + k]!;
    batch.background = logUniform(BACKGROUND_MMOL_PER_KG, coordinates[offset + BACKGROUND]!);
    const unknown = Math.min(UNKNOWN_SITES, Math.floor(coordinates[offset]! * (UNKNOWN_SITES + 1)));
    for (let k = 0; k < unknown; k += 1) {
      const at = offset + FIRST_UNKNOWN + k * PER_UNKNOWN;
      batch.sites[known.length + k] = logUniform(UNKNOWN_MMOL_PER_KG, coordinates[at]!);
      batch.pKas[known.length + k] = UNKNOWN_PKA.low + (UNKNOWN_PKA.high - UNKNOWN_PKA.low) * coordinates[at + 1]!;
    }
    batch.siteCount = known.length + unknown;
  }

  /** The first reading fixes what the strong ions leave over. */
  function begin({ stations: [first], agent, counter, firstNormal }: Run, coordinates: Float64Array, offset: number): void {
    batch.agentTotal = first!.agentTotal;
    batch.counterTotal = first!.counterTotal;
    batch.thinned = 1;
    const truePh = first!.ph - first!.sigma * coordinates[offset + firstNormal]!;
    batch.excess = chargeOf(batch, truePh, agent, counter);
  }

  /** Takes the additions before a station into the books, with this member's own dosing error. */
  function advance({ stations: its, firstNormal }: Run, station: number, coordinates: Float64Array, offset: number): void {
    const { agentStep, counterStep, thinning, thinned } = its[station]!;
    const factor = Math.max(0, 1 + DOSE_ERROR * coordinates[offset + firstNormal + station]!);
    batch.agentTotal = batch.agentTotal * thinning + agentStep * factor;
    batch.counterTotal = batch.counterTotal * thinning + counterStep * factor;
    batch.thinned = thinned;
  }

  const problem: EnsembleProblem = {
    uniformCount,
    normalCount: normals,
    stages: normals - runs.length,
    evaluate(coordinates, offset, stage, out) {
      readSites(coordinates, offset);
      let before = 0;
      let taken = -1;
      for (const run of runs) {
        if (taken >= stage) break;
        begin(run, coordinates, offset);
        for (let k = 1; k < run.stations.length && taken < stage; k += 1) {
          advance(run, k, coordinates, offset);
          const { ph, sigma } = run.stations[k]!;
          const miss = (run.nearPh[k]!(batch) - ph) / sigma;
          const logLikelihood = (-miss * miss) / 2;
          taken += 1;
          if (taken === stage) out[1] = logLikelihood;
          else before += logLikelihood;
        }
      }
      out[0] = before;
    },
  };

  return {
    problem,
    stations: all,
    leftGrams,
    agent: present.agent,
    counter: present.counter,
    batchNow(coordinates, offset) {
      readSites(coordinates, offset);
      begin(present, coordinates, offset);
      for (let k = 1; k < stations.length; k += 1) advance(present, k, coordinates, offset);
      return batch;
    },
  };
}

/** Readings of one dose as one: their mean by weight, and what is left of their uncertainty. */
export function pooled(stations: readonly Station[]): readonly Station[] {
  const pools: Station[] = [];
  for (const station of stations) {
    const last = pools.at(-1);
    if (!station.isRepeat || last === undefined) {
      pools.push(station);
      continue;
    }
    const [a, b] = [1 / last.sigma ** 2, 1 / station.sigma ** 2];
    pools[pools.length - 1] = { ...last, ph: (last.ph * a + station.ph * b) / (a + b), sigma: 1 / Math.sqrt(a + b) };
  }
  return pools;
}

/** A span of amounts by its logarithm. */
function logSpan(low: number, high: number): { readonly lnLow: number; readonly lnSpan: number } {
  return { lnLow: Math.log(low), lnSpan: Math.log(high / low) };
}

function logUniform({ lnLow, lnSpan }: ReturnType<typeof logSpan>, part: number): number {
  return Math.exp(lnLow + lnSpan * part);
}

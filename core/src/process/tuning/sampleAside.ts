import { equivalentsPerMole, gramsOf, millimolesIn, type Agent } from "../../acidity/equivalents.ts";
import { STOCK_WATER } from "../../acidity/stockMaterial.ts";
import type { BatchEntry, DosedAgent } from "../batch/entries.ts";
import type { BenchAgent } from "./agents.ts";

/** A part of the batch taken aside to find its way on, with all that was done to it. */
export interface SampleAside {
  /** Of the entry that took it. */
  readonly id: string;
  /** The step that took it. */
  readonly step: string;
  readonly takenGrams: number;
  /** What was dosed into it and read of it, in order. */
  readonly entries: readonly (BatchEntry & { readonly kind: "sample-dosed" | "sample-read" })[];
  /** Sample and what was dosed, less what readings took, g. */
  readonly contentGrams: number;
  readonly state: "out" | "back" | "lost";
  /** What was poured back, g. */
  readonly backGrams: number;
}

interface DoseInSample {
  readonly agent: DosedAgent;
  readonly grams: number;
}

/** A solution is thinned so far for a sample that its doses can be weighed. */
const THINNED = 10;
/** What is taken aside: enough for the probe and its readings, little beside the batch. */
export const SAMPLE_GRAMS = { low: 30, high: 60 };

/** One part of a solution in ten parts: what a sample is titrated with. */
export function dilutedTenfold(agent: BenchAgent): BenchAgent {
  const { parts, ...rest } = agent;
  const thinned = parts?.map(({ material, percent }) => ({ material, percent: percent / THINNED }));
  return {
    ...rest,
    name: `${agent.name}, one part in ten`,
    strengthPercent: agent.strengthPercent / THINNED,
    dropGrams: null,
    ...(thinned === undefined ? {} : { parts: [...thinned, { material: STOCK_WATER, percent: 100 - 100 / THINNED }] }),
  };
}

/** Every sample that was taken aside, in order; one at a time is out. */
export function samplesAside(standing: readonly BatchEntry[]): readonly SampleAside[] {
  const samples: SampleAside[] = [];
  const change = (to: (last: SampleAside) => SampleAside): void => {
    const last = samples.pop();
    if (last !== undefined) samples.push(to(last));
  };
  for (const entry of standing) {
    switch (entry.kind) {
      case "sample-taken": {
        const { id, step, grams } = entry;
        samples.push({ id, step, takenGrams: grams, entries: [], contentGrams: grams, state: "out", backGrams: 0 });
        break;
      }
      case "sample-dosed":
      case "sample-read": {
        const grams = entry.kind === "sample-dosed" ? entry.grams : -entry.sampleGrams;
        change((last) => ({ ...last, entries: [...last.entries, entry], contentGrams: Math.max(0, last.contentGrams + grams) }));
        break;
      }
      case "sample-back":
        change((last) => ({ ...last, state: "back", backGrams: entry.grams }));
        break;
      case "sample-lost":
        change((last) => ({ ...last, state: "lost" }));
        break;
    }
  }
  return samples;
}

/** The sample that is out; null for none. */
export function sampleOut(standing: readonly BatchEntry[]): SampleAside | null {
  const last = samplesAside(standing).at(-1);
  return last?.state === "out" ? last : null;
}

/** What came back into the batch of each dose that went into a sample, g: its share of what was poured back. */
export function dosesBack({ entries, contentGrams, backGrams, state }: SampleAside): readonly DoseInSample[] {
  if (state !== "back" || contentGrams <= 0) return [];
  const share = Math.min(1, backGrams / contentGrams);
  return entries.flatMap((entry) => (entry.kind === "sample-dosed" ? [{ agent: entry.agent, grams: entry.grams * share }] : []));
}

/** So much of one solution brings at a pH what a dose of another brought, g; by equivalents, negative never. */
export function gramsAs(solution: Agent, { agent, grams }: DoseInSample, ph: number): number {
  if (agent.molarMass === solution.molarMass) return (grams * agent.strengthPercent) / solution.strengthPercent;
  const millimoles = millimolesIn(agent, grams) * equivalentsPerMole(agent, ph);
  return gramsOf(solution, millimoles / Math.max(1e-9, equivalentsPerMole(solution, ph)));
}

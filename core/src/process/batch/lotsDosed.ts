import { dosesBack, samplesAside } from "../tuning/sampleAside.ts";
import type { BatchPlan } from "./batchPlan.ts";
import { dosedByLot } from "./dosedByLot.ts";
import type { BatchEntry, DosedAgent } from "./entries.ts";
import { strengthOf } from "./strengths.ts";

/** What dosing took from lots on the shelf. */
export interface LotsDosed {
  /** From lots the doses name, g, by the lot's id. */
  readonly byLot: ReadonlyMap<string, number>;
  /** Dosed into a sample and not come back with it, g, by the line whose lots it came from: no line weighs it. */
  readonly lostByLine: ReadonlyMap<string, number>;
}

/**
 * What was taken out of bottles by dosing. What went into a sample left its bottle whether the sample came back or not.
 */
export function lotsDosed(plan: BatchPlan, standing: readonly BatchEntry[]): LotsDosed {
  const lostByLine = new Map<string, number>();
  const ofLine = (plus: 1 | -1, { agent, grams }: { readonly agent: DosedAgent; readonly grams: number }): void => {
    if (agent.line === null) return;
    const lost = (plus * grams * agent.strengthPercent) / strengthOf(plan, agent.line);
    lostByLine.set(agent.line, (lostByLine.get(agent.line) ?? 0) + lost);
  };
  for (const sample of samplesAside(standing)) {
    if (sample.state === "out") continue;
    for (const entry of sample.entries) if (entry.kind === "sample-dosed") ofLine(1, entry);
    for (const dose of dosesBack(sample)) ofLine(-1, dose);
  }
  return { byLot: dosedByLot(standing), lostByLine };
}

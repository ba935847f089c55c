import { equivalentsPerMole, gramsOf } from "../../acidity/equivalents.ts";
import { rawPhForecast, type RawPhForecast } from "../../acidity/rawPh.ts";
import type { ResolvedSheet } from "../../formula/types.ts";
import type { Span } from "../../library/material.ts";
import { acidOrBase, usualAgentOf, type BenchAgent } from "./agents.ts";
import { shownMaterial } from "../../library/shownMaterial.ts";

/** What to have ready for a batch nobody has read yet. */
export interface RawPhPlan {
  readonly forecast: RawPhForecast;
  /** Where it is to come to: the middle of where it belongs. */
  readonly target: number;
  /** Beside where it belongs as it comes out. */
  readonly isOutside: boolean;
  /** What adjusts it and how much of it, g; null where it is not adjusted. */
  readonly dose: { readonly name: string; readonly grams: Span & { readonly typical: number } } | null;
}

/**
 * The pH a formula will come out with, and the solution of its own (else the usual one) that brings it to the middle of its
 * corridor: grams = demand × kg ⁄ z(target) ⁄ strength. 4.5 mmol/kg in 0.9 kg take 2.3 mmol of citric acid at pH 5 (z 1.77), 2.2 g
 * of a 20 % solution. Soap is not adjusted. Null where no material tells a pH.
 */
export function rawPhPlan(sheet: ResolvedSheet, corridor: Span, batchGrams: number): RawPhPlan | null {
  const target = (corridor.low + corridor.high) / 2;
  const forecast = rawPhForecast(sheet, target);
  if (forecast === null) return null;
  const isOutside = forecast.ph < corridor.low || forecast.ph > corridor.high;
  const isSoap = sheet.lines.some(({ material, percent }) => percent > 0 && material.flags.includes("soap"));
  if (!isOutside || isSoap) return { forecast, target, isOutside, dose: null };
  const kind = forecast.demand.typical >= 0 ? "acid" : "base";
  const agent = ownAgent(sheet, kind) ?? usualAgentOf(kind);
  const z = Math.max(1e-9, equivalentsPerMole(agent, target));
  const grams = (millimolesPerKg: number): number =>
    gramsOf(agent, Math.max(0, (kind === "acid" ? 1 : -1) * millimolesPerKg * (batchGrams / 1000)) / z);
  const { low, typical, high } = forecast.demand;
  const ends = [grams(low), grams(high)].sort((a, b) => a - b);
  return { forecast, target, isOutside, dose: { name: agent.name, grams: { typical: grams(typical), low: ends[0]!, high: ends[1]! } } };
}

function ownAgent(
  { lines, materials }: ResolvedSheet,
  kind: "acid" | "base",
): Pick<BenchAgent, "name" | "kind" | "molarMass" | "pKas" | "strengthPercent"> | null {
  for (const { material } of lines) {
    const facts = material.role === "ph-adjuster" ? acidOrBase(material, materials) : null;
    if (facts !== null && facts.kind === kind) return { name: shownMaterial(material).name, ...facts };
  }
  return null;
}

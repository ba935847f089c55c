import type { Formula, FormulaLine } from "../../formula/types.ts";
import { roundToMultiple } from "../../quantities/decimals.ts";
import { finestFirst, scaleFor } from "../../quantities/scales.ts";
import { allowedPercent, deviationsOf } from "../deviations.ts";
import type { BatchLine, BatchPlan } from "./batchPlan.ts";
import type { BatchEntry } from "./entries.ts";
import { drawnTargetGrams, partsOf } from "./parts.ts";
import { saltPercentOf, strengthOf } from "./strengths.ts";
import { dosesBack, samplesAside } from "../tuning/sampleAside.ts";

/**
 * Every line with what it is to weigh, what it weighs, and whether that is off. Lines weighed before a correction keep
 * their own target, those after it follow the line that went wrong; the lines of a part follow what was drawn for it.
 */
export function batchLines(plan: BatchPlan, standing: readonly BatchEntry[]): ReadonlyMap<string, BatchLine> {
  const actual = new Map<string, number>();
  const dosed = new Map<string, number>();
  const answered = new Set<string>();
  const factorAt = new Map<string, number>();
  let factor = 1;
  for (const { agent, grams } of samplesAside(standing).flatMap(dosesBack)) {
    if (agent.line === null) continue;
    // A thinned solution brings to the line what of the line's own is in it.
    const share = agent.strengthPercent / strengthOf(plan, agent.line);
    dosed.set(agent.line, (dosed.get(agent.line) ?? 0) + grams * Math.min(1, share));
  }
  for (const entry of standing) {
    if (entry.kind === "salted" && entry.salt.line !== null) {
      // A brine brings to the line no more than the salt in it.
      const share = entry.salt.strengthPercent / saltPercentOf(plan, entry.salt.line);
      dosed.set(entry.salt.line, (dosed.get(entry.salt.line) ?? 0) + entry.grams * Math.min(1, share));
    } else if (entry.kind === "dosed" && entry.agent.line !== null) {
      dosed.set(entry.agent.line, (dosed.get(entry.agent.line) ?? 0) + entry.grams);
    } else if (entry.kind === "thickened") {
      dosed.set(entry.line, (dosed.get(entry.line) ?? 0) + entry.grams);
    } else if (entry.kind === "weighed") {
      actual.set(entry.line, entry.grams);
      answered.delete(entry.line);
      if (!factorAt.has(entry.line)) factorAt.set(entry.line, factor);
    } else if (entry.kind === "accepted" || entry.kind === "corrected") {
      answered.add(entry.line);
      const target = plan.targets.get(entry.line) ?? 0;
      if (entry.kind === "corrected" && target > 0) factor = (actual.get(entry.line) ?? target) / target;
    }
  }
  const partFactor = new Map<string, number>();
  for (const part of partsOf(plan)) {
    const drawn = standing.findLast((entry) => entry.kind === "measured" && entry.step === part.step);
    if (drawn?.kind !== "measured") continue;
    const planned = drawnTargetGrams(plan, part, plan.targets);
    if (planned > 0) for (const line of part.lines) partFactor.set(line, drawn.grams / planned);
  }
  const targetOf = (line: string, planned: number): number =>
    shownMass(planned * (partFactor.get(line) ?? factorAt.get(line) ?? factor), plan);
  // The allowance is a share of the line, so a corrected line is judged as the planned one would be.
  const asPlanned = [...actual].flatMap(([line, grams]) => {
    const planned = plan.targets.get(line);
    if (planned === undefined) return [];
    const target = targetOf(line, planned);
    return [[line, target > 0 ? (grams * planned) / target : grams] as const];
  });
  const judged = new Map(deviationsOf(exactly(plan), new Map(asPlanned), plan.materials).map((one) => [one.line, one]));
  return new Map(
    [...plan.targets].map(([line, planned]) => {
      const targetGrams = targetOf(line, planned);
      const actualGrams = actual.get(line) ?? dosed.get(line) ?? null;
      const found = judged.get(line);
      const deviation = found === undefined || actualGrams === null ? null : { ...found, targetGrams, actualGrams };
      const allowed = allowedPercent((100 * planned) / plan.formula.batchGrams);
      const asks = deviation?.asks === true && !answered.has(line);
      return [line, { line, targetGrams, actualGrams, deviation, allowedPercent: allowed, asks }];
    }),
  );
}

const exact = new WeakMap<BatchPlan, Formula>();

/** The formula with every line at the mass the scales show, so that a weight read off the scale is no deviation. */
function exactly(plan: BatchPlan): Formula {
  let formula = exact.get(plan);
  if (formula === undefined) {
    const { batchGrams } = plan.formula;
    const { splits = [], ...whole } = plan.formula;
    const lines = [...whole.lines, ...splits.flatMap((split) => split.lines)].map(({ id, phase, material }): FormulaLine => {
      return { id, phase, material, percent: (100 * (plan.targets.get(id) ?? 0)) / batchGrams };
    });
    exact.set(plan, (formula = { ...whole, lines }));
  }
  return formula;
}

function shownMass(grams: number, { formula }: BatchPlan): number {
  const scale = scaleFor(grams, finestFirst(formula.scales));
  return scale === undefined ? grams : roundToMultiple(grams, scale.readabilityGrams);
}

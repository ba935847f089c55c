import { CARRIED_BY_ACTIVE, foamOf, irritationOf, micellesInUse, type Cleanser } from "../surfactants/index.ts";
import type { Problem } from "./problem.ts";

/** What a blend comes out with: the estimates of the sheet, by the same functions. */
export interface JudgedBlend {
  readonly activePercent: number;
  readonly irritation: number;
  readonly flash: number;
  readonly density: number;
  readonly stability: number;
  /** Of 100 g of the product. */
  readonly cost: number;
  /** Salts the surfactants bring, % w/w. */
  readonly saltPercent: number;
  /** Active matter that comes in or goes beside the sheet as it is, % w/w. */
  readonly changePercent: number;
}

/** The surfactants of a problem in these amounts, % active matter each. */
export function cleansersOfBlend({ members }: Pick<Problem, "members">, percents: ArrayLike<number>): readonly Cleanser[] {
  return members.map(({ slug, name, charge, molarMass, cmcMillimolar, zein, foam }, i) => ({
    ...{ slug, name, charge, molarMass, cmcMillimolar, zein, foam, lines: [] },
    percent: percents[i]!,
  }));
}

/** Loose oil beside so much active matter, % w/w. */
export function looseOil({ oilPercent }: Pick<Problem, "oilPercent">, activePercent: number): number {
  return Math.max(0, oilPercent - CARRIED_BY_ACTIVE * activePercent);
}

/** Σ values × p. */
export function sumOf(values: readonly number[], percents: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < values.length; i += 1) sum += values[i]! * percents[i]!;
  return sum;
}

function activeOf(percents: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < percents.length; i += 1) sum += percents[i]!;
  return sum;
}

/** What of a blend needs no micelles. */
export function easyFigures(
  problem: Problem,
  percents: ArrayLike<number>,
): Pick<JudgedBlend, "flash" | "stability" | "cost" | "changePercent"> {
  const { flash, stability } = foamOf(cleansersOfBlend(problem, percents), looseOil(problem, activeOf(percents)))!;
  return { flash, stability, cost: problem.restCost + sumOf(problem.cost, percents), changePercent: changeOf(problem, percents) };
}

function changeOf({ present, gone }: Problem, percents: ArrayLike<number>): number {
  return present.reduce((sum, before, i) => sum + Math.abs(percents[i]! - before), gone);
}

/** Everything of one blend; null where the micelles cannot be worked out. */
export function judgeBlend(problem: Problem, percents: ArrayLike<number>): JudgedBlend | null {
  const cleansers = cleansersOfBlend(problem, percents);
  const activePercent = activeOf(percents);
  const hasAnionic = cleansers.some(({ charge }) => charge === "anionic");
  const micelles = hasAnionic ? micellesInUse(cleansers) : null;
  if (micelles !== null && !micelles.found) return null;
  const foam = foamOf(cleansers, looseOil(problem, activePercent));
  if (foam === null) return null;
  const zein = sumOf(problem.zein, percents) / activePercent;
  return {
    activePercent,
    irritation: irritationOf(zein, micelles?.value.relief ?? null, activePercent).load,
    flash: foam.flash,
    density: foam.density,
    stability: foam.stability,
    cost: problem.restCost + sumOf(problem.cost, percents),
    saltPercent: sumOf(problem.salt, percents),
    changePercent: changeOf(problem, percents),
  };
}

import { activeMatterOfLine } from "../surfactants/activeMatter.ts";
import { withPortions } from "../formula/portions.ts";
import { resolveLines } from "../formula/resolveLines.ts";
import type { Formula } from "../formula/types.ts";
import { weighSheet } from "../formula/weighSheet.ts";
import type { MaterialsBySlug } from "../library/material.ts";
import { workbench } from "./batchKind.ts";
import { coolDownPart, dividePart, grainPart, isPartedAfterRest, restPart, temperPart, tuningPart, whipAgain, whipHot } from "./finish.ts";
import { makeDry, makeOil, makeStock, meetInContainer, oilLayer } from "./otherKinds.ts";
import { ownSteps, type LinesOfSteps } from "./own/ownSteps.ts";
import { planner, type Planner } from "./planner.ts";
import { prepare } from "./prepare.ts";
import type { StepList } from "./step.ts";
import { isHot } from "./tasks.ts";
import { basePart, cleanserPart, cleansersAreWarm, scentPart } from "./cleanserPart.ts";
import { coolPart, fatPart } from "./fatPart.ts";
import { waterPart } from "./waterPart.ts";

/**
 * How a formula is made: in the maker's own steps where they have some, else as suggested.
 * @throws Refusal when a material is unknown or contains itself.
 */
export function stepsOf(formula: Formula, library: MaterialsBySlug): StepList {
  if (formula.process === undefined) return suggestedSteps(formula, library);
  const parted = withPortions(formula, library);
  return ownSteps(suggestedSteps(parted, library), formula.process, linesOf(parted, library));
}

/** The lines of a formula with what is weighed of each. */
export function linesOf(formula: Formula, library: MaterialsBySlug): LinesOfSteps {
  const { sheet, balance } = resolveLines(formula, library);
  const active = sheet.lines.map((line) => activeMatterOfLine(line, sheet.materials));
  return { lines: sheet.lines, weighed: weighSheet(sheet, balance, active) };
}

/**
 * How to make a formula, step by step: which beaker, what goes in, why, how long to wait, what must be done before. Each
 * line is weighed in exactly one step, and the order of the list follows `after`. An empty sheet has the bench to
 * prepare and nothing else.
 * @throws Refusal when a material is unknown or contains itself.
 */
export function suggestedSteps(formula: Formula, library: MaterialsBySlug): StepList {
  const { sheet, balance } = resolveLines(formula, library);
  const weighed = weighSheet(
    sheet,
    balance,
    sheet.lines.map((line) => activeMatterOfLine(line, sheet.materials)),
  );
  const plan = planner(
    workbench(sheet),
    weighed,
    (formula.splits ?? []).map(({ name }) => name),
  );
  prepare(plan);
  if (sheet.lines.length === 0) return plan.finished();
  const { kind } = plan.bench;
  if (kind === "stock") {
    makeStock(plan);
    return plan.finished();
  }
  if (kind === "dry") makeDry(plan);
  else if (kind === "oil") makeOil(plan);
  else makeWet(plan);
  if (kind === "oil" || kind === "dry") {
    coolDownPart(plan);
    grainPart(plan);
    looseAcids(plan);
    dividePart(plan);
  }
  restPart(plan);
  return plan.finished();
}

function makeWet(plan: Planner): void {
  const isWhipped = plan.bench.sheet.formula.profile === "whipped-cleanser";
  waterPart(plan);
  basePart(plan);
  cleanserPart(plan);
  scentPart(plan);
  fatPart(plan);
  const meltsWarm = cleansersAreWarm(plan) && plan.holds("surfactants");
  if (plan.holds("fats")) moveToMain(plan, "fats");
  if (plan.holds("surfactants")) moveToMain(plan, "surfactants");
  if (isWhipped) {
    whipHot(plan);
    temperPart(plan);
  }
  if (isHot(plan.bench) || meltsWarm || plan.isHeated()) coolPart(plan);
  coolDownPart(plan);
  if (isWhipped) whipAgain(plan);
  if (plan.bench.kind === "layers") oilLayer(plan);
  grainPart(plan);
  tuningPart(plan);
  if (plan.bench.kind === "layers") meetInContainer(plan);
  if (!isPartedAfterRest(plan.bench)) dividePart(plan);
}

function moveToMain(plan: Planner, from: "fats" | "surfactants"): void {
  const begins = !plan.holds("main");
  const into = { id: `${from}-into-water`, stage: "combine", vessel: "main", joins: [from] } as const;
  if (begins) plan.add({ ...into, code: "becomes-batch", facts: { what: from } });
  else plan.add({ ...into, code: "joins-water", facts: { isWhipped: plan.bench.sheet.formula.profile === "whipped-cleanser" } });
}

/** Acids and bases without water to work in are weighed with the last powders. */
function looseAcids(plan: Planner): void {
  const lines = plan.take("ph", "neutralise");
  if (lines.length === 0) return;
  plan.add({ id: "acids-dry", code: "acids-dry", facts: plan.weighed(lines), stage: "combine", vessel: "main", lines });
}

import { wholeLines } from "@tensidrum/core/formula";
import { isNotChosen, namedAsWritten, shownMaterial, type Material } from "@tensidrum/core/library";
import {
  batchState,
  contentsOf,
  evaporationAt,
  massAccount,
  partTargetGrams,
  type BatchEntry,
  type BatchLine,
  type BatchPlan,
  type BatchState,
  type MassAccount,
  type ReadOff,
} from "@tensidrum/core/process";
import { decimalPlaces, finestFirst, scaleFor, writtenMass } from "@tensidrum/core/quantities";
import type { SentBatch } from "./sentBatch";

/** A scale nobody told of is taken to show hundredths. */
const USUAL_STEP_GRAMS = 0.01;

export interface LineView extends BatchLine {
  readonly name: string;
  readonly decimals: number;
  readonly lots: readonly { readonly code: string; readonly grams: number }[];
  /** Null for a weight that was typed. */
  readonly readOff: ReadOff | null;
  /** Some of it was weighed on the simulated scale. */
  readonly isSimulated: boolean;
}

/** A batch where it stands, with what its pages show of it. */
export interface BatchView extends Omit<BatchState, "lines"> {
  readonly id: string;
  readonly code: string;
  readonly formulaId: string | null;
  readonly name: string;
  readonly batch: string;
  readonly decimals: number;
  readonly vessels: SentBatch["vessels"];
  readonly lines: readonly LineView[];
  /** What is in the beaker of each step once it is through, g. */
  readonly contents: ReadonlyMap<string, number>;
  /** Where its mass came from and where it went. */
  readonly account: MassAccount;
  readonly toComeGrams: number;
  /** The last thing that can be taken back. */
  readonly last: BatchEntry | null;
}

export function batchView(sent: SentBatch, plan: BatchPlan, entries: readonly BatchEntry[]): BatchView {
  const state = batchState(plan, entries);
  const fromFinest = finestFirst(plan.formula.scales);
  const whole = wholeLines(plan.formula);
  const materialOf = new Map(whole.map(({ id, material }) => [id, material]));
  // Two lines of one material are told apart by their phases.
  const times = new Map<string, number>();
  const portions = new Set((plan.formula.process?.portions ?? []).map(({ id }) => id));
  for (const [id, slug] of materialOf) if (!portions.has(id)) times.set(slug, (times.get(slug) ?? 0) + 1);
  const phaseOf = new Map(whole.map(({ id, phase }) => [id, phase]));
  const writtenOf = new Map(whole.map(({ id, asWritten }) => [id, asWritten]));
  const nameOf = (line: string, material: Material): string => {
    const { name } = shownMaterial(namedAsWritten(material, writtenOf.get(line)));
    if (isNotChosen(material)) return name;
    if (portions.has(line)) return `${name} (a part)`;
    const phase = phaseOf.get(line);
    return (times.get(material.slug) ?? 0) > 1 && phase !== undefined ? `${name} (phase ${phase})` : name;
  };
  const lines = [...state.lines.values()].map((line): LineView => {
    const material = plan.materials.get(materialOf.get(line.line) ?? "");
    const scale = scaleFor(line.targetGrams, fromFinest);
    const weight = state.standing.findLast((entry) => entry.kind === "weighed" && entry.line === line.line);
    return {
      ...line,
      name: material === undefined ? line.line : nameOf(line.line, material),
      decimals: decimalPlaces(scale?.readabilityGrams ?? USUAL_STEP_GRAMS),
      lots: sent.lots.filter((lot) => lot.line === line.line).map(({ code, grams }) => ({ code, grams })),
      readOff: weight?.kind === "weighed" ? (weight.readOff ?? null) : null,
      isSimulated: state.standing.some((entry) => lineOf(entry) === line.line && "readOff" in entry && entry.readOff === "simulated scale"),
    };
  });
  // What was held back in a step that is through does not come any more.
  const open = new Set(state.steps.flatMap((one) => (one.state === "open" ? one.step.lines : [])));
  return {
    ...state,
    id: sent.id,
    code: sent.code,
    formulaId: sent.formulaId,
    name: plan.formula.name,
    batch: writtenMass(plan.formula.batchGrams),
    decimals: decimalPlaces(fromFinest[0]?.readabilityGrams ?? USUAL_STEP_GRAMS),
    vessels: sent.vessels,
    lines,
    contents: contentsOf(plan, state),
    account: massAccount(plan, state),
    toComeGrams: lines.reduce(
      (sum, { line, actualGrams, targetGrams }) => sum + (actualGrams === null && open.has(line) ? targetGrams : 0),
      0,
    ),
    last: state.standing.findLast(({ kind }) => canBeTakenBack.has(kind)) ?? null,
  };
}

/** The line an entry weighed, dosed or folded in; null for none. */
function lineOf(entry: BatchEntry): string | null {
  switch (entry.kind) {
    case "weighed":
    case "thickened":
      return entry.line;
    case "dosed":
      return entry.agent.line;
    case "salted":
      return entry.salt.line;
    default:
      return null;
  }
}

/** The state a view shows, as the core asks for it. */
export function stateOfView({ lines, ...view }: BatchView): BatchState {
  return { ...view, lines: new Map(lines.map((line) => [line.line, line])) };
}

const canBeTakenBack = new Set<BatchEntry["kind"]>([
  "done",
  "skipped",
  "weighed",
  "measured",
  "topped-up",
  "filled",
  "ph-read",
  "ph-target",
  "temperature-read",
  "looked",
  "dosed",
  "sample-taken",
  "sample-read",
  "sample-dosed",
  "sample-back",
  "sample-lost",
  "thickness-read",
  "salted",
  "drops-weighed",
  "thickened",
  "calibrated",
  "accepted",
  "corrected",
  "finished",
  "discarded",
]);

/** What a step puts on the scale beside its lines, and what it should show. */
export interface Measuring {
  readonly what: "before-heating" | "after-heating" | "part";
  /** Null where it is not known. */
  readonly targetGrams: number | null;
  /** Null while it has not been weighed. */
  readonly actualGrams: number | null;
  /** Hot water to put back, g; null where there is none to tell. */
  readonly topUpGrams: number | null;
}

/** What the step measures; null for one that measures nothing. */
export function measuringOf(plan: BatchPlan, view: BatchView, stepId: string): Measuring | null {
  const what = plan.steps.find(({ id }) => id === stepId)?.measures;
  if (what === undefined) return null;
  const state = stateOfView(view);
  const steam = evaporationAt(plan, state, stepId);
  return {
    what,
    targetGrams: what === "part" ? partTargetGrams(plan, state, stepId) : (steam?.expectedGrams ?? null),
    actualGrams: view.measured.get(stepId) ?? null,
    topUpGrams: steam?.topUpGrams ?? null,
  };
}

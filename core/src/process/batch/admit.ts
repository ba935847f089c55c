import { calibrationOf } from "../../acidity/calibration.ts";
import { DROPS_TO_WEIGH } from "../../acidity/dropMass.ts";
import { batchState, type BatchState } from "./batchState.ts";
import { type BatchPlan } from "./batchPlan.ts";
import type { BatchEntry } from "./entries.ts";
import { sampleOut } from "../tuning/sampleAside.ts";
import { tunedCorridor } from "../tuning/phTuning.ts";
import { written } from "../../quantities/written.ts";
import { isOfFilling, whyNotFilling } from "./admitFilling.ts";
import { whyNotSample } from "./admitSample.ts";
import { isWaiting } from "./waits.ts";
import { stepIsOver, tunes, wrongWeight } from "./whatCannotBe.ts";

/** What a thermometer in a batch can show, °C. */
const LEAST_C = -10;
const MOST_C = 120;
/** No meter brings a batch into a narrower window, pH. */
const LEAST_TARGET_PH = 0.1;
const MOST_TIMER_MINUTES = 10_080;
const MOST_CONTAINERS = 10_000;
/** Far beyond what stands on a spoon, in Pa·s or in seconds of a funnel. */
const MOST_VISCOSITY = 100_000;

/**
 * Why an entry cannot follow those there are, in a sentence for the maker; null when it can. The same rule holds where it is
 * entered and where it is stored, so that of two devices that take one step only the first does.
 */
export function whyNot(plan: BatchPlan, entries: readonly BatchEntry[], entry: BatchEntry): string | null {
  if (entry.kind === "noted") return entry.text === "" ? "Write the note first." : null;
  if (entry.kind === "photographed") return null;
  // Notes and photos are the most of a long batch and change nothing, unless it is one of them that is taken back.
  const isBackAsked = entry.kind === "taken-back";
  const state = batchState(plan, isBackAsked ? entries : entries.filter(({ kind }) => kind !== "noted" && kind !== "photographed"));
  if (isOfFilling(entry)) return whyNotFilling(plan, state, entry);
  if (state.finished !== null && !isBackAsked) {
    return "This batch is closed. Take its last entry back to go on with it.";
  }
  switch (entry.kind) {
    case "weighed":
      return whyNotWeighed(plan, state, entry);
    case "measured":
      return whyNotMeasured(plan, state, entry);
    case "topped-up":
      return whyNotToppedUp(plan, state, entry);
    case "filled":
      return whyNotFilled(state, entry);
    case "calibrated":
      return calibrationOf(entry.buffers[0], entry.buffers[1]) === null ? "Two different buffers are needed." : null;
    case "ph-read":
      return whyNotRead(plan, state, entry);
    case "ph-target":
      return whyNotTarget(plan, state, entry);
    case "temperature-read":
      return entry.temperatureC >= LEAST_C && entry.temperatureC <= MOST_C
        ? stepIsOver(state, entry.step)
        : `A batch has ${LEAST_C} to ${MOST_C} °C. Look at the thermometer again.`;
    case "looked":
      return entry.thickness === "" && entry.clarity === "" && entry.words.length === 0 && entry.text === ""
        ? "Tap what you see, or write it."
        : null;
    case "dosed":
      return whyNotDosed(plan, state, entry);
    case "sample-taken":
    case "sample-read":
    case "sample-dosed":
    case "sample-back":
    case "sample-lost":
      return whyNotSample(plan, state, entry);
    case "thickness-read":
      if (!readsThickness(plan, entry.step)) return "No thickness is read in this step.";
      return entry.viscosity > 0 && entry.viscosity <= MOST_VISCOSITY
        ? stepIsOver(state, entry.step)
        : "A thickness is more than 0. Read it again.";
    case "salted":
      if (!tunes(plan, entry.step, "thickness")) return "No salt is added in this step.";
      return (entry.grams > 0 ? wrongWeight(plan, entry.grams) : "An addition is more than 0 g.") ?? stepIsOver(state, entry.step);
    case "drops-weighed":
      return entry.drops >= DROPS_TO_WEIGH && entry.grams > 0
        ? wrongWeight(plan, entry.grams)
        : `Weigh ${DROPS_TO_WEIGH} drops together, or more; fewer weigh too little to divide.`;
    case "thickened":
      return whyNotThickened(plan, state, entry);
    case "tared":
      return wrongWeight(plan, entry.grams);
    case "accepted":
    case "corrected":
      return state.lines.get(entry.line)?.asks === true ? null : "Nothing is to be decided about this weight any more.";
    case "done":
      return stepIsOver(state, entry.step) ?? whyNotDone(plan, state, entry.step);
    case "skipped":
      return entry.reason === "" ? "Say why it is skipped; it stands in the record." : stepIsOver(state, entry.step);
    case "timer":
      return entry.minutes > 0 && entry.minutes <= MOST_TIMER_MINUTES ? null : "A clock runs from one minute to seven days.";
    case "wait-ended":
      return isWaiting(plan.steps, state.standing, entry.wait) ? null : "This clock has been ended already.";
    case "paused":
      return state.pausedAt === null ? null : "The batch stands still already.";
    case "resumed":
      return state.pausedAt === null ? "The batch goes on already." : null;
    case "taken-back":
      return entries.some(({ id }) => id === entry.entry) && (isBack(entries, entry.entry) || standsIn(state, entry.entry))
        ? null
        : "There is nothing to take back.";
    case "finished":
      return whyNotFinished(state, entry.yieldGrams);
    case "discarded":
      return hasWeighed(state.standing)
        ? "Something has been weighed, so this batch stands in the record. Close it, and say of each open step why it was skipped."
        : null;
  }
}

const WEIGHING = new Set<BatchEntry["kind"]>(["weighed", "measured", "dosed", "salted", "thickened"]);

/** Whether anything has gone into a beaker. */
export function hasWeighed(standing: readonly BatchEntry[]): boolean {
  return standing.some(({ kind }) => WEIGHING.has(kind));
}

function isBack(entries: readonly BatchEntry[], id: string): boolean {
  return entries.some((entry) => entry.id === id && entry.kind === "taken-back");
}

function standsIn({ standing }: BatchState, id: string): boolean {
  return standing.some((entry) => entry.id === id);
}

function whyNotWeighed(plan: BatchPlan, state: BatchState, entry: BatchEntry & { readonly kind: "weighed" }): string | null {
  const step = plan.steps.find(({ id }) => id === entry.step);
  if (step?.tunes !== undefined) return "What is in this step is dosed by readings.";
  if (step?.lines.includes(entry.line) !== true) return "This line is not weighed in this step. Load the page again.";
  if (state.lines.get(entry.line)?.actualGrams != null)
    return "This line has been weighed already. Take that weight back to weigh it again.";
  return wrongWeight(plan, entry.grams) ?? stepIsOver(state, entry.step);
}

function whyNotMeasured(plan: BatchPlan, state: BatchState, { step, grams }: BatchEntry & { readonly kind: "measured" }): string | null {
  if (plan.steps.find(({ id }) => id === step)?.measures === undefined) return "Nothing is measured in this step.";
  if (state.measured.has(step)) return "This has been weighed already. Take that weight back to weigh it again.";
  return (grams > 0 ? wrongWeight(plan, grams) : "This weight must be above 0 g.") ?? stepIsOver(state, step);
}

function whyNotToppedUp(plan: BatchPlan, state: BatchState, { step, grams }: BatchEntry & { readonly kind: "topped-up" }): string | null {
  if (plan.steps.find(({ id }) => id === step)?.measures !== "after-heating") return "No water is put back in this step.";
  if (state.standing.some((entry) => entry.kind === "topped-up" && entry.step === step)) {
    return "Water has been put back in this step already. Take that back to enter it again.";
  }
  return (grams > 0 ? wrongWeight(plan, grams) : "Water put back is more than 0 g.") ?? stepIsOver(state, step);
}

function whyNotFilled({ steps }: BatchState, { step, count, container }: BatchEntry & { readonly kind: "filled" }): string | null {
  if (steps.find((one) => one.step.id === step)?.step.code !== "fill") return "Nothing is filled in this step.";
  if (!(Number.isInteger(count) && count >= 1 && count <= MOST_CONTAINERS)) return "Count the containers: 1 or more, whole ones.";
  return container === "" ? "Say what was filled: a pump bottle of 250 mL." : null;
}

/** Where the thickness is adjusted, and once more when the batch is judged. */
function readsThickness({ steps }: BatchPlan, id: string): boolean {
  return steps.some((step) => step.id === id && (step.tunes === "thickness" || step.tunes === "polymer" || step.code === "fill"));
}

/** Where the pH is adjusted, where it is only read, and once more when the batch is judged. */
function readsPh({ steps }: BatchPlan, id: string): boolean {
  return steps.some((step) => step.id === id && (step.tunes === "ph" || step.reads === "ph" || step.code === "fill"));
}

function whyNotRead(
  plan: BatchPlan,
  state: BatchState,
  { step, ph, sampleGrams }: BatchEntry & { readonly kind: "ph-read" },
): string | null {
  if (!readsPh(plan, step)) return "No pH is read in this step.";
  if (!(ph >= 0 && ph <= 14)) return "A pH lies between 0 and 14. Look at the meter again.";
  return wrongWeight(plan, sampleGrams) ?? stepIsOver(state, step);
}

function whyNotTarget(plan: BatchPlan, state: BatchState, entry: BatchEntry & { readonly kind: "ph-target" }): string | null {
  const { step, low, high, because = "" } = entry;
  if (!tunes(plan, step, "ph")) return "No pH is adjusted in this step.";
  if (!(low >= 0 && high <= 14 && high - low >= LEAST_TARGET_PH)) {
    return `Give the lower end and the upper end, at least ${LEAST_TARGET_PH} apart: 5.0 and 5.4.`;
  }
  const corridor = tunedCorridor(plan);
  const leaves = !corridor.isEmpty && (low < corridor.low || high > corridor.high);
  if (leaves && because === "") return `This leaves ${corridor.low} to ${corridor.high}, where all lines of the formula agree. Say why.`;
  return stepIsOver(state, step);
}

function whyNotDosed(plan: BatchPlan, state: BatchState, { step, grams }: BatchEntry & { readonly kind: "dosed" }): string | null {
  if (!tunes(plan, step, "ph")) return "Nothing is dosed in this step.";
  return (grams > 0 ? wrongWeight(plan, grams) : "A dose is more than 0 g.") ?? stepIsOver(state, step);
}

function whyNotThickened(plan: BatchPlan, state: BatchState, entry: BatchEntry & { readonly kind: "thickened" }): string | null {
  const step = plan.steps.find(({ id }) => id === entry.step);
  if (step?.tunes !== "polymer" || !step.lines.includes(entry.line)) return "No thickener is folded in here.";
  return (entry.grams > 0 ? wrongWeight(plan, entry.grams) : "An addition is more than 0 g.") ?? stepIsOver(state, entry.step);
}

function whyNotDone(plan: BatchPlan, state: BatchState, id: string): string | null {
  const step = plan.steps.find((one) => one.id === id);
  // What is dosed by reading may be less than planned, or nothing.
  const lines = step?.tunes === undefined ? (step?.lines.map((line) => state.lines.get(line)) ?? []) : [];
  if (lines.some((line) => line !== undefined && line.actualGrams === null && line.targetGrams > 0)) {
    return "Something of this step has not been weighed yet. Weigh it, or skip the step and say why.";
  }
  if (lines.some((line) => line?.asks === true)) return "Say first what is to be done about the weight that is off.";
  if (step?.code === "ph-again" && step.tunes === "ph" && !state.standing.some((entry) => entry.kind === "ph-read" && entry.step === id)) {
    return "Read the pH once more first: thickening moves it. Or skip the step and say why.";
  }
  const before = state.steps.find(({ step: one, state: of }) => of === "open" && step?.after.includes(one.id) === true);
  return before === undefined ? null : `"${before.step.title}" comes first.`;
}

function whyNotFinished({ steps, standing }: BatchState, yieldGrams: number): string | null {
  const open = steps.filter(({ state }) => state === "open");
  if (open.length > 0) {
    const which = open.map(({ step }) => `"${step.title}"`).join(", ");
    return `${open.length === 1 ? "One step is" : `${open.length} steps are`} still open: ${which}. Was it done, or skipped? Do it, or skip it with a reason.`;
  }
  const out = sampleOut(standing);
  if (out !== null) {
    return `A sample of ${written(out.takenGrams, 1)} g was never poured back. Pour it back, or say where it went.`;
  }
  return yieldGrams > 0 ? null : "Weigh the yield and give the grams.";
}

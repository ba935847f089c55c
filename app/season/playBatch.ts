import { agentsOf, batchState, saltsOf, whyNot, type BatchEntry, type BatchPlan, type Step } from "@tensidrum/core/process";
import type { SeasonBatch } from "../../db/demo/season";

const MOST_ENTRIES = 400;
/** How long one takes over it, minutes. */
const TAKES = { weighed: 3, done: 2, read: 4, dosed: 2, skipped: 1 } as const;
/** What a reading takes out of the batch, g. */
const SAMPLE_GRAMS = 2;
/** Of the planned acid or salt, what goes in at the first dose and at each further one. */
const [FIRST_PART, NEXT_PART] = [0.6, 0.25];

/** What an entry says, whenever it is entered. */
export type Said = BatchEntry extends infer Entry ? (Entry extends BatchEntry ? Omit<Entry, "id" | "at"> : never) : never;

/** A hand is never quite on the gram: within two parts in a thousand, the same each time. */
function byHand(grams: number, place: number): number {
  const off = 0.002 * Math.sin(12.9898 * (place + 1));
  return Number((grams * (1 + off)).toFixed(grams < 20 ? 2 : 1));
}

/** The entries of a batch as it was made, step by step, from its beginning as far as it came. */
export function playBatch(plan: BatchPlan, begun: Date, spec: SeasonBatch): readonly BatchEntry[] {
  const played: BatchEntry[] = [];
  let minutes = 0;
  const say = (said: Said, takes: number): void => {
    minutes += takes;
    const entry = { ...said, id: crypto.randomUUID(), at: new Date(begun.getTime() + minutes * 60_000).toISOString() } as BatchEntry;
    const why = whyNot(plan, played, entry);
    if (why !== null) throw new Error(`${spec.key}, ${entry.kind}: ${why}`);
    played.push(entry);
  };
  for (let count = 0; count < MOST_ENTRIES; count += 1) {
    const state = batchState(plan, played);
    const through = new Set(state.steps.flatMap(({ step, state: is }) => (is === "open" ? [] : [step.id])));
    const step = state.steps.find((one) => one.state === "open" && one.step.after.every((id) => through.has(id)))?.step;
    if (step === undefined) break;
    const { until } = spec;
    if (until !== "end" && "before" in until && step.id === until.before) return played;
    const isStopped = until !== "end" && "stoppedAt" in until && (step.id === until.stoppedAt || played.at(-1)?.kind === "skipped");
    if (isStopped) {
      say({ kind: "skipped", step: step.id, reason: until.why }, TAKES.skipped);
      continue;
    }
    for (const line of step.tunes === undefined ? step.lines : []) {
      const { targetGrams = 0 } = state.lines.get(line) ?? {};
      if (targetGrams > 0) say({ kind: "weighed", step: step.id, line, grams: byHand(targetGrams, played.length) }, TAKES.weighed);
    }
    if (step.tunes === "ph") tunePh(step, step.id === "ph-again");
    if (step.tunes === "thickness") tuneThickness(step);
    say({ kind: "done", step: step.id }, TAKES.done);
    if (step.tunes === undefined) minutes += step.waitMinutes;
  }
  if (spec.yieldGrams !== undefined) say({ kind: "finished", yieldGrams: spec.yieldGrams }, TAKES.read);
  return played;

  function tunePh({ id: step }: Step, isAgain: boolean): void {
    const read = (ph: number): void => say({ kind: "ph-read", step, ph, way: "dilution", sampleGrams: SAMPLE_GRAMS }, TAKES.read);
    const all = isAgain ? spec.ph.slice(-1) : spec.ph;
    const acid = agentsOf(plan).find(({ kind, line }) => kind === "acid" && line !== null);
    for (const [at, ph] of all.entries()) {
      read(ph);
      if (at === all.length - 1 || acid === undefined) continue;
      const { name, line, kind, molarMass, pKas, strengthPercent } = acid;
      const grams = byHand((plan.targets.get(line ?? "") ?? 0) * (at === 0 ? FIRST_PART : NEXT_PART), played.length);
      say({ kind: "dosed", step, agent: { name, line, kind, molarMass, pKas, strengthPercent }, grams }, TAKES.dosed);
    }
  }

  function tuneThickness({ id: step }: Step): void {
    const [salt] = saltsOf(plan);
    for (const [at, seconds] of spec.seconds.entries()) {
      say({ kind: "thickness-read", step, viscosity: seconds, unit: "s", said: "", gauge: "funnel" }, TAKES.read);
      if (at === spec.seconds.length - 1 || salt === undefined) continue;
      const { name, line, strengthPercent } = salt;
      const grams = byHand((plan.targets.get(line ?? "") ?? 0) * (at === 0 ? FIRST_PART : NEXT_PART), played.length);
      say({ kind: "salted", step, salt: { name, line, strengthPercent }, grams }, TAKES.dosed);
    }
  }
}

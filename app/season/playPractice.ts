import { shownPh, simulatedMeter } from "@tensidrum/core/instruments";
import {
  agentsOf,
  playedUntilTuned,
  saltsOf,
  truthAfter,
  whyNot,
  type BatchEntry,
  type BatchPlan,
  type SimulatedBatch,
} from "@tensidrum/core/process";
import type { SeasonPractice } from "../../db/demo/season";
import type { Said } from "./playBatch";

const MOST_STEPS = 60;
const SAMPLE_GRAMS = 2;

interface Drawn {
  readonly plan: BatchPlan;
  readonly hidden: SimulatedBatch;
}

/** The entries of a practice run, from the first weight to its end. The instruments show what is true in the hidden batch. */
export function playPractice({ plan, hidden }: Drawn, begun: Date, { acid, salt, pace }: SeasonPractice): readonly BatchEntry[] {
  const meter = simulatedMeter(hidden.meter);
  const played: BatchEntry[] = [];
  let minutes = 0;
  const now = (): string => new Date(begun.getTime() + minutes * 60_000).toISOString();
  const say = (said: Said): void => {
    minutes += pace;
    const entry = { ...said, id: crypto.randomUUID(), at: now() } as BatchEntry;
    const why = whyNot(plan, played, entry);
    if (why !== null) throw new Error(`A practice run, ${entry.kind}: ${why}`);
    played.push(entry);
  };
  const shown = (): number => Number(shownPh(meter, truth().ph).toFixed(2));
  const truth = () => truthAfter(hidden, plan, played, null);
  const tunes = {
    ph(step: string): void {
      const agent = agentsOf(plan).find(({ kind, line }) => kind === "acid" && line !== null);
      const read = (): void => say({ kind: "ph-read", step, ph: shown(), way: "dilution", sampleGrams: SAMPLE_GRAMS });
      read();
      for (const part of agent === undefined ? [] : acid) {
        const { dropGrams: _, ...dosed } = agent!;
        say({ kind: "dosed", step, agent: dosed, grams: part * (plan.targets.get(dosed.line ?? "") ?? 0) });
        read();
      }
    },
    thickness(step: string): void {
      const [dosed] = saltsOf(plan);
      const read = (): void =>
        say({ kind: "thickness-read", step, viscosity: Number(truth().pascalSeconds.toFixed(3)), unit: "Pa·s", said: "" });
      read();
      for (const part of dosed === undefined ? [] : salt) {
        say({ kind: "salted", step, salt: dosed!, grams: part * (plan.targets.get(dosed!.line ?? "") ?? 0) });
        read();
      }
    },
  };
  for (let count = 0; count < MOST_STEPS; count += 1) {
    played.push(...playedUntilTuned(plan, played, { at: now(), newId: () => crypto.randomUUID() }));
    const done = new Set(played.flatMap((entry) => (entry.kind === "done" ? [entry.step] : [])));
    const step = plan.steps.find(({ id, tunes: what }) => what !== undefined && !done.has(id));
    if (step === undefined) break;
    if (step.id === "ph-again") say({ kind: "ph-read", step: step.id, ph: shown(), way: "dilution", sampleGrams: SAMPLE_GRAMS });
    else if (step.tunes === "ph" || step.tunes === "thickness") tunes[step.tunes](step.id);
    say({ kind: "done", step: step.id });
  }
  return played;
}

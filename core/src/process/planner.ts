import type { ResolvedLine } from "../formula/types.ts";
import type { WeighedLine } from "../formula/weighSheet.ts";
import { shownMaterial } from "../library/shownMaterial.ts";
import type { Workbench } from "./batchKind.ts";
import { cautionOf } from "./cautions.ts";
import { vesselNames, type Stage, type Step, type StepList, type Vessel, type VesselId } from "./step.ts";
import { taskOf, type Task } from "./tasks.ts";
import type { Amount, Weighed } from "./wording/stepText.ts";
import { stepText, type SaidStep } from "./wording/stepWords.ts";

/** A step before it has its place and its words. */
export type StepDraft = StepPlace & SaidStep;

interface StepPlace {
  readonly id: string;
  readonly stage: Stage;
  readonly vessel: VesselId | null;
  readonly lines?: readonly ResolvedLine[];
  /** Minutes from and until; none is no wait. */
  readonly wait?: { readonly from: number; readonly until: number };
  readonly measures?: Step["measures"];
  readonly tunes?: Step["tunes"];
  readonly temperature?: Step["temperature"];
  readonly reads?: Step["reads"];
  readonly stirEveryMinutes?: Step["stirEveryMinutes"];
  readonly takesSpoonful?: Step["takesSpoonful"];
  /** Vessels whose content goes into this one, and which are empty afterwards. */
  readonly joins?: readonly VesselId[];
  /** Vessel it takes a part from, which goes on holding the rest. */
  readonly from?: VesselId;
}

/** Lays steps one after the other; each follows what was last done in its vessel and in those that join it. */
export interface Planner {
  readonly bench: Workbench;
  /** Lines of some tasks, in the order of the sheet, each handed out once. */
  take(...tasks: readonly Task[]): readonly ResolvedLine[];
  /** Those of them that share a phase, phase by phase. */
  takeByPhase(...tasks: readonly Task[]): readonly { readonly phase: string; readonly lines: readonly ResolvedLine[] }[];
  /** What is weighed of each line. */
  amounts(lines: readonly ResolvedLine[]): readonly Amount[];
  /** The same as the facts of a step that weighs them. */
  weighed(lines: readonly ResolvedLine[]): Weighed;
  add(draft: StepDraft): void;
  holds(vessel: VesselId): boolean;
  /** Whether a step so far heats the main beaker. */
  isHeated(): boolean;
  finished(): StepList;
}

export function planner(bench: Workbench, weighed: readonly WeighedLine[], partNames: readonly string[]): Planner {
  const grams = new Map(weighed.map(({ id, gramsToWeigh }) => [id, gramsToWeigh]));
  const partLines = new Set((bench.sheet.formula.splits ?? []).flatMap(({ lines }) => lines).map(({ id }) => id));
  const waiting = new Map<Task, ResolvedLine[]>();
  for (const resolved of bench.lines) {
    // What comes to nothing is weighed in no step: no one weighs 0 g of water.
    if (partLines.has(resolved.line.id) || resolved.percent <= 0) continue;
    const task = taskOf(resolved, bench);
    waiting.set(task, [...(waiting.get(task) ?? []), resolved]);
  }
  const place = new Map(bench.lines.map((resolved, at) => [resolved, at]));
  const steps: Step[] = [];
  const lastIn = new Map<VesselId, string>();
  const used = new Set<VesselId>();
  const ids = new Set<string>();
  let gate: string | null = null;

  function take(...tasks: readonly Task[]): readonly ResolvedLine[] {
    const taken = tasks.flatMap((task) => waiting.get(task) ?? []);
    tasks.forEach((task) => waiting.delete(task));
    return taken.sort((a, b) => (place.get(a) ?? 0) - (place.get(b) ?? 0));
  }

  const portions = new Set((bench.sheet.formula.process?.portions ?? []).map(({ id }) => id));
  const times = new Map<string, number>();
  for (const { line } of bench.lines.filter((one) => !portions.has(one.line.id)))
    times.set(line.material, (times.get(line.material) ?? 0) + 1);

  /** Two lines of one material are told apart by their phases. */
  function amounts(lines: readonly ResolvedLine[]): readonly Amount[] {
    return lines.map(({ line, material }) => {
      const { name } = shownMaterial(material);
      const isTwice = (times.get(line.material) ?? 0) > 1;
      const which = portions.has(line.id) ? " (a part)" : isTwice ? ` (phase ${line.phase})` : "";
      return { grams: grams.get(line.id) ?? 0, name: `${name}${which}` };
    });
  }

  function add(draft: StepDraft): void {
    const lines = draft.lines ?? [];
    const { vessel } = draft;
    const sources =
      vessel === null ? [...lastIn.keys()] : [vessel, ...(draft.joins ?? []), ...(draft.from === undefined ? [] : [draft.from])];
    const before = sources.map((source) => lastIn.get(source)).filter((one): one is string => one !== undefined);
    const after = before.length > 0 ? [...new Set(before)] : gate === null ? [] : [gate];
    const id = freeId(ids, draft.id);
    const { title, do: doing, why, check, caution } = stepText(draft);
    steps.push({
      id,
      code: draft.code,
      facts: "facts" in draft ? draft.facts : {},
      stage: draft.stage,
      phase: lines[0]?.line.phase ?? null,
      title,
      do: doing,
      why,
      lines: lines.map(({ line }) => line.id),
      waitMinutes: draft.wait?.from ?? 0,
      waitUntilMinutes: draft.wait?.until ?? 0,
      after,
      vessel,
      caution: cautionOf(lines, caution),
      check: check ?? null,
      ...(draft.measures === undefined ? {} : { measures: draft.measures }),
      ...(draft.tunes === undefined ? {} : { tunes: draft.tunes }),
      ...(draft.takesSpoonful === undefined ? {} : { takesSpoonful: draft.takesSpoonful }),
      ...(draft.stirEveryMinutes === undefined ? {} : { stirEveryMinutes: draft.stirEveryMinutes }),
      ...(draft.reads === undefined ? {} : { reads: draft.reads }),
      ...(draft.temperature === undefined ? {} : { temperature: draft.temperature }),
    });
    draft.joins?.forEach((other) => lastIn.delete(other));
    if (vessel === null) {
      // Everything done so far must be over: later steps need to wait for this one alone.
      gate = id;
      lastIn.clear();
      return;
    }
    lastIn.set(vessel, id);
    used.add(vessel);
  }

  return {
    bench,
    take,
    takeByPhase(...tasks) {
      const byPhase = new Map<string, ResolvedLine[]>();
      for (const resolved of take(...tasks)) byPhase.set(resolved.line.phase, [...(byPhase.get(resolved.line.phase) ?? []), resolved]);
      return [...byPhase].map(([phase, lines]) => ({ phase, lines }));
    },
    amounts,
    weighed: (lines) => ({ amounts: amounts(lines) }),
    add,
    holds: (vessel) => lastIn.has(vessel),
    isHeated: () => steps.some(({ stage, vessel }) => stage === "heat" && vessel === "main"),
    finished() {
      const forgotten = [...waiting.values()].flat();
      if (forgotten.length > 0) throw new Error(`No step weighs ${forgotten.map(({ line }) => line.id).join(", ")}`);
      return { steps, vessels: vesselsOf(used, partNames) };
    },
  };
}

function freeId(ids: Set<string>, wanted: string): string {
  let id = wanted;
  for (let number = 2; ids.has(id); number += 1) id = `${wanted}-${number}`;
  ids.add(id);
  return id;
}

function vesselsOf(used: ReadonlySet<VesselId>, partNames: readonly string[]): readonly Vessel[] {
  return [...used].map((id): Vessel => {
    if (id in vesselNames) return { id, name: vesselNames[id as keyof typeof vesselNames] };
    return { id, name: `beaker of "${partNames[Number(id.slice("part-".length)) - 1] ?? ""}"` };
  });
}

import type { ResolvedLine } from "../formula/types.ts";
import type { WeighedLine } from "../formula/weighSheet.ts";
import { shownMaterial } from "../library/shownMaterial.ts";
import { writtenShort } from "../quantities/written.ts";
import type { Workbench } from "./batchKind.ts";
import { cautionOf } from "./cautions.ts";
import { vesselNames, type Stage, type Step, type StepList, type Vessel, type VesselId } from "./step.ts";
import { taskOf, type Task } from "./tasks.ts";

/** A step before it has its place. */
export interface StepDraft {
  readonly id: string;
  readonly stage: Stage;
  readonly vessel: VesselId | null;
  readonly title: string;
  readonly do: string;
  readonly why: string;
  readonly lines?: readonly ResolvedLine[];
  /** Minutes from and until; none is no wait. */
  readonly wait?: { readonly from: number; readonly until: number };
  readonly caution?: string;
  readonly check?: string;
  readonly measures?: Step["measures"];
  readonly tunes?: Step["tunes"];
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
  /** "12.0 g glycerin and 0.6 g xanthan gum". */
  amounts(lines: readonly ResolvedLine[]): string;
  add(draft: StepDraft): void;
  holds(vessel: VesselId): boolean;
  finished(): StepList;
}

export function planner(bench: Workbench, weighed: readonly WeighedLine[], partNames: readonly string[]): Planner {
  const grams = new Map(weighed.map(({ id, gramsToWeigh }) => [id, gramsToWeigh]));
  const partLines = new Set((bench.sheet.formula.splits ?? []).flatMap(({ lines }) => lines).map(({ id }) => id));
  const waiting = new Map<Task, ResolvedLine[]>();
  for (const resolved of bench.lines) {
    if (partLines.has(resolved.line.id)) continue;
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

  function add(draft: StepDraft): void {
    const lines = draft.lines ?? [];
    const { vessel } = draft;
    const sources =
      vessel === null ? [...lastIn.keys()] : [vessel, ...(draft.joins ?? []), ...(draft.from === undefined ? [] : [draft.from])];
    const before = sources.map((source) => lastIn.get(source)).filter((one): one is string => one !== undefined);
    const after = before.length > 0 ? [...new Set(before)] : gate === null ? [] : [gate];
    const id = freeId(ids, draft.id);
    steps.push({
      id,
      stage: draft.stage,
      phase: lines[0]?.line.phase ?? null,
      title: draft.title,
      do: draft.do,
      why: draft.why,
      lines: lines.map(({ line }) => line.id),
      waitMinutes: draft.wait?.from ?? 0,
      waitUntilMinutes: draft.wait?.until ?? 0,
      after,
      vessel,
      caution: cautionOf(lines, draft.caution),
      check: draft.check ?? null,
      ...(draft.measures === undefined ? {} : { measures: draft.measures }),
      ...(draft.tunes === undefined ? {} : { tunes: draft.tunes }),
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
    amounts(lines) {
      const told = lines.map(
        ({ line, material }) => `${writtenShort(grams.get(line.id) ?? 0, 3)} g ${lower(shownMaterial(material).name)}`,
      );
      return told.length <= 1 ? told.join("") : `${told.slice(0, -1).join(", ")} and ${told.at(-1)}`;
    },
    add,
    holds: (vessel) => lastIn.has(vessel),
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

/** Names stand inside a sentence; abbreviations keep their capitals. */
function lower(name: string): string {
  return /^[A-Z][a-z]/.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name;
}

function vesselsOf(used: ReadonlySet<VesselId>, partNames: readonly string[]): readonly Vessel[] {
  return [...used].map((id): Vessel => {
    if (id in vesselNames) return { id, name: vesselNames[id as keyof typeof vesselNames] };
    return { id, name: `beaker of "${partNames[Number(id.slice("part-".length)) - 1] ?? ""}"` };
  });
}

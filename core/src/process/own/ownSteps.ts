import type { OwnProcess, OwnStep, ResolvedLine } from "../../formula/types.ts";
import type { WeighedLine } from "../../formula/weighSheet.ts";
import { shownMaterial } from "../../library/shownMaterial.ts";
import { cautionOf } from "../cautions.ts";
import { vesselNames, type Step, type StepList, type VesselId } from "../step.ts";
import { listed } from "../wording/stepText.ts";

/** What the sheet says of the lines that go into steps. */
export interface LinesOfSteps {
  readonly lines: readonly ResolvedLine[];
  readonly weighed: readonly WeighedLine[];
}

const OWN_WHY = "Your own step.";

/**
 * The maker's steps in their order: each as suggested but for what the maker changed. A line no step holds goes where it is
 * suggested; a step keeps waiting for what it was suggested to wait for as long as that comes before it, and for what was
 * last done in its beaker.
 */
export function ownSteps({ steps: suggested, vessels }: StepList, process: OwnProcess, sheet: LinesOfSteps): StepList {
  const placed = withEveryLine(suggested, process, sheet);
  const byId = new Map(suggested.map((step) => [step.id, step]));
  const portions = new Set((process.portions ?? []).map(({ id }) => id));
  const lastIn = new Map<VesselId, string>();
  const before: string[] = [];
  const steps = placed.map((own): Step => {
    const base = byId.get(own.id);
    const step = stepOf(own, base, sheet, portions);
    const there = step.vessel === null ? [...lastIn.values()] : [lastIn.get(step.vessel)];
    const after = new Set([...(base?.after ?? []).filter((id) => before.includes(id)), ...there.filter((id) => id !== undefined)]);
    if (after.size === 0 && before.length > 0) after.add(before.at(-1)!);
    before.push(step.id);
    if (step.vessel === null) {
      lastIn.clear();
      // What comes next waits for all there was by waiting for this one.
      for (const vessel of ["main"] as const) lastIn.set(vessel, step.id);
    } else lastIn.set(step.vessel, step.id);
    return { ...step, after: [...after] };
  });
  const used = new Set(steps.flatMap(({ vessel }) => (vessel === null ? [] : [vessel])));
  const known = new Set(vessels.map(({ id }) => id));
  const added = [...used].filter((id) => !known.has(id)).map((id) => ({ id, name: vesselNames[id as keyof typeof vesselNames] ?? id }));
  return { steps, vessels: [...vessels.filter(({ id }) => used.has(id)), ...added] };
}

/** The maker's steps with every line of the sheet in exactly one of them. */
function withEveryLine(suggested: readonly Step[], { steps }: OwnProcess, { lines }: LinesOfSteps): readonly OwnStep[] {
  const weighing = new Set(lines.filter(({ percent }) => percent > 0).map(({ line }) => line.id));
  const taken = new Set<string>();
  const placed = steps.map((own): OwnStep => {
    const held = own.lines.filter((line) => weighing.has(line) && !taken.has(line));
    held.forEach((line) => taken.add(line));
    return { ...own, lines: held };
  });
  const ranks = new Map(suggested.map(({ id }, rank) => [id, rank]));
  for (const step of suggested) {
    const missing = step.lines.filter((line) => weighing.has(line) && !taken.has(line));
    if (missing.length === 0) continue;
    missing.forEach((line) => taken.add(line));
    const at = placed.findIndex(({ id }) => id === step.id);
    if (at >= 0) placed[at] = { ...placed[at]!, lines: [...placed[at]!.lines, ...missing] };
    else {
      const rank = ranks.get(step.id) ?? 0;
      const behind = placed.findLastIndex(({ id }) => (ranks.get(id) ?? Infinity) < rank);
      placed.splice(behind + 1, 0, { id: step.id, lines: missing });
    }
  }
  return placed;
}

function stepOf(own: OwnStep, base: Step | undefined, { lines: all, weighed }: LinesOfSteps, portions: ReadonlySet<string>): Step {
  const lines = all.filter(({ line }) => own.lines.includes(line.id));
  const grams = new Map(weighed.map(({ id, gramsToWeigh }) => [id, gramsToWeigh]));
  const amounts = lines.map(({ line, material }) => {
    const { name } = shownMaterial(material);
    return { grams: grams.get(line.id) ?? 0, name: portions.has(line.id) ? `${name} (a part)` : name };
  });
  const isAsSuggested = base !== undefined && base.lines.length === lines.length && lines.every(({ line }) => base.lines.includes(line.id));
  const added = `Add ${listed(amounts)}.`;
  // What a step without lines says names no amounts: it still holds when something comes in with it.
  const plain = amounts.length === 0 ? "Do it, then go on." : base?.lines.length === 0 ? `${base.do} ${added}` : added;
  const vessel = own.vessel === undefined ? (base?.vessel ?? (base === undefined ? "main" : null)) : (own.vessel as VesselId);
  const head: Step = base ?? {
    ...{
      id: own.id,
      stage: "combine",
      phase: lines[0]?.line.phase ?? null,
      title: "A step of your own",
      do: plain,
      why: OWN_WHY,
      lines: [],
    },
    ...{ waitMinutes: 0, waitUntilMinutes: 0, after: [], vessel: "main", caution: null, check: null },
  };
  const waitMinutes = own.waitMinutes ?? head.waitMinutes;
  return {
    ...head,
    title: own.title ?? head.title,
    do: own.do ?? (isAsSuggested || base === undefined ? head.do : plain),
    check: own.check === undefined ? head.check : own.check === "" ? null : own.check,
    lines: lines.map(({ line }) => line.id),
    vessel,
    waitMinutes,
    waitUntilMinutes: Math.max(waitMinutes, own.waitMinutes === undefined ? head.waitUntilMinutes : own.waitMinutes),
    caution: isAsSuggested ? head.caution : cautionOf(lines, undefined),
    ...(own.tool === undefined || own.tool === "" ? {} : { tool: own.tool }),
    ...(own.atMostC === undefined ? {} : { temperature: { high: own.atMostC } }),
  };
}

/** The suggested steps as a process to change. */
export function processOf({ steps }: StepList): OwnProcess {
  return { steps: steps.map(({ id, lines }) => ({ id, lines })) };
}

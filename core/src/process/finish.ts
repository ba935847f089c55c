import { isKind } from "../library/ingredientKinds.ts";
import type { ResolvedLine } from "../formula/types.ts";
import { foamsItself } from "../rheology/routes.ts";
import { isDryForm } from "../quantities/dryForms.ts";
import type { Planner } from "./planner.ts";
import type { VesselId } from "./step.ts";
import { COOLED } from "./heated.ts";
import { isHot } from "./tasks.ts";

const HOUR = 60;
/** Scent can thin a wash within minutes. */
const LOOK_AGAIN = { from: 10, until: 20 };

/** What goes in cool: preservative, scent, vitamins; powders with a spoonful of the batch first. */
export function coolDownPart(plan: Planner): void {
  const hot = isHot(plan.bench);
  const into = { stage: "cool", vessel: "main", ...(hot ? { temperature: COOLED } : {}) } as const;
  if (plan.holds("scent")) {
    plan.add({ ...into, id: "scent-into-batch", code: "scent-into-batch", facts: { isHot: hot }, joins: ["scent"], wait: LOOK_AGAIN });
  }
  for (const { phase, lines } of plan.takeByPhase("cool-down")) {
    const facts = { phase, ...plan.weighed(lines), isHot: hot, hasPowder: lines.some(dissolves) };
    plan.add({ ...into, id: `cool-down-${phase}`, code: "cool-down", facts, lines });
  }
  temperPart(plan);
}

/** Powders rubbed smooth with a spoonful of the batch; where there is none yet they go in as they are. */
export function temperPart(plan: Planner): void {
  for (const { phase, lines } of plan.takeByPhase("temper")) {
    if (!plan.holds("main")) {
      plan.add({ id: `powders-${phase}`, code: "powders", facts: { phase, ...plan.weighed(lines) }, stage: "cool", vessel: "main", lines });
      continue;
    }
    const into = { stage: "cool", vessel: "cup", from: "main", takesSpoonful: true } as const;
    plan.add({ ...into, id: `temper-${phase}`, code: "temper", facts: plan.weighed(lines), lines });
    plan.add({ id: `temper-into-batch-${phase}`, code: "temper-into-batch", stage: "cool", vessel: "main", joins: ["cup"] });
  }
}

function dissolves({ material }: ResolvedLine): boolean {
  return (material.form === "powder" || material.form === "granule" || material.form === "crystal") && material.solubleIn.includes("water");
}

/** Grains last of all: shear breaks them. */
export function grainPart(plan: Planner): void {
  const grains = plan.take("grains");
  if (grains.length === 0) return;
  plan.add({ id: "grains", code: "grains", facts: plan.weighed(grains), stage: "cool", vessel: "main", lines: grains });
}

/** Air is beaten in while the paste is hot, and again once scent and preservative are in it. */
export function whipHot(plan: Planner): void {
  plan.add({ id: "whip", code: "whip", stage: "heat", vessel: "main" });
}

export function whipAgain(plan: Planner): void {
  plan.add({ id: "whip-again", code: "whip-again", stage: "cool", vessel: "main" });
}

/** pH first, then thickness, then pH again: amphoterics thicken by pH. */
export function tuningPart(plan: Planner): void {
  const isSoap = plan.bench.lines.some(({ material }) => material.flags.includes("soap"));
  const into = { stage: "ph", vessel: "main", wait: { from: 2, until: 5 } } as const;
  const neutral = plan.take("neutralise");
  if (neutral.length > 0) {
    const wait = { from: 2, until: 10 };
    plan.add({ ...into, id: "neutralise", code: "neutralise", facts: plan.weighed(neutral), lines: neutral, wait });
  }
  const acids = plan.take("ph");
  const held = plan.amounts(acids);
  const hasClay = plan.bench.lines.some(({ material, percent }) => percent > 0 && material.parts === undefined && isKind(material, "clay"));
  if (isSoap) plan.add({ ...into, id: "ph", code: "soap-ph", facts: { held }, lines: acids, reads: "ph" });
  else plan.add({ ...into, id: "ph", code: "ph", facts: { held, hasClay }, lines: acids, tunes: "ph" });
  thicknessPart(plan, isSoap);
}

function thicknessPart(plan: Planner, isSoap: boolean): void {
  const late = plan.take("late-thickener");
  const salts = plan.take("salt");
  const into = { stage: "thickness", vessel: "main" } as const;
  if (late.length > 0) {
    plan.add({
      ...into,
      id: "late-thickener",
      code: "late-thickener",
      facts: plan.weighed(late),
      lines: late,
      wait: { from: 10 * HOUR, until: 16 * HOUR },
      tunes: "polymer",
    });
  }
  if (salts.length > 0) {
    const wait = { from: 5, until: 10 };
    plan.add({ ...into, id: "salt", code: "salt", facts: plan.weighed(salts), lines: salts, wait, tunes: "thickness" });
  }
  dispersePart(plan);
  if (late.length + salts.length > 0) {
    plan.add({ id: "ph-again", code: "ph-again", stage: "ph", vessel: "main", ...(isSoap ? {} : { tunes: "ph" }) });
  }
}

/** What does not dissolve goes into a batch that is thick enough to carry it. */
function dispersePart(plan: Planner): void {
  const lines = plan.take("disperse");
  if (lines.length === 0) return;
  const hasPowder = lines.some(({ material }) => isDryForm(material.form));
  const facts = { ...plan.weighed(lines), hasPowder };
  plan.add({ id: "disperse", code: "disperse", facts, stage: "thickness", vessel: "main", lines, wait: LOOK_AGAIN });
}

/** A part of more than this is the whole batch, %: nothing is drawn for it. */
const WHOLE_BATCH_PERCENT = 99.99;

/** Divides the base into named parts, each with lines of its own. */
export function dividePart(plan: Planner): void {
  const { splits, batchGrams } = plan.bench.sheet.formula;
  if (splits === undefined || splits.length === 0) return;
  const byId = new Map(plan.bench.lines.map((resolved) => [resolved.line.id, resolved]));
  splits.forEach(({ name, sharePercent, lines }, at) => {
    const from = plan.bench.kind === "dry" ? "bowl" : "main";
    const isWhole = sharePercent > WHOLE_BATCH_PERCENT;
    const vessel: VesselId = isWhole ? from : `part-${at + 1}`;
    const own = lines.map(({ id }) => byId.get(id)).filter((line): line is ResolvedLine => line !== undefined);
    if (!isWhole) {
      const ownPercent = own.reduce((sum, { percent }) => sum + percent, 0);
      const facts = { name, grams: (batchGrams * (sharePercent - ownPercent)) / 100 };
      plan.add({ id: `divide-${at + 1}`, code: "draw-part", facts, stage: "part", vessel, from, measures: "part" });
    }
    if (own.length === 0) return;
    const isColour = own.every(({ material }) => material.role === "colour");
    const finishing = { name, isColour, ...plan.weighed(own) };
    plan.add({
      id: `part-${at + 1}`,
      code: "finish-part",
      facts: finishing,
      stage: "part",
      vessel,
      lines: own,
      ...(isColour ? {} : { wait: LOOK_AGAIN }),
    });
  });
}

/** Colours move nothing but the look: a wash rests whole and is parted the next day. What scents or cares rests with its part. */
export function isPartedAfterRest({ sheet, lines, kind }: Planner["bench"]): boolean {
  const own = new Set((sheet.formula.splits ?? []).flatMap((split) => split.lines.map(({ id }) => id)));
  const isColour = ({ line, material }: ResolvedLine): boolean => !own.has(line.id) || material.role === "colour";
  return kind === "wet" && (sheet.formula.splits ?? []).length > 0 && lines.every(isColour);
}

/** Rest, judge, fill. Nothing is fixed before it has rested. */
export function restPart(plan: Planner): void {
  const { profile } = plan.bench.sheet.formula;
  const { kind, wait } = restOf(plan);
  const isPartedNow = isPartedAfterRest(plan.bench);
  plan.add({ id: "rest", code: "rest", facts: { kind }, stage: "rest", vessel: isPartedNow ? "main" : null, wait });
  if (isPartedNow) dividePart(plan);
  if (profile === "whipped-cleanser" && plan.bench.kind === "wet") {
    plan.add({ id: "whip-last", code: "whip-last", stage: "finish", vessel: null });
  }
  const judgedAs = plan.bench.kind === "dry" || plan.bench.kind === "oil" ? plan.bench.kind : "wet";
  plan.add({ id: "fill", code: "fill", facts: { foamsItself: foamsItself(profile), kind: judgedAs }, stage: "finish", vessel: null });
}

function restOf({ bench }: Planner) {
  if (bench.sheet.formula.profile === "whipped-cleanser") return { kind: "whipped", wait: { from: 3 * HOUR, until: 12 * HOUR } } as const;
  const slow = bench.lines.some(
    ({ material }) => (material.role === "thickener" || material.role === "suspender") && material.flags.includes("hydrates-slowly"),
  );
  if (slow) return { kind: "gum", wait: { from: 24 * HOUR, until: 48 * HOUR } } as const;
  if (bench.kind === "dry") return { kind: "dry", wait: { from: HOUR, until: 24 * HOUR } } as const;
  return { kind: "wash", wait: { from: 8 * HOUR, until: 24 * HOUR } } as const;
}

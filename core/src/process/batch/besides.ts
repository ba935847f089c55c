import { STOCK_WATER } from "../../acidity/stockMaterial.ts";
import { wholeMaterial } from "../../library/briefMaterial.ts";
import type { Material, MaterialPart } from "../../library/material.ts";
import { partsOfAgent } from "../tuning/agents.ts";
import { dosesBack, samplesAside } from "../tuning/sampleAside.ts";
import type { BatchPlan } from "./batchPlan.ts";
import { batchState } from "./batchState.ts";
import { evaporationAt } from "./contents.ts";
import type { BatchEntry, DosedAgent, DosedLot, DosedSalt } from "./entries.ts";
import { saltPercentOf, strengthOf } from "./strengths.ts";

/** Something that went into the batch and is no line of its formula: a dosed acid, salt, the water of a brine. */
export interface Beside {
  readonly name: string;
  readonly grams: number;
  /** What it is made of, % of it. */
  readonly parts: readonly MaterialPart[];
  /** The lot it came from; null where nobody said. */
  readonly lot: DosedLot | null;
}

/** Slug of the salt of a brine or of dry salt that is no line. */
export const BRINE_SALT = "sodium-chloride";
const SALT_CONTENT_PERCENT = 99.5;

const WATER: readonly MaterialPart[] = [{ material: STOCK_WATER, percent: 100 }];

/**
 * All that went into the batch beside the lines of its formula, one row for each thing and lot, in the order it came. What
 * was dosed into a sample counts by what of it came back.
 */
export function besidesOf(plan: BatchPlan, standing: readonly BatchEntry[]): readonly Beside[] {
  const rows = new Map<string, Beside>();
  const add = (beside: Beside): void => {
    if (!(beside.grams > 0)) return;
    const key = `${beside.name} ${beside.lot?.id ?? ""}`;
    rows.set(key, { ...beside, grams: (rows.get(key)?.grams ?? 0) + beside.grams });
  };
  const addAgent = (agent: DosedAgent, grams: number): void => {
    if (agent.line === null) add({ name: agent.name, grams, parts: partsOfAgent(agent) ?? unknownParts(agent), lot: agent.lot ?? null });
    else
      add({
        name: "water of the thinned solution",
        grams: waterGrams(grams, agent, strengthOf(plan, agent.line)),
        parts: WATER,
        lot: null,
      });
  };
  for (const entry of standing) {
    if (entry.kind === "dosed") addAgent(entry.agent, entry.grams);
    else if (entry.kind === "topped-up")
      add({ name: "water beyond the steam", grams: beyondSteamGrams(plan, standing, entry), parts: WATER, lot: null });
    else if (entry.kind === "salted") {
      const { salt, grams } = entry;
      if (salt.line === null) add({ name: salt.name, grams, parts: saltParts(salt), lot: null });
      else add({ name: "water of the brine", grams: waterGrams(grams, salt, saltPercentOf(plan, salt.line)), parts: WATER, lot: null });
    }
  }
  for (const { agent, grams } of samplesAside(standing).flatMap(dosesBack)) addAgent(agent, grams);
  return [...rows.values()];
}

/** What was put back after heating beyond what had steamed off, g; nothing where nobody weighed what steamed off. */
function beyondSteamGrams(
  plan: BatchPlan,
  standing: readonly BatchEntry[],
  { step, grams }: BatchEntry & { readonly kind: "topped-up" },
): number {
  const steam = evaporationAt(plan, batchState(plan, standing), step)?.topUpGrams ?? null;
  return steam === null ? 0 : Math.max(0, grams - steam);
}

/** A thinner solution of a line brings the line's own and water. */
function waterGrams(grams: number, { strengthPercent }: { readonly strengthPercent: number }, ownPercent: number): number {
  return grams * Math.max(0, 1 - strengthPercent / ownPercent);
}

function saltParts({ strengthPercent }: DosedSalt): readonly MaterialPart[] {
  const percent = Math.min(100, (100 * strengthPercent) / SALT_CONTENT_PERCENT);
  return [
    { material: BRINE_SALT, percent },
    { material: STOCK_WATER, percent: 100 - percent },
  ];
}

function unknownParts({ name, strengthPercent }: DosedAgent): readonly MaterialPart[] {
  return [
    { material: name, percent: strengthPercent },
    { material: STOCK_WATER, percent: 100 - strengthPercent },
  ];
}

/** How much of each material came in beside the lines, g, by slug. */
export function gramsBeside(besides: readonly Beside[]): ReadonlyMap<string, number> {
  const grams = new Map<string, number>();
  for (const { grams: all, parts } of besides) {
    for (const { material, percent } of parts) grams.set(material, (grams.get(material) ?? 0) + (all * percent) / 100);
  }
  return grams;
}

/**
 * The facts of what came in beside the lines. A material nobody knows any more stands for itself: its mass counts, and of
 * salt and water what they are.
 */
export function materialBeside(slug: string, { materials }: BatchPlan): Material {
  const known = materials.get(slug);
  if (known !== undefined) return known;
  if (slug === STOCK_WATER) return wholeMaterial({ slug, name: "water", role: "water", inci: [{ name: "Aqua", percent: 100 }] });
  if (slug === BRINE_SALT) {
    const inci = [{ name: "Sodium Chloride", percent: SALT_CONTENT_PERCENT }];
    return wholeMaterial({ slug, name: "salt", role: "salt", inci, saltPercent: SALT_CONTENT_PERCENT });
  }
  return wholeMaterial({ slug, name: slug, role: "ph-adjuster", inci: [{ name: slug, percent: 100 }] });
}

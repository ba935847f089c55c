import { leavesOf } from "../formula/leaves.ts";
import type { ResolvedSheet } from "../formula/types.ts";
import { isKind } from "../library/ingredientKinds.ts";
import type { PlainMaterial } from "../library/material.ts";

/** When thickness may be looked at, and when it is true, minutes after the addition. */
export interface HydrationClock {
  readonly kind: "gum" | "associative" | "salt" | "fragrance";
  readonly firstLookMinutes: { readonly low: number; readonly high: number };
  readonly trueMinutes: { readonly low: number; readonly high: number };
  readonly lines: readonly string[];
  readonly text: string;
}

const HOUR = 60;

interface Kind extends Omit<HydrationClock, "lines"> {
  isOne(leaf: PlainMaterial): boolean;
}

const KINDS: readonly Kind[] = [
  {
    kind: "gum",
    firstLookMinutes: { low: 20, high: 30 },
    trueMinutes: { low: 24 * HOUR, high: 48 * HOUR },
    text: "A gum swells for a day or two: look after half an hour, correct nothing before tomorrow.",
    isOne: (leaf) =>
      (leaf.role === "thickener" || leaf.role === "suspender") &&
      leaf.flags.includes("hydrates-slowly") &&
      !isKind(leaf, "associative-thickener"),
  },
  {
    kind: "associative",
    firstLookMinutes: { low: 30, high: 60 },
    trueMinutes: { low: 10 * HOUR, high: 16 * HOUR },
    text: "An associative thickener shows what it does next morning.",
    isOne: (leaf) => isKind(leaf, "associative-thickener"),
  },
  {
    kind: "salt",
    firstLookMinutes: { low: 5, high: 10 },
    trueMinutes: { low: 5, high: 10 },
    text: "After each addition of salt rest five to ten minutes.",
    isOne: (leaf) => leaf.role === "salt" && isKind(leaf, "sodium-chloride"),
  },
  {
    kind: "fragrance",
    firstLookMinutes: { low: 10, high: 10 },
    trueMinutes: { low: 10, high: 10 },
    text: "Scent can thin it: wait ten minutes, then look again.",
    isOne: ({ role }) => role === "fragrance",
  },
];

/** The clocks that run in a formula, the longest first. */
export function hydrationClocks({ lines, materials }: ResolvedSheet): readonly HydrationClock[] {
  const clocks = KINDS.flatMap(({ isOne, ...kind }): HydrationClock[] => {
    const its = lines.filter(({ material, percent }) => percent > 0 && leavesOf(material, materials).some((leaf) => isOne(leaf.material)));
    return its.length === 0 ? [] : [{ ...kind, lines: its.map(({ line }) => line.id) }];
  });
  return clocks.sort((a, b) => b.trueMinutes.high - a.trueMinutes.high);
}

/** Minutes after which a correction makes sense: the latest first true look of all that was added. */
export function earliestCorrectionMinutes(clocks: readonly HydrationClock[]): number {
  return clocks.reduce((latest, { trueMinutes }) => Math.max(latest, trueMinutes.low), 0);
}

/** Glycerin a gum's slurry wants, parts per part of gum. */
const LEAST_SLURRY = 5;
const EASY_SLURRY = 10;

/** Whether a gum can be slurried in the glycerin at hand: below 5 parts it lumps, 10 are comfortable. */
export function slurryOf(
  gumPercent: number,
  glycerinPercent: number,
): { readonly parts: number; readonly verdict: "lumps" | "enough" | "comfortable" } {
  const parts = glycerinPercent / gumPercent;
  return { parts, verdict: parts < LEAST_SLURRY ? "lumps" : parts < EASY_SLURRY ? "enough" : "comfortable" };
}

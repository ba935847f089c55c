import dayjs from "dayjs";
import { resolveLines } from "../../formula/resolveLines.ts";
import { hydrationClocks, type HydrationClock } from "../../rheology/hydration.ts";
import type { BatchState } from "../batch/batchState.ts";
import type { BatchPlan } from "../batch/batchPlan.ts";

/** Something in the batch that has not shown yet what it does to the thickness. */
export interface Hydrating {
  readonly kind: HydrationClock["kind"];
  readonly text: string;
  /** When the last of it went in, ISO. */
  readonly since: string;
  readonly firstLook: string;
  /** Before this a correction is a guess, ISO. */
  readonly judgeFrom: string;
}

/**
 * Gums, late thickeners and scent that are in the batch and have not come to their thickness at a moment, the longest
 * first: until then a correction makes no sense. Salt has its own rest after each addition.
 * @param now ISO in UTC
 */
export function hydrating(plan: BatchPlan, { standing }: Pick<BatchState, "standing">, now: string): readonly Hydrating[] {
  const { sheet } = resolveLines(plan.formula, plan.materials);
  const found = hydrationClocks(sheet).flatMap(({ kind, lines, text, firstLookMinutes, trueMinutes }): readonly Hydrating[] => {
    const last = standing.findLast((entry) => (entry.kind === "weighed" || entry.kind === "thickened") && lines.includes(entry.line));
    if (kind === "salt" || last === undefined) return [];
    const after = (minutes: number): string => dayjs(last.at).add(minutes, "minute").toISOString();
    const judgeFrom = after(trueMinutes.low);
    return judgeFrom > now ? [{ kind, text, since: last.at, firstLook: after(firstLookMinutes.low), judgeFrom }] : [];
  });
  return found.sort((a, b) => (a.judgeFrom < b.judgeFrom ? 1 : -1));
}

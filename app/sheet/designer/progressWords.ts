import { written } from "@tensidrum/core/quantities";
import type { Designing } from "./useDesign";

/** How far it has come, and how sure it is. */
export function progressWords({ state, refused, isStopped, isStale }: Designing): string {
  if (refused !== null) return "";
  if (state === null || isStale) return "Looking at what can be taken …";
  const { candidates, choices, isProved, isCutShort, isOver, gap, blends } = state;
  const looked = `${choices.toLocaleString("en-GB")} choices of ${candidates} surfactants`;
  if (isProved && blends.length > 0) return `Proved: among ${looked} no blend is better in both by more than a hundredth.`;
  if (isProved) return `Proved: among ${looked} none keeps every wish.`;
  if (isCutShort && isOver)
    return `The best of ${looked}; there are more, which were not looked at. Fewer surfactants, or a shelf, can be proved.`;
  const left = `what is left could be better by up to ${written(100 * gap, 0)} %`;
  if (isStopped) return `Stopped: of ${looked}, ${left}.`;
  return isOver ? `As far as it goes: of ${looked}, ${left}.` : `Looking: of ${looked}, ${left}.`;
}

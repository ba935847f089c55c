import { writtenShort } from "@tensidrum/core/quantities";
import type { OpenBlindTest } from "./blind.server";

export const kindWords = { triangle: "three cups, one is different", paired: "two cups, one is preferred" } as const;

/** What a blind test shows, in words. */
export function resultWords({
  kind,
  hits,
  answered,
  result,
  first,
  second,
}: Pick<OpenBlindTest, "kind" | "hits" | "answered" | "result" | "first" | "second">): string {
  if (result === null) return "Nobody answered yet.";
  const chance =
    result.chance >= 0.995 ? "nearly always" : `${writtenShort(result.chance * 100, result.chance < 0.01 ? 2 : 1)} % of the time`;
  const found =
    kind === "triangle"
      ? `${hits} of ${answered} found the different cup; by guessing alone so many or more do ${chance}.`
      : `${hits} of ${answered} chose ${first}, ${answered - hits} ${second}; where nobody prefers either, it comes out so or clearer ${chance}.`;
  const shown = kind === "triangle" ? "They can be told apart." : `${hits * 2 > answered ? first : second} is preferred.`;
  const not =
    kind === "triangle" ? "That they can be told apart is not shown; nor that they cannot." : "That either is preferred is not shown.";
  return `${found} ${result.isShown ? shown : not}`;
}

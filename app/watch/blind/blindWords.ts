import { written, writtenShort } from "@tensidrum/core/quantities";
import type { OpenBlindTest } from "./blind.server";

export const kindWords = {
  triangle: "three cups, one is different",
  paired: "two cups, one is preferred",
  rated: "two cups, a mark from 1 to 5 for each",
} as const;

interface Rated {
  readonly first: string;
  readonly second: string;
  readonly answered: number;
}

/** What marks from 1 to 5 show: the means with how far testers lie apart, and how often chance alone does it. */
function ratedWords(rated: OpenBlindTest["rated"], { first, second, answered }: Rated): string {
  if (rated === null) return answered === 0 ? "Nobody answered yet." : "One answer alone tells nothing. Two and more do.";
  const one = (value: number): string => written(value, 1);
  const { meanA, spreadA, meanB, spreadB, difference, chance, isShown } = rated;
  const means = `${first} gets ${one(meanA)} ± ${one(spreadA)}, ${second} ${one(meanB)} ± ${one(spreadB)}, by ${answered}.`;
  const apart = `They differ by ${one(Math.abs(difference.mean))}; where there is none, chance does so much ${writtenShort(chance * 100, 1)} % of the time.`;
  return `${means} ${apart} ${isShown ? `${difference.mean > 0 ? first : second} is marked higher.` : "That either is marked higher is not shown."}`;
}

/** What a blind test shows, in words. */
export function resultWords({
  kind,
  hits,
  answered,
  result,
  first,
  second,
  rated,
}: Pick<OpenBlindTest, "kind" | "hits" | "answered" | "result" | "rated" | "first" | "second">): string {
  if (kind === "rated") return ratedWords(rated, { first, second, answered });
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

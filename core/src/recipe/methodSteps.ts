import { NUMBER_SOURCE, readRecipeNumber, WORD_NUMBER_SOURCE } from "./numbers.ts";
import { temperatureIn } from "./phases.ts";

/** One sentence of a method, with what it says of time and heat. */
export interface MethodStep {
  readonly text: string;
  /** The longest wait it names, min; null where it names none. */
  readonly waitMinutes: number | null;
  /** Not hotter than this, °C; null where it says nothing of the kind. */
  readonly atMostC: number | null;
}

const MINUTES_OF = { m: 1, h: 60, d: 1440, w: 10_080 } as const;
const NIGHT = 720;

const NUMBER = `${NUMBER_SOURCE}|${WORD_NUMBER_SOURCE}`;
const SPAN = new RegExp(
  String.raw`(?<![\p{L}\d])(?<low>${NUMBER})(?:\s?(?:-|–|—|to|or)\s?(?<high>${NUMBER}))?[\s-]?(?:an?\s+)?(?<unit>min(?:ute)?s?|hours?|hrs?|h|days?|weeks?)(?![\p{L}\d])|(?<night>\bovernight\b|\buntil\s+tomorrow\b)`,
  "giu",
);
const AT_MOST = /\b(?:below|under|less\s+than|at\s+most|not\s+(?:above|over|hotter\s+than)|cools?(?:ed)?\s+(?:down\s+)?to)\b/iu;
/** Longer than this nothing is waited for while it is made, min. */
const LONGEST_WAIT = 14 * 1440;
const LONGEST_SENTENCE = 2000;

/**
 * What a method says, sentence by sentence. "Stir 5 to 10 minutes, then let it rest overnight." waits 720 minutes, "Below
 * 40 °C add the scent." is at most 40 °C. Of several times in one sentence the longest counts.
 */
export function methodSteps(method: string): readonly MethodStep[] {
  return method
    .split(/\r\n|\r|\n/u)
    .flatMap((row) => row.split(/(?<=[.!?])\s+(?=\p{Lu})/u))
    .map((text) => text.replace(/^\s*(?:[-*•]|\d{1,2}[.)])\s+/u, "").trim())
    .filter((text) => /\p{L}/u.test(text))
    .map((text) => {
      const read = text.slice(0, LONGEST_SENTENCE);
      return { text, waitMinutes: longestWait(read), atMostC: AT_MOST.test(read) ? temperatureIn(read) : null };
    });
}

function longestWait(text: string): number | null {
  const waits = [...text.matchAll(SPAN)].flatMap(({ groups = {} }) => {
    const minutes = minutesOf(groups);
    return minutes > 0 && minutes <= LONGEST_WAIT ? [minutes] : [];
  });
  return waits.length === 0 ? null : Math.max(...waits);
}

function minutesOf({ low = "", high, unit = "", night }: Readonly<Record<string, string | undefined>>): number {
  if (night !== undefined) return NIGHT;
  return Math.round(readRecipeNumber(high ?? low).value * (MINUTES_OF[unit[0]?.toLowerCase() as keyof typeof MINUTES_OF] ?? 0));
}

import { amountsIn } from "./amounts.ts";
import { WORD_NUMBER_SOURCE } from "./numbers.ts";
import { LONGEST_LINE, withSingleSpaces } from "./readLine.ts";
import { UNIT_SOURCE } from "./units.ts";

/** What is read as one line; several may stand in one row of the text. */
export interface Row {
  readonly row: number;
  readonly text: string;
}

const NUMBER_NEXT = String.raw`(?:~\s*)?\d|½|¼|¾|⅓|⅔|(?:${WORD_NUMBER_SOURCE})\s+(?:${UNIT_SOURCE})(?![\p{L}])`;
/** What parts several materials in one line: with and without "and", which may also add two measures of one. */
const PARTERS = [
  new RegExp(String.raw`;\s*|,\s+(?=${NUMBER_NEXT}|the rest|rest\b|and\b)|\s+(?:\+|and)\s+(?=${NUMBER_NEXT})`, "iu"),
  new RegExp(String.raw`;\s*|,\s+(?=${NUMBER_NEXT}|the rest|rest\b|and\b)|\s+\+\s+(?=\d)`, "iu"),
];

const MAY_PART = /[;,+|]|\sand\s/iu;

/** Several amounts in one line, parted by commas, semicolons or bars, are several lines of the same row. */
export function splitRows(text: string): readonly Row[] {
  return text.split(/\r\n|\r|\n/u).flatMap((line, index): Row[] => {
    const row = index + 1;
    if (!MAY_PART.test(line)) return [{ row, text: line }];
    const single = withSingleSpaces(line);
    if (single.length > LONGEST_LINE * MOST_IN_ROW || TELLS.test(single)) return [{ row, text: line }];
    for (const parts of [...PARTERS.map((parter) => single.split(parter)), single.split(/\s*\|\s*/u)]) {
      const [head = "", ...others] = parts;
      const [, title = "", first = head] = /^([^\d:]{3,60}):\s+(.+)$/u.exec(head) ?? [];
      const all = [first, ...others];
      if (all.length < 2 || !all.every(isMeasured)) continue;
      const titled = title === "" ? [] : [{ row, text: title }];
      return [...titled, ...all.map((part) => ({ row, text: part.replace(/^and\s+/iu, "") }))];
    }
    return [{ row, text: line }];
  });
}

/** A sentence that tells what to do is a story, whatever commas are in it. */
const TELLS = /^(?:step\b[^:]{0,20}:\s*)?(?:mix|stir|combine|blend|dissolve|melt|heat|whisk|pour)\b/iu;

/** So many materials may stand in one line. */
const MOST_IN_ROW = 20;

/** Whether a part of a line names something and how much of it. */
function isMeasured(part: string): boolean {
  return (/\d|½|¼|¾|⅓|⅔|\brest\b/iu.test(part) || amountsIn(part).length > 0) && hasName(part);
}

/** What a recipe told as a story takes: "mix 60 g water with 5 g glycerin" names two materials. */
export function namedInProse(told: Row): readonly Row[] {
  const { row, text } = told;
  if (text.length > LONGEST_LINE || !/\p{L}/u.test(text)) return [told];
  const amounts = amountsIn(text).filter(({ unit }) => unit !== "bare");
  if (amounts.length === 0) return [told];
  const parts = amounts.map(({ start }, at) => {
    const piece = text.slice(start, amounts[at + 1]?.start ?? text.length);
    return piece.replace(/[,;.]?\s*\b(?:with|and|in|into|then|until|to|add|stir|mix|melt|plus)\b.*$|[,;.].*$/iu, "").trim();
  });
  return parts.every(hasName) ? parts.map((part) => ({ row, text: part })) : [told];
}

/** Whether a part of a line says more than an amount; prose, which is read no further, does. */
function hasName(part: string): boolean {
  if (part.length > LONGEST_LINE) return true;
  if (!/\p{L}/u.test(part)) return false;
  let at = 0;
  for (const { start, end } of amountsIn(part)) {
    if (/\p{L}/u.test(part.slice(at, start))) return true;
    at = end;
  }
  return /\p{L}/u.test(part.slice(at));
}

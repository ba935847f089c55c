import { Refusal } from "../quantities/refusal.ts";

/** A name of a printed list. */
export interface PrintedName {
  /** As it is printed, without a percentage. */
  readonly name: string;
  /** Where the list says it, % w/w. */
  readonly percent: number | null;
  /** It stands behind "may contain" and is in no order. */
  readonly mayContain: boolean;
}

const MOST_NAMES = 120;
const LONGEST_NAME = 120;
const LONGEST_LIST = 20_000;
const MAY_CONTAIN = /\(?\s*(?:\[?\s*\+\s*\/\s*-\s*\]?|\bmay contain\b|\bpeut contenir\b|\bkann enthalten\b)\s*:?/iu;
const HEAD = /^[^:]{0,40}\bingr[ée]dien(?:t|te|ti)s?\b[^:]{0,20}:/iu;
const PERCENT = /\(?\s*(\d{1,3}(?:[.,]\d+)?)\s*%\s*\)?/u;
/** A blend is printed as its parts: "Glycerin (and) Water". */
const AND = /\s*\(\s*(?:and|et|und)\s*\)\s*/iu;
/** Signs that turn the direction of a text or do not show. */
const HIDDEN = /[\p{Cc}\p{Cf}]+/gu;

/**
 * The names of a printed list in their order, parted by commas, semicolons or dots in the middle; a blend by its "(and)". A
 * percentage inside is read, what stands behind "may contain" is marked.
 * @throws Refusal for no name, for more than 120, and for a text no label holds
 */
export function printedNames(text: string): readonly PrintedName[] {
  if (text.length > LONGEST_LIST) throw new Refusal("not-valid", "This is longer than a printed list.", "Paste the list alone.");
  const whole = text
    .replace(/\s+/gu, " ")
    .replace(HIDDEN, "")
    .trim()
    .replace(HEAD, "")
    .replace(/[.\s]+$/u, "");
  const at = whole.search(MAY_CONTAIN);
  const [certain, perhaps] =
    at === -1
      ? [whole, ""]
      : [
          whole.slice(0, at),
          whole
            .slice(at)
            .replace(MAY_CONTAIN, "")
            .replace(/[)\]]\s*$/u, ""),
        ];
  const names = [...namesIn(certain, false), ...namesIn(perhaps, true)];
  if (names.length === 0)
    throw new Refusal("not-valid", "There is no name in it.", "Paste the list as it is printed, its names parted by commas.");
  if (names.length > MOST_NAMES) {
    throw new Refusal("not-valid", `These are ${names.length} names; ${MOST_NAMES} are read at most.`, "Paste the list of one product.");
  }
  return names;
}

function namesIn(text: string, mayContain: boolean): readonly PrintedName[] {
  return text
    .split(/,(?!\d)|،|;|•|·|\*/u)
    .flatMap((part) => part.split(AND))
    .flatMap((part) => {
      const found = PERCENT.exec(part);
      const percent = found === null ? null : Number((found[1] ?? "").replace(",", "."));
      const name = part.replace(PERCENT, "").trim().replace(/\.+$/u, "").slice(0, LONGEST_NAME);
      return /\p{L}/u.test(name) ? [{ name, percent: percent !== null && percent <= 100 ? percent : null, mayContain }] : [];
    });
}

import type { PlacedAmount } from "./amounts.ts";

const BETWEEN = /^[\s|;,:()[\]=\-–—/.…\t]*$/u;

/** Amounts at the front of a line, else those at its end, else the only one with a unit. */
export function chosenAmounts(text: string, placed: readonly PlacedAmount[]): readonly PlacedAmount[] {
  const front: PlacedAmount[] = [];
  let at = 0;
  for (const amount of placed) {
    if (!BETWEEN.test(text.slice(at, amount.start))) break;
    front.push(amount);
    at = amount.end;
  }
  const [only, ...more] = front;
  // "90 % lactic acid 5 g": the percent in front is the strength, the amount stands behind.
  const behind = only?.unit === "percent" && more.length === 0 ? amountsBehind(text, placed.slice(1)) : [];
  if (behind.some(({ unit }) => unit !== "bare")) return [...front, ...behind];
  if (front.length > 0) return front;
  const back = amountsBehind(text, placed);
  if (back.length > 0) return withoutNameNumber(back, text);
  const withUnit = placed.filter(({ unit }) => unit !== "bare");
  return withUnit.length === 1 ? withUnit : [];
}

function amountsBehind(text: string, placed: readonly PlacedAmount[]): readonly PlacedAmount[] {
  const back: PlacedAmount[] = [];
  let end = text.replace(/\s*\((?![^)]*\d)[^)]*\)\s*$/u, "").length;
  for (const amount of placed.toReversed()) {
    if (!BETWEEN.test(text.slice(amount.end, end))) break;
    back.unshift(amount);
    end = amount.start;
  }
  return back;
}

/** A number right before an amount with a unit belongs to the name: "Polysorbate 80 3 %". */
function withoutNameNumber(back: readonly PlacedAmount[], text: string): readonly PlacedAmount[] {
  const [first, second] = back;
  const isName =
    first?.unit === "bare" && second !== undefined && second.unit !== "bare" && /^[\s:–—-]+$/u.test(text.slice(first.end, second.start));
  return isName ? back.slice(1) : back;
}

/** The text with the chosen amounts cut out; what stood behind one in the middle becomes a note. */
export function without(text: string, chosen: readonly PlacedAmount[]): string {
  const first = chosen[0];
  const last = chosen.at(-1);
  if (first === undefined || last === undefined) return text;
  const between = text.slice(first.end, chosen.length > 1 ? last.start : first.end);
  if (/\p{L}/u.test(between)) return [text.slice(0, first.start), between, text.slice(last.end)].join(" ");
  const before = text.slice(0, first.start).replace(/[([]\s*$/u, "");
  const after = text.slice(last.end).replace(/^\s*[)\]]/u, "");
  return /[\p{L}\p{N}]/u.test(before) && /[\p{L}\p{N}]/u.test(after) ? `${before} (${after.replace(/[()]/g, " ")})` : `${before} ${after}`;
}

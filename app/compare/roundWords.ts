import { measuredKinds, noticedBeside, type MeasuredKind, type Measurements } from "@tensidrum/core/comparison";
import { written, writtenShort } from "@tensidrum/core/quantities";

export interface Moved {
  readonly name: string;
  /** % w/w; 0 where it is not in it. */
  readonly from: number;
  readonly to: number;
}

/** At most so many names stand in one sentence. */
const MOST_NAMES = 3;

/** What changed between two rounds, in one sentence. */
export function changedWords(moved: readonly Moved[]): string {
  if (moved.length === 0) return "Nothing changed in the lines.";
  const came = moved.filter(({ from }) => from === 0).map(({ name, to }) => `${name} came in with ${writtenShort(to, 2)} %`);
  const left = moved.filter(({ to }) => to === 0).map(({ name }) => `${name} went out`);
  const step = ({ name, from, to }: Moved): string => `${name} ${writtenShort(from, 2)} to ${writtenShort(to, 2)} %`;
  const others = moved.filter(({ from, to }) => from > 0 && to > 0);
  const parts = [...came, ...left, ...others.map(step)];
  const told = parts.slice(0, MOST_NAMES);
  const rest = parts.length - told.length;
  return `${capital(told.join(", "))}${rest > 0 ? ` and ${rest} more` : ""}.`;
}

interface Side {
  readonly measured: Measurements;
  readonly irritation: number | null;
}

/** What a change did, in one sentence: only what one would notice. */
export function didWords(before: Side, after: Side): string {
  const told: string[] = [];
  if (before.irritation !== null && after.irritation !== null && Math.abs(after.irritation / before.irritation - 1) >= 0.05) {
    const word = after.irritation < before.irritation ? "milder" : "harsher";
    told.push(`${word}, ${written(before.irritation, 0)} to ${written(after.irritation, 0)} (estimate)`);
  }
  for (const { kind, what, unit, decimals } of measuredKinds) {
    const [was, is] = [before.measured[kind], after.measured[kind]];
    if (was === undefined || is === undefined || Math.abs(is - was) < noticedBeside(kind, was) / 2) continue;
    told.push(
      `${what} ${is > was ? "up" : "down"} by ${written(Math.abs(is - was), decimals)}${unit.startsWith("of 5") || unit === "" ? "" : ` ${unit}`}`,
    );
  }
  if (told.length > 0) return `${capital(told.join("; "))}.`;
  const isMeasured = measuredKinds.some(({ kind }) => before.measured[kind] !== undefined && after.measured[kind] !== undefined);
  return isMeasured ? "Nothing that was measured has moved." : "Not measured of both yet.";
}

/** Lines that changed together each time, so that nobody can tell what each did. */
export function togetherWords(names: readonly string[]): string {
  const last = names.at(-1) ?? "";
  const first = names.slice(0, -1).join(", ");
  return `${capital(first)} and ${last} changed together: what each of them did cannot be told apart. Change one of them alone to know.`;
}

export const kindWords = (kind: MeasuredKind): string => measuredKinds.find((one) => one.kind === kind)?.what ?? kind;

interface SuggestedChange {
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly expected: readonly { readonly kind: MeasuredKind; readonly low: number; readonly likely: number; readonly high: number }[];
}

/** A change with what it is likely to do: "guar 0.25 → 0.15: slip −0.5 (−0.9 to −0.1)". */
export function suggestionWords({ name, from, to, expected }: SuggestedChange): string {
  const told = expected.slice(0, 2).map(({ kind, low, likely, high }) => {
    const { what, decimals } = measuredKinds.find((one) => one.kind === kind) ?? { what: kind, decimals: 1 };
    const sign = (value: number): string => `${value < 0 ? "−" : "+"}${written(Math.abs(value), decimals)}`;
    return `${what} ${sign(likely)} (${sign(low)} to ${sign(high)})`;
  });
  return `${name} ${writtenShort(from, 2)} → ${writtenShort(to, 2)} %: ${told.join(", ")}`;
}

/** A sentence begins with a capital; pH stays as it is written. */
function capital(text: string): string {
  return text.startsWith("pH") ? text : text.charAt(0).toUpperCase() + text.slice(1);
}

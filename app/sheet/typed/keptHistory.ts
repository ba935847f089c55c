import { isSameSheet } from "./cells";
import type { SheetHistory } from "./sheetHistory";
import type { TypedSheet } from "./typedSheet";

/** Steps that are kept over a reload; a long sheet keeps fewer, as browsers give each page a few megabytes. */
const MOST_KEPT_STEPS = 40;
const MOST_KEPT_CHARACTERS = 1_500_000;

/** The history as it is kept over a reload of this tab: the nearest steps first to stay, the others let go. */
export function historyToKeep(history: SheetHistory): string {
  for (let steps = MOST_KEPT_STEPS; steps > 0; steps = Math.floor(steps / 2)) {
    const { now, past, future } = history;
    const text = JSON.stringify({ now, past: past.slice(-steps), future: future.slice(0, steps) });
    if (text.length <= MOST_KEPT_CHARACTERS) return text;
  }
  return "";
}

/**
 * The history of the page before a reload, going on from what was loaded now; null when it does not lead to it.
 * @param text as `historyToKeep` wrote it
 * @param loaded what the page shows: the draft as stored, or as it was typed and not stored
 */
export function historyKept(text: string, loaded: readonly TypedSheet[]): SheetHistory | null {
  let kept: Partial<SheetHistory> | null;
  try {
    kept = JSON.parse(text) as Partial<SheetHistory> | null;
  } catch {
    return null;
  }
  const { now, past, future } = kept ?? {};
  if (!isSheet(now) || !Array.isArray(past) || !Array.isArray(future) || ![...past, ...future].every(isSheet)) return null;
  const shown = loaded.find((sheet) => isSameSheet(sheet, now));
  return shown === undefined ? null : { now: shown, past, future, lastKey: null };
}

function isSheet(value: unknown): value is TypedSheet {
  const sheet = value as Partial<TypedSheet> | null | undefined;
  return (
    typeof sheet?.name === "string" &&
    Array.isArray(sheet.lines) &&
    Array.isArray(sheet.phases) &&
    typeof sheet.aim === "object" &&
    typeof sheet.measured === "object"
  );
}

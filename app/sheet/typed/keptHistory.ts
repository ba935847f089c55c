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
 * @param kept as it was read from what `historyToKeep` wrote
 * @param loaded what the page shows: the draft as stored, or as it was typed and not stored
 */
export function historyKept(kept: Omit<SheetHistory, "lastKey"> | null, loaded: readonly TypedSheet[]): SheetHistory | null {
  const shown = kept === null ? undefined : loaded.find((sheet) => isSameSheet(sheet, kept.now));
  return kept === null || shown === undefined ? null : { ...kept, now: shown, lastKey: null };
}

import type { InstrumentState } from "../../../frame/instruments/instrument";

const decimalsOf = { g: 2, pH: 2, "°C": 1, "Pa·s": 2, s: 1 } as const;

/** What an instrument shows, as text: a number with its unit, or why there is none. */
export function shownWords({ link, shows, isQuiet, gone }: InstrumentState): string {
  if (link === null) return "–";
  if (gone !== null) return "gone";
  if (isQuiet) return "quiet";
  if (shows === null) return "…";
  if (shows.kind === "overload") return "out of range";
  if (shows.kind === "other-unit") return shows.unit;
  return `${shows.value.toFixed(decimalsOf[shows.unit])} ${shows.unit}${shows.isStable === false ? " ~" : ""}`;
}

export type Station = "shelf" | "sheet" | "bench" | "fill" | "watch" | "compare";

export interface Peg {
  readonly station: Station;
  readonly name: string;
  /** What stands there just now, in a few words. */
  readonly state: string;
  /** Something there must be mended. */
  readonly isAlarm: boolean;
  /** Where it leads; null while that station is not open. */
  readonly to: string | null;
  readonly isHere: boolean;
  /** The cord is water-coloured up to here. */
  readonly isReached: boolean;
}

const stations: readonly { readonly station: Station; readonly name: string }[] = [
  { station: "shelf", name: "Shelf" },
  { station: "sheet", name: "Sheet" },
  { station: "bench", name: "Bench" },
  { station: "fill", name: "Fill" },
  { station: "watch", name: "Watch" },
  { station: "compare", name: "Compare" },
];

const NOT_OPEN = "not open yet";

/** What stands at a station that is open. */
export interface OpenPeg {
  readonly to: string | null;
  readonly state: string;
  readonly isAlarm: boolean;
}

const CUPBOARD: OpenPeg = { to: "/shelf", state: "your cupboard", isAlarm: false };
/** What the bench says as long as nothing is being made. */
export const BENCH: OpenPeg = { to: "/bench", state: "your batches", isAlarm: false };
const CLOSED: OpenPeg = { to: null, state: NOT_OPEN, isAlarm: false };

/** The six stations a formula passes, in order, seen from where the maker stands. */
export function pegsSeenFrom(here: Station | null, sheet: OpenPeg, shelf: OpenPeg = CUPBOARD, bench: OpenPeg = BENCH): readonly Peg[] {
  const hereIndex = stations.findIndex(({ station }) => station === here);
  const open: Partial<Record<Station, OpenPeg>> = { shelf, sheet, bench };
  return stations.map(({ station, name }, index) => ({
    station,
    name,
    ...(open[station] ?? CLOSED),
    isHere: station === here,
    isReached: index <= hereIndex,
  }));
}

/** Words for a sheet's findings on its peg: the worst that is there. */
export function sheetState(counts: { readonly stops: number; readonly fixes: number; readonly considers: number }): {
  state: string;
  isAlarm: boolean;
} {
  if (counts.stops > 0) return { state: `${counts.stops} to stop for`, isAlarm: true };
  if (counts.fixes > 0) return { state: `${counts.fixes} to fix`, isAlarm: true };
  if (counts.considers > 0) return { state: `${counts.considers} to consider`, isAlarm: false };
  return { state: "nothing to mend", isAlarm: false };
}

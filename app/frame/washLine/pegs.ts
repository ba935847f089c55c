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

export interface SheetPeg {
  readonly to: string | null;
  readonly state: string;
  readonly isAlarm: boolean;
}

/** The six stations a formula passes, in order, seen from where the maker stands. */
export function pegsSeenFrom(here: Station | null, sheet: SheetPeg): readonly Peg[] {
  const hereIndex = stations.findIndex(({ station }) => station === here);
  return stations.map(({ station, name }, index) => {
    const isSheet = station === "sheet";
    return {
      station,
      name,
      state: isSheet ? sheet.state : NOT_OPEN,
      isAlarm: isSheet && sheet.isAlarm,
      to: isSheet ? sheet.to : null,
      isHere: station === here,
      isReached: index <= hereIndex,
    };
  });
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

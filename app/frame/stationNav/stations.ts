export type StationSlug = "shelf" | "sheet" | "bench" | "fill" | "watch" | "compare";

export interface Station {
  readonly station: StationSlug;
  readonly name: string;
  /** What stands there just now, in a few words. */
  readonly state: string;
  /** Something there must be fixed. */
  readonly isAlarm: boolean;
  /** Where it leads; null while no formula is there to open. */
  readonly to: string | null;
  readonly isHere: boolean;
  /** The cord is water-coloured up to here. */
  readonly isReached: boolean;
}

const stations: readonly { readonly station: StationSlug; readonly name: string }[] = [
  { station: "shelf", name: "Shelf" },
  { station: "sheet", name: "Sheet" },
  { station: "bench", name: "Bench" },
  { station: "fill", name: "Fill" },
  { station: "watch", name: "Watch" },
  { station: "compare", name: "Compare" },
];

/** What stands at a station. */
export interface OpenStation {
  readonly to: string | null;
  readonly state: string;
  readonly isAlarm: boolean;
}

const CUPBOARD: OpenStation = { to: "/shelf", state: "your cupboard", isAlarm: false };
const FILL: OpenStation = { to: "/fill", state: "your containers", isAlarm: false };
const WATCH: OpenStation = { to: "/watch", state: "your samples", isAlarm: false };
const COMPARE: OpenStation = { to: "/compare", state: "your rounds", isAlarm: false };
/** What the bench says as long as nothing is being made. */
export const BENCH: OpenStation = { to: "/bench", state: "your batches", isAlarm: false };

/** The stations a formula passes, in order, seen from where the maker stands. */
export function stationsSeenFrom(
  here: StationSlug | null,
  sheet: OpenStation,
  shelf: OpenStation = CUPBOARD,
  bench: OpenStation = BENCH,
  fill: OpenStation = FILL,
  watch: OpenStation = WATCH,
  compare: OpenStation = COMPARE,
): readonly Station[] {
  const hereIndex = stations.findIndex(({ station }) => station === here);
  const open: Readonly<Record<StationSlug, OpenStation>> = { shelf, sheet, bench, fill, watch, compare };
  return stations.map(({ station, name }, index) => ({
    station,
    name,
    ...open[station],
    isHere: station === here,
    isReached: index <= hereIndex,
  }));
}

/** Words for a sheet's findings at its station: the worst that is there. */
export function sheetState(counts: { readonly stops: number; readonly fixes: number; readonly considers: number }): {
  state: string;
  isAlarm: boolean;
} {
  if (counts.stops > 0) return { state: `${counts.stops} to stop for`, isAlarm: true };
  if (counts.fixes > 0) return { state: `${counts.fixes} to fix`, isAlarm: true };
  if (counts.considers > 0) return { state: `${counts.considers} to consider`, isAlarm: false };
  return { state: "no issues", isAlarm: false };
}

/** The stations as seen from where batches are filled, with the state of its own. */
export function fillStations(state: string): readonly Station[] {
  return stationsSeenFrom("fill", { to: "/", state: "your formulas", isAlarm: false }, undefined, undefined, {
    to: "/fill",
    state,
    isAlarm: false,
  });
}

/** The stations as seen from where samples are watched, with the state of its own. */
export function watchStations(state: string, isAlarm = false): readonly Station[] {
  const sheet = { to: "/", state: "your formulas", isAlarm: false };
  return stationsSeenFrom("watch", sheet, undefined, undefined, undefined, { to: "/watch", state, isAlarm });
}

/** The stations as seen from where rounds are compared, with the state of its own. */
export function compareStations(state: string): readonly Station[] {
  const sheet = { to: "/", state: "your formulas", isAlarm: false };
  return stationsSeenFrom("compare", sheet, undefined, undefined, undefined, undefined, { to: "/compare", state, isAlarm: false });
}

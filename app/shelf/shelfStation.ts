import { type Station, stationsSeenFrom } from "../frame/stationNav/stations";

/** The wash line as a page of the shelf sees it, with what stands at the shelf's own peg. */
export function shelfStations(state: string, isAlarm = false): readonly Station[] {
  return stationsSeenFrom("shelf", { to: "/", state: "your formulas", isAlarm: false }, { to: "/shelf", state, isAlarm });
}

import { type Station, stationsSeenFrom } from "../frame/stationNav/stations";

/** The stations as a page of the shelf sees them, with the state of the shelf. */
export function shelfStations(state: string, isAlarm = false): readonly Station[] {
  return stationsSeenFrom("shelf", { to: "/", state: "your formulas", isAlarm: false }, { to: "/shelf", state, isAlarm });
}

import { type Station, stationsSeenFrom } from "../frame/stationNav/stations";

/** The stations as the bench sees them, with the state of its own. */
export function benchStations(state: string): readonly Station[] {
  return stationsSeenFrom("bench", { to: "/", state: "your formulas", isAlarm: false }, undefined, { to: "/bench", state, isAlarm: false });
}

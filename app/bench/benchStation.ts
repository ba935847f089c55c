import { type Station, stationsSeenFrom } from "../frame/stationNav/stations";

/** The wash line as the bench sees it, with what stands at its own peg. */
export function benchStations(state: string): readonly Station[] {
  return stationsSeenFrom("bench", { to: "/", state: "your formulas", isAlarm: false }, undefined, { to: "/bench", state, isAlarm: false });
}

import { type Peg, pegsSeenFrom } from "../frame/washLine/pegs";

/** The wash line as a page of the shelf sees it, with what stands at the shelf's own peg. */
export function shelfPegs(state: string, isAlarm = false): readonly Peg[] {
  return pegsSeenFrom("shelf", { to: "/", state: "your formulas", isAlarm: false }, { to: "/shelf", state, isAlarm });
}

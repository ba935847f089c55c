import { type Peg, pegsSeenFrom } from "../frame/washLine/pegs";

/** The wash line as the bench sees it, with what stands at its own peg. */
export function benchPegs(state: string): readonly Peg[] {
  return pegsSeenFrom("bench", { to: "/", state: "your formulas", isAlarm: false }, undefined, { to: "/bench", state, isAlarm: false });
}

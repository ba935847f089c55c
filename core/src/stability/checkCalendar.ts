import { isoDay } from "../quantities/isoDay.ts";

/** How a kept sample stands. */
export type Storage = "room" | "warm" | "cold" | "freeze-thaw";

export interface PlannedCheck {
  /** Hours after the batch was made. */
  readonly afterHours: number;
  /** ISO date. */
  readonly on: string;
  readonly title: string;
  readonly look: string;
  readonly samples: readonly Storage[];
}

const HOURS_PER_DAY = 24;
const WEEK = 7 * HOURS_PER_DAY;
const ALL: readonly Storage[] = ["room", "warm", "cold"];

const CHECKS: readonly Omit<PlannedCheck, "on">[] = [
  { afterHours: HOURS_PER_DAY, title: "Next day", look: "Clear? Thicker? Bubbles gone? Lather and feel on the hand.", samples: ["room"] },
  {
    afterHours: 2 * HOURS_PER_DAY,
    title: "48 hours",
    look: "Gums have swollen: pH, thickness, look and smell. This is what later checks are compared with.",
    samples: ["room"],
  },
  {
    afterHours: WEEK,
    title: "1 week",
    look: "pH, thickness, look, smell, colour; three times frozen and thawed one sample.",
    samples: [...ALL, "freeze-thaw"],
  },
  { afterHours: 2 * WEEK, title: "2 weeks", look: "pH, thickness, look, smell, colour.", samples: ALL },
  { afterHours: 4 * WEEK, title: "4 weeks", look: "pH, thickness, look, smell, colour.", samples: ALL },
  { afterHours: 8 * WEEK, title: "8 weeks", look: "pH, thickness, look, smell, colour.", samples: ALL },
  {
    afterHours: 12 * WEEK,
    title: "12 weeks",
    look: "The last look: 12 weeks at 40 °C are read as roughly a year at 20 °C, which is rough.",
    samples: ALL,
  },
];

/**
 * When to look at a batch again: next day, 48 hours, 1, 2, 4, 8 and 12 weeks, with the samples kept at room temperature,
 * warm (40 °C), cold (5 °C) and frozen.
 * @param madeOn ISO date.
 * @throws Refusal for a date that is none.
 */
export function checkCalendar(madeOn: string): readonly PlannedCheck[] {
  const made = isoDay(madeOn);
  return CHECKS.map((check) => ({ ...check, on: made.add(check.afterHours / HOURS_PER_DAY, "day").format("YYYY-MM-DD") }));
}

import type { ProfileSlug } from "../formula/profiles.ts";
import { isoDay } from "../quantities/isoDay.ts";

/** How a kept sample can stand. */
export const storages = ["room", "warm", "cold", "freeze-thaw", "light"] as const;

export type Storage = (typeof storages)[number];

export interface PlannedCheck {
  /** Hours after the batch was made. */
  readonly afterHours: number;
  /** ISO date. */
  readonly on: string;
  readonly title: string;
  readonly look: string;
  readonly samples: readonly Storage[];
}

const EARLY: readonly ProfileSlug[] = ["whipped-cleanser", "soap-wash"];
const HOURS_PER_DAY = 24;
const WEEK = 7 * HOURS_PER_DAY;
const ALL: readonly Storage[] = ["room", "warm", "cold"];

/** Whipped cleansers collapse and soap clears within hours. */
const FIRST_HOURS: Omit<PlannedCheck, "on"> = {
  afterHours: 4,
  title: "First hours",
  look: "Does the foam stand, does it clear? Look, and lift it with a spoon.",
  samples: ["room"],
};

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
    samples: [...ALL, "freeze-thaw", "light"],
  },
  { afterHours: 2 * WEEK, title: "2 weeks", look: "pH, thickness, look, smell, colour.", samples: ALL },
  { afterHours: 4 * WEEK, title: "4 weeks", look: "pH, thickness, look, smell, colour.", samples: [...ALL, "light"] },
  { afterHours: 8 * WEEK, title: "8 weeks", look: "pH, thickness, look, smell, colour.", samples: ALL },
  {
    afterHours: 12 * WEEK,
    title: "12 weeks",
    look: "The last look: 12 weeks at 40 °C are read as roughly a year at 20 °C, which is rough.",
    samples: ALL,
  },
];

/**
 * When to look at a batch again: after the first hours where it is whipped or soap, next day, 48 hours, 1, 2, 4, 8 and 12 weeks, with the samples kept at room temperature,
 * warm (40 °C), cold (5 °C), in the light and frozen.
 * @param madeOn ISO date.
 * @throws Refusal for a date that is none.
 */
export function checkCalendar(madeOn: string, profile: ProfileSlug): readonly PlannedCheck[] {
  const made = isoDay(madeOn);
  const all = EARLY.includes(profile) ? [FIRST_HOURS, ...CHECKS] : CHECKS;
  return all.map((check) => ({ ...check, on: made.add(Math.floor(check.afterHours / HOURS_PER_DAY), "day").format("YYYY-MM-DD") }));
}

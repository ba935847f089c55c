import type { AlarmKind, DriftAlarm } from "./drift.ts";

/** What a maker said to an alarm: what was done, or why it does not count. */
export interface AlarmAnswer {
  readonly what: AlarmKind;
  /** The newest look the answer was given to. */
  readonly lookedAt: Date;
}

/**
 * The alarms nobody answered: an answer holds for the looks it was given to, and a later look that still alarms asks anew.
 * @param lastLookAt when a sample was last looked at; null where it never was
 */
export function unanswered(alarms: readonly DriftAlarm[], answers: readonly AlarmAnswer[], lastLookAt: Date | null): readonly DriftAlarm[] {
  const holds = ({ lookedAt }: AlarmAnswer): boolean => lastLookAt === null || lastLookAt.getTime() <= lookedAt.getTime();
  return alarms.filter(({ what }) => !answers.some((answer) => answer.what === what && holds(answer)));
}

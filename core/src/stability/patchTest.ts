/** What is seen of the skin after a day under a patch. */
export const patchSeen = ["nothing", "slightly red", "red, itching or swollen"] as const;

export type PatchSeen = (typeof patchSeen)[number];

/** A day is what is usual; a reaction may still come later. */
export const PATCH_HOURS = 24;

const HOUR_MILLISECONDS = 3_600_000;

/** Hours that are left until a patch may be judged; 0 once it may. */
export function patchHoursLeft(putOn: number, now: number): number {
  return Math.max(0, PATCH_HOURS - (now - putOn) / HOUR_MILLISECONDS);
}

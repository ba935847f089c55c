import type { Storage } from "@tensidrum/core/stability";

export interface OpenCheck {
  readonly id: string;
  readonly storage: Storage;
  readonly title: string;
  /** Written 2026-11-26. */
  readonly dueOn: string;
}

/** A look so many days before its day is the planned one; earlier it is one in between. */
const SOON_DAYS = 3;
const DAY_MILLISECONDS = 86_400_000;

/** The planned check a look on a day is: the one whose day is nearest, unless that is still to come; null for one in between. */
export function nextCheck(open: readonly OpenCheck[], sample: Storage, day: string): OpenCheck | null {
  const at = Date.parse(day);
  const away = ({ dueOn }: OpenCheck): number => (Date.parse(dueOn) - at) / DAY_MILLISECONDS;
  const due = open.filter((check) => check.storage === sample && away(check) <= SOON_DAYS);
  return due.toSorted((a, b) => Math.abs(away(a)) - Math.abs(away(b)))[0] ?? null;
}

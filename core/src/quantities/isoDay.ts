import dayjs from "dayjs";
import { Refusal } from "./refusal.ts";

const ISO_DAY = /^\d{4}-\d{2}-\d{2}$/;

/**
 * A day written as 2026-11-26.
 * @throws Refusal for anything else, 2026-02-31 included.
 */
export function isoDay(written: string): dayjs.Dayjs {
  const day = dayjs(written);
  if (!ISO_DAY.test(written) || day.format("YYYY-MM-DD") !== written) {
    throw new Refusal("not-valid", `"${written}" is no date.`, "Write dates as 2026-11-26.");
  }
  return day;
}

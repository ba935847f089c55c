import { writtenShort } from "@tensidrum/core/quantities";
import type { AlarmDays } from "@tensidrum/core/stability";
import type { OpenWatch } from "./watch.server";

/** A day as a week where that is easier. */
function dayWords(day: number): string {
  return day < 14 ? `day ${writtenShort(day, 0)}` : `week ${writtenShort(day / 7, 0)}`;
}

const when = (day: number): string => `${day < 14 ? "on" : "in"} ${dayWords(day)}`;

/** When a trend meets its alarm, in words. */
export function meetsWords({ earliest, likely, latest }: AlarmDays, from: number): string {
  if (likely === null) {
    return earliest === null
      ? "it stays within its bounds as far as the trend tells."
      : `it might meet the alarm from ${dayWords(earliest)} on, and need not (estimate).`;
  }
  if (likely <= from) return "it has met the alarm.";
  const [first, last] = [dayWords(earliest ?? likely), latest === null ? "later" : dayWords(latest)];
  return first === last
    ? `it meets the alarm ${when(likely)} (estimate).`
    : `it meets the alarm between ${first} and ${last}, most likely ${when(likely)} (estimate).`;
}

/** How long a batch keeps, with what that rests on and what would tell it better. */
export function shelfLifeWords(life: OpenWatch["shelfLife"]): string {
  if (life === null)
    return "How long it keeps cannot be told yet: at least three looks on different days that move. A warm sample tells it soonest.";
  const months = (days: number): string => writtenShort(days / 30.4, 0);
  const range = `${months(life.low)} to ${life.high === null ? "24 or more" : months(life.high)} months`;
  const reading = { ph: "pH", viscosity: "thickness", colour: "colour", sediment: "sediment" }[life.of];
  const { factor, isMeasured } = life.ageing;
  const by =
    life.by === "warm"
      ? `by the ${reading} of the warm sample, which ages about ${writtenShort(factor, 1)} times faster${isMeasured ? " as both samples show" : ": a rule of thumb until both samples move"}`
      : `by the ${reading} at room temperature`;
  const narrower =
    life.by === "room" ? " A warm sample tells it sooner." : isMeasured ? "" : " More looks at the one at room temperature narrow it.";
  return `It keeps about ${months(life.likely)} months at room temperature, ${range} (estimate), ${by}.${narrower}`;
}

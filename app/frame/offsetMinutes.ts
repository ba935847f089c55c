/** Making one takes longer than a hundred uses of it. */
const formats = new Map<string, Intl.DateTimeFormat>();

function formatOf(zone: string): Intl.DateTimeFormat {
  const made = formats.get(zone) ?? new Intl.DateTimeFormat("en-GB", { timeZone: zone, timeZoneName: "longOffset" });
  formats.set(zone, made);
  return made;
}

/** Clocks change on a quarter of an hour, so within one the offset is the same. */
const QUARTER = 900_000;
const MOST_KEPT = 5_000;
const kept = new Map<string, number>();

/**
 * How far the clocks of a time zone are ahead of UTC at a moment, minutes; negative where they are behind.
 * @throws RangeError where there is no such zone
 */
export function offsetMinutes(zone: string, moment: number): number {
  const quarter = Math.floor(moment / QUARTER);
  const key = `${zone} ${quarter}`;
  const known = kept.get(key);
  if (known !== undefined) return known;
  if (kept.size >= MOST_KEPT) kept.clear();
  const [, sign, hours, minutes] = /GMT(?:([+-])(\d\d):(\d\d))?/.exec(formatOf(zone).format(quarter * QUARTER)) ?? [];
  const ahead = 60 * Number(hours ?? 0) + Number(minutes ?? 0);
  const offset = sign === "-" ? -ahead : ahead;
  kept.set(key, offset);
  return offset;
}

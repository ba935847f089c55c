import { scaleLinear } from "d3-scale";

/** Something that comes on a day or at a moment, ms since 1970. */
export interface ComingEvent {
  readonly key: string;
  readonly at: number;
  readonly words: string;
  readonly detail: string;
  readonly to: string;
  readonly isLate: boolean;
}

export interface ComingRow {
  readonly key: string;
  readonly name: string;
  readonly events: readonly ComingEvent[];
  /** Until when it rests; null where nothing does. */
  readonly restsUntil: number | null;
}

export interface ComingAsk {
  /** px */
  readonly width: number;
  readonly rows: readonly ComingRow[];
  /** ms since 1970 */
  readonly now: number;
  /** What the reader's clock is ahead of UTC, ms. */
  readonly offset: number;
  /** Beginnings of the next days, of tomorrow first. */
  readonly days: readonly { readonly at: number; readonly name: string }[];
  /** Beginnings of the next months. */
  readonly months: readonly { readonly at: number; readonly name: string }[];
}

export const ROW_HEIGHT = 76;
export const HEAD_HEIGHT = 34;
const [HOUR, DAY] = [3_600_000, 86_400_000];
/** Of the width: what is left of today, each of the next four days, and all that comes after. */
const [TODAY, EACH_DAY] = [0.26, 0.085];
/** What is further away than this is not shown. */
export const FAR_DAYS = 100;
/** A letter of a label, and what stands before its first, px. */
const [LETTER, LABEL_INDENT] = [6.6, 12];
const MONTH_WIDTH = 66;
/** Half of a mark, px. */
const MARK_HALF = 7;

const labelWidth = ({ words, detail }: ComingEvent): number =>
  LABEL_INDENT + LETTER * Math.max(words.length, detail.length, "and 10 more".length);
const HOUR_STEP = 4;
/** What time it is stands there, px. */
const CLOCK_WIDTH = 56;

/** Today wide, the next four days narrow, and the weeks after them narrower and narrower: one line for each row. */
export function comingGeometry({ width, rows, now, offset, days, months }: ComingAsk) {
  const next = days.slice(0, 5);
  const far = now + FAR_DAYS * DAY;
  const bounds = [now, ...next.map(({ at }) => at)];
  const first = Math.max(now + HOUR, bounds[1] ?? now + DAY);
  const domain = [now, first, ...bounds.slice(2), (bounds.at(-1) ?? now) + 25 * DAY, far].sort((a, b) => a - b);
  const shares = domain.map((_, at) => {
    if (at === 0) return 0;
    if (at === 1) return TODAY;
    const narrow = TODAY + Math.min(at - 1, next.length - 1) * EACH_DAY;
    return at < domain.length - 2 ? narrow : at === domain.length - 2 ? narrow + (1 - narrow) * 0.55 : 1;
  });
  const x = scaleLinear(
    domain,
    shares.map((share) => share * width),
  ).clamp(true);
  // Hours as the reader's clock has them, every four of them.
  const step = HOUR_STEP * HOUR;
  const from = Math.ceil((now + offset) / step) * step - offset;
  const count = Math.max(0, Math.ceil((first - HOUR - from) / step));
  const hours = Array.from({ length: count }, (_, at) => from + at * step);
  const last = next.at(-1)?.at ?? now;
  return {
    width,
    height: HEAD_HEIGHT + rows.length * ROW_HEIGHT,
    now: x(now),
    hours: hours
      .map((at) => ({ x: x(at), name: String(Math.round(((at + offset) % DAY) / HOUR)) }))
      .filter(({ x: place }) => place > CLOCK_WIDTH),
    ticks: [
      ...next.slice(0, -1).map(({ at, name }) => ({ x: x(at), name })),
      { x: x(last), name: "after that" },
      ...months
        .filter(({ at }) => at > last + 4 * DAY && at < far - 4 * DAY && x(at) - x(last) > MONTH_WIDTH && x(at) < width - MONTH_WIDTH)
        .map(({ at, name }) => ({ x: x(at), name })),
    ],
    rows: rows.map((row, at) => {
      const y = HEAD_HEIGHT + at * ROW_HEIGHT + 14;
      // What has no room for a label of its own joins the one before it.
      const labels: { x: number; ends: number; isEnd: boolean; events: ComingEvent[] }[] = [];
      for (const event of [...row.events].sort((a, b) => a.at - b.at)) {
        const place = x(event.at);
        const isEnd = place + labelWidth(event) > width;
        const begins = isEnd ? place - labelWidth(event) : place;
        const before = labels.at(-1);
        if (before !== undefined && begins < before.ends) before.events.push(event);
        else labels.push({ x: place, isEnd, ends: isEnd ? place + LABEL_INDENT : place + labelWidth(event), events: [event] });
      }
      return {
        ...{ key: row.key, name: row.name, y },
        rest: row.restsUntil === null ? null : x(row.restsUntil),
        labels: labels.flatMap(({ x: place, isEnd, events: [one, ...others] }) =>
          one === undefined
            ? []
            : [
                {
                  ...{
                    key: one.key,
                    mark: Math.max(MARK_HALF, place),
                    x: isEnd ? place - LABEL_INDENT : Math.max(MARK_HALF, place) + LABEL_INDENT,
                    isEnd,
                  },
                  ...{ words: one.words, to: one.to, isLate: one.isLate },
                  detail: others.length > 0 ? `and ${others.length} more` : one.detail,
                  others: others.map(({ key, at: moment }) => ({ key, x: x(moment) })),
                },
              ],
        ),
      };
    }),
  };
}

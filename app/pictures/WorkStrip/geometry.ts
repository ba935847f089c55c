/** A step as the strip sees it. */
export interface StripStep {
  readonly lineCount: number;
  readonly waitMinutes: number;
}

export interface StripPart {
  readonly kind: "work" | "wait";
  readonly x: number;
  readonly width: number;
  readonly minutes: number;
}

export const STRIP = { width: 780, height: 18, gap: 1.5, least: 3 } as const;

/** A step takes so long, and each line weighed in it so much more; rough, min. */
const MINUTES = { step: 2, line: 1 };

/** So much of the strip the waiting may take: hours of rest would leave no room for the work. */
const WAITING_PART = 0.6;

export interface StripDrawn {
  readonly parts: readonly StripPart[];
  readonly workMinutes: number;
  readonly waitMinutes: number;
}

/** Minutes, or hours where it is many of them. */
export function durationWords(minutes: number): string {
  return minutes < 120 ? `${Math.round(minutes)} min` : `${Math.round(minutes / 60)} h`;
}

/** A rest this long is gone home for, min. */
const LONG_WAIT = 60;
const DAY = 24 * 60;

/**
 * Begin and end by the clock: "Begun at 09:30, first rest at 10:18, filled at 18:38." A day later is said. Null where the
 * begin is no time of the day.
 * @param begin as "09:30"
 */
export function clockWords(begin: string, { parts }: Pick<StripDrawn, "parts">): string | null {
  const read = /^([01]\d|2[0-3]):([0-5]\d)$/.exec(begin);
  if (read === null || parts.length === 0) return null;
  const from = Number(read[1]) * 60 + Number(read[2]);
  const upTo = (end: number): number => parts.slice(0, end).reduce((sum, { minutes }) => sum + minutes, from);
  const first = parts.findIndex(({ kind, minutes }) => kind === "wait" && minutes >= LONG_WAIT);
  const work = first === -1 ? "" : `, first rest at ${clock(upTo(first))}`;
  return `Begun at ${begin}${work}, filled at ${clock(upTo(parts.length))}.`;
}

function clock(minutes: number): string {
  const days = Math.floor(minutes / DAY);
  const two = (value: number): string => String(value).padStart(2, "0");
  const time = `${two(Math.floor((minutes % DAY) / 60))}:${two(Math.round(minutes % 60) % 60)}`;
  return days === 0 ? time : `${time} ${days === 1 ? "a day" : `${days} days`} later`;
}

/** Work and waiting one after the other: work as long as it takes, waiting by the root of its length in what is left. */
export function stripGeometry(steps: readonly StripStep[]): StripDrawn {
  const spans: { kind: StripPart["kind"]; minutes: number }[] = [];
  const add = (kind: StripPart["kind"], minutes: number): void => {
    const last = spans.at(-1);
    if (minutes <= 0) return;
    if (last?.kind === kind && kind === "wait") last.minutes += minutes;
    else spans.push({ kind, minutes });
  };
  for (const { lineCount, waitMinutes } of steps) {
    add("work", MINUTES.step + MINUTES.line * lineCount);
    add("wait", waitMinutes);
  }
  const sum = (kind: StripPart["kind"], of: (minutes: number) => number): number =>
    spans.reduce((total, span) => total + (span.kind === kind ? of(span.minutes) : 0), 0);
  const workMinutes = sum("work", (minutes) => minutes);
  const waitMinutes = sum("wait", (minutes) => minutes);
  const roots = sum("wait", Math.sqrt);
  const room = STRIP.width - STRIP.gap * Math.max(0, spans.length - 1);
  const waiting = roots === 0 ? 0 : workMinutes === 0 ? room : room * WAITING_PART;
  let x = 0;
  const parts = spans.map(({ kind, minutes }): StripPart => {
    const share = kind === "wait" ? Math.sqrt(minutes) / roots : minutes / workMinutes;
    const width = Math.max(STRIP.least, share * (kind === "wait" ? waiting : room - waiting));
    const part = { kind, x, width, minutes };
    x += width + STRIP.gap;
    return part;
  });
  return { parts, workMinutes, waitMinutes };
}

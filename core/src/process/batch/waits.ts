import dayjs from "dayjs";
import { written } from "../../quantities/written.ts";
import type { Step } from "../step.ts";
import type { BatchEntry } from "./entries.ts";

/** A dose is stirred in and waited for before the next reading. */
const MINUTES_AFTER_A_DOSE = 2;
/** Salt builds for some minutes before it can be judged. */
const MINUTES_AFTER_SALT = 8;
/** A late thickener has taken up enough for a first look; what it comes to shows next morning. */
const MINUTES_AFTER_THICKENER = 30;

/** What rests by itself once it is in. */
const RESTS: ReadonlySet<BatchEntry["kind"]> = new Set(["timer", "dosed", "sample-dosed", "salted", "thickened"]);

/** A time that runs: the rest after a step, or a clock of the maker's own. Moments are ISO in UTC, so they sort as text. */
export interface Wait {
  /** The entry that began it. */
  readonly id: string;
  /** Null for a clock of the maker's own. */
  readonly step: string | null;
  readonly text: string;
  readonly from: string;
  readonly until: string;
  /** Better not longer than this; null where it does not matter. */
  readonly latest: string | null;
  /** Meanwhile it is stirred every so many minutes; null where it stands. */
  readonly stirEveryMinutes: number | null;
  /** When the maker ended it before its time. */
  readonly endedAt: string | null;
}

/** All waits of a batch in the order they began: a step that is done rests as long as it says, a timer runs its minutes. */
export function waitsOf(steps: readonly Step[], standing: readonly BatchEntry[]): readonly Wait[] {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const ended = new Map(standing.flatMap((entry) => (entry.kind === "wait-ended" ? [[entry.wait, entry.at] as const] : [])));
  return standing.flatMap((entry): readonly Wait[] => {
    const head = { id: entry.id, from: entry.at, stirEveryMinutes: null, endedAt: ended.get(entry.id) ?? null };
    if (entry.kind === "timer") {
      return [{ ...head, step: null, text: entry.text, until: later(entry.at, entry.minutes), latest: null }];
    }
    if (entry.kind === "dosed" || entry.kind === "sample-dosed") {
      const text = `After ${written(entry.grams, 2)} g ${entry.agent.name}${entry.kind === "dosed" ? "" : " in the sample"}`;
      return [{ ...head, step: null, text, until: later(entry.at, MINUTES_AFTER_A_DOSE), latest: null }];
    }
    if (entry.kind === "salted") {
      const text = `After ${written(entry.grams, 1)} g ${entry.salt.name}`;
      return [{ ...head, step: null, text, until: later(entry.at, MINUTES_AFTER_SALT), latest: null }];
    }
    if (entry.kind === "thickened") {
      const text = `First look after ${written(entry.grams, 2)} g of thickener`;
      return [{ ...head, step: null, text, until: later(entry.at, MINUTES_AFTER_THICKENER), latest: null }];
    }
    const step = entry.kind === "done" ? byId.get(entry.step) : undefined;
    if (step === undefined || !rests(step)) return [];
    const latest = step.waitUntilMinutes > step.waitMinutes ? later(entry.at, step.waitUntilMinutes) : null;
    const stirEveryMinutes = step.stirEveryMinutes ?? null;
    return [{ ...head, stirEveryMinutes, step: step.id, text: step.title, until: later(entry.at, step.waitMinutes), latest }];
  });
}

/** The next time a resting batch is stirred, ISO; null where it stands, or where none is left before its end. */
export function nextStir({ from, until, stirEveryMinutes }: Wait, now: string): string | null {
  if (stirEveryMinutes === null) return null;
  const times = Math.floor(dayjs(now).diff(from, "minute", true) / stirEveryMinutes) + 1;
  const next = later(from, times * stirEveryMinutes);
  return next < until ? next : null;
}

/** Whether a wait still runs at a moment, ISO in UTC. */
export function isRunning({ until, endedAt }: Wait, now: string): boolean {
  return endedAt === null && until > now;
}

/** Whether an entry began a wait that nobody has ended; without computing when any is over. */
export function isWaiting(steps: readonly Step[], standing: readonly BatchEntry[], id: string): boolean {
  const begun = standing.find((entry) => entry.id === id);
  const isStepThatRests = begun?.kind === "done" && steps.some((step) => step.id === begun.step && rests(step));
  return (
    ((begun !== undefined && RESTS.has(begun.kind)) || isStepThatRests) &&
    !standing.some((entry) => entry.kind === "wait-ended" && entry.wait === id)
  );
}

/** A step that is tuned has rested after each of its doses; a late thickener goes on building all the same. */
function rests({ waitMinutes, tunes }: Step): boolean {
  return waitMinutes > 0 && (tunes === undefined || tunes === "polymer");
}

function later(at: string, minutes: number): string {
  return dayjs(at).add(minutes, "minute").toISOString();
}

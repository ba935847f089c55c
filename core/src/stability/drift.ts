import { writtenShort } from "../quantities/written.ts";

/** Any of them ends a batch. */
export const spoilSigns = ["mould", "odd smell", "swelling"] as const;

export type SpoilSign = (typeof spoilSigns)[number];

/** What is looked at in a check; null where it was not. */
export interface Check {
  readonly ph: number | null;
  /** In the maker's own unit, the same each time. */
  readonly viscosity: number | null;
  /** Seen or smelt. */
  readonly signs: readonly SpoilSign[];
}

export interface DriftAlarm {
  readonly what: "ph" | "viscosity" | "spoiled";
  /** Stop using it and discard it. */
  readonly discard: boolean;
  readonly text: string;
}

/** pH may move so far from its first reading, thickness by so much of it. */
export const MOST_PH = 0.3;
export const MOST_VISCOSITY = 0.3;
const NOISE = 1e-9;

/**
 * What has moved too far since the first check: pH by more than 0.3, thickness by more than 30 %, and any sign of
 * spoiling. What was not measured both times is not compared.
 */
export function driftOf(first: Check, now: Check): readonly DriftAlarm[] {
  const alarms: DriftAlarm[] = [];
  if (now.signs.length > 0) {
    alarms.push({
      what: "spoiled",
      discard: true,
      text: `${capital(now.signs.join(", "))}: stop using it, and discard the whole batch.`,
    });
  }
  if (first.ph !== null && now.ph !== null && Math.abs(now.ph - first.ph) > MOST_PH + NOISE) {
    const moved = writtenShort(Math.abs(now.ph - first.ph), 2);
    alarms.push({
      what: "ph",
      discard: false,
      text: `pH has ${now.ph > first.ph ? "risen" : "fallen"} by ${moved}. Look for spoiling, and see whether the preservative still works at ${writtenShort(now.ph, 2)}.`,
    });
  }
  if (first.viscosity !== null && now.viscosity !== null && first.viscosity > 0) {
    const change = now.viscosity / first.viscosity - 1;
    if (Math.abs(change) > MOST_VISCOSITY + NOISE) {
      alarms.push({
        what: "viscosity",
        discard: false,
        text: `It has become ${writtenShort(Math.abs(change) * 100, 0)} % ${change > 0 ? "thicker" : "thinner"}. Microbes that eat the gum, or a scent, can thin it.`,
      });
    }
  }
  return alarms;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

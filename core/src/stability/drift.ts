import { colourDifference, type Lab } from "../appearance/photoColour.ts";
import { writtenShort } from "../quantities/written.ts";

/** Any of them ends a batch. */
export const spoilSigns = ["mould", "odd smell", "swelling"] as const;

export type SpoilSign = (typeof spoilSigns)[number];

/** What is looked at in a check; null where it was not. */
export interface Check {
  readonly ph: number | null;
  /** In the maker's own unit, the same each time. */
  readonly viscosity: number | null;
  /** Off a photo with a white card. */
  readonly lab: Lab | null;
  /** What has settled or floated up, mm. */
  readonly sedimentMm: number | null;
  /** Seen or smelt. */
  readonly signs: readonly SpoilSign[];
}

export const alarmKinds = ["ph", "viscosity", "colour", "sediment", "spoiled"] as const;

export type AlarmKind = (typeof alarmKinds)[number];

export interface DriftAlarm {
  readonly what: AlarmKind;
  /** Stop using it and discard it. */
  readonly discard: boolean;
  readonly text: string;
}

/** pH may move so far from its first reading, thickness by so much of it. */
export const MOST_PH = 0.3;
export const MOST_VISCOSITY = 0.3;
/** ΔE of CIEDE2000 that is seen at a glance, and what one shaken jar may leave, mm: rules of thumb of ours. */
export const MOST_COLOUR = 5;
export const MOST_SEDIMENT_MM = 3;
const NOISE = 1e-9;

/**
 * What has moved too far since the first check: pH by more than 0.3, thickness by more than 30 %, colour by a ΔE over 5, more
 * than 3 mm settled, and any sign of spoiling. What was not measured both times is not compared.
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
  const colour = first.lab === null || now.lab === null ? 0 : colourDifference(first.lab, now.lab);
  if (colour > MOST_COLOUR) {
    alarms.push({
      what: "colour",
      discard: false,
      text: `Its colour has moved by ΔE ${writtenShort(colour, 1)} (estimate), which is seen at a glance. Light, warmth, or the scent does that.`,
    });
  }
  if (now.sedimentMm !== null && now.sedimentMm - (first.sedimentMm ?? 0) > MOST_SEDIMENT_MM) {
    alarms.push({
      what: "sediment",
      discard: false,
      text: `${writtenShort(now.sedimentMm, 1)} mm have settled or floated up. Shake it, and see whether it stays together.`,
    });
  }
  return alarms;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

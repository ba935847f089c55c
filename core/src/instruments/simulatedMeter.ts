import { correctedPh, type BufferReading } from "../acidity/calibration.ts";
import { followed, hasSteadied } from "./following.ts";

/** A pH meter that is not there: what its probe stands in, and how wrong it is. */
export interface SimulatedMeter {
  /** True pH of what the probe stands in; null in the air. */
  readonly truePh: number | null;
  /** What its probe felt before the last change, pH. */
  readonly beforePh: number;
  readonly temperatureC: number;
  /** When it was dipped into something else, ms. */
  readonly changedAt: number;
  /** What the probe is off by at pH 7, and how steep it is, 100 for a perfect one. */
  readonly offsetPh: number;
  readonly slopePercent: number;
  /** What it was set right with, one after the other: what it showed then, with all that was set right before. */
  readonly calibrations: readonly (readonly [BufferReading, BufferReading])[];
}

/** A probe follows slowly, ms. */
const PACE = { followsMilliseconds: 600, steadiesMilliseconds: 3_000 };
const NEUTRAL = 7;
const BUFFER_C = 25;
const ZERO_C_IN_KELVIN = 273.15;
/** Trembling while it settles, and the scatter once it stands, pH. */
const UNSETTLED = 0.06;
const SCATTER = 0.012;

export function simulatedMeter({ offsetPh, slopePercent }: { readonly offsetPh: number; readonly slopePercent: number }): SimulatedMeter {
  return {
    ...{ truePh: null, beforePh: NEUTRAL, temperatureC: BUFFER_C, changedAt: Number.NEGATIVE_INFINITY },
    ...{ offsetPh, slopePercent, calibrations: [] },
  };
}

/** The probe goes into something else; null takes it out. */
export function dipped(
  meter: SimulatedMeter,
  into: { readonly truePh: number; readonly temperatureC: number } | null,
  now: number,
): SimulatedMeter {
  return {
    ...meter,
    beforePh: feltPh(meter, now),
    truePh: into?.truePh ?? null,
    temperatureC: into?.temperatureC ?? meter.temperatureC,
    changedAt: now,
  };
}

/** What stands around the probe changes its pH by itself, as while a dose is stirred in. */
export function drifted(meter: SimulatedMeter, truePh: number): SimulatedMeter {
  return meter.truePh === null ? meter : { ...meter, truePh };
}

/**
 * What the meter shows once it stands, pH: 7 + offset + slope × T ⁄ 298 × (pH − 7), the Nernst slope growing with the
 * absolute temperature, then set right by its calibrations. A probe of 94 % and +0.15 shows 4.33 in a buffer of 4.00 at 25 °C.
 */
export function shownPh(
  meter: Pick<SimulatedMeter, "offsetPh" | "slopePercent" | "temperatureC" | "calibrations">,
  truePh: number,
): number {
  const { offsetPh, slopePercent, temperatureC, calibrations } = meter;
  const steep = (slopePercent / 100) * ((temperatureC + ZERO_C_IN_KELVIN) / (BUFFER_C + ZERO_C_IN_KELVIN));
  const raw = NEUTRAL + offsetPh + steep * (truePh - NEUTRAL);
  return calibrations.reduce((shown, [first, second]) => correctedPh(shown, first, second) ?? shown, raw);
}

/**
 * The lines it sends at a moment: the pH with its mark, then the temperature. In the air it is out of range.
 * @param tremble -1 to 1, drawn by the caller
 */
export function meterLines(meter: SimulatedMeter, now: number, tremble: number): readonly string[] {
  const temperature = `${meter.temperatureC.toFixed(1)} C`;
  if (meter.truePh === null) return ["OL", temperature];
  const stands = hasSteadied(PACE, now - meter.changedAt);
  const shown = shownPh(meter, feltPh(meter, now)) + tremble * (stands ? SCATTER : UNSETTLED);
  if (shown < 0 || shown > 14) return ["OL", temperature];
  return [`${stands ? "S" : "U"} ${shown.toFixed(2)} pH`, temperature];
}

function feltPh({ truePh, beforePh, changedAt }: SimulatedMeter, now: number): number {
  if (truePh === null) return beforePh;
  return followed(PACE, { from: beforePh, to: truePh, sinceMilliseconds: now - changedAt });
}

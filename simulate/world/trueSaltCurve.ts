import type { Draws } from "./draws";

/** How a base answers to salt. */
export const hillKinds = ["log-normal", "skewed", "plateau", "two slopes", "flat", "never", "past the peak"] as const;
export type HillKind = (typeof hillKinds)[number];
export const gaugeKinds = ["viscometer", "funnel", "words"] as const;
export type GaugeKind = (typeof gaugeKinds)[number];

/** A salt curve nobody sees, and a batch on it. */
export interface TrueSaltCurve {
  readonly classes: { readonly hill: HillKind; readonly gauge: GaugeKind; readonly isReachable: boolean };
  readonly batchGrams: number;
  /** Salt the cleansers bring, as their data sheets tell it, % w/w. */
  readonly toldSaltPercent: number;
  readonly target: number;
  /** Adds dry salt as the maker means it, g; a little more or less goes in. */
  add(grams: number): void;
  /** After a rest: what the gauge says. */
  read(): number;
  trueViscosity(): number;
  isPastPeak(): boolean;
  saltPercent(): number;
}

/** Words of a kitchen: where one class ends and the next begins, Pa·s, and what stands for it. */
const CLASS_ENDS = [0.02, 0.14, 1, 5.5, 22];
const CLASS_VALUES = [0.008, 0.05, 0.4, 2.5, 12, 40];

export const classOf = (viscosity: number): number => CLASS_ENDS.filter((end) => viscosity > end).length;

interface Hill {
  readonly kind: HillKind;
  readonly peak: number;
  /** Part of the way up, 0 to 1, at a salt. */
  readonly rise: (salt: number) => number;
  readonly foot: number;
  readonly decades: number;
}

function drawHill(kind: HillKind, draws: Draws, hidden: number): Hill {
  const peak = kind === "past the peak" ? hidden * draws.uniform(0.6, 0.95) : draws.uniform(1.3, 3.4);
  const width = draws.uniform(0.35, 0.95);
  const foot = Math.log10(draws.logUniform(0.01, 0.3));
  const decades = kind === "never" ? 0 : kind === "flat" ? Math.log10(draws.uniform(1.3, 3)) : Math.log10(draws.logUniform(8, 300));
  const bell = (x: number, w: number): number => 1 / Math.cosh(1.2 * (x / w)) ** 1.6;
  const falling = draws.uniform(0.5, 1.6);
  const left: Readonly<Record<HillKind, (x: number) => number>> = {
    "log-normal": (x) => bell(x, width),
    skewed: (x) => bell(x, width * 1.7),
    plateau: (x) => Math.min(1, 1.35 * bell(Math.min(0, x + 0.35), width * 0.8)),
    "two slopes": (x) => 0.45 * bell(x, width * 0.5) + 0.55 * bell(x, width * 2),
    flat: (x) => bell(x, width),
    never: () => 0,
    "past the peak": (x) => bell(x, width),
  };
  const rise = (salt: number): number => (salt <= peak ? left[kind](salt - peak) : bell(salt - peak, width * falling));
  return { kind, peak, rise, foot, decades };
}

/** A batch of such a base. */
export function trueSaltCurve(draws: Draws): TrueSaltCurve {
  const kind = draws.pick(hillKinds);
  const gauge = draws.pick(gaugeKinds);
  const hidden = draws.uniform(0.2, 1.2);
  const hill = drawHill(kind, draws, hidden);
  const thicknessAt = (salt: number): number => 10 ** (hill.foot + hill.decades * hill.rise(salt));
  const top = hill.kind === "past the peak" ? thicknessAt(hidden) : thicknessAt(hill.peak);
  const now = thicknessAt(hidden);
  // Most wishes are such that a good base of the kind could fulfil them.
  const target =
    draws.uniform(0, 1) < 0.75 && top > 3 * now ? now * (0.85 * (top / now)) ** draws.uniform(0.45, 1) : draws.logUniform(0.8, 8);
  const batchGrams = draws.logUniform(200, 3000);
  let saltGrams = (batchGrams * hidden) / 100;
  let mass = batchGrams;
  const steamedOff = draws.uniform(0, 0.004);
  const slowness = draws.uniform(0, 0.06);
  let built = 1;
  const error = { viscometer: 0.05, funnel: 0.1, words: 0 }[gauge];
  const salt = (): number => (100 * saltGrams) / mass;
  const kept = hill.peak - 0.2;
  return {
    classes: {
      hill: kind,
      gauge,
      isReachable: kind !== "past the peak" && kind !== "never" && thicknessAt(kept) >= target * 0.9 && target > now,
    },
    batchGrams,
    toldSaltPercent: hidden * draws.uniform(0.7, 1.3),
    target,
    add(grams) {
      const real = grams * (1 + draws.normal(0.02));
      saltGrams += real;
      mass = (mass + real) * (1 - steamedOff);
      built = 1 - slowness;
    },
    read() {
      const shown = thicknessAt(salt()) * built * Math.exp(draws.normal(error));
      return gauge === "words" ? CLASS_VALUES[classOf(shown)]! : shown;
    },
    trueViscosity: () => thicknessAt(salt()),
    isPastPeak: () => hill.decades > 0 && salt() > hill.peak,
    saltPercent: salt,
  };
}

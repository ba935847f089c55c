import type { Draws } from "./draws";

/** A salt curve nobody sees, and a batch on it. */
export interface TrueSaltCurve {
  readonly batchGrams: number;
  readonly hiddenSaltPercent: number;
  readonly target: number;
  /** Adds dry salt as the maker means it, g; a little more or less goes in. */
  add(grams: number): void;
  /** After a rest: what the funnel says. */
  read(): number;
  /** A jar of the batch with so much more salt, % w/w: what the funnel says of it. */
  jar(moreSaltPercent: number): number;
  trueViscosity(): number;
  isPastPeak(): boolean;
}

const READING_NOISE = 0.08;
const ADDITION_ERROR = 0.02;

interface Blend {
  readonly peak: number;
  readonly width: number;
  readonly baseline: number;
  readonly height: number;
  readonly hiddenSaltPercent: number;
  readonly target: number;
}

const logAt = ({ peak, width, baseline, height }: Blend, salt: number): number =>
  baseline + height * Math.exp(-(((salt - peak) / width) ** 2) / 2);

/**
 * A thin base that salt can make 5 to 200 times as thick, and a wash of 0.8 to 8 Pa s wanted of it, which its safe part
 * reaches: others are drawn again.
 */
function drawBlend(draws: Draws): Blend {
  for (;;) {
    const blend: Blend = {
      peak: draws.uniform(1.2, 3.5),
      width: draws.uniform(0.3, 1),
      baseline: Math.log10(draws.logUniform(0.02, 0.5)),
      height: Math.log10(draws.logUniform(5, 200)),
      hiddenSaltPercent: draws.uniform(0.2, 1.2),
      target: draws.logUniform(0.8, 8),
    };
    const wanted = Math.log10(blend.target);
    const isReachable = wanted <= logAt(blend, blend.peak - blend.width / 3);
    const isThinner = blend.hiddenSaltPercent < blend.peak && logAt(blend, blend.hiddenSaltPercent) < wanted - Math.log10(2);
    if (isReachable && isThinner) return blend;
  }
}

/** A batch of such a blend. */
export function trueSaltCurve(draws: Draws): TrueSaltCurve {
  const blend = drawBlend(draws);
  const { hiddenSaltPercent, target } = blend;
  const batchGrams = draws.uniform(300, 2000);
  let saltGrams = (batchGrams * hiddenSaltPercent) / 100;
  let mass = batchGrams;
  // Water that goes off while it stands and is stirred; the books still count it.
  const steamedOff = draws.uniform(0.01, 0.03) / 5;
  let built = 1;
  const slowness = draws.uniform(0, 0.05);
  const saltNow = (): number => (100 * saltGrams) / mass;
  return {
    batchGrams,
    hiddenSaltPercent,
    target,
    add(grams) {
      const real = grams * (1 + draws.normal(ADDITION_ERROR));
      saltGrams += real;
      mass = (mass + real) * (1 - steamedOff);
      // The structure is not all there after ten minutes.
      built = 1 - slowness;
    },
    read: () => 10 ** logAt(blend, saltNow()) * built * Math.exp(draws.normal(READING_NOISE)),
    jar: (moreSaltPercent) => 10 ** logAt(blend, saltNow() + moreSaltPercent) * Math.exp(draws.normal(READING_NOISE)),
    trueViscosity: () => 10 ** logAt(blend, saltNow()),
    isPastPeak: () => saltNow() > blend.peak,
  };
}

import { Refusal } from "../quantities/refusal.ts";

/** Bubbles as they are told, the finest first. */
export const bubbleSizes = ["creamy", "fine", "medium", "coarse"] as const;

export type BubbleSize = (typeof bubbleSizes)[number];

/** How lather is tried: in a cylinder, washing with it, off a foam pump, or the foam of a whipped product tapped into a jar. */
export const latherWays = ["shake", "hand", "loofah", "hair", "pump", "whipped"] as const;

export type LatherWay = (typeof latherWays)[number];

/** What is told of a wash, 1 to 5: what is better is more. */
export const latherFeels = ["slip", "rinse", "afterFeel", "scent"] as const;

export type LatherFeel = (typeof latherFeels)[number];

/** Foam in a lidded cylinder: 1 % solution, ten shakes, height of the foam in mm. */
export interface LatherTest {
  readonly atOnceMm: number;
  readonly afterOneMinuteMm: number;
  readonly afterFiveMinutesMm: number;
}

export interface Lather {
  /** Height at once, mm. */
  readonly flashMm: number;
  /** What stands after five minutes, 0 to 1; null without foam. */
  readonly retention: number | null;
  /** Until half of it has fallen, minutes; null without foam, or where it does not fall. */
  readonly halfLifeMinutes: number | null;
  readonly words: string;
}

/** Of the last height. */
const MINUTES = 5;
const HARDLY_ANY_MM = 10;
const STANDS = 0.8;
const FALLS = 0.4;

/**
 * Lather figures: flash h₀ and retention h₅ ⁄ h₀ (after Ross and Miles 1941, with a shaken cylinder). 60 mm at once and 45
 * mm after five minutes keep 0.75, and by a steady fall half of it is gone after 5 ln 2 ⁄ ln (60 ⁄ 45) = 12 minutes.
 * @throws Refusal for a height below 0 or foam that grows by itself.
 */
export function latherOf({ atOnceMm, afterOneMinuteMm, afterFiveMinutesMm }: LatherTest): Lather {
  if (!(afterFiveMinutesMm >= 0) || !(afterOneMinuteMm >= afterFiveMinutesMm) || !(atOnceMm >= afterOneMinuteMm)) {
    throw new Refusal("not-valid", "Foam only falls: the heights must not rise, and none is below 0.", "Read the three heights again.");
  }
  const halfLifeMinutes = halfLifeOf(atOnceMm, afterFiveMinutesMm);
  if (atOnceMm < HARDLY_ANY_MM)
    return { flashMm: atOnceMm, retention: atOnceMm > 0 ? afterFiveMinutesMm / atOnceMm : null, halfLifeMinutes, words: "hardly any foam" };
  const retention = afterFiveMinutesMm / atOnceMm;
  const stand = retention >= STANDS ? "it stands" : retention >= FALLS ? "it falls slowly" : "it falls soon";
  return { flashMm: atOnceMm, retention, halfLifeMinutes, words: `${Math.round(atOnceMm)} mm of foam at once, ${stand}` };
}

/** By a steady fall from the first to the last height; what is gone altogether fell within the five minutes. */
function halfLifeOf(first: number, last: number): number | null {
  if (first <= 0 || last >= first) return null;
  return last === 0 ? MINUTES / 2 : (MINUTES * Math.LN2) / Math.log(first / last);
}

/** Foam weighs less than what it is made of. */
export interface FoamWeight {
  /** g/mL */
  readonly density: number;
  /** Air it has taken up, % of the volume of its liquid. */
  readonly overrunPercent: number;
}

/**
 * What foam of a known mass fills: density m ⁄ V, overrun 100 (ρ V ⁄ m − 1). 100 g of a whipped batch of 1.02 g/mL that fill
 * 250 mL weigh 0.4 g/mL and have taken up 155 %.
 * @param density of its liquid, g/mL
 * @throws Refusal for none, and for foam that is heavier than its liquid
 */
export function foamOf(grams: number, millilitres: number, density: number): FoamWeight {
  if (!(grams > 0) || !(millilitres > 0)) {
    throw new Refusal("not-valid", "Foam has a mass and a volume above 0.", "Weigh what fills the jar to its mark.");
  }
  const own = grams / millilitres;
  if (own > density)
    throw new Refusal("not-valid", "That foam is heavier than its liquid.", "Weigh the jar empty first, and fill it again.");
  return { density: own, overrunPercent: 100 * (density / own - 1) };
}

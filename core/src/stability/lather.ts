import { Refusal } from "../quantities/refusal.ts";

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
  readonly words: string;
}

const HARDLY_ANY_MM = 10;
const STANDS = 0.8;
const FALLS = 0.4;

/**
 * Lather figures: flash h₀ and retention h₅ ⁄ h₀ (after Ross and Miles 1941, with a shaken cylinder). 60 mm at once and 45
 * mm after five minutes keep 0.75.
 * @throws Refusal for a height below 0 or foam that grows by itself.
 */
export function latherOf({ atOnceMm, afterOneMinuteMm, afterFiveMinutesMm }: LatherTest): Lather {
  if (!(afterFiveMinutesMm >= 0) || !(afterOneMinuteMm >= afterFiveMinutesMm) || !(atOnceMm >= afterOneMinuteMm)) {
    throw new Refusal("not-valid", "Foam only falls: the heights must not rise, and none is below 0.", "Read the three heights again.");
  }
  if (atOnceMm < HARDLY_ANY_MM)
    return { flashMm: atOnceMm, retention: atOnceMm > 0 ? afterFiveMinutesMm / atOnceMm : null, words: "hardly any foam" };
  const retention = afterFiveMinutesMm / atOnceMm;
  const stand = retention >= STANDS ? "it stands" : retention >= FALLS ? "it falls slowly" : "it falls soon";
  return { flashMm: atOnceMm, retention, words: `${Math.round(atOnceMm)} mm of foam at once, ${stand}` };
}

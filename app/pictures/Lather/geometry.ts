import { scaleLinear } from "d3-scale";

export const LATHER = { width: 300, height: 150, left: 4, top: 8, bottom: 8, jar: 40, step: 98 } as const;

/** What stands in the cylinder under the foam, mm. */
const LIQUID_MM = 20;
/** So much room stays over the foam. */
const AIR_MM = 20;
const LEAST_MM = 80;

export interface LatherHeights {
  readonly atOnceMm: number;
  readonly afterOneMinuteMm: number;
  readonly afterFiveMinutesMm: number;
}

/** Three cylinders side by side: the liquid below, the foam on it as high as it stood, to one scale. */
export function latherGeometry({ atOnceMm, afterOneMinuteMm, afterFiveMinutesMm }: LatherHeights) {
  const { height, left, top, bottom, jar, step } = LATHER;
  const most = Math.max(LEAST_MM, LIQUID_MM + atOnceMm + AIR_MM);
  const y = scaleLinear([0, most], [height - bottom, top]);
  return [atOnceMm, afterOneMinuteMm, afterFiveMinutesMm].map((foamMm, at) => ({
    x: left + at * step,
    width: jar,
    top: y(most),
    foam: y(LIQUID_MM + foamMm),
    liquid: y(LIQUID_MM),
    bottom: y(0),
    foamMm,
  }));
}

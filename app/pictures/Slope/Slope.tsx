import { SLOPE, slopeGeometry, type SlopeAsk } from "./geometry";
import classes from "./Slope.module.css";

/** The way from one value to the next; the values stand beside it. */
export function Slope(ask: SlopeAsk) {
  const { line, head, isLevel } = slopeGeometry(ask);
  const { width, height } = SLOPE;
  return (
    <svg
      className={classes.slope}
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      data-level={isLevel || undefined}
      aria-hidden
    >
      <path d={line} />
      {!isLevel && <path d={head} />}
    </svg>
  );
}

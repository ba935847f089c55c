import { writtenShort } from "@tensidrum/core/quantities";
import { STRIP, stripGeometry, type StripData } from "./geometry";
import classes from "./Strip.module.css";

interface StripProps extends StripData {
  /** The whole picture in a sentence. */
  readonly label: string;
}

/** A range on a scale, with a frame and dots. */
export function Strip({ label, ...data }: StripProps) {
  const { range, frame, dots, ticks } = stripGeometry(data);
  const { width, top, height } = STRIP;
  return (
    <svg className={classes.strip} viewBox={`-8 0 ${width + 16} ${top + height + 22}`} role="img" aria-label={label}>
      <rect className={classes.ground} x={0} y={top} width={width} height={height} />
      {range !== null && <rect className={classes.range} x={range.x} y={top} width={range.width} height={height} />}
      {frame !== null && <rect className={classes.frame} x={frame.x} y={top - 4} width={frame.width} height={height + 8} />}
      {dots.map((x, at) => (
        <circle key={at} className={classes.dot} cx={x} cy={top + height / 2} r={5} />
      ))}
      {ticks.map(({ x, value }) => (
        <text key={value} className={classes.tick} x={x} y={top + height + 17} textAnchor="middle">
          {writtenShort(value, 2)}
        </text>
      ))}
    </svg>
  );
}

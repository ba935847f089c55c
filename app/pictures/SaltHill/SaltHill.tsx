import { written } from "@tensidrum/core/quantities";
import { SALT_HILL, saltHillGeometry, type SaltHillAsk } from "./geometry";
import { Axes } from "../Stair/Axes";
import classes from "../Stair/Stair.module.css";

interface SaltHillProps extends SaltHillAsk {
  readonly unit: string;
}

/** The way of a batch up its salt hill: whole salt to the right, thickness by decades, what is wanted as a line. */
export function SaltHill({ unit, ...ask }: SaltHillProps) {
  const { points, path, targetY, expected, xTicks, yTicks } = saltHillGeometry(ask);
  const { width, height, left, right } = SALT_HILL;
  const last = ask.readings.at(-1);
  const told =
    last === undefined
      ? "Nothing read yet."
      : `${points.length} readings, the last ${written(last.viscosity, 2)} ${unit} at ${written(last.saltPercent, 2)} % salt.`;
  const hoped =
    ask.expected === null
      ? ""
      : ` Expected after the next addition: ${written(ask.expected.viscosity, 2)}, most likely ${written(ask.expected.low, 2)} to ${written(ask.expected.high, 2)}.`;
  return (
    <svg
      className={classes.stair}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${told} Wanted are ${written(ask.target, 2)} ${unit}.${hoped}`}
    >
      <Axes frame={SALT_HILL} xTicks={xTicks} yTicks={yTicks} name="whole salt, %, hidden included" />
      <line className={classes.hoped} x1={left} x2={width - right} y1={targetY} y2={targetY} />
      <text className={classes.bandName} x={left + 8} y={targetY - 6}>
        wanted {written(ask.target, 2)} {unit}
      </text>
      <path className={classes.steps} d={path} />
      {expected !== null && (
        <g>
          <line className={classes.range} x1={expected.x} x2={expected.x} y1={expected.high} y2={expected.low} />
          <circle className={classes.ring} cx={expected.x} cy={expected.y} r={6} />
        </g>
      )}
      {points.map(({ x, y, viscosity }, at) => (
        <g key={at}>
          <circle className={classes.dot} cx={x} cy={y} r={4.5} />
          <text className={classes.reading} x={x + 8} y={y + 18}>
            {written(viscosity, 2)}
          </text>
        </g>
      ))}
    </svg>
  );
}

import { written } from "@tensidrum/core/quantities";
import { useFrame } from "../frame";
import { NARROW_STAIR, STAIR, stairGeometry, type StairAsk } from "./geometry";
import { Axes } from "./Axes";
import classes from "./Stair.module.css";

interface StairProps extends StairAsk {
  readonly agent: string;
}

/** A titration as a stair: each tread a dose, each drop the reading after it; the corridor as a band, what is expected dashed. */
export function Stair({ agent, ...ask }: StairProps) {
  const frame = useFrame({ wide: STAIR, narrow: NARROW_STAIR });
  const { path, points, curve, truth, band, expected, xTicks, yTicks } = stairGeometry(ask, frame);
  const { width, height, left, right } = frame;
  const last = ask.readings.at(-1);
  const told =
    last === undefined
      ? "Nothing read yet."
      : `${points.length} readings, the last pH ${written(last.ph, 2)} after ${written(last.grams, 2)} g of ${agent}.`;
  const hoped =
    ask.expected === null
      ? ""
      : ` Expected after the next dose: ${written(ask.expected.ph, 2)}, most likely ${written(ask.expected.low, 2)} to ${written(ask.expected.high, 2)}.`;
  return (
    <svg
      className={classes.stair}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${told} It belongs between ${ask.band.low} and ${ask.band.high}.${hoped}${truth === "" ? "" : " The true curve is drawn under the readings."}`}
    >
      <rect className={classes.band} x={left} y={band.top} width={width - left - right} height={Math.max(1, band.bottom - band.top)} />
      <text
        className={classes.bandName}
        {...(truth === "" ? { x: left + 8 } : { x: width - right - 8, textAnchor: "end" })}
        y={band.top + 15}
      >
        corridor {ask.band.low} to {ask.band.high}
      </text>
      <Axes frame={frame} xTicks={xTicks} yTicks={yTicks} name={`grams of ${agent}, running total`} />
      {curve !== "" && <path className={classes.curve} d={curve} />}
      {truth !== "" && <path className={classes.truth} d={truth} />}
      <path className={classes.steps} d={path} />
      {expected !== null && (
        <g>
          <path className={classes.hoped} d={expected.path} />
          <line className={classes.range} x1={expected.x} x2={expected.x} y1={expected.high} y2={expected.low} />
          <circle className={classes.ring} cx={expected.x} cy={expected.y} r={6} />
        </g>
      )}
      {points.map(({ x, y, ph }, at) => (
        <g key={at}>
          <circle className={classes.dot} cx={x} cy={y} r={4.5} />
          <text className={classes.reading} x={x + 8} y={y - 8}>
            {written(ph, 2)}
          </text>
        </g>
      ))}
    </svg>
  );
}

import { written } from "@tensidrum/core/quantities";
import { useId } from "react";
import { useFrame } from "../frame";
import { Axes } from "../Stair/Axes";
import stair from "../Stair/Stair.module.css";
import { NARROW_SALT_CURVE, SALT_CURVE, saltCurveGeometry, type SaltCurveAsk } from "./geometry";
import classes from "./SaltCurve.module.css";

interface SaltCurveProps extends SaltCurveAsk {
  readonly unit: string;
}

/** Room the name of the peak needs beside it. */
const CLIFF_NAME = 160;

/** Whole salt to the right, thickness by decades: jars as rings, the batch as a stair, the safe part, and the peak. */
export function SaltCurvePicture({ unit, ...ask }: SaltCurveProps) {
  const frame = useFrame({ wide: SALT_CURVE, narrow: NARROW_SALT_CURVE });
  const { points, saltSamples, path, targetY, expected, saltCurve, xTicks, yTicks } = saltCurveGeometry(ask, frame);
  const { width, height, left, right, top, bottom } = frame;
  const hatch = useId();
  return (
    <svg className={stair.stair} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={told(unit, ask)}>
      {saltCurve !== null && (
        <>
          <defs>
            <pattern id={hatch} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <line className={classes.hatch} x1="0" y1="0" x2="0" y2="7" />
            </pattern>
          </defs>
          <path className={classes.safe} d={saltCurve.safe} />
          <path d={saltCurve.beyond} fill={`url(#${hatch})`} />
          <path className={classes.band} d={saltCurve.band} />
        </>
      )}
      <Axes frame={frame} xTicks={xTicks} yTicks={yTicks} name="total salt, %, with salt from materials" />
      {saltCurve !== null && (
        <>
          <path className={classes.curve} d={saltCurve.curve} />
          <line className={classes.pastPeak} x1={saltCurve.peakX} x2={saltCurve.peakX} y1={top} y2={height - bottom} />
          <text
            className={classes.peakName}
            {...(width - saltCurve.peakX < CLIFF_NAME
              ? { x: saltCurve.peakX - 6, y: top + 8, textAnchor: "end" }
              : { x: saltCurve.peakX + 6, y: height - bottom - 8 })}
          >
            no further than {written(ask.saltCurve?.safeMaxPercent ?? 0, 2)} %
          </text>
        </>
      )}
      <line className={stair.hoped} x1={left} x2={width - right} y1={targetY} y2={targetY} />
      <text className={stair.bandName} x={left + 8} y={targetY - 6}>
        wanted {written(ask.target, 2)} {unit}
      </text>
      {saltSamples.map(({ x, y }, at) => (
        <circle key={at} className={classes.saltSample} cx={x} cy={y} r={4.5} />
      ))}
      <path className={stair.steps} d={path} />
      {expected !== null && (
        <g>
          <line className={stair.range} x1={expected.x} x2={expected.x} y1={expected.high} y2={expected.low} />
          <circle className={stair.ring} cx={expected.x} cy={expected.y} r={6} />
        </g>
      )}
      {points.map(({ x, y, viscosity }, at) => (
        <g key={at}>
          <circle className={stair.dot} cx={x} cy={y} r={4.5} />
          <text className={stair.reading} x={x + 8} y={y + 18}>
            {written(viscosity, 2)}
          </text>
        </g>
      ))}
    </svg>
  );
}

function told(unit: string, { readings, saltSamples = [], saltCurve = null, target, expected }: SaltCurveAsk): string {
  const last = readings.at(-1);
  const sentences = [
    last === undefined
      ? "Nothing read in this batch yet."
      : `${readings.length} readings, the last ${written(last.viscosity, 2)} ${unit} at ${written(last.saltPercent, 2)} % salt.`,
    `Wanted are ${written(target, 2)} ${unit}.`,
    saltSamples.length === 0 ? "" : `${saltSamples.length} samples of the same base.`,
    saltCurve === null
      ? ""
      : `The curve peaks at ${written(saltCurve.peakSaltPercent, 2)} %, ${written(saltCurve.peakViscosity, 2)} ${unit}; stay below ${written(saltCurve.safeMaxPercent, 2)} %.`,
    expected === null
      ? ""
      : `Expected after the next addition: ${written(expected.viscosity, 2)}, most likely ${written(expected.low, 2)} to ${written(expected.high, 2)}.`,
  ];
  return sentences.filter((one) => one !== "").join(" ");
}

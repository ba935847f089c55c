import type { PictureFrame } from "../frame";
import classes from "./Stair.module.css";

interface AxesProps {
  readonly frame: PictureFrame;
  readonly xTicks: readonly { readonly value: number; readonly x: number }[];
  readonly yTicks: readonly { readonly value: number; readonly y: number }[];
  /** What runs to the right. */
  readonly name: string;
}

/** The rules and numbers of a picture of readings. */
export function Axes({ frame: { width, height, left, right, bottom }, xTicks, yTicks, name }: AxesProps) {
  return (
    <>
      {yTicks.map(({ value, y }) => (
        <g key={value}>
          <line className={classes.rule} x1={left} x2={width - right} y1={y} y2={y} />
          <text className={classes.tick} x={left - 8} y={y + 4} textAnchor="end">
            {value}
          </text>
        </g>
      ))}
      {xTicks.map(({ value, x }) => (
        <text key={value} className={classes.tick} x={x} y={height - bottom + 16} textAnchor="middle">
          {value}
        </text>
      ))}
      <text className={classes.tick} x={width - right} y={height - 3} textAnchor="end">
        {name}
      </text>
    </>
  );
}

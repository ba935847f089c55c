import { written } from "@tensidrum/core/quantities";
import { useId } from "react";
import { FILL_BAR, fillBarGeometry } from "./geometry";
import classes from "./FillBar.module.css";

interface FillBarProps {
  readonly grams: number;
  readonly target: number;
  readonly low: number;
  readonly high: number;
  readonly decimals: number;
}

/** How far a weight has come: what is in, the window it may end in, and where it is too much. It follows without delay. */
export function FillBar({ grams, target, low, high, decimals }: FillBarProps) {
  const hatch = useId();
  const { filled, isOver, window, target: at, ticks } = fillBarGeometry(grams, { target, low, high });
  const { width, height } = FILL_BAR;
  const state = grams > high ? "over" : grams >= low ? "inside" : "under";
  const words = { over: "too much", inside: "within tolerance", under: "not enough yet" }[state];
  return (
    <svg
      className={classes.bar}
      viewBox={`0 0 ${width} ${height + 30}`}
      role="img"
      aria-label={`${written(grams, decimals)} of ${written(target, decimals)} g, ${words}; right from ${written(low, decimals)} to ${written(high, decimals)} g`}
    >
      <defs>
        <pattern id={hatch} width="8" height="8" patternTransform="rotate(45)" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" className={classes.tooMuch} />
          <line x1="0" y1="0" x2="0" y2="8" className={classes.hatch} />
        </pattern>
      </defs>
      <rect className={classes.ground} x={0} y={0} width={width} height={height} />
      <rect fill={`url(#${hatch})`} x={window.to} y={0} width={width - window.to} height={height} />
      <rect className={classes.filled} data-state={state} x={0} y={0} width={filled} height={height} />
      <rect className={classes.window} x={window.from} y={0} width={Math.max(2, window.to - window.from)} height={height} />
      <line className={classes.target} x1={at} x2={at} y1={-4} y2={height + 8} />
      {filled > 0 && <line className={classes.level} x1={filled} x2={filled} y1={0} y2={height} />}
      {ticks.map(({ grams: tick, x }) => (
        <text key={tick} className={classes.tick} x={x} y={height + 20} textAnchor={x === 0 ? "start" : "middle"}>
          {tick}
        </text>
      ))}
      <text className={classes.goal} x={at} y={height + 24} textAnchor="middle">
        {written(target, decimals)}
      </text>
      {(isOver || state === "over") && (
        <text className={classes.over} x={width} y={height + 24} textAnchor="end">
          too much
        </text>
      )}
    </svg>
  );
}

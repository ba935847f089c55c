import type { FrontierBlend } from "./legendWords";
import classes from "./Frontier.module.css";

interface DropProps {
  readonly x: number;
  readonly y: number;
  readonly r: number;
  readonly blend: FrontierBlend;
  readonly isChosen: boolean;
  readonly isHeld: boolean;
}

/** One blend: full where salt thickens it, dashed where it is hazy, with a bar where it is cloudy. */
export function Drop({ x, y, r, blend: { isFull, clarity }, isChosen, isHeld }: DropProps) {
  return (
    <g>
      <circle className={classes.drop} data-full={isFull || undefined} data-clarity={clarity} cx={x} cy={y} r={r} />
      {clarity === "cloudy" && <line className={classes.bar} x1={x - r - 3} x2={x + r + 3} y1={y} y2={y} />}
      {isHeld && <circle className={classes.held} cx={x} cy={y} r={r + 4} />}
      {isChosen && <circle className={classes.chosen} cx={x} cy={y} r={r + 4} />}
    </g>
  );
}

import type { BubbleSize } from "@tensidrum/core/stability";
import classes from "./Bubbles.module.css";
import { bubbleGeometry, BUBBLES } from "./geometry";

/** How bubbles of a size look; its name stands beside it. */
export function Bubbles({ size }: { readonly size: BubbleSize }) {
  return (
    <svg
      className={classes.bubbles}
      viewBox={`0 0 ${BUBBLES.width} ${BUBBLES.height}`}
      width={BUBBLES.width}
      height={BUBBLES.height}
      aria-hidden
    >
      {bubbleGeometry(size).map(({ x, y, r }, at) => (
        <circle key={at} cx={x} cy={y} r={r} />
      ))}
    </svg>
  );
}

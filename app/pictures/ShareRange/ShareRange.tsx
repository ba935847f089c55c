import { writtenShort } from "@tensidrum/core/quantities";
import { useRef, type PointerEvent } from "react";
import { shareAt, shareRangeGeometry, shareTicks, SHARE_RANGE, type ShareRangeAsk } from "./geometry";
import classes from "./ShareRange.module.css";

interface ShareRangeProps extends ShareRangeAsk {
  readonly name: string;
  readonly isPinned: boolean;
  /** Where the dot was pulled to, % w/w. */
  readonly onPin: (percent: number) => void;
}

const { width, height } = SHARE_RANGE;

/** A share between its least and its most; its dot can be pulled to where one knows it is. */
export function ShareRange({ name, isPinned, onPin, ...ask }: ShareRangeProps) {
  const { from, width: wide, typical } = shareRangeGeometry(ask);
  const picture = useRef<SVGSVGElement>(null);
  const placeOf = (event: PointerEvent): number => {
    const frame = picture.current?.getBoundingClientRect();
    return frame === undefined ? typical : ((event.clientX - frame.left) / frame.width) * width;
  };
  return (
    <svg
      ref={picture}
      className={classes.range}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${name}: ${writtenShort(ask.min, 3)} to ${writtenShort(ask.max, 3)} %, typically ${writtenShort(ask.typical, 3)} %${isPinned ? ", pinned" : ""}`}
    >
      {shareTicks.map(({ value, x }) => (
        <line key={value} className={classes.rule} data-one={value === 1 || undefined} x1={x} x2={x} y1="0" y2={height} />
      ))}
      <rect className={classes.bar} x={from} y={height / 2 - 5} width={wide} height="10" />
      <circle
        className={classes.dot}
        data-pinned={isPinned || undefined}
        cx={typical}
        cy={height / 2}
        r="6"
        onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
        onPointerMove={(event) => {
          if (event.currentTarget.hasPointerCapture(event.pointerId)) onPin(shareAt(placeOf(event)));
        }}
      />
    </svg>
  );
}

/** Powers of ten over the pictures of a column. */
export function ShareTicks() {
  return (
    <svg className={classes.range} viewBox={`0 0 ${width} 16`} aria-hidden>
      {shareTicks.map(({ value, x }) => (
        <text key={value} className={classes.tick} x={x} y="12" textAnchor={value === 100 ? "end" : value < 0.01 ? "start" : "middle"}>
          {value}
          {value === 100 && " %"}
        </text>
      ))}
    </svg>
  );
}

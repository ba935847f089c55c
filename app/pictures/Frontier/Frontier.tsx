import { type KeyboardEvent, type PointerEvent, useId, useMemo, useRef, useState } from "react";
import { PictureDownload } from "../../components/PictureDownload";
import { FRONTIER, frontierGeometry, nearestDrop, type FrontierDrop, type FrontierMark } from "./geometry";
import classes from "./Frontier.module.css";

export interface FrontierBlend extends FrontierDrop {
  /** What a reader is told of it. */
  readonly words: string;
  /** It answers to salt: its drop is full. */
  readonly isFull: boolean;
  /** A name it has, as "mildest". */
  readonly name: string;
}

interface FrontierProps {
  readonly blends: readonly FrontierBlend[];
  readonly marks: readonly FrontierMark[];
  readonly alongWords: string;
  readonly isMoreBetter: boolean;
  readonly chosen: number;
  /** The one it is compared with; null for none. */
  readonly held: number | null;
  readonly onChoose: (at: number) => void;
}

/** The blends no other is better than, as drops along an edge; arrow keys walk it, a finger takes the nearest. */
export function Frontier({ blends, marks, alongWords, isMoreBetter, chosen, held, onChoose }: FrontierProps) {
  const geometry = useMemo(() => frontierGeometry({ drops: blends, marks, isMoreBetter }), [blends, marks, isMoreBetter]);
  const picture = useRef<SVGSVGElement>(null);
  const hatch = useId();
  const [under, setUnder] = useState<number | null>(null);
  if (geometry === null) return null;
  const { width, height, left, right, top, bottom } = FRONTIER;
  const walk = (event: KeyboardEvent): void => {
    const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1, Home: -blends.length, End: blends.length }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    onChoose(Math.min(blends.length - 1, Math.max(0, chosen + step)));
  };
  const take = (event: PointerEvent): void => {
    const matrix = picture.current?.getScreenCTM();
    if (matrix == null) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    const nearest = nearestDrop(geometry, { x, y });
    setUnder(nearest);
    if (event.type === "pointerdown" || event.buttons !== 0) onChoose(nearest);
  };
  return (
    <figure className={classes.figure}>
      <svg
        ref={picture}
        className={classes.frontier}
        viewBox={`0 0 ${width} ${height}`}
        role="slider"
        tabIndex={0}
        aria-label="Blends that no other is better than. Arrow keys walk along them."
        aria-valuemin={1}
        aria-valuemax={blends.length}
        aria-valuenow={chosen + 1}
        aria-valuetext={blends[chosen]?.words}
        onKeyDown={walk}
        onPointerDown={take}
        onPointerMove={take}
        onPointerLeave={() => setUnder(null)}
      >
        <defs>
          <pattern id={hatch} width={8} height={8} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line className={classes.hatch} x1={0} x2={0} y1={0} y2={8} />
          </pattern>
        </defs>
        <path d={geometry.unreached} fill={`url(#${hatch})`} />
        <text className={classes.unreached} x={left + 10} y={height - bottom - 12}>
          no blend lies here
        </text>
        {geometry.irritationTicks.map(({ value, at }) => (
          <g key={value}>
            <line className={classes.grid} x1={left} x2={width - right} y1={at} y2={at} />
            <text className={classes.tick} x={left - 8} y={at + 4} textAnchor="end">
              {value}
            </text>
          </g>
        ))}
        {geometry.alongTicks.map(({ value, at }) => (
          <text key={value} className={classes.tick} x={at} y={height - bottom + 20} textAnchor="middle">
            {value}
          </text>
        ))}
        <text className={classes.axis} x={width - right} y={height - 8} textAnchor="end">
          {alongWords}
        </text>
        <text className={classes.axis} x={left} y={top - 10}>
          irritation, an estimate
        </text>
        <path className={classes.edge} d={geometry.edge} />
        {geometry.drops.map(({ x, y, r }, at) => {
          const { isFull, name } = blends[at]!;
          return (
            <g key={at}>
              <circle className={classes.drop} data-full={isFull || undefined} cx={x} cy={y} r={r} />
              {at === held && <circle className={classes.held} cx={x} cy={y} r={r + 4} />}
              {at === chosen && <circle className={classes.chosen} cx={x} cy={y} r={r + 4} />}
              {name !== "" && (
                <text className={classes.name} x={x + r + 7} y={y - r - 3}>
                  {name}
                </text>
              )}
            </g>
          );
        })}
        {geometry.marks.map(({ label, x, y }) => (
          <g key={label}>
            <path className={classes.mark} d={`M${x - 6} ${y}L${x} ${y - 6}L${x + 6} ${y}L${x} ${y + 6}Z`} />
            <text className={classes.markName} x={x + 9} y={y + 4}>
              {label}
            </text>
          </g>
        ))}
      </svg>
      <figcaption className={classes.caption}>
        {(under === null ? undefined : blends[under]?.words) ?? "Larger drops foam more; full ones thicken with salt."}{" "}
        <PictureDownload name="blends" picture={picture} />
      </figcaption>
    </figure>
  );
}

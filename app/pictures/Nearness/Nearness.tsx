import { useRef } from "react";
import { PictureDownload } from "../../components/PictureDownload";
import { NEARNESS, nearnessGeometry, type NearnessRow } from "./geometry";
import classes from "./Nearness.module.css";

interface NearnessProps {
  readonly rows: readonly NearnessRow[];
  /** Rounds by their names, the last one stands out. */
  readonly rounds: readonly string[];
  readonly wanted: string;
}

/** How near the rounds come to the one to come close to, reading by reading. */
export function Nearness({ rows, rounds, wanted }: NearnessProps) {
  const { height, middle, band, rows: drawn } = nearnessGeometry(rows);
  const picture = useRef<SVGSVGElement>(null);
  const { width, top, bottom } = NEARNESS;
  const last = rounds.at(-1) ?? "";
  const told = rows.flatMap(({ what, offs }) => {
    const off = offs.at(-1);
    return off == null ? [] : [`${what} ${Math.abs(off) <= 1 ? "near" : off > 0 ? "more" : "less"}`];
  });
  return (
    <>
      <svg
        ref={picture}
        className={classes.nearness}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${last} beside ${wanted}: ${told.join(", ")}.`}
      >
        <rect className={classes.band} x={band.from} y={top - 6} width={band.width} height={height - top - bottom + 8} />
        <line className={classes.wanted} x1={middle} x2={middle} y1={top - 8} y2={height - bottom + 4} />
        <text className={classes.name} x={middle} y={12} textAnchor="middle">
          {wanted.length > 28 ? `${wanted.slice(0, 27)}…` : wanted}
        </text>
        {drawn.map(({ what, y, dots, from, to }) => (
          <g key={what}>
            <text className={classes.what} x={0} y={y + 4}>
              {what}
            </text>
            {dots.length > 1 && <line className={classes.way} x1={from} x2={to} y1={y} y2={y} />}
            {dots.map(({ x, round, isLast }) => (
              <circle key={round} className={classes.dot} data-last={isLast || undefined} cx={x} cy={y} r={isLast ? 6 : 4} />
            ))}
          </g>
        ))}
        <text className={classes.what} x={band.from - 8} y={height - 4} textAnchor="end">
          less
        </text>
        <text className={classes.what} x={band.from + band.width + 8} y={height - 4}>
          more
        </text>
      </svg>
      <PictureDownload name="how-near" picture={picture} />
    </>
  );
}

import type { CostLayer } from "@tensidrum/core/packaging";
import classes from "./CostLayers.module.css";
import { BOTTLE, costLayersGeometry } from "./geometry";

interface CostLayersProps {
  readonly layers: readonly CostLayer[];
  readonly money: (value: number) => string;
  /** The whole picture in a sentence. */
  readonly label: string;
}

const EDGE = 2;

/** One container in layers, each as high as what it costs. */
export function CostLayers({ layers, money, label }: CostLayersProps) {
  const { left, width, neck, neckHeight, height, labelX } = BOTTLE;
  const middle = left + width / 2;
  return (
    <svg
      className={classes.layers}
      viewBox={`0 ${-neckHeight - EDGE} 380 ${height + neckHeight + 2 * EDGE + 8}`}
      role="img"
      aria-label={label}
    >
      <rect className={classes.glass} x={middle - neck / 2} y={-neckHeight} width={neck} height={neckHeight} />
      {costLayersGeometry(layers).map(({ name, kind, cost, y, height: high, wordsY }, at) => (
        <g key={`${kind} ${name}`}>
          <rect className={classes.layer} data-kind={kind} data-shade={at % 3} x={left} y={y} width={width} height={high} />
          <path className={classes.leader} d={`M${left + width} ${y + high / 2}L${labelX - 4} ${wordsY}`} />
          <text className={classes.words} x={labelX} y={wordsY + 4}>
            <tspan className={classes.cost}>{money(cost)}</tspan> {shortened(name)}
          </text>
        </g>
      ))}
      <rect className={classes.glass} x={left} y={0} width={width} height={height} rx={6} />
    </svg>
  );
}

/** Letters that have room beside the bottle; the table beside has the whole name. */
const MOST_LETTERS = 32;

function shortened(name: string): string {
  return name.length <= MOST_LETTERS ? name : `${name.slice(0, MOST_LETTERS - 1).trimEnd()}…`;
}

import { written } from "@tensidrum/core/quantities";
import classes from "./Bottles.module.css";
import { bottleRow } from "./geometry";

interface BottlesProps {
  readonly name: string;
  readonly type: string;
  /** Net content of each, g. */
  readonly planned: number;
  readonly count: number;
  readonly filled: readonly { readonly number: number; readonly grams: number; readonly verdict: "lacks" | "within" | "even" | "over" }[];
  readonly current: number;
}

const verdictWords = { lacks: "too little", within: "a little less", even: "", over: "more" } as const;

/** The containers of one kind side by side: filled ones with their net mass, the one being filled, and those to come. */
export function Bottles(props: BottlesProps) {
  const { name, filled, planned, current } = props;
  const { width, height, places, hidden } = bottleRow(props);
  const of = new Map(filled.map((one) => [one.number, one]));
  return (
    <figure className={classes.bottles}>
      <svg
        viewBox={`0 0 ${width} ${height + 36}`}
        role="img"
        aria-label={`${name}: ${filled.length} filled, number ${current} is next. ${filled.map(({ number, grams }) => `${number}: ${written(grams, 1)} g`).join(", ")}`}
      >
        {places.map(({ number, x, outline, fillY, fillHeight, state }) => (
          <g key={number} transform={`translate(${x} 0)`} data-state={state}>
            <clipPath id={`bottle-${number}`}>
              <path d={outline} />
            </clipPath>
            <rect x={0} y={fillY} width={46} height={fillHeight} className={classes.content} clipPath={`url(#bottle-${number})`} />
            <path d={outline} className={classes.glass} />
            <text x={23} y={height + 14} className={classes.grams}>
              {written(of.get(number)?.grams ?? planned, 1)}
            </text>
            <text x={23} y={height + 30} className={classes.number}>
              {state === "current" ? `filling ${number}` : `${number} ${verdictWords[of.get(number)?.verdict ?? "even"]}`}
            </text>
          </g>
        ))}
      </svg>
      {(hidden.before > 0 || hidden.behind > 0) && (
        <figcaption>
          {hidden.before > 0 && `${hidden.before} before these. `}
          {hidden.behind > 0 && `${hidden.behind} behind them.`}
        </figcaption>
      )}
    </figure>
  );
}

import { memo } from "react";
import { Link, useRouteLoaderData } from "react-router";
import { BENCH, type Peg } from "./pegs";
import classes from "./WashLine.module.css";

/** The cord with its six pegs: where the formula is, and the way to the other stations. */
export const WashLine = memo(function WashLine({ pegs }: { readonly pegs: readonly Peg[] }) {
  const bench = useRouteLoaderData<{ readonly bench: string | null }>("root")?.bench;
  return (
    <nav className={`${classes.line} not-printed`} aria-label="Stations of a formula">
      <ol className={classes.pegs}>
        {pegs.map((peg, index) => (
          <li key={peg.station} className={classes.station} data-here={peg.isHere || undefined}>
            <Cord isReached={peg.isReached && (pegs[index + 1]?.isReached ?? false)} />
            <span className={classes.peg} data-reached={peg.isReached || undefined} aria-hidden="true" />
            <PegName peg={peg} />
            <span className={classes.state} data-alarm={peg.isAlarm || undefined}>
              {peg.state === BENCH.state ? (bench ?? peg.state) : peg.state}
            </span>
          </li>
        ))}
      </ol>
    </nav>
  );
});

function PegName({ peg }: { readonly peg: Peg }) {
  if (peg.to === null) return <span className={classes.closed}>{peg.name}</span>;
  return (
    <Link to={peg.to} className={classes.name} aria-current={peg.isHere ? "step" : undefined}>
      {peg.name}
    </Link>
  );
}

function Cord({ isReached }: { readonly isReached: boolean }) {
  return (
    <svg className={classes.cord} viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true">
      <path
        d="M0 2Q50 10 100 2"
        fill="none"
        stroke={isReached ? "var(--water)" : "var(--hair)"}
        strokeWidth={isReached ? 2 : 1.4}
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

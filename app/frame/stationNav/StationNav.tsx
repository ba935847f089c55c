import { memo, useLayoutEffect, useRef } from "react";
import { Link, useRouteLoaderData } from "react-router";
import { BENCH, type Station } from "./stations";
import classes from "./StationNav.module.css";

/** The cord hangs over the end of its station by less than this, px; what is wider does not fit. */
const OVERHANG = 20;

/** The stations a formula passes: where it is, and the way to the others. */
export const StationNav = memo(function StationNav({ stations }: { readonly stations: readonly Station[] }) {
  const line = useRef<HTMLElement>(null);
  const here = stations.findIndex(({ isHere }) => isHere);
  // A phone shows four of them: where one is must be among these.
  useLayoutEffect(() => {
    const station = line.current?.querySelector<HTMLElement>("[data-here]");
    if (line.current === null || station == null || line.current.scrollWidth < line.current.clientWidth + OVERHANG) return;
    line.current.scrollLeft = station.offsetLeft + station.offsetWidth / 2 - line.current.clientWidth / 2;
  }, [here]);
  const bench = useRouteLoaderData<{ readonly bench: string | null }>("root")?.bench;
  return (
    <nav ref={line} className={`${classes.line} not-printed`} aria-label="Stations of a formula">
      <ol className={classes.stations}>
        {stations.map((station, index) => (
          <li key={station.station} className={classes.station} data-here={station.isHere || undefined}>
            <Cord isReached={station.isReached && (stations[index + 1]?.isReached ?? false)} />
            <span className={classes.clip} data-reached={station.isReached || undefined} aria-hidden="true" />
            <StationName station={station} />
            <span className={classes.state} data-alarm={station.isAlarm || undefined}>
              {station.state === BENCH.state ? (bench ?? station.state) : station.state}
            </span>
          </li>
        ))}
      </ol>
    </nav>
  );
});

function StationName({ station }: { readonly station: Station }) {
  if (station.to === null) return <span className={classes.closed}>{station.name}</span>;
  return (
    <Link to={station.to} className={classes.name} aria-current={station.isHere ? "step" : undefined}>
      {station.name}
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

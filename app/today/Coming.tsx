import { Link } from "react-router";
import { ComingDays } from "../pictures/ComingDays/ComingDays";
import type { TodayBoard } from "./today.server";
import classes from "./Today.module.css";

/** The coming days of each formula and of the shelf: as lines, on a phone as a list. */
export function Coming({ board: { coming, now, offset, clock, days, months } }: { readonly board: TodayBoard }) {
  return (
    <section className={classes.coming} aria-labelledby="coming-head">
      <header className={classes.comingHead}>
        <h2 id="coming-head">The coming days</h2>
        <Link to="/days">A week to print, a month</Link>
      </header>
      <div className={classes.comingRows}>
        <ol className={classes.comingNames}>
          {coming.map(({ key, name, to, state, isAlarm, figure }) => (
            <li key={key}>
              <span>
                <Link to={to}>{name}</Link>
                <small data-alarm={isAlarm || undefined}>{state}</small>
              </span>
              {figure !== null && (
                <span className={classes.figure}>
                  {figure.value}
                  <small>{figure.unit}</small>
                </span>
              )}
            </li>
          ))}
        </ol>
        <ComingDays rows={coming} now={now} clock={clock} offset={offset} days={days} months={months} />
      </div>
      <ol className={classes.comingList}>
        {coming
          .flatMap(({ name, events }) => events.map((event) => ({ ...event, name })))
          .sort((a, b) => a.at - b.at)
          .slice(0, 12)
          .map(({ key, name, day, words, detail, to, isLate }) => (
            <li key={key} data-late={isLate || undefined}>
              <small>{isLate ? `was due ${day}` : day}</small>
              <Link to={to}>{`${name}: ${words}`}</Link>
              <small>{detail}</small>
            </li>
          ))}
      </ol>
    </section>
  );
}

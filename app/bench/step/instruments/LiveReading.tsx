import type { InstrumentState } from "../../../frame/instruments/instrument";
import classes from "./Instruments.module.css";

interface LiveReadingProps {
  readonly state: InstrumentState;
  readonly name: string;
  readonly decimals: number;
  /** What stands beside the number. */
  readonly beside: string;
}

/** What an instrument shows while it is read, large, and whether it stands. */
export function LiveReading({ state: { link, shows, temperatureC }, name, decimals, beside }: LiveReadingProps) {
  const reading = shows?.kind === "reading" ? shows : null;
  const isMoving = reading?.isStable === false;
  return (
    <span className={classes.live}>
      <output aria-label={`${name}, the ${link?.name ?? ""} shows`} data-stable={isMoving ? "no" : "yes"} aria-live="off">
        {reading === null ? (shows?.kind === "overload" ? "out" : "…") : reading.value.toFixed(decimals)}
      </output>
      <span>
        {beside}
        {temperatureC !== null && `, ${temperatureC} °C`}
        {shows?.kind === "other-unit" && `: it sends ${shows.unit}`}
        {reading !== null && (isMoving ? ", settling" : ", stands")}
      </span>
    </span>
  );
}

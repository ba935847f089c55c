import { clockWords, durationWords, STRIP, stripGeometry, type StripStep } from "./geometry";
import classes from "./WorkStrip.module.css";

interface WorkStripProps {
  readonly steps: readonly StripStep[];
  /** Beakers that must be washed up. */
  readonly vessels: readonly string[];
  /** When the work begins, as "09:30"; empty where nobody says. */
  readonly begin: string;
}

/** How long one works and how long one waits, one after the other, and what there is to wash up. */
export function WorkStrip({ steps, vessels, begin }: WorkStripProps) {
  const strip = stripGeometry(steps);
  const { parts, workMinutes, waitMinutes } = strip;
  const byClock = clockWords(begin, strip);
  const words = `${byClock === null ? "" : `${byClock} `}About ${durationWords(workMinutes)} of work, ${durationWords(waitMinutes)} of waiting (estimate). To wash up: ${vessels.join(", ")}.`;
  return (
    <figure className={classes.strip}>
      <figcaption>{words}</figcaption>
      <svg viewBox={`0 0 ${STRIP.width} ${STRIP.height}`} role="img" aria-label={words} preserveAspectRatio="none">
        {parts.map(({ kind, x, width }) => (
          <rect key={x} className={classes[kind]} x={x} y={0.5} width={width} height={STRIP.height - 1} />
        ))}
      </svg>
    </figure>
  );
}

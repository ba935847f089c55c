import type { SimulatedLink } from "../instruments/simulatedLink";
import classes from "./Step.module.css";

interface PlayScaleProps {
  readonly link: SimulatedLink;
  /** To the target, g. */
  readonly missing: number;
  readonly isTared: boolean;
  readonly step: number;
}

/** Plays the scale that is not there: pours and spoons out. */
export function PlayScale({ link, missing, isTared, step }: PlayScaleProps) {
  const pours = [
    { words: "pour what is missing", grams: missing },
    { words: "pour half of it", grams: missing / 2 },
    { words: "a splash too much", grams: Math.max(missing, 0) * 1.04 + step * 3 },
    { words: "a spoonful out", grams: -Math.max(step * 5, Math.abs(missing)) },
  ];
  return (
    <fieldset className={classes.play}>
      <legend>Simulated scale: nothing is really weighed, and each entry says so</legend>
      {pours.map(({ words, grams }) => (
        <button key={words} type="button" data-big disabled={!isTared} onClick={() => link.pour(grams)}>
          {words}
        </button>
      ))}
    </fieldset>
  );
}

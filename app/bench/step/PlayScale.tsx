import type { SimulatedLink } from "../instruments/simulatedLink";
import classes from "./Step.module.css";

interface PlayScaleProps {
  readonly link: SimulatedLink;
  /** What is to lie on it in the end, g. */
  readonly target: number;
  readonly isTared: boolean;
  readonly step: number;
}

/** Plays the scale that is not there: pours and spoons out. */
export function PlayScale({ link, target, isTared, step }: PlayScaleProps) {
  const pours: readonly { readonly words: string; readonly grams: (missing: number) => number }[] = [
    { words: "pour what is missing", grams: (missing) => missing },
    { words: "pour half of it", grams: (missing) => missing / 2 },
    { words: "a splash too much", grams: (missing) => missing + target * 0.06 + step * 3 },
    { words: "a spoonful out", grams: () => -Math.max(step * 5, target * 0.05) },
  ];
  return (
    <fieldset className={classes.play}>
      <legend>Simulated scale: nothing is really weighed, and each entry says so</legend>
      {pours.map(({ words, grams }) => (
        <button key={words} type="button" data-big disabled={!isTared} onClick={() => link.pour(grams(target - link.netGrams()))}>
          {words}
        </button>
      ))}
    </fieldset>
  );
}

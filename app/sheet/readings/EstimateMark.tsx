import classes from "./EstimateMark.module.css";
import { explanations } from "./explanations";

/** Says that a number is an estimate and how good it is; one click says why. */
export function EstimateMark({ of }: { readonly of: keyof typeof explanations }) {
  const { mark, words, source } = explanations[of];
  return (
    <details className={classes.mark}>
      <summary>{mark}</summary>
      <p>
        {words} <em>{source}.</em>
      </p>
    </details>
  );
}

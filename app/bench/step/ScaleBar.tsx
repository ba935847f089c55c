import { useBench } from "./bench";
import classes from "./Step.module.css";

/** Where the weights come from: typed, or from a scale. */
export function ScaleBar() {
  const { link, connectSimulated, disconnect } = useBench().scale;
  return (
    <p className={classes.scaleBar}>
      {link === null ? "Weights are typed." : `Weights come from the ${link.name}.`}{" "}
      {link === null ? (
        <button key="take" type="button" className={classes.quiet} onClick={connectSimulated} data-act="Take the simulated scale">
          take the simulated scale
        </button>
      ) : (
        <button key="leave" type="button" className={classes.quiet} onClick={disconnect} data-act="Type the weights">
          type the weights
        </button>
      )}
    </p>
  );
}

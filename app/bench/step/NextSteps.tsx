import { written } from "@tensidrum/core/quantities";
import { useBench } from "./bench";
import classes from "./Step.module.css";

const SHOWN = 3;

/** What comes after the step that is due. */
export function NextSteps({ after }: { readonly after: number }) {
  const { view } = useBench();
  const next = view.steps
    .flatMap(({ step, state }, at) => (at > after && state === "open" ? [{ step, number: at + 1 }] : []))
    .slice(0, SHOWN);
  if (next.length === 0) return null;
  return (
    <section aria-label="Next steps">
      <ol className={classes.next}>
        {next.map(({ step, number }) => {
          const grams = view.lines.reduce((sum, line) => (step.lines.includes(line.line) ? sum + line.targetGrams : sum), 0);
          return (
            <li key={step.id} value={number}>
              <span>{number}</span> {grams > 0 && `${written(grams, view.decimals)} g, `}
              {step.title}
            </li>
          );
        })}
      </ol>
    </section>
  );
}

import { UnstyledButton } from "@mantine/core";
import { methodSteps, type MethodStep } from "@tensidrum/core/recipe";
import { durationWords } from "../../pictures/WorkStrip/geometry";
import { addStep, changeStep, OWN_ID } from "./editSteps";
import classes from "./Steps.module.css";
import type { StepsState } from "./useSteps";

interface MethodStepsProps {
  readonly method: string;
  readonly state: StepsState;
  readonly selected: string | null;
  readonly onSelect: (id: string) => void;
}

/**
 * What the recipe says of making it: each sentence can become a step, behind the chosen one or the last that takes something in,
 * or give its time to the chosen step.
 */
export function MethodSteps({ method, state, selected, onSelect }: MethodStepsProps) {
  const { process, list, change } = state;
  const sentences = methodSteps(method);
  if (sentences.length === 0) return null;
  const chosen = list.steps.find(({ id }) => id === selected);
  const asStep = ({ text, waitMinutes, atMostC }: MethodStep) => {
    const id = `${OWN_ID}${crypto.randomUUID()}`;
    const facts = { ...(waitMinutes === null ? {} : { waitMinutes }), ...(atMostC === null ? {} : { atMostC }) };
    change(
      addStep(process, selected ?? process.steps.findLast(({ lines }) => lines.length > 0)?.id ?? null, {
        id,
        title: "As the recipe says",
        do: text,
        lines: [],
        ...facts,
      }),
    );
    onSelect(id);
  };
  return (
    <section aria-labelledby="method-head" className={classes.editor}>
      <h2 id="method-head">What the recipe says</h2>
      <ul className={classes.method}>
        {sentences.map((sentence, at) => {
          const { text, waitMinutes, atMostC } = sentence;
          const isStep = process.steps.some((step) => step.do === text);
          return (
            <li key={at}>
              {text}{" "}
              <small>
                {[waitMinutes === null ? "" : durationWords(waitMinutes), atMostC === null ? "" : `at most ${atMostC} °C`]
                  .filter((fact) => fact !== "")
                  .join(", ")}
              </small>
              <p className={classes.acts}>
                {isStep ? (
                  <small>is a step</small>
                ) : (
                  <UnstyledButton aria-label={`Make a step of: ${text}`} onClick={() => asStep(sentence)}>
                    Make it a step
                  </UnstyledButton>
                )}
                {chosen !== undefined && waitMinutes !== null && chosen.waitMinutes !== waitMinutes && !isStep && (
                  <UnstyledButton onClick={() => change(changeStep(process, chosen.id, (step) => ({ ...step, waitMinutes })))}>
                    Its time for “{chosen.title}”
                  </UnstyledButton>
                )}
              </p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

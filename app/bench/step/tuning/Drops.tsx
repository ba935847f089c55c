import { TextInput } from "@mantine/core";
import { DROPS_TO_WEIGH } from "@tensidrum/core/acidity";
import type { BenchAgent } from "@tensidrum/core/process";
import { Entry } from "../Entry";
import { Portion } from "../instruments/Portion";
import step from "../Step.module.css";
import classes from "./Tuning.module.css";

/** What one drop of a solution weighs, from several weighed together; from then on its doses are told in drops too. */
export function Drops({ agent }: { readonly agent: BenchAgent }) {
  const { name, dropGrams } = agent;
  return (
    <details className={step.sums}>
      <summary>
        Drops of {name}: {dropGrams === null ? "not weighed" : `one is ${(1000 * dropGrams).toFixed(0)} mg`}
      </summary>
      <Entry className={classes.meter} hidden={{ agent: name }}>
        <TextInput label="drops" name="drops" inputMode="numeric" autoComplete="off" inputSize="4" defaultValue={DROPS_TO_WEIGH} />
        <Portion
          key={dropGrams}
          name={`drops of ${name}`}
          grams={0}
          decimals={2}
          words="together"
          button={{ intent: "drops", act: "Keep the weight of the drops", taken: "Keep it", isMain: false }}
        />
      </Entry>
    </details>
  );
}

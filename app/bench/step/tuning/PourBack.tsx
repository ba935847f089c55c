import { TextInput } from "@mantine/core";
import type { SampleAside } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { BigButton } from "../BigButton";
import { Entry } from "../Entry";
import { Portion } from "../instruments/Portion";
import classes from "./Tuning.module.css";

interface PourBackProps {
  readonly sample: SampleAside;
  /** The step that took it. */
  readonly stepId: string;
  /** It is what is to be done now. */
  readonly isDue: boolean;
}

/** The sample goes back into the batch with what was dosed into it; or it is said where it went. */
export function PourBack({ sample, stepId, isDue }: PourBackProps) {
  return (
    <details className={classes.fold} open={isDue}>
      <summary data-big data-act="Pour the sample back">
        Pour the sample back, {written(sample.contentGrams, 1)} g
      </summary>
      <Entry hidden={{ step: stepId }} className={classes.again}>
        <Portion
          name="sample with what was dosed into it"
          grams={sample.contentGrams}
          decimals={1}
          words="poured back"
          button={{ intent: "pour-back", act: "The sample is back", taken: "Poured back", isMain: isDue }}
        />
      </Entry>
      <Entry hidden={{ step: stepId }} className={classes.again}>
        <TextInput
          name="text"
          label="or where it went"
          maxLength={200}
          autoComplete="off"
          styles={{ input: { width: 280 } }}
          required
          withAsterisk={false}
        />
        <BigButton intent="lose-sample" act="The sample does not come back">
          Not poured back
        </BigButton>
      </Entry>
    </details>
  );
}

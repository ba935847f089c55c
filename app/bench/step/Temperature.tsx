import { TextInput } from "@mantine/core";
import { temperatureRead, temperatureWords, type Step } from "@tensidrum/core/process";
import { useBench } from "./bench";
import { BigButton } from "./BigButton";
import { Entry } from "./Entry";
import classes from "./Step.module.css";

/** What the thermometer shows, in a step whose temperature matters; as often as it is read. */
export function Temperature({ step }: { readonly step: Step }) {
  const { view } = useBench();
  const belongs = temperatureWords(step);
  if (belongs === null) return null;
  const last = temperatureRead(view.standing, step.id);
  return (
    <Entry hidden={{ step: step.id }} className={classes.acts}>
      <label className={classes.field}>
        temperature{" "}
        <TextInput name="temperature" inputMode="decimal" autoComplete="off" inputSize="5" aria-label="What the thermometer shows, °C" /> °C
      </label>
      <BigButton intent="read-temperature" act="Record the temperature">
        Record temperature
      </BigButton>
      <p className={classes.small} role="status">
        Belongs {belongs}.{last !== null && ` Last read: ${last} °C.`}
      </p>
    </Entry>
  );
}

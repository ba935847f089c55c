import { TextInput } from "@mantine/core";
import { temperatureRead, temperatureWords, type Step } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { useInstrument } from "../../frame/instruments/useInstrument";
import { useBench } from "./bench";
import { BigButton } from "./BigButton";
import { Entry } from "./Entry";
import classes from "./Step.module.css";

/** What the thermometer shows, in a step whose temperature matters; as often as it is read, by keys or off the meter's probe. */
export function Temperature({ step }: { readonly step: Step }) {
  const { view, instruments } = useBench();
  const { link, temperatureC } = useInstrument(instruments.meter);
  const belongs = temperatureWords(step);
  if (belongs === null) return null;
  const last = temperatureRead(view.standing, step.id);
  return (
    <>
      {link !== null && temperatureC !== null && (
        <Entry
          hidden={{ step: step.id, temperature: String(temperatureC), readOff: link.isSimulated ? "simulated meter" : "meter" }}
          className={classes.acts}
        >
          <output className={classes.do} aria-label={`Temperature, the ${link.name} shows`}>
            {written(temperatureC, 1)} °C
          </output>
          <BigButton intent="read-temperature" act="Record the temperature the meter shows">
            Record what the meter shows
          </BigButton>
        </Entry>
      )}
      <Entry hidden={{ step: step.id }} className={classes.acts}>
        <label className={classes.field}>
          temperature{" "}
          <TextInput name="temperature" inputMode="decimal" autoComplete="off" inputSize="5" aria-label="What the thermometer shows, °C" />{" "}
          °C
        </label>
        <BigButton intent="read-temperature" act="Record the temperature">
          Record temperature
        </BigButton>
        <p className={classes.small} role="status">
          Belongs {belongs}.{last !== null && ` Last read: ${last} °C.`}
        </p>
      </Entry>
    </>
  );
}

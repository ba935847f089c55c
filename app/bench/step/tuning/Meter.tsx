import { TextInput } from "@mantine/core";
import { calibrationOf } from "@tensidrum/core/acidity";
import { useState } from "react";
import { SimulatedMeterLink } from "../../../frame/instruments/simulatedLinks";
import { useInstrument } from "../../../frame/instruments/useInstrument";
import { useBench } from "../bench";
import { BigButton } from "../BigButton";
import { ClockTime } from "../ClockTime";
import { Entry } from "../Entry";
import { SimulatedMeterPanel } from "../instruments/SimulatedMeterPanel";
import step from "../Step.module.css";
import { BoxButton } from "../BoxButton";
import classes from "./Tuning.module.css";

const wells = [
  { buffer: "4", which: "first buffer" },
  { buffer: "7", which: "second buffer" },
] as const;

/** The meter in two buffers: how steep it is, how far off, and whether it may be trusted. */
export function Meter() {
  const { view, instruments } = useBench();
  const meter = useInstrument(instruments.meter);
  const [shown, setShown] = useState<Readonly<Record<string, string>>>({});
  const calibrations = view.standing.flatMap((entry) => (entry.kind === "calibrated" ? [entry] : []));
  const last = calibrations.at(-1);
  const calibration = last === undefined ? null : calibrationOf(last.buffers[0], last.buffers[1]);
  const stands = meter.shows?.kind === "reading" && meter.shows.isStable !== false ? meter.shows.value : null;
  const isLinked = meter.link !== null && !meter.isQuiet && meter.gone === null;
  return (
    <details className={step.sums}>
      <summary>
        The meter: {calibration === null ? "not calibrated in this batch" : calibration.text}{" "}
        {last !== undefined && (
          <>
            At <ClockTime at={last.at} />.
          </>
        )}
      </summary>
      <Entry
        className={classes.meter}
        hidden={isLinked ? { readOff: meter.link?.isSimulated === true ? "simulated meter" : "meter" } : {}}
        onEntered={() => setShown({})}
      >
        {isLinked && meter.link instanceof SimulatedMeterLink && <SimulatedMeterPanel link={meter.link} />}
        {wells.map(({ buffer, which }) => (
          <span key={which}>
            <label>
              {which} <TextInput name="buffers" inputMode="decimal" autoComplete="off" inputSize="5" defaultValue={buffer} />
            </label>
            <TextInput
              label="shows"
              name="shown"
              inputMode="decimal"
              autoComplete="off"
              inputSize="5"
              aria-label={`${which} shows`}
              value={shown[which] ?? ""}
              onChange={(event) => setShown({ ...shown, [which]: event.currentTarget.value })}
            />
            {isLinked && (
              <BoxButton
                disabled={stands === null}
                aria-label={`Take what the meter shows for the ${which}`}
                onClick={() => setShown({ ...shown, [which]: String(stands) })}
              >
                {stands === null ? "settling" : `take ${stands.toFixed(2)}`}
              </BoxButton>
            )}
          </span>
        ))}
        <BigButton intent="calibrate" act="Keep the calibration">
          Keep it
        </BigButton>
      </Entry>
      {calibrations.length > 1 && (
        <ol className={classes.log} reversed>
          {calibrations.toReversed().map(({ id, at, buffers }) => (
            <li key={id}>
              <ClockTime at={at} />: {calibrationOf(buffers[0], buffers[1])?.text}
            </li>
          ))}
        </ol>
      )}
    </details>
  );
}

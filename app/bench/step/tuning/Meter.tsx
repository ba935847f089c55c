import { calibrationOf } from "@tensidrum/core/acidity";
import { useBench } from "../bench";
import { BigButton } from "../BigButton";
import { ClockTime } from "../ClockTime";
import { Entry } from "../Entry";
import step from "../Step.module.css";
import classes from "./Tuning.module.css";

/** The meter in two buffers: how steep it is, how far off, and whether it may be trusted. */
export function Meter() {
  const { view } = useBench();
  const last = view.standing.findLast((entry) => entry.kind === "calibrated");
  const calibration = last?.kind === "calibrated" ? calibrationOf(last.buffers[0], last.buffers[1]) : null;
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
      <Entry className={classes.meter}>
        {[
          ["4", "first buffer"],
          ["7", "second buffer"],
        ].map(([buffer, which]) => (
          <span key={which}>
            <label>
              {which} <input name="buffer" inputMode="decimal" autoComplete="off" size={5} defaultValue={buffer} />
            </label>
            <label>
              {" "}
              shows <input name="shown" inputMode="decimal" autoComplete="off" size={5} aria-label={`${which} shows`} />
            </label>
          </span>
        ))}
        <BigButton intent="calibrate" act="Keep the calibration">
          Keep it
        </BigButton>
      </Entry>
    </details>
  );
}

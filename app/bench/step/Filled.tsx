import { TextInput } from "@mantine/core";
import type { Step } from "@tensidrum/core/process";
import { useId } from "react";
import { filledWords } from "../record/logOf";
import { useBench } from "./bench";
import { BigButton } from "./BigButton";
import { Entry } from "./Entry";
import classes from "./Step.module.css";

/** Which containers were filled, one kind after the other. */
export function Filled({ step }: { readonly step: Step }) {
  const { view, containers } = useBench();
  const names = useId();
  const filled = view.standing.filter((entry) => entry.kind === "filled");
  return (
    <>
      {filled.length > 0 && (
        <p role="status" className={classes.do}>
          {filled.map((entry) => filledWords(entry)).join(". ")}.
        </p>
      )}
      <Entry hidden={{ step: step.id }} className={classes.sidePanel}>
        <label className={classes.field}>
          filled{" "}
          <TextInput name="count" inputMode="numeric" autoComplete="off" inputSize="4" aria-label="How many containers were filled" />
        </label>
        <label className={classes.field}>
          of <TextInput name="text" list={names} maxLength={60} autoComplete="off" aria-label="Which container" />
        </label>
        <datalist id={names}>
          {containers.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
        <BigButton intent="fill" act="Keep what was filled">
          Keep it
        </BigButton>
      </Entry>
    </>
  );
}

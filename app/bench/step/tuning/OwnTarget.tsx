import { TextInput } from "@mantine/core";
import { tunedCorridor, type Step } from "@tensidrum/core/process";
import { readNumber } from "@tensidrum/core/quantities";
import { useBench } from "../bench";
import { BigButton } from "../BigButton";
import { Entry } from "../Entry";
import classes from "./Tuning.module.css";

interface OwnTargetProps {
  readonly due: Step;
  readonly target: { readonly low: number; readonly high: number };
}

/** Where the maker wants the pH: inside the corridor, or outside it with a reason. */
export function OwnTarget({ due, target }: OwnTargetProps) {
  const { plan } = useBench();
  const corridor = tunedCorridor(plan);
  const ask = ({ low, high }: { readonly low: string; readonly high: string }): string | null => {
    const [from, to] = [readNumber(low), readNumber(high)];
    if (!from.ok || !to.ok || corridor.isEmpty) return null;
    return from.value < corridor.low || to.value > corridor.high
      ? `The lines of the formula agree on ${corridor.low} to ${corridor.high}. Preservation and skin are judged there. Adjust to ${from.value} to ${to.value} all the same?`
      : null;
  };
  return (
    <details className={classes.fold}>
      <summary data-big data-act="Change where the pH is to come to">
        Change the target
      </summary>
      <Entry hidden={{ step: due.id }} className={classes.again} ask={ask}>
        <label>
          from{" "}
          <TextInput
            name="low"
            inputMode="decimal"
            autoComplete="off"
            inputSize="5"
            aria-label="Target pH, from"
            defaultValue={target.low}
          />
        </label>
        <label>
          to{" "}
          <TextInput
            name="high"
            inputMode="decimal"
            autoComplete="off"
            inputSize="5"
            aria-label="Target pH, to"
            defaultValue={target.high}
          />
        </label>
        <BigButton intent="set-target" act="Use this target">
          Use this target
        </BigButton>
      </Entry>
    </details>
  );
}

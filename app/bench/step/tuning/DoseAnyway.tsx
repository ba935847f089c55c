import type { BenchAgent, Step } from "@tensidrum/core/process";
import { BoxButton } from "../BoxButton";
import { Entry } from "../Entry";
import { Portion } from "../instruments/Portion";
import { questionOfLot } from "./questionOfLot";
import classes from "./Tuning.module.css";

interface DoseAnywayProps {
  readonly agents: readonly BenchAgent[];
  readonly chosen: BenchAgent;
  readonly due: Step;
  readonly onUse: (agent: BenchAgent) => void;
}

/** The advice is not to dose this now: a weaker solution at hand may do, and the maker may dose all the same, with a reason. */
export function DoseAnyway({ agents, chosen, due, onUse }: DoseAnywayProps) {
  const weaker = agents
    .filter(
      ({ kind, molarMass, strengthPercent }) =>
        kind === chosen.kind && molarMass === chosen.molarMass && strengthPercent < chosen.strengthPercent,
    )
    .toSorted((a, b) => b.strengthPercent - a.strengthPercent)[0];
  return (
    <details className={classes.fold}>
      <summary data-big data-act="Dose all the same">
        Dose all the same
      </summary>
      {weaker !== undefined && (
        <p>
          {weaker.name} is weaker: one step of the scale moves less. <BoxButton onClick={() => onUse(weaker)}>Use {weaker.name}</BoxButton>
        </p>
      )}
      <Entry
        hidden={{ step: due.id, agent: chosen.name }}
        className={classes.dose}
        ask={({ grams }) =>
          [`The advice is not to dose ${chosen.name} now. Dose it all the same?`, questionOfLot(chosen, grams)]
            .filter((one) => one !== null)
            .join(" ")
        }
      >
        <Portion
          name={chosen.name}
          grams={0}
          decimals={2}
          button={{ intent: "dose", act: "The dose is in, against the advice", taken: "Dosed against the advice", isMain: false }}
        />
      </Entry>
    </details>
  );
}

import { questionOf, type PhTuning, type Step } from "@tensidrum/core/making";
import { readNumber } from "@tensidrum/core/quantities";
import { useState } from "react";
import { useBench } from "../bench";
import { BigButton } from "../BigButton";
import { Entry } from "../Entry";
import step from "../Step.module.css";
import classes from "./Tuning.module.css";

interface ReadPhProps {
  readonly due: Step;
  readonly tuning: PhTuning;
  readonly isFirst: boolean;
  /** A second look at what was read, beside the advice. */
  readonly isAgain?: boolean;
}

const samples = { dilution: "2", neat: "0", strip: "0.2" } as const;

/** A reading of the pH: how it was read, and what it took out of the batch. */
export function ReadPh({ due, tuning, isFirst, isAgain = false }: ReadPhProps) {
  const { view, answered } = useBench();
  const [way, setWay] = useState<keyof typeof samples>(tuning.rows.at(-1)?.way ?? "dilution");
  const dose = view.standing.findLast((entry) => entry.kind === "dosed");
  const ask = (form: { readonly ph: string }): string | null => {
    const ph = readNumber(form.ph);
    if (!ph.ok) return null;
    const dosedKind = tuning.isDosedSince && dose?.kind === "dosed" ? dose.agent.kind : null;
    return questionOf({ kind: "ph-read", ph: ph.value }, { last: tuning.rows.at(-1)?.ph ?? null, dosedKind, advisedGrams: null });
  };
  return (
    <Entry hidden={{ step: due.id }} className={isAgain ? classes.again : classes.read} ask={ask}>
      {!isAgain && (
        <p className={step.do}>
          {isFirst ? "Read the pH before anything goes in." : "Stirred and waited two minutes? Read it again."}{" "}
          {way === "dilution" && "2 g of the batch into 18 g of distilled water, 20 to 25 °C."}
        </p>
      )}
      <label className={isAgain ? undefined : classes.big}>
        pH{" "}
        <input
          name="ph"
          inputMode="decimal"
          autoComplete="off"
          aria-label={isAgain ? "pH, read again" : "pH"}
          defaultValue={answered?.form.intent === "read-ph" ? answered.form.ph : ""}
          autoFocus={!isAgain}
        />
      </label>
      <label>
        read{" "}
        <select
          name="way"
          value={way}
          onChange={(event) => setWay(event.currentTarget.value as keyof typeof samples)}
          aria-label="How it was read"
        >
          <option value="dilution">in a 10 % dilution</option>
          <option value="neat">neat</option>
          <option value="strip">by a strip</option>
        </select>
      </label>
      <label>
        taken out <input name="sample" inputMode="decimal" autoComplete="off" size={5} defaultValue={samples[way]} key={way} /> g
      </label>
      <BigButton
        isMain={!isAgain}
        intent="read-ph"
        act={isAgain ? "Take another reading" : "Take the reading"}
        actKey={isAgain ? "r" : undefined}
      >
        {isAgain ? "Read again" : "Take the reading"}
      </BigButton>
    </Entry>
  );
}

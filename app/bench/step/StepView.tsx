import { TextInput } from "@mantine/core";
import { questionOfTemperature, type NextStep, type Step } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { measuringOf } from "../batch/batchView";
import { useBench } from "./bench";
import { BigButton } from "./BigButton";
import { Deviation } from "./Deviation";
import { Entry } from "./Entry";
import { Measure } from "./Measure";
import { NotYet } from "./NotYet";
import { Judge } from "./Judge";
import { SoapPh } from "./SoapPh";
import { Temperature } from "./Temperature";
import { periodWords } from "./periodWords";
import classes from "./Step.module.css";
import { TunePh } from "./tuning/TunePh";
import { TunePolymer } from "./tuning/TunePolymer";
import { TuneThickness } from "./tuning/TuneThickness";
import { WeighLine } from "./WeighLine";
import { DataTable } from "../../components/DataTable";

interface StepViewProps {
  readonly step: Step;
  readonly number: number;
  readonly waitsFor: NextStep["waitsFor"];
}

/** The step that is due, to be read from an arm's length: what, how much, why, and what to look for. */
export function StepView({ step, number, waitsFor }: StepViewProps) {
  const { view, plan } = useBench();
  const own = step.lines.flatMap((id) => view.lines.filter(({ line }) => line === id));
  const due = own.find(({ actualGrams, targetGrams }) => actualGrams === null && targetGrams > 0);
  const off = own.find(({ asks }) => asks);
  const measuring = measuringOf(plan, view, step.id);
  const vessel = view.vessels.find(({ id }) => id === step.vessel)?.name ?? "away from the beakers";
  return (
    <section aria-labelledby="step-head">
      <p className={classes.where}>
        <strong>
          Step {number} of {view.steps.length}
        </strong>
        <span>{vessel}</span>
        <span>
          in the beakers <b>{written(view.account.inGrams - view.account.samplesGrams, view.decimals)}</b> g
        </span>
        <span>
          still to come <b>{written(view.toComeGrams, view.decimals)}</b> g
        </span>
      </p>
      <h2 id="step-head" className={classes.title} tabIndex={-1}>
        {step.title}
      </h2>
      {step.caution !== null && <p className={classes.caution}>{step.caution}</p>}
      {waitsFor.length > 0 ? (
        <NotYet waitsFor={waitsFor} />
      ) : step.tunes === "ph" ? (
        <TunePh step={step} key={step.id} />
      ) : step.reads === "ph" && due === undefined ? (
        <SoapPh step={step} key={step.id} />
      ) : step.tunes === "thickness" ? (
        <TuneThickness step={step} key={step.id} />
      ) : step.tunes === "polymer" ? (
        <TunePolymer step={step} key={step.id} />
      ) : off !== undefined ? (
        <Deviation line={off} step={step} />
      ) : due !== undefined ? (
        <WeighLine step={step} line={due} key={due.line} />
      ) : measuring !== null && measuring.actualGrams === null ? (
        <Measure step={step} measuring={measuring} key={step.id} />
      ) : step.code === "fill" ? (
        <Judge step={step} />
      ) : (
        <Do step={step} topUpGrams={measuring?.topUpGrams ?? null} decimals={view.decimals} />
      )}
      <div className={classes.reasons}>
        <p>
          <strong>Why</strong> {step.why}
        </p>
        {step.tool !== undefined && (
          <p>
            <strong>Tool</strong> {step.tool}
          </p>
        )}
        {step.check !== null && (
          <p>
            <strong>Check</strong> {step.check}
          </p>
        )}
      </div>
      <WeighedHere own={own} />
    </section>
  );
}

function Do({ step, topUpGrams, decimals }: { readonly step: Step; readonly topUpGrams: number | null; readonly decimals: number }) {
  const { plan, view } = useBench();
  return (
    <>
      {topUpGrams === null ? (
        <p className={classes.do}>{step.do}</p>
      ) : (
        <p className={classes.topUp}>
          {topUpGrams === 0 ? "Nothing steamed off." : "Put back hot water: "}
          {topUpGrams > 0 && <output>{written(topUpGrams, decimals)} g</output>}
        </p>
      )}
      <Temperature step={step} />
      <Entry hidden={{ step: step.id }} className={classes.acts} ask={() => questionOfTemperature(step, plan.steps, view.standing)}>
        {step.measures === "after-heating" && topUpGrams !== 0 && (
          <label className={classes.field}>
            really put back
            <TextInput
              name="grams"
              inputMode="decimal"
              autoComplete="off"
              inputSize="7"
              aria-label="Water really put back, g"
              defaultValue={topUpGrams === null ? "" : topUpGrams.toFixed(decimals)}
            />
            g
          </label>
        )}
        <BigButton
          isMain
          intent="done"
          act="This step is done"
          actKey=" "
          below={step.waitMinutes > 0 ? `then ${periodWords(step.waitMinutes)} of rest, the clock starts` : undefined}
        >
          Done, next step
        </BigButton>
      </Entry>
    </>
  );
}

function WeighedHere({ own }: { readonly own: ReturnType<typeof useBench>["view"]["lines"] }) {
  const weighed = own.filter(({ actualGrams }) => actualGrams !== null);
  if (weighed.length === 0) return null;
  return (
    <DataTable className={classes.list}>
      <caption className="only-for-readers">Weighed in this step</caption>
      <tbody>
        {weighed.map(({ line, name, actualGrams, targetGrams, decimals, readOff }) => (
          <tr key={line}>
            <th scope="row">{name}</th>
            <td>
              {written(actualGrams ?? 0, decimals)} of {written(targetGrams, decimals)} g{readOff !== null && `, ${readOff}`}
            </td>
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}

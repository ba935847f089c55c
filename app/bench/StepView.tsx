import { Button } from "@mantine/core";
import { written } from "@tensidrum/core/quantities";
import { useNavigation } from "react-router";
import type { OpenBatch } from "./bench.server";
import { Entry } from "./BatchPage";
import classes from "./Bench.module.css";
import type { BenchForm } from "./forms.server";

interface StepViewProps {
  readonly batch: OpenBatch;
  readonly step: OpenBatch["steps"][number]["step"];
  readonly answered: { readonly form: BenchForm } | null;
}

/** The step that is due, to be read from an arm's length: what, how much, why, and what to look for. */
export function StepView({ batch, step, answered }: StepViewProps) {
  const isBusy = useNavigation().state !== "idle";
  const own = step.lines.flatMap((id) => batch.lines.filter(({ line }) => line === id));
  const due = own.find(({ actualGrams, targetGrams }) => actualGrams === null && targetGrams > 0);
  const off = own.find(({ asks }) => asks);
  return (
    <section aria-labelledby="step-head" className={classes.step}>
      <h2 id="step-head" className={classes.title}>
        {step.title}
      </h2>
      {off !== undefined ? (
        <Deviation batch={batch} line={off} />
      ) : due !== undefined ? (
        <Weigh batch={batch} step={step} line={due} typed={answered?.form.line === due.line ? answered.form.grams : ""} />
      ) : (
        <>
          <p className={classes.do}>{step.do}</p>
          <Entry batch={batch} hidden={{ step: step.id }}>
            <Button type="submit" name="intent" value="done" h={72} fz={20} loading={isBusy} data-act="This step is done" data-key=" ">
              Done, next step
            </Button>
          </Entry>
        </>
      )}
      <Weighed own={own} />
      <p className={classes.why}>{step.why}</p>
      {step.check !== null && <p className={classes.check}>Look: {step.check}</p>}
      {step.caution !== null && <p className={classes.caution}>{step.caution}</p>}
      {step.waitMinutes > 0 && <p className={classes.check}>Wait at least {waitWords(step.waitMinutes)} afterwards.</p>}
      <Entry batch={batch} hidden={{ step: step.id }} className={classes.skip}>
        <label>
          leave this step out, because <input name="text" maxLength={500} autoComplete="off" />
        </label>
        <button type="submit" name="intent" value="skip" className={classes.quiet}>
          Skip it
        </button>
        <button type="submit" name="intent" value="note" className={classes.quiet}>
          Keep it as a note
        </button>
      </Entry>
    </section>
  );
}

type Line = OpenBatch["lines"][number];

function Weigh({
  batch,
  step,
  line,
  typed,
}: {
  readonly batch: OpenBatch;
  readonly step: StepViewProps["step"];
  readonly line: Line;
  readonly typed: string;
}) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <>
      <p className={classes.do}>
        Weigh <strong>{line.name}</strong>
        {line.lots.length > 0 && ` from ${line.lots.map(({ code }) => code).join(" and ")}`}
      </p>
      <p className={classes.target}>
        <output>{written(line.targetGrams, line.decimals)}</output> g
      </p>
      <Entry batch={batch} hidden={{ step: step.id, line: line.line }} className={classes.weigh}>
        <input
          name="grams"
          inputMode="decimal"
          autoComplete="off"
          defaultValue={typed}
          aria-label={`${line.name}, what the scale shows, g`}
          autoFocus
          key={line.line}
        />
        <span>g</span>
        <Button type="submit" name="intent" value="weigh" h={72} fz={20} loading={isBusy} data-act="Take the weight">
          Take the weight
        </Button>
      </Entry>
    </>
  );
}

/** A weight that is off by more than it may be: it stands, the others follow, or it is done again. */
function Deviation({ batch, line }: { readonly batch: OpenBatch; readonly line: Line }) {
  const isBusy = useNavigation().state !== "idle";
  const percent = line.deviation?.percent ?? 0;
  return (
    <>
      <p className={classes.do}>
        <strong>{line.name}</strong> is {written(Math.abs(percent), 1)} % {percent > 0 ? "over" : "under"}:{" "}
        {written(line.actualGrams ?? 0, line.decimals)} g of {written(line.targetGrams, line.decimals)}.
      </p>
      <Entry batch={batch} hidden={{ line: line.line, entry: batch.last ?? "" }} className={classes.answers}>
        <Button type="submit" name="intent" value="accept" h={62} fz={17} variant="outline" loading={isBusy}>
          Keep it
        </Button>
        <Button type="submit" name="intent" value="correct" h={62} fz={17} loading={isBusy}>
          Correct the others
        </Button>
        <Button type="submit" name="intent" value="again" h={62} fz={17} variant="outline" loading={isBusy}>
          Weigh it again
        </Button>
      </Entry>
    </>
  );
}

function Weighed({ own }: { readonly own: readonly Line[] }) {
  const done = own.filter(({ actualGrams }) => actualGrams !== null);
  if (done.length === 0) return null;
  return (
    <table className={classes.list}>
      <tbody>
        {done.map(({ line, name, actualGrams, targetGrams, decimals }) => (
          <tr key={line}>
            <th scope="row">{name}</th>
            <td>
              {written(actualGrams ?? 0, decimals)} of {written(targetGrams, decimals)} g
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function waitWords(minutes: number): string {
  if (minutes < 120) return `${minutes} minutes`;
  return minutes < 2880 ? `${Math.round(minutes / 60)} hours` : `${Math.round(minutes / 1440)} days`;
}

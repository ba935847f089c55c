import { UnstyledButton } from "@mantine/core";
import type { Step } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import type { LineView } from "../batch/batchView";
import { DataTable } from "../../components/DataTable";
import { scaleOfWeighing } from "../batch/scaleOfWeighing";
import { useBench } from "./bench";
import { BigButton } from "./BigButton";
import { Entry } from "./Entry";
import { useLoad } from "./WeighLine";
import classes from "./Step.module.css";

/** A weight that is off by more than it may be: it stands, the others follow, or it is done again. */
export function Deviation({ line, step }: { readonly line: LineView; readonly step: Step }) {
  const { view, plan, isGuarded } = useBench();
  const load = useLoad(step) - (line.actualGrams ?? 0);
  const { isInCup } = scaleOfWeighing(plan.formula.scales, { loadGrams: load, grams: line.targetGrams });
  const percent = line.deviation?.percent ?? 0;
  const weight = view.standing.findLast((entry) => entry.kind === "weighed" && entry.line === line.line);
  const inBeaker = new Set(view.steps.filter((one) => one.step.vessel === step.vessel).map((one) => one.step.id));
  const wholeBeaker = view.standing
    .filter((entry) => (entry.kind === "weighed" || entry.kind === "measured" || entry.kind === "done") && inBeaker.has(entry.step))
    .map(({ id }) => id);
  const others = view.lines.filter((other) => other.line !== line.line && other.targetGrams > 0);
  const toCome = others.filter(({ actualGrams }) => actualGrams === null).length;
  const lacking = others.filter(({ actualGrams }) => actualGrams !== null);
  return (
    <>
      <p className={classes.do}>
        <strong>{line.name}</strong> is {written(Math.abs(percent), 1)} % {percent > 0 ? "over" : "under"}:{" "}
        {written(line.actualGrams ?? 0, line.decimals)} g of {written(line.targetGrams, line.decimals)}. Keep it, correct the others, or do
        it again?
      </p>
      <Entry hidden={{ line: line.line, entry: weight?.id ?? "" }} className={classes.acts}>
        <BigButton intent="accept" act="Keep the weight as it is">
          Keep it
        </BigButton>
        <BigButton isMain={isInCup} intent="again" act="Weigh this line again" actKey={isInCup ? " " : "Backspace"}>
          Weigh it again
        </BigButton>
        <BigButton isMain={!isInCup} intent="correct" act="Let the others follow this weight" actKey={isInCup ? undefined : " "}>
          Correct the others
        </BigButton>
      </Entry>
      {isInCup && (
        <p className={classes.small}>
          It stands in its own cup: take the surplus out and weigh it again. Correcting the others costs more.
        </p>
      )}
      <p className={classes.small}>
        Corrected, {toCome === 1 ? "the line" : `the ${toCome} lines`} still to come {percent > 0 ? "grow" : "shrink"} by{" "}
        {written(Math.abs(percent), 1)} %.
        {lacking.length > 0 &&
          percent > 0 &&
          " Those that are in already would each need more as well; keep what you add to them as a note."}
      </p>
      {lacking.length > 0 && percent > 0 && (
        <DataTable className={classes.list}>
          <caption className="only-for-readers">What correcting the others costs</caption>
          <thead>
            <tr>
              <th scope="col">already in</th>
              <th scope="col">more, g</th>
            </tr>
          </thead>
          <tbody>
            {lacking.map((other) => (
              <tr key={other.line}>
                <th scope="row">{other.name}</th>
                <td>{written(((other.actualGrams ?? 0) * percent) / 100, other.decimals)}</td>
              </tr>
            ))}
          </tbody>
        </DataTable>
      )}
      {wholeBeaker.length > 1 && (
        <Entry hidden={{ entry: wholeBeaker.toReversed().join(" ") }} className={classes.small}>
          <UnstyledButton
            type="submit"
            name="intent"
            value="restart"
            disabled={isGuarded}
            className={classes.quiet}
            data-act="Start this beaker again"
          >
            Start this beaker again
          </UnstyledButton>
          <span>What you pour away has left the shelf all the same: count its lots afterwards.</span>
        </Entry>
      )}
    </>
  );
}

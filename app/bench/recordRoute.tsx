import { Button } from "@mantine/core";
import { written } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { answer } from "../frame/answer.server";
import { Frame } from "../frame/Frame";
import { WashLine } from "../frame/washLine/WashLine";
import type { Route } from "./+types/recordRoute";
import { openBatch } from "./bench.server";
import { benchPegs } from "./benchPegs";
import classes from "./Bench.module.css";
import { readBatchId } from "./forms.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openBatch(readBatchId(params.batch)));

export default function RecordRoute({ loaderData: batch }: Route.ComponentProps) {
  const { code, name, lines, steps, notes, tares, vessels, finished, decimals } = batch;
  const total = (of: (line: (typeof lines)[number]) => number | null) => lines.reduce((sum, line) => sum + (of(line) ?? 0), 0);
  const nameOf = (vessel: string) => vessels.find(({ id }) => id === vessel)?.name ?? vessel;
  return (
    <Frame
      head={<h1 className={classes.head}>Record of {code}</h1>}
      doors={
        <>
          {finished === null && <Link to={`/bench/${batch.id}`}>Back to the step</Link>}
          <a href={`/bench/${batch.id}/record.json`} data-act="Download the record as a file">
            As a file
          </a>
          <Button h={36} onClick={() => window.print()} data-act="Print the record" data-key="p">
            Print
          </Button>
        </>
      }
      line={<WashLine pegs={benchPegs(finished === null ? "being made" : "finished")} />}
    >
      <title>{`Record of ${code}`}</title>
      <article className={classes.record}>
        <h2>{name}</h2>
        <p>
          {batch.batch}, begun {batch.started}
          {finished === null ? ", not finished" : `, finished ${finished.at}: ${written(finished.yieldGrams, 1)} g came out`}
        </p>
        <table className={classes.list}>
          <thead>
            <tr>
              <th scope="col">line</th>
              <th scope="col">lots</th>
              <th scope="col">target, g</th>
              <th scope="col">weighed, g</th>
              <th scope="col">off, %</th>
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <tr key={line.line}>
                <th scope="row">{line.name}</th>
                <td>{line.lots.map((lot) => lot.code).join(", ")}</td>
                <td>{written(line.targetGrams, line.decimals)}</td>
                <td>{line.actualGrams === null ? "" : written(line.actualGrams, line.decimals)}</td>
                <td>{line.deviation === null ? "" : written(line.deviation.percent, 1)}</td>
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <th scope="row">together</th>
              <td />
              <td>
                {written(
                  total(({ targetGrams }) => targetGrams),
                  decimals,
                )}
              </td>
              <td>
                {written(
                  total(({ actualGrams }) => actualGrams),
                  decimals,
                )}
              </td>
              <td />
            </tr>
          </tfoot>
        </table>
        <h3>Steps</h3>
        <ol className={classes.steps}>
          {steps.map(({ step, state, reason, at }) => (
            <li key={step.id}>
              {step.title}: {state === "open" ? "open" : `${state} ${at ?? ""}`}
              {reason !== null && `, ${reason}`}
            </li>
          ))}
        </ol>
        {tares.length > 0 && (
          <p>Empty weights: {tares.map(({ vessel, grams }) => `${nameOf(vessel)} ${written(grams, 1)} g`).join(", ")}.</p>
        )}
        {notes.map((note, at) => (
          <p key={at}>
            {note.at} {note.text}
          </p>
        ))}
      </article>
    </Frame>
  );
}

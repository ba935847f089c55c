import { Button, Checkbox } from "@mantine/core";
import { Fragment } from "react";
import { Link } from "react-router";
import { Frame } from "../frame/Frame";
import { stationsSeenFrom } from "../frame/stationNav/stations";
import { StationNav } from "../frame/stationNav/StationNav";
import classes from "./weighing.module.css";
import type { OpenWeighing } from "./weighing.server";
import { DataTable } from "../components/DataTable";

export function WeighingPage({ sheet }: { readonly sheet: OpenWeighing }) {
  const back = `/sheet/${sheet.formulaId}/${sheet.number}`;
  return (
    <Frame
      head={<span className={classes.head}>Weighing sheet</span>}
      doors={
        <>
          <Link to={back} className={classes.door}>
            Back to the sheet
          </Link>
          <Button h={36} className={classes.print} onClick={() => window.print()}>
            Print
          </Button>
        </>
      }
      line={<StationNav stations={stationsSeenFrom("sheet", { to: back, state: sheet.isDraft ? "draft" : "final", isAlarm: false })} />}
    >
      <title>{`Weighing sheet, ${sheet.name}, v${sheet.number}`}</title>
      <article className={classes.paper}>
        <header className={classes.title}>
          <h1>{sheet.name}</h1>
          <p>
            version {sheet.number}, {sheet.isDraft ? "draft, may still change" : "final"} · {sheet.profile} · batch {sheet.batch} · printed{" "}
            {sheet.printedOn}
          </p>
        </header>
        {sheet.urgent.length > 0 && (
          <ul className={classes.urgent} aria-label="To fix before weighing">
            {sheet.urgent.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
        )}
        <DataTable className={classes.table}>
          <thead>
            <tr>
              <th scope="col">done</th>
              <th scope="col">material</th>
              <th scope="col" className={classes.number}>
                %
              </th>
              <th scope="col" className={classes.number}>
                weigh, g
              </th>
              <th scope="col">scale</th>
              <th scope="col">weighed, g</th>
              <th scope="col">lot</th>
            </tr>
          </thead>
          <tbody>
            {sheet.phases.map((phase) => (
              <Fragment key={phase.letter}>
                <tr className={classes.phase}>
                  <th scope="rowgroup" colSpan={7}>
                    <span>{phase.letter}</span> {phase.title}
                  </th>
                </tr>
                {phase.lines.map((line) => (
                  <tr key={line.id} className={classes.line}>
                    <td>
                      <Checkbox classNames={{ root: classes.tick }} aria-label={`${line.name} weighed`} />
                    </td>
                    <td>
                      {line.name}
                      <span className={classes.inci}>
                        {line.inci}
                        {line.tooSmall && <strong>, too small for your scales: see the sheet</strong>}
                      </span>
                    </td>
                    <td className={classes.number}>
                      {line.takesTheRest && <em>q.s. </em>}
                      {line.percent}
                    </td>
                    <td className={classes.grams}>{line.grams}</td>
                    <td>{line.scale}</td>
                    <td className={classes.blank} />
                    <td className={classes.blank} />
                  </tr>
                ))}
              </Fragment>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <td />
              <td>sum</td>
              <td className={classes.number}>{sheet.totalPercent}</td>
              <td className={classes.grams}>{sheet.total}</td>
              <td colSpan={3} />
            </tr>
          </tfoot>
        </DataTable>
        <h2 className={classes.stepsHead}>Steps</h2>
        <ol className={classes.steps}>
          {sheet.steps.map(({ id, title, todo, check, tool, waitMinutes }) => (
            <li key={id}>
              <strong>{title}.</strong> {todo}
              {tool !== null && ` Tool: ${tool}.`}
              {check !== null && ` Check: ${check}`}
              {waitMinutes > 0 && ` Rest ${waitMinutes < 120 ? `${waitMinutes} min` : `${Math.round(waitMinutes / 60)} h`}.`}
            </li>
          ))}
        </ol>
        <div className={classes.notes}>
          <p>pH, 10 % dilution:</p>
          <p>Batch code:</p>
          <p>Weighed by, date:</p>
          <p>Notes:</p>
        </div>
        <p className={classes.caution}>
          Powdered surfactants: well-fitting dust mask. Acids and bases: gloves and eye protection, always into the water, never water onto
          them. What you may make and sell is for your local authority to say.
        </p>
      </article>
    </Frame>
  );
}

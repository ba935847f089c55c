import { Button } from "@mantine/core";
import { written } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import classes from "../Bench.module.css";
import { benchStations } from "../benchStation";
import { yieldWords } from "./accountWords";
import { SumsTable } from "./SumsTable";
import type { OpenRecord } from "./record.server";
import { DataTable } from "../../components/DataTable";

export function RecordPage({ record }: { readonly record: OpenRecord }) {
  const { id, code, name, steps, tares, finished } = record;
  return (
    <Frame
      head={
        <PageHeader>
          Record of <span style={{ whiteSpace: "nowrap" }}>{code}</span>
        </PageHeader>
      }
      doors={
        <>
          <Link to={`/bench/${id}`}>{finished === null ? "Back to the step" : "Back to the bench"}</Link>
          {finished !== null && !finished.isDiscarded && record.formulaId !== null && (
            <Link to={`/sheet/${record.formulaId}/as-made/${id}`} data-act="New draft with what was done">
              New draft with what was done
            </Link>
          )}
          {finished !== null && (
            <Link to={`/compare/side?of=n:${id}&of=b:${id}`} data-act="The batch beside its plan">
              Beside its plan
            </Link>
          )}
          <a href={`/bench/${id}/record.json`} data-act="Download the record as a file">
            As a file
          </a>
          <a href={`/bench/${id}/record.pdf`} data-act="Download the record as a PDF">
            As a PDF
          </a>
          <Button h={36} onClick={() => window.print()} data-act="Print the record" data-key="p">
            Print
          </Button>
        </>
      }
      line={<StationNav stations={benchStations(finished === null ? "being made" : "finished")} />}
    >
      <title>{`Record of ${code}`}</title>
      <article className={classes.record}>
        <header>
          <h2>{name}</h2>
          <p>
            {record.batch}, begun {record.started}
            {finished === null
              ? ", not finished"
              : finished.isDiscarded
                ? `, discarded ${finished.at} before anything was weighed`
                : `, finished ${finished.at}`}
          </p>
          {yieldWords(record.account) !== null && <p>{yieldWords(record.account)}</p>}
          {record.readLast !== "" && <p>{record.readLast}</p>}
          {record.cost !== null && (
            <p>
              {record.cost} <Link to={`/fill/${id}/cost`}>What a bottle costs</Link>
            </p>
          )}
          {record.filled.length > 0 && <p>{record.filled.join(". ")}.</p>}
          {tares.length > 0 && <p>Tare weights: {tares.map(({ vessel, grams }) => `${vessel} ${written(grams, 1)} g`).join(", ")}.</p>}
        </header>
        <div>
          <Lines record={record} />
          <h3>Sums</h3>
          <SumsTable sums={record.sums} />
          <Pairs record={record} />
          <Photos record={record} />
        </div>
        <div>
          <h3>Steps</h3>
          <ol className={classes.steps}>
            {steps.map(({ id: step, title, state, reason }) => (
              <li key={step}>
                {title}: {state}
                {reason !== null && `, reason: ${reason}`}
              </li>
            ))}
          </ol>
          <h3>What happened</h3>
          {record.log.length === 0 ? <p>Nothing yet.</p> : <Log record={record} />}
        </div>
      </article>
    </Frame>
  );
}

function Lines({ record }: { readonly record: OpenRecord }) {
  const { lines, decimals, account } = record;
  const planned = lines.reduce((sum, { targetGrams }) => sum + targetGrams, 0);
  return (
    <DataTable isRuled>
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
            <th scope="row">
              {line.name}
              {line.isSimulated && <small> simulated</small>}
            </th>
            <td>{line.lots.join(", ")}</td>
            <td>{written(line.targetGrams, line.decimals)}</td>
            <td>{line.actualGrams === null ? "" : written(line.actualGrams, line.decimals)}</td>
            <td>{line.percent === null ? "" : written(line.percent, 1)}</td>
          </tr>
        ))}
        {record.besides.map(({ name, grams, lot, isSimulated }) => (
          <tr key={`${name} ${lot?.id ?? ""}`}>
            <th scope="row">
              {name} <small>not in the formula{isSimulated && ", simulated"}</small>
            </th>
            <td>{lot?.code}</td>
            <td />
            <td>{written(grams, 2)}</td>
            <td />
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">together</th>
          <td />
          <td>{written(planned, decimals)}</td>
          <td>{written(account.inGrams, decimals)}</td>
          <td />
        </tr>
      </tfoot>
    </DataTable>
  );
}

function Log({ record }: { readonly record: OpenRecord }) {
  return (
    <DataTable isRuled>
      <thead>
        <tr>
          <th scope="col">when</th>
          <th scope="col">what</th>
        </tr>
      </thead>
      <tbody>
        {record.log.map(({ id, at, what, isBack, isSimulated }) => (
          <tr key={id}>
            <td>{at}</td>
            <td>
              {isBack ? <s>{what}</s> : what}
              {isBack && ", taken back later"}
              {isSimulated && <small> simulated</small>}
            </td>
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}

/** How it looked before and after what may thin or cloud it. */
function Pairs({ record }: { readonly record: OpenRecord }) {
  if (record.pairs.length === 0) return null;
  return (
    <>
      <h3>Before and after</h3>
      <DataTable isRuled>
        <thead>
          <tr>
            <th scope="col">before</th>
            <th scope="col">then added</th>
            <th scope="col">after</th>
          </tr>
        </thead>
        <tbody>
          {record.pairs.map(({ id, before, between, after, photos }) => (
            <tr key={id}>
              <th scope="row">{before}</th>
              <td>{between.join(", ")}</td>
              <td>
                {after ?? "not said"}
                {photos.map((photo, at) => (
                  <a key={photo} href={`/bench/${record.id}/photos/${photo}`}>
                    {" "}
                    photo {at + 1}
                  </a>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </DataTable>
    </>
  );
}

function Photos({ record }: { readonly record: OpenRecord }) {
  if (record.photos.length === 0) return null;
  return (
    <>
      <h3>Photos</h3>
      <ul className={classes.photos}>
        {record.photos.map(({ id, at, step }) => (
          <li key={id}>
            <a href={`/bench/${record.id}/photos/${id}`}>
              <img src={`/bench/${record.id}/photos/${id}`} alt={`${step ?? "Batch"}, ${at}`} loading="lazy" />
            </a>
            <span>
              {at}
              {step !== null && `, ${step}`}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

import { Button } from "@mantine/core";
import { Link } from "react-router";
import { PartLinks } from "../components/PartLinks";
import { PageHeader } from "../components/PageHeader";
import { Frame } from "../frame/Frame";
import { StationNav } from "../frame/stationNav/StationNav";
import { Streams } from "../pictures/Streams/Streams";
import type { OpenBench } from "./bench.server";
import { benchStations } from "./benchStation";
import classes from "./Bench.module.css";
import { DataTable } from "../components/DataTable";

/** The batches there are: those being made with their beakers in small, the finished ones in a list. */
export function BenchList({ bench: { open, makeable, others, older, isNewest } }: { readonly bench: OpenBench }) {
  const count = open.length + others.filter(({ finished }) => finished === null).length;
  return (
    <Frame
      head={<PageHeader>The bench</PageHeader>}
      doors={
        <>
          <a href="/bench/batches.csv" data-act="Download the batches as CSV">
            Batches as CSV
          </a>
          <a href="/bench/costs.csv" data-act="Download what the batches cost as CSV">
            Costs as CSV
          </a>
        </>
      }
      line={<StationNav stations={benchStations(count === 0 ? "nothing being made" : `${count} being made`)} />}
    >
      <title>The bench, Tensidrum</title>
      {count === 0 && (
        <p className={classes.empty}>
          {makeable.length > 0
            ? "Nothing is being made. Choose what to make."
            : "Nothing is being made, and no version is final yet. Open a formula from "}
          {makeable.length === 0 && (
            <>
              <Link to="/">Today</Link>, finalise the version you want to make, and begin a batch here.
            </>
          )}
        </p>
      )}
      <ul className={classes.open}>
        {open.map((batch) => (
          <OpenBatch key={batch.id} batch={batch} />
        ))}
      </ul>
      {makeable.length > 0 && <Makeable makeable={makeable} />}
      {others.length > 0 && <OtherBatches batches={others} />}
      <PartLinks of="batches" newest={isNewest ? null : "/bench"} older={older === null ? null : `/bench?behind=${older}`} />
    </Frame>
  );
}

function OpenBatch({ batch }: { readonly batch: OpenBench["open"][number] }) {
  const { id, code, name, started, rests, steps, vessels, next } = batch;
  return (
    <li>
      <Streams isSmall steps={steps} vessels={vessels} currentId={next?.id ?? null} />
      <div>
        <h2>
          <Link to={`/bench/${id}`}>{name}</Link>
        </h2>
        <p>
          {code}, {batch.batch}, begun {started}
        </p>
        <p className={classes.due}>{next === null ? "All steps are through." : `Step ${next.number} of ${steps.length}: ${next.title}`}</p>
        {rests.map(({ id: rest, text, until }) => (
          <p key={rest}>
            {text} until <strong>{until}</strong>
          </p>
        ))}
        <Button component={Link} to={`/bench/${id}`} h={44} variant={rests.length > 0 ? "outline" : "filled"}>
          {next === null ? "Finish it" : rests.length > 0 ? "Look at it" : "Go on"}
        </Button>
      </div>
    </li>
  );
}

/** Final versions, each with a door to a batch of it. */
function Makeable({ makeable }: { readonly makeable: OpenBench["makeable"] }) {
  return (
    <section aria-labelledby="makeable-head">
      <h2 id="makeable-head">Can be made</h2>
      <ul className={classes.makeable}>
        {makeable.map(({ formulaId, number, name, batch, finalised }) => (
          <li key={formulaId}>
            <Button
              component={Link}
              to={`/bench/begin/${formulaId}/${number}`}
              h={36}
              variant="outline"
              aria-label={`Make ${name}, v${number}`}
            >
              Make it
            </Button>
            <span>
              <Link to={`/sheet/${formulaId}/${number}`}>{name}</Link>
              <small>
                v{number}, {batch}, final since {finalised}
              </small>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function OtherBatches({ batches }: { readonly batches: OpenBench["others"] }) {
  return (
    <DataTable isRuled>
      <thead>
        <tr>
          <th scope="col">batch</th>
          <th scope="col">of</th>
          <th scope="col">size</th>
          <th scope="col">begun</th>
          <th scope="col">finished</th>
        </tr>
      </thead>
      <tbody>
        {batches.map(({ id, code, name, batch, started, finished }) => (
          <tr key={id}>
            <th scope="row">
              <Link to={finished === null ? `/bench/${id}` : `/bench/${id}/record`}>{code}</Link>
            </th>
            <td>{name}</td>
            <td>{batch}</td>
            <td>{started}</td>
            <td>{finished ?? <strong>being made</strong>}</td>
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}

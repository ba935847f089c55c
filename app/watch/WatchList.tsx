import { Grid, Stack, Text } from "@mantine/core";
import { Link } from "react-router";
import { DataTable } from "../components/DataTable";
import { PartLinks } from "../components/PartLinks";
import { PageHeader } from "../components/PageHeader";
import { Frame } from "../frame/Frame";
import { DueChecks } from "../frame/dueChecks/DueChecks";
import { watchStations } from "../frame/stationNav/stations";
import { StationNav } from "../frame/stationNav/StationNav";
import { storageNames } from "./looks";
import type { OpenWatchList } from "./watch.server";

/** What is to be looked at today, what comes, and the batches that are watched or might be. */
export function WatchList({ open }: { readonly open: OpenWatchList }) {
  const { due, coming, hasMoreLooks, watched, others, older, isNewest } = open;
  const isWhole = isNewest && older === null;
  const isAllDue = coming.length === 0;
  const toLookAt = due.length === 0 ? "nothing due" : `${hasMoreLooks && isAllDue ? "over " : ""}${due.length} to look at`;
  return (
    <Frame
      head={<PageHeader>Watch</PageHeader>}
      doors={
        <>
          <Link to="/watch/blind" data-act="Blind tests">
            Blind tests
          </Link>
          <a href="/watch.ics" data-act="The checks as a calendar">
            Calendar
          </a>
        </>
      }
      line={<StationNav stations={watchStations(toLookAt, due.length > 0)} />}
    >
      <title>Watch, Tensidrum</title>
      <Grid gap="xl">
        <Grid.Col span={{ base: 12, md: 7 }}>
          <Stack gap="xl">
            <section aria-labelledby="due-head">
              <h2 id="due-head">To look at now</h2>
              {due.length === 0 ? <Text m={0}>Nothing is due today.</Text> : <Checks rows={due} />}
              <DueChecks />
            </section>
            {coming.length > 0 && (
              <section aria-labelledby="coming-head">
                <h2 id="coming-head">Coming</h2>
                <Checks rows={coming} />
              </section>
            )}
            {hasMoreLooks && (
              <Text m={0}>
                These are the {due.length + coming.length} that come first. <a href="/watch.ics">The calendar</a> has more of them.
              </Text>
            )}
          </Stack>
        </Grid.Col>
        <Grid.Col span={{ base: 12, md: 5 }}>
          <Stack gap="xl">
            <Batches title="Watched" rows={watched} none={isWhole ? "No batch is watched yet." : "None of these."} />
            <Batches title="Finished, not watched" rows={others} none={isWhole ? "Every finished batch is watched." : "None of these."} />
            <PartLinks of="batches" newest={isNewest ? null : "/watch"} older={older === null ? null : `/watch?behind=${older}`} />
          </Stack>
        </Grid.Col>
      </Grid>
    </Frame>
  );
}

function Checks({ rows }: { readonly rows: OpenWatchList["due"] }) {
  return (
    <DataTable isRuled>
      <thead>
        <tr>
          <th scope="col">day</th>
          <th scope="col">batch</th>
          <th scope="col">what</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ id, batchId, storage, title, code, name, day, isLate }) => (
          <tr key={id}>
            <th scope="row">
              {day}
              {isLate && (
                <Text component="small" display="block" c="var(--signal)">
                  was due
                </Text>
              )}
            </th>
            <td>
              {code} <small>{name}</small>
            </td>
            <td>
              <Link to={`/watch/${batchId}?sample=${storage}`}>
                {title}, {storageNames[storage]}
              </Link>
            </td>
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}

interface BatchesProps {
  readonly title: string;
  readonly rows: OpenWatchList["watched"];
  readonly none: string;
}

function Batches({ title, rows, none }: BatchesProps) {
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      {rows.length === 0 ? (
        <Text m={0}>{none}</Text>
      ) : (
        <DataTable isRuled>
          <tbody>
            {rows.map(({ id, code, name, looked, planned }) => (
              <tr key={id}>
                <th scope="row">
                  <Link to={`/watch/${id}`}>{code}</Link>
                </th>
                <td>{name}</td>
                <td data-number>{planned === 0 ? "" : `${looked} of ${planned}`}</td>
              </tr>
            ))}
          </tbody>
        </DataTable>
      )}
    </section>
  );
}

import { Stack, Text } from "@mantine/core";
import { written, writtenShort } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { DataTable } from "../../components/DataTable";
import { FormError } from "../../components/FormError";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { fillStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { Given } from "./Given";
import type { SentNote } from "./traceForm.server";
import type { OpenWhereabouts } from "./whereabouts.server";

interface WhereaboutsPageProps {
  readonly open: OpenWhereabouts;
  readonly answered: FormAnswer<SentNote> | null;
}

/** The containers of a batch: where they are, how long they keep, and which lots are in them. */
export function WhereaboutsPage({ open: { id, code, name, made, containers, lots }, answered }: WhereaboutsPageProps) {
  return (
    <Frame
      head={
        <>
          <PageHeader>{`Containers of ${code}`}</PageHeader>
          <Text component="span" size="sm" c="var(--ink-2)">
            {name}, made {made}
          </Text>
        </>
      }
      doors={
        <>
          <Link to={`/fill/${id}`}>Filling</Link>
          <Link to={`/bench/${id}/record`}>Record</Link>
        </>
      }
      line={<StationNav stations={fillStations(code)} />}
    >
      <title>{`Containers of ${code}, Tensidrum`}</title>
      <Stack gap="xl">
        <FormError>{sentenceAbove(answered)}</FormError>
        <section aria-labelledby="where-head">
          <h2 id="where-head">Where they are</h2>
          {containers.length === 0 ? (
            <Text m={0}>
              Nothing of it was filled one by one yet. <Link to={`/fill/${id}`}>Fill it</Link>
            </Text>
          ) : (
            <DataTable isRuled>
              <thead>
                <tr>
                  <th scope="col">containers</th>
                  <th scope="col" data-number className="mantine-visible-from-sm">
                    content
                  </th>
                  <th scope="col">use until</th>
                  <th scope="col">to whom, opened on</th>
                </tr>
              </thead>
              <tbody>
                {containers.map((row) => (
                  <tr key={row.rowId}>
                    <th scope="row">
                      <strong>{row.count}</strong> × {row.name}
                    </th>
                    <td data-number className="mantine-visible-from-sm">
                      {writtenShort(row.grams, 1)} g
                    </td>
                    <td>
                      {row.isPast && <strong>past: </strong>}
                      {row.useUntil}
                      {row.isByOpening && (
                        <Text component="small" display="block">
                          since it is open
                        </Text>
                      )}
                    </td>
                    <td>
                      <Given batch={id} row={row} openedOn={row.openedOn ?? ""} asksOpened />
                    </td>
                  </tr>
                ))}
              </tbody>
            </DataTable>
          )}
          <Text m="6px 0 0" c="var(--ink-2)">
            The earlier date counts: best before, or the months after opening its label says.
          </Text>
        </section>
        <section aria-labelledby="lots-head">
          <h2 id="lots-head">What is in them</h2>
          {lots.length === 0 ? (
            <Text m={0}>No lot was taken for it.</Text>
          ) : (
            <DataTable isRuled>
              <thead>
                <tr>
                  <th scope="col">material</th>
                  <th scope="col">lot</th>
                  <th scope="col" data-number>
                    taken
                  </th>
                  <th scope="col">from</th>
                </tr>
              </thead>
              <tbody>
                {lots.map((lot) => (
                  <tr key={lot.id}>
                    <th scope="row">
                      <Link to={`/shelf/${lot.slug}`}>{lot.name}</Link>
                    </th>
                    <td>
                      <Link to={`/shelf/lots/${lot.id}/trace`} aria-label={`Where lot ${lot.code} went`}>
                        {lot.code}
                      </Link>
                      {lot.onHold !== "" && (
                        <Text component="small" display="block" c="var(--signal)">
                          on hold: {lot.onHold}
                        </Text>
                      )}
                    </td>
                    <td data-number>{written(lot.usedGrams, 1)} g</td>
                    <td>{lot.supplier}</td>
                  </tr>
                ))}
              </tbody>
            </DataTable>
          )}
        </section>
      </Stack>
    </Frame>
  );
}

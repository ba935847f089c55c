import { Button, Stack, Text } from "@mantine/core";
import { Fragment } from "react";
import { written, writtenShort } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { DataTable } from "../../components/DataTable";
import { FormError } from "../../components/FormError";
import { PageHeader } from "../../components/PageHeader";
import { sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { Frame } from "../../frame/Frame";
import { stationsSeenFrom } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { useUnits } from "../../frame/units";
import { Given } from "./Given";
import type { OpenTrace } from "./trace.server";
import type { SentNote } from "./traceForm.server";

interface TracePageProps {
  readonly open: OpenTrace;
  readonly answered: FormAnswer<SentNote> | null;
}

const SHEET = { to: "/", state: "your formulas", isAlarm: false } as const;

/** Where a lot went, batch by batch and container by container: what to fetch when something is wrong with it. */
export function TracePage({ open: { lot, made, batches, byHandGrams }, answered }: TracePageProps) {
  const { mass } = useUnits();
  const filled = batches.flatMap(({ containers }) => containers);
  const count = filled.reduce((sum, row) => sum + row.count, 0);
  return (
    <Frame
      head={
        <>
          <PageHeader>Where it went</PageHeader>
          <Text component="span" size="sm" c="var(--ink-2)">
            {lot.name}, lot <strong>{lot.code}</strong>
          </Text>
        </>
      }
      doors={
        <>
          <Link to={`/shelf/${lot.material}`}>Lot {lot.code}</Link>
          <a href={`/shelf/lots/${lot.id}/trace.csv`} data-act="The list as a table">
            As CSV
          </a>
          <Button h={36} onClick={() => window.print()} data-act="Print the list" data-key="p">
            Print
          </Button>
        </>
      }
      line={
        <StationNav stations={stationsSeenFrom("shelf", SHEET, { to: "/shelf", state: `lot ${lot.code}`, isAlarm: lot.onHold !== "" })} />
      }
    >
      <title>{`Where lot ${lot.code} went, Tensidrum`}</title>
      <Stack gap="lg">
        <div>
          <Text m={0} fz="var(--text-head)">
            {batches.length === 0
              ? "No batch took of it."
              : `${batches.length === 1 ? "One batch" : `${batches.length} batches`}, ${count === 1 ? "one container" : `${count} containers`}.`}
          </Text>
          <Text m={0} c="var(--ink-2)">
            {mass(lot.leftGrams)} of {mass(lot.packGrams)} are left
            {lot.supplier !== "" && `, from ${lot.supplier}`}.
            {byHandGrams > 0.05 && ` ${mass(byHandGrams)} were taken by hand: its stock ledger says for what.`}
          </Text>
        </div>
        {lot.onHold !== "" && (
          <Text role="status" c="var(--signal)">
            <strong>On hold:</strong> {lot.onHold}
          </Text>
        )}
        {lot.onHold === "" && batches.length > 0 && (
          <Text>
            Is something wrong with it? Put it on hold at <Link to={`/shelf/${lot.material}`}>the lot</Link> first, so that no batch takes
            more of it. Then fetch what is listed here.
          </Text>
        )}
        {made.length > 0 && (
          <Text m={0}>
            Made of it here:{" "}
            {made.map(({ id, slug, name, code }, at) => (
              <Fragment key={id}>
                {at > 0 && ", "}
                <Link to={`/shelf/${slug}`}>{name}</Link> <small>{code}</small>
              </Fragment>
            ))}
            . Put that on hold too.
          </Text>
        )}
        <FormError>{sentenceAbove(answered)}</FormError>
        {batches.map((batch) => (
          <BatchOfLot key={`${batch.id} ${batch.through ?? ""}`} batch={batch} />
        ))}
      </Stack>
    </Frame>
  );
}

const useWords = { use: "", tester: "tester", retained: "kept to watch" } as const;

function BatchOfLot({ batch }: { readonly batch: OpenTrace["batches"][number] }) {
  const { id, code, name, begun, usedGrams, reservedGrams, through, isOpen, containers } = batch;
  return (
    <section aria-label={code}>
      <h2>
        <Link to={`/bench/${id}/record`}>{code}</Link> <small>{name}</small>
      </h2>
      <Text m={0}>
        Begun {begun}
        {usedGrams > 0 && `, took ${written(usedGrams, 1)} g`}
        {through !== null && ` of ${through}, which was made of it`}
        {reservedGrams > 0 && `, ${written(reservedGrams, 1)} g are reserved for it`}
        {isOpen && ", is being made"}.
      </Text>
      {containers.length === 0 ? (
        <Text m={0}>Nothing of it was filled one by one: look for it in its beakers and bulk containers.</Text>
      ) : (
        <DataTable isRuled>
          <thead>
            <tr>
              <th scope="col">fetch</th>
              <th scope="col" data-number>
                content
              </th>
              <th scope="col">to whom it went</th>
            </tr>
          </thead>
          <tbody>
            {containers.map((row) => (
              <tr key={row.rowId}>
                <th scope="row">
                  <strong>{row.count}</strong> × {row.name} <small>{useWords[row.use]}</small>
                </th>
                <td data-number>{writtenShort(row.grams, 1)} g</td>
                <td>
                  <Given batch={id} row={row} openedOn={row.openedOn ?? ""} />
                </td>
              </tr>
            ))}
          </tbody>
        </DataTable>
      )}
    </section>
  );
}

import { Grid, Group, Stack, Text } from "@mantine/core";
import { fillingOf } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { useEffect, useMemo, useRef } from "react";
import { Link } from "react-router";
import { FormError } from "../../components/FormError";
import { PageHeader } from "../../components/PageHeader";
import type { FormAnswer } from "../../frame/formAnswer";
import { Frame } from "../../frame/Frame";
import { fillStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import type { BenchForm } from "../batch/benchForm";
import { stateOfView } from "../batch/batchView";
import { keepBatchForLater } from "../queue/keepBatchForLater";
import { useBatch } from "../queue/useBatch";
import { BenchProvider } from "../step/bench";
import { InstrumentsPanel } from "../step/instruments/InstrumentsPanel";
import { QueueNote } from "../step/QueueNote";
import { useArrows } from "../step/useArrows";
import { useBenchHere } from "../step/useBenchHere";
import { useWakeLock } from "../step/useWakeLock";
import type { OpenFilling } from "./filling.server";
import { FillAccount } from "./FillAccount";
import { FillOne } from "./FillOne";
import { FillPlanner } from "./FillPlanner";
import { ReadyList } from "./ReadyList";

interface FillingPageProps {
  readonly open: OpenFilling;
  /** What the server said to a form sent without scripts. */
  readonly refused: FormAnswer<BenchForm> | null;
}

/** A batch into its containers: what to look at first, the plan, one container after the other, and where all of it went. */
export function FillingPage({ open: { sent, containers, density, newId }, refused }: FillingPageProps) {
  const here = useBatch(sent, ignore);
  const column = useRef<HTMLDivElement>(null);
  const bench = useBenchHere(here, { newId, refused, seed: sent.id, isPractice: false, column });
  const { view, plan, answered, queue } = bench;
  useArrows(column);
  useWakeLock();
  useEffect(() => keepBatchForLater(), []);
  const filling = useMemo(() => fillingOf(plan, stateOfView(view)), [plan, view]);
  const due = filling.next;
  const filledCount = filling.rows.reduce((sum, { filled }) => sum + filled.length, 0);
  const planned = filling.rows.reduce((sum, { count, filled }) => sum + Math.max(count, filled.length), 0);
  const planKey = filling.rows.map(({ id, count }) => `${id} ${count}`).join();
  const planner = <FillPlanner key={planKey} {...{ filling, containers, density }} />;
  return (
    <BenchProvider value={bench}>
      <Frame
        head={
          <>
            <PageHeader>{view.name}</PageHeader>
            <Text component="span" size="sm" c="var(--ink-2)">
              batch <strong>{view.code}</strong>, {filling.isYieldKnown ? "ready to fill" : "about"}{" "}
              <strong>{written(filling.toFillGrams, 1)}</strong> g
            </Text>
          </>
        }
        doors={
          <Link to={view.finished === null ? `/bench/${view.id}` : `/bench/${view.id}/record`}>
            {view.finished === null ? "Bench" : "Record"}
          </Link>
        }
        line={<StationNav stations={fillStations(planned === 0 ? "nothing filled yet" : `${filledCount} of ${planned} filled`)} />}
      >
        <title>{`Fill ${view.code}, ${view.name}`}</title>
        <Grid gap="xl">
          <Grid.Col span={{ base: 12, md: 7 }} order={{ base: 1, md: 2 }}>
            <div ref={column} data-waiting={queue.waiting.length}>
              <Stack gap="md">
                <QueueNote />
                <FormError>{answered?.sentence}</FormError>
                {planned === 0 ? (
                  planner
                ) : due === null ? (
                  <Text component="h2" id="step-head" tabIndex={-1} fz="var(--text-head)">
                    All containers are filled.
                  </Text>
                ) : (
                  <FillOne key={`${due.row.id} ${due.number}`} row={due.row} number={due.number} />
                )}
                <FillAccount filling={filling} />
                <InstrumentsPanel />
              </Stack>
            </div>
          </Grid.Col>
          <Grid.Col span={{ base: 12, md: 5 }} order={{ base: 2, md: 1 }}>
            <Stack gap="xl">
              <ReadyList />
              {planned > 0 && planner}
              <Group>
                <Link to="/fill/containers">Containers</Link>
                <Link to={`/fill/${view.id}/containers`} data-act="Where its containers are">
                  Where they are
                </Link>
                <Link to={`/fill/${view.id}/cost`} data-act="What this batch costs">
                  Cost
                </Link>
              </Group>
            </Stack>
          </Grid.Col>
        </Grid>
      </Frame>
    </BenchProvider>
  );
}

/** What the shelf's lots say does not matter here: nothing more is weighed from them. */
function ignore(): void {
  return;
}

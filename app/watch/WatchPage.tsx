import { Button, Checkbox, Grid, Stack, Text, UnstyledButton } from "@mantine/core";
import { storages } from "@tensidrum/core/stability";
import { useEffect } from "react";
import { Form, Link, useNavigation } from "react-router";
import { FormError } from "../components/FormError";
import quiet from "../components/quiet.module.css";
import { PageHeader } from "../components/PageHeader";
import { Frame } from "../frame/Frame";
import { problemAt, sentenceAbove, type FormAnswer } from "../frame/formAnswer";
import { DueChecks } from "../frame/dueChecks/DueChecks";
import { keepPageForLater } from "../frame/keepForLater";
import { watchStations } from "../frame/stationNav/stations";
import { StationNav } from "../frame/stationNav/StationNav";
import { Drift } from "../pictures/Drift/Drift";
import { Alarms, Answered } from "./Alarms";
import { CheckForm } from "./check/CheckForm";
import { Looked } from "./Looked";
import { storageNames } from "./looks";
import { useOutbox, type Outbox } from "./outbox/useOutbox";
import { PlannedChecks } from "./PlannedChecks";
import type { OpenWatch } from "./watch.server";
import type { TypedWatch } from "./watchForms.server";
import { meetsWords, shelfLifeWords } from "./watchWords";

interface WatchPageProps {
  readonly open: OpenWatch;
  readonly answered: FormAnswer<TypedWatch> | null;
}

const READINGS = {
  ph: { what: "pH", unit: "", decimals: 2, how: "10 % dilution" },
  viscosity: { what: "Thickness", unit: "Pa·s", decimals: 2, how: "Pa·s" },
  colour: { what: "Colour", unit: "", decimals: 1, how: "ΔE from the first photo, an estimate" },
  sediment: { what: "Settled", unit: "mm", decimals: 1, how: "mm, or floated up" },
} as const;

/** One batch over its weeks: its readings between their bounds, where they go, and the check that is due. */
export function WatchPage({ open, answered }: WatchPageProps) {
  const { id, code, name, made, samples, sample, readings, alarms, shelfLife, days } = open;
  const isSpoiled = alarms.some(({ discard }) => discard);
  const next = open.open.find(({ storage }) => storage === sample);
  const outbox = useOutbox(id);
  useEffect(() => keepPageForLater(), []);
  return (
    <Frame
      head={
        <PageHeader
          beside={
            <>
              batch <strong>{code}</strong>, made {made}
            </>
          }
        >
          {name}
        </PageHeader>
      }
      doors={
        <>
          <Link to={`/watch/${id}/lather`} data-act="The shake test">
            Lather
          </Link>
          <Link to={`/watch/${id}/patch`} data-act="Patch tests">
            Patch test
          </Link>
          <a href={`/watch/${id}/checks.csv`} data-act="Download the checks as CSV">
            As CSV
          </a>
          <Link to={`/bench/${id}/record`}>Record</Link>
          <Link to={`/fill/${id}/containers`}>Containers</Link>
        </>
      }
      line={
        <StationNav
          stations={watchStations(isSpoiled ? "stop using it" : next === undefined ? code : `${next.title} is next`, isSpoiled)}
        />
      }
    >
      <title>{`${code}, Watch, Tensidrum`}</title>
      <DueChecks />
      <Alarms open={open} answered={answered?.typed.intent === "answer" ? answered : null} />
      <Answered open={open} />
      {samples.length === 0 ? (
        <Begin open={open} answered={answered} />
      ) : (
        <Grid gap="xl">
          <Grid.Col span={{ base: 12, md: 8 }} order={{ base: 2, md: 1 }}>
            <Stack gap="lg">
              {readings.map((reading) => (
                <Reading key={reading.of} reading={reading} days={days} sample={sample} />
              ))}
              <Text m={0}>{shelfLifeWords(shelfLife)}</Text>
              <Looked looks={open.looks} count={open.count} sample={sample} />
            </Stack>
          </Grid.Col>
          <Grid.Col span={{ base: 12, md: 4 }} order={{ base: 1, md: 2 }}>
            <Stack gap="xl">
              <Waiting outbox={outbox} />
              <CheckForm open={open} answered={answered?.typed.intent === "keep" ? answered : null} outbox={outbox} />
              <PlannedChecks open={open} answered={answered} />
            </Stack>
          </Grid.Col>
        </Grid>
      )}
    </Frame>
  );
}

interface ReadingProps {
  readonly reading: OpenWatch["readings"][number];
  readonly days: OpenWatch["days"];
  readonly sample: OpenWatch["sample"];
}

/** One reading of every sample over the days, and where that of the sample looked at goes. */
function Reading({ reading: { of, series, band, on }, days, sample }: ReadingProps) {
  const { how, ...names } = READINGS[of];
  return (
    <section aria-labelledby={`${of}-head`}>
      <h2 id={`${of}-head`}>
        {names.what} <small>{how}</small>
      </h2>
      <Drift {...names} series={series} band={band} trend={on?.points ?? null} days={days} />
      {on !== null && (
        <Text m="2px 0 0">
          {storageNames[sample]}: {meetsWords(on.meets, on.from)}
        </Text>
      )}
    </section>
  );
}

/** Looks this device keeps until the server has them. */
function Waiting({ outbox: { looks, drop } }: { readonly outbox: Outbox }) {
  if (looks.length === 0) return null;
  return (
    <Stack gap={4} role="status">
      {looks.map(({ id, fields, why }) => {
        const told = new Map(fields);
        const words = `${storageNames[(told.get("storage") as keyof typeof storageNames | undefined) ?? "room"]}${told.get("ph") ? `, pH ${told.get("ph") ?? ""}` : ""}`;
        return (
          <Text key={id} m={0}>
            {why === null ? `${words}: kept on this device. It is sent when the server is back.` : `${words}: not taken. ${why} `}
            {why !== null && (
              <UnstyledButton className={quiet.quiet} onClick={() => void drop(id)}>
                Drop it
              </UnstyledButton>
            )}
          </Text>
        );
      })}
    </Stack>
  );
}

function Begin({ open: { newId, isFinished, id }, answered }: WatchPageProps) {
  const isBusy = useNavigation().state !== "idle";
  if (!isFinished) {
    return (
      <Text>
        This batch is not finished yet. <Link to={`/bench/${id}`}>Finish it at the bench</Link>, then put samples aside.
      </Text>
    );
  }
  return (
    <Form method="post">
      <Stack gap="md" align="flex-start" maw={560}>
        <Text m={0}>
          Put small jars of it aside and look at them: next day, after 48 hours, and after 1, 2, 4, 8 and 12 weeks. The one at room
          temperature tells most; a warm one tells it sooner, roughly four times.
        </Text>
        <FormError>{sentenceAbove(answered)}</FormError>
        <input type="hidden" name="id" value={newId} />
        <Checkbox.Group label="Which samples stand aside" error={problemAt(answered, "samples")} defaultValue={["room", "warm"]}>
          <Stack gap={8} mt={6}>
            {storages.map((storage) => (
              <Checkbox key={storage} name="samples" value={storage} label={storageNames[storage]} />
            ))}
          </Stack>
        </Checkbox.Group>
        <Button type="submit" name="intent" value="begin" h={44} loading={isBusy}>
          Watch it
        </Button>
      </Stack>
    </Form>
  );
}

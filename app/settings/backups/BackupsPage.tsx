import { Anchor, Button, Code, Grid, Group, Stack, Text } from "@mantine/core";
import { Form, Link, useNavigation } from "react-router";
import { DataTable } from "../../components/DataTable";
import { FormError } from "../../components/FormError";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import type { FormAnswer } from "../../frame/formAnswer";
import { ProgressBar } from "../../frame/progress/ProgressBar";
import { useJob } from "../../frame/progress/useJob";
import { stationsSeenFrom } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import type { ComparedBackup, OpenBackups } from "./backups.server";
import type { TypedBackup } from "./backupForms.server";
import { Compared } from "./Compared";
import { SendBackup } from "./SendBackup";
import { writtenBytes } from "./writtenBytes";

type Answered = FormAnswer<TypedBackup> | { readonly compared: ComparedBackup };

interface BackupsPageProps {
  readonly open: OpenBackups & { readonly made?: string | undefined; readonly restored?: string | undefined };
  readonly answered: Answered | null;
}

const WHY = {
  daily: "of the day",
  made: "made by you",
  before: "before a backup was restored",
  received: "sent from another machine",
} as const;

/** Copies of everything: to make, to take away, and to bring back. */
export function BackupsPage({ open: { kept, bytes, folder, made, restored }, answered }: BackupsPageProps) {
  const compared = answered !== null && "compared" in answered ? answered.compared : null;
  const { state, formData } = useNavigation();
  const busyWith = state === "idle" ? null : formData?.get("intent");
  const job = useJob();
  return (
    <Frame
      head={<PageHeader>Backups</PageHeader>}
      doors={<Link to="/settings">Settings</Link>}
      line={<StationNav stations={stationsSeenFrom(null, { to: "/", state: "from Today", isAlarm: false })} />}
    >
      <title>Backups, Tensidrum</title>
      <Stack gap="lg">
        <FormError>{answered !== null && "sentence" in answered ? answered.sentence : null}</FormError>
        {restored !== undefined && compared === null && (
          <Text m={0} fw={650} role="status">
            Everything is as in {restored}. What was here before is kept below.
          </Text>
        )}
        <Text m={0} maw={640} c="var(--ink-2)">
          A backup is one file with everything of yours: formulas with all versions, batches with entries and photos, lots, labels,
          settings. Keep one on another disk.
        </Text>
        <Form method="post">
          <input type="hidden" name="job" value={job} />
          <Group>
            <Button type="submit" name="intent" value="make" h={40} loading={busyWith === "make"} disabled={busyWith !== null}>
              Make a backup now
            </Button>
            {busyWith !== null && job !== "" && <ProgressBar job={job} label="Backup" first="beginning" />}
            {made !== undefined && busyWith === null && (
              <Text component="span" role="status">
                Made. <Anchor href={`/settings/backups/${made}`}>Download it</Anchor>
              </Text>
            )}
          </Group>
        </Form>
        {compared !== null && <Compared compared={compared} job={job} isBusy={busyWith !== null} />}
        <Grid gap="xl">
          <Grid.Col span={{ base: 12, md: 8 }}>
            <section aria-labelledby="kept-head">
              <h2 id="kept-head">Kept on this machine</h2>
              <Kept kept={kept} job={job} isBusy={busyWith !== null} />
              <Text m="8px 0 0" c="var(--ink-2)">
                One of each day Tensidrum runs, for seven days. All together {writtenBytes(bytes)} in <Code>{folder}</Code>.
              </Text>
            </section>
          </Grid.Col>
          <Grid.Col span={{ base: 12, md: 4 }}>
            <SendBackup />
          </Grid.Col>
        </Grid>
      </Stack>
    </Frame>
  );
}

interface KeptProps {
  readonly kept: OpenBackups["kept"];
  readonly job: string;
  readonly isBusy: boolean;
}

function Kept({ kept, job, isBusy }: KeptProps) {
  if (kept.length === 0) return <p>None yet. Make the first one now.</p>;
  return (
    <Form method="post">
      <input type="hidden" name="job" value={job} />
      <input type="hidden" name="intent" value="compare" />
      <DataTable isRuled>
        <thead>
          <tr>
            <th scope="col">of</th>
            <th scope="col">why</th>
            <th scope="col" data-number>
              size
            </th>
            <th scope="col">
              <span className="only-for-readers">what to do</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {kept.map(({ name, kept: moment, reason, bytes }) => (
            <tr key={name}>
              <th scope="row">{moment}</th>
              <td>{WHY[reason]}</td>
              <td data-number>{writtenBytes(bytes)}</td>
              <td>
                <Group gap={18} justify="flex-end">
                  <Anchor href={`/settings/backups/${name}`} aria-label={`Download the backup of ${moment}`}>
                    Download
                  </Anchor>
                  <Button
                    type="submit"
                    name="name"
                    value={name}
                    h={36}
                    variant="outline"
                    disabled={isBusy}
                    aria-label={`Compare the backup of ${moment}`}
                  >
                    Compare
                  </Button>
                </Group>
              </td>
            </tr>
          ))}
        </tbody>
      </DataTable>
    </Form>
  );
}

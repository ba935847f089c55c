import { Button, Group, NativeSelect, Stack, Text, TextInput } from "@mantine/core";
import { patchSeen } from "@tensidrum/core/stability";
import { Form, Link, useNavigation } from "react-router";
import { FormError } from "../../components/FormError";
import { NumberField } from "../../components/NumberField";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { problemAt, sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { watchStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import type { OpenPatchTests } from "./patch.server";
import type { TypedPatch } from "./patchForms.server";

interface PatchPageProps {
  readonly open: OpenPatchTests;
  readonly answered: FormAnswer<TypedPatch> | null;
}

/** Patches of a batch on skin for a day, and what was seen under them. */
export function PatchPage({ open: { id, newId, code, name, nextTester, tests, isReacted }, answered }: PatchPageProps) {
  const isBusy = useNavigation().state !== "idle";
  const waiting = tests.filter(({ seen }) => seen === null).length;
  return (
    <Frame
      head={
        <>
          <PageHeader>Patch test</PageHeader>
          <Text component="span" size="sm" c="var(--ink-2)">
            {name}, batch <strong>{code}</strong>
          </Text>
        </>
      }
      doors={<Link to={`/watch/${id}`}>Its checks</Link>}
      line={<StationNav stations={watchStations(waiting === 0 ? "none waits" : `${waiting} on the skin`, isReacted)} />}
    >
      <title>{`Patch test of ${code}, Tensidrum`}</title>
      <Stack gap="lg" maw={760}>
        {isReacted && (
          <Text m={0} fw={650} role="alert" c="var(--signal)">
            Somebody reacted to it. Do not give it out; skin that stays sore is for a doctor to look at.
          </Text>
        )}
        <Text m={0}>
          A drop of the wash, thinned with nine of water, on the inside of the forearm under a plaster, for 24 hours. Not on broken skin,
          not on children. Take it off and rinse at once when it stings. No reaction is no proof that nobody will have one.
        </Text>
        <Form method="post" key={newId}>
          <FormError>{answered?.typed.intent === "begin" ? sentenceAbove(answered) : null}</FormError>
          <input type="hidden" name="id" value={newId} />
          <Group align="flex-end">
            <NumberField
              name="tester"
              label="tester, a number"
              defaultValue={answered?.typed.intent === "begin" ? answered.typed.tester : String(nextTester)}
              error={answered?.typed.intent === "begin" ? problemAt(answered, "tester") : undefined}
            />
            <Button type="submit" name="intent" value="begin" h={40} loading={isBusy}>
              Patch is on
            </Button>
          </Group>
        </Form>
        {tests.length === 0 ? (
          <Text m={0}>No patch was put on yet.</Text>
        ) : (
          <ul style={{ listStyle: "none", margin: 0, padding: 0 }} aria-label="Patches">
            {tests.map((test) => (
              <li key={test.id} style={{ padding: "10px 0", borderTop: "1px solid var(--hair-2)" }}>
                <Patch test={test} answered={answered?.typed.id === test.id ? answered : null} />
              </li>
            ))}
          </ul>
        )}
      </Stack>
    </Frame>
  );
}

function Patch({ test, answered }: { readonly test: OpenPatchTests["tests"][number]; readonly answered: PatchPageProps["answered"] }) {
  const isBusy = useNavigation().state !== "idle";
  const { id, tester, putOn, looked, seen, note, hoursLeft } = test;
  if (seen !== null) {
    return (
      <Text m={0}>
        <strong>Tester {tester}</strong>, on {putOn}, looked at {looked}: <strong>{seen}</strong>
        {note !== "" && `, ${note}`}
      </Text>
    );
  }
  return (
    <Form method="post">
      <FormError>{sentenceAbove(answered)}</FormError>
      <input type="hidden" name="id" value={id} />
      <Text m="0 0 6px">
        <strong>Tester {tester}</strong>, on {putOn}, {hoursLeft > 0 ? `${hoursLeft} h to go` : "may be judged now"}
      </Text>
      <Group align="flex-end">
        <NativeSelect
          name="seen"
          label="what is seen"
          defaultValue={answered?.typed.seen ?? ""}
          data={[{ value: "", label: "not looked at" }, ...patchSeen]}
          error={problemAt(answered, "seen")}
        />
        <TextInput name="note" label="note" maxLength={300} defaultValue={answered?.typed.note ?? ""} />
        <Button type="submit" name="intent" value="judge" h={36} variant="outline" disabled={isBusy}>
          Keep it
        </Button>
      </Group>
    </Form>
  );
}

import { Button, Grid, NativeSelect, Stack, Text, TextInput } from "@mantine/core";
import { Form, Link, useNavigation } from "react-router";
import { DataTable } from "../../components/DataTable";
import { FormError } from "../../components/FormError";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { problemAt, sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { watchStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import type { OpenBlindTests } from "./blind.server";
import type { TypedBlind } from "./blindForms.server";
import { kindWords } from "./blindWords";

interface BlindListProps {
  readonly open: OpenBlindTests;
  readonly answered: FormAnswer<TypedBlind> | null;
}

/** The blind tests there are, and the form of a new one. */
export function BlindList({ open: { tests, batches, newId }, answered }: BlindListProps) {
  const isBusy = useNavigation().state !== "idle";
  const typed = answered?.typed;
  const batch = (name: "first" | "second", label: string) => (
    <NativeSelect name={name} label={label} defaultValue={typed?.[name] ?? ""} error={problemAt(answered, name)}>
      <option value="">choose a batch</option>
      {batches.map(({ id, name: called }) => (
        <option key={id} value={id}>
          {called}
        </option>
      ))}
    </NativeSelect>
  );
  return (
    <Frame
      head={<PageHeader>Blind tests</PageHeader>}
      doors={<Link to="/watch">Watch</Link>}
      line={
        <StationNav
          stations={watchStations(
            tests.length === 0 ? "no blind test yet" : tests.length === 1 ? "one blind test" : `${tests.length} blind tests`,
          )}
        />
      }
    >
      <title>Blind tests, Tensidrum</title>
      <Grid gap="xl">
        <Grid.Col span={{ base: 12, md: 7 }}>
          {tests.length === 0 ? (
            <Text m={0} maw={560}>
              None yet. Three cups of which one is different tell whether two batches can be told apart at all; two cups tell which is
              preferred.
            </Text>
          ) : (
            <DataTable isRuled>
              <thead>
                <tr>
                  <th scope="col">batches</th>
                  <th scope="col">what is asked</th>
                  <th scope="col">begun</th>
                  <th scope="col" data-number>
                    answered
                  </th>
                </tr>
              </thead>
              <tbody>
                {tests.map(({ id, first, second, kind, question, begun, asked, answered: told }) => (
                  <tr key={id}>
                    <th scope="row">
                      <Link to={`/watch/blind/${id}`}>
                        {first} and {second}
                      </Link>
                    </th>
                    <td>
                      {question} <small>{kindWords[kind]}</small>
                    </td>
                    <td>{begun}</td>
                    <td data-number>
                      {told} of {asked}
                    </td>
                  </tr>
                ))}
              </tbody>
            </DataTable>
          )}
        </Grid.Col>
        <Grid.Col span={{ base: 12, md: 5 }}>
          <Form method="post" key={newId}>
            <Stack gap="sm">
              <h2 style={{ margin: 0 }}>A new one</h2>
              <FormError>{sentenceAbove(answered)}</FormError>
              <input type="hidden" name="id" value={newId} />
              {batch("first", "One batch")}
              {batch("second", "The other")}
              <NativeSelect
                name="kind"
                label="Test"
                defaultValue={typed?.kind ?? "triangle"}
                data={Object.entries(kindWords).map(([value, label]) => ({ value, label }))}
              />
              <TextInput
                name="testers"
                label="Testers"
                inputMode="numeric"
                description="a multiple of six is balanced best"
                defaultValue={typed?.testers ?? "12"}
                error={problemAt(answered, "testers")}
              />
              <TextInput
                name="question"
                label="What is asked"
                maxLength={120}
                placeholder="Which lathers more?"
                defaultValue={typed?.question ?? ""}
              />
              <Button type="submit" h={44} loading={isBusy} style={{ alignSelf: "flex-start" }}>
                Draw the cups
              </Button>
              <Text m={0}>
                Nobody washes with a batch that was not patch tested: a little on the inside of the elbow, 24 hours, and nothing red or
                itching. Ask about allergies first.
              </Text>
            </Stack>
          </Form>
        </Grid.Col>
      </Grid>
    </Frame>
  );
}

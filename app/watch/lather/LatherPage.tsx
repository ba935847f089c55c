import { Button, Grid, NativeSelect, SimpleGrid, Stack, Text, TextInput } from "@mantine/core";
import { writtenShort } from "@tensidrum/core/quantities";
import { bubbleSizes } from "@tensidrum/core/stability";
import { Form, Link, useNavigation } from "react-router";
import { DataTable } from "../../components/DataTable";
import { FormError } from "../../components/FormError";
import { NumberField } from "../../components/NumberField";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { problemAt, sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { watchStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { Lather } from "../../pictures/Lather/Lather";
import type { OpenLather } from "./lather.server";
import type { TypedLather } from "./latherForms.server";
import { ShakeClock } from "./ShakeClock";

interface LatherPageProps {
  readonly open: OpenLather;
  readonly answered: FormAnswer<TypedLather> | null;
}

const FEELS = [
  { name: "slip", label: "slip while washing" },
  { name: "rinse", label: "rinses off" },
  { name: "afterFeel", label: "after-feel: 1 tight, 5 soft" },
] as const;

/** The shake test, the same way each time, and how it felt on the hand. */
export function LatherPage({ open: { id, newId, code, name, tests, mean, range }, answered }: LatherPageProps) {
  const isBusy = useNavigation().state !== "idle";
  const typed = answered?.typed;
  const height = (field: "atOnce" | "oneMinute" | "fiveMinutes", label: string) => (
    <NumberField name={field} label={label} unit="mm" defaultValue={typed?.[field] ?? ""} error={problemAt(answered, field)} />
  );
  return (
    <Frame
      head={
        <>
          <PageHeader>Lather</PageHeader>
          <Text component="span" size="sm" c="var(--ink-2)">
            {name}, batch <strong>{code}</strong>
          </Text>
        </>
      }
      doors={<Link to={`/watch/${id}`}>Its checks</Link>}
      line={<StationNav stations={watchStations(tests.length === 1 ? "one test" : `${tests.length} tests`)} />}
    >
      <title>{`Lather of ${code}, Tensidrum`}</title>
      <Grid gap="xl">
        <Grid.Col span={{ base: 12, md: 7 }}>
          <Form method="post" key={newId}>
            <Stack gap="md" align="flex-start">
              <Text m={0} maw={600}>
                Stir 1 g into 99 g of warm water without making foam, pour 50 mL into a lidded cylinder, shake ten times, and read the
                height of the foam at once, after one minute and after five.
              </Text>
              <ShakeClock />
              <FormError>{sentenceAbove(answered)}</FormError>
              <input type="hidden" name="id" value={newId} />
              <SimpleGrid cols={{ base: 1, sm: 3 }}>
                {height("atOnce", "at once")}
                {height("oneMinute", "after 1 min")}
                {height("fiveMinutes", "after 5 min")}
              </SimpleGrid>
              <SimpleGrid cols={{ base: 2, sm: 4 }}>
                <NativeSelect name="bubbles" label="bubbles" defaultValue={typed?.bubbles ?? "fine"} data={[...bubbleSizes]} />
                {FEELS.map(({ name: feel, label }) => (
                  <NativeSelect
                    key={feel}
                    name={feel}
                    label={label}
                    defaultValue={typed?.[feel] ?? ""}
                    data={[{ value: "", label: "not washed" }, "1", "2", "3", "4", "5"]}
                  />
                ))}
              </SimpleGrid>
              <TextInput name="note" label="note" maxLength={300} w="100%" maw={480} defaultValue={typed?.note ?? ""} />
              <Button type="submit" h={44} loading={isBusy}>
                Keep it
              </Button>
            </Stack>
          </Form>
        </Grid.Col>
        <Grid.Col span={{ base: 12, md: 5 }}>
          {mean === null ? (
            <Text m={0}>No test yet. Three of them tell how far they lie apart by themselves.</Text>
          ) : (
            <section aria-labelledby="mean-head">
              <h2 id="mean-head">{tests.length === 1 ? "The test" : `Mean of ${tests.length} tests`}</h2>
              <Lather {...mean} />
              <Text m="6px 0 0">
                {mean.words}.{mean.retention !== null && ` ${writtenShort(mean.retention * 100, 0)} % of it stays five minutes.`}
                {mean.halfLifeMinutes !== null && ` Half of it has fallen after ${writtenShort(mean.halfLifeMinutes, 0)} min (estimate).`}
                {range !== null && ` At once from ${writtenShort(range.low, 0)} to ${writtenShort(range.high, 0)} mm.`}
              </Text>
            </section>
          )}
        </Grid.Col>
        {tests.length > 0 && (
          <Grid.Col span={12}>
            <DataTable isRuled>
              <caption>Tests, newest first</caption>
              <thead>
                <tr>
                  <th scope="col">when</th>
                  <th scope="col" data-number>
                    mm at once, 1, 5 min
                  </th>
                  <th scope="col">bubbles</th>
                  <th scope="col">slip, rinse, after-feel</th>
                </tr>
              </thead>
              <tbody>
                {tests.map((test) => (
                  <tr key={test.id}>
                    <th scope="row">{test.at}</th>
                    <td data-number>
                      {writtenShort(test.atOnceMm, 0)}, {writtenShort(test.afterOneMinuteMm, 0)}, {writtenShort(test.afterFiveMinutesMm, 0)}
                    </td>
                    <td>{test.bubbles}</td>
                    <td>
                      {[test.slip, test.rinse, test.afterFeel].map((one) => one ?? "–").join(", ")}
                      {test.note !== "" && <small> {test.note}</small>}
                    </td>
                  </tr>
                ))}
              </tbody>
            </DataTable>
          </Grid.Col>
        )}
      </Grid>
    </Frame>
  );
}

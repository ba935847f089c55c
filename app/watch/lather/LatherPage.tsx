import { Button, Grid, Group, NativeSelect, Radio, SimpleGrid, Stack, Text, TextInput } from "@mantine/core";
import { written, writtenShort } from "@tensidrum/core/quantities";
import { bubbleSizes, latherFeels, latherWays } from "@tensidrum/core/stability";
import { useState } from "react";
import { Form, Link, useNavigation } from "react-router";
import { DataTable } from "../../components/DataTable";
import { FormError } from "../../components/FormError";
import { NumberField } from "../../components/NumberField";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { problemAt, sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { seedOf } from "../../frame/instruments/seedOf";
import { watchStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { Bubbles } from "../../pictures/Bubbles/Bubbles";
import { Decay } from "../../pictures/Decay/Decay";
import { Lather } from "../../pictures/Lather/Lather";
import type { OpenLather } from "./lather.server";
import type { TypedLather } from "./latherForms.server";
import { feelNames, wayNames, wayWords } from "./latherWords";
import { ShakeClock } from "./ShakeClock";

interface LatherPageProps {
  readonly open: OpenLather;
  readonly answered: FormAnswer<TypedLather> | null;
}

/** A batch's lather, tried the same way each time: shaken, washed with, or its foam weighed. */
export function LatherPage({ open, answered }: LatherPageProps) {
  const { id, newId, code, name, way, count } = open;
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
      line={<StationNav stations={watchStations(count === 1 ? "one test" : `${count} tests`)} />}
    >
      <title>{`Lather of ${code}, Tensidrum`}</title>
      <Group gap="md" mb="md" component="nav" aria-label="Ways of testing">
        {latherWays.map((one) => (
          <Link key={one} to={`?way=${one}`} preventScrollReset aria-current={one === way ? "true" : undefined}>
            {one === way ? <strong>{wayNames[one]}</strong> : wayNames[one]}
          </Link>
        ))}
      </Group>
      <Grid gap="xl">
        <Grid.Col span={{ base: 12, md: 7 }}>
          <TestForm key={`${newId} ${way}`} open={open} answered={answered} />
        </Grid.Col>
        <Grid.Col span={{ base: 12, md: 5 }}>
          <Result open={open} />
        </Grid.Col>
        {open.tests.length > 0 && (
          <Grid.Col span={12}>
            <Tests open={open} />
          </Grid.Col>
        )}
      </Grid>
    </Frame>
  );
}

function TestForm({ open: { id, newId, way }, answered }: LatherPageProps) {
  const isBusy = useNavigation().state !== "idle";
  const typed = answered?.typed;
  const [heights, setHeights] = useState({
    atOnce: typed?.atOnce ?? "",
    oneMinute: typed?.oneMinute ?? "",
    fiveMinutes: typed?.fiveMinutes ?? "",
  });
  const height = (field: keyof typeof heights, label: string) => (
    <NumberField
      name={field}
      label={label}
      unit="mm"
      value={heights[field]}
      onChange={(event) => setHeights({ ...heights, [field]: event.currentTarget.value })}
      error={problemAt(answered, field)}
    />
  );
  const number = (field: "latherSeconds" | "rinseSeconds" | "foamGrams" | "foamMillilitres", label: string, unit: string) => (
    <NumberField name={field} label={label} unit={unit} defaultValue={typed?.[field] ?? ""} error={problemAt(answered, field)} />
  );
  return (
    <Form method="post">
      <Stack gap="md" align="flex-start">
        <Text m={0} maw={600}>
          {wayWords[way]}
        </Text>
        {way === "shake" && <ShakeClock seed={seedOf(id)} onHeight={(field, mm) => setHeights((now) => ({ ...now, [field]: mm }))} />}
        <FormError>{sentenceAbove(answered)}</FormError>
        <input type="hidden" name="id" value={newId} />
        <input type="hidden" name="way" value={way} />
        {way === "shake" && (
          <SimpleGrid cols={{ base: 1, sm: 3 }}>
            {height("atOnce", "at once")}
            {height("oneMinute", "after 1 min")}
            {height("fiveMinutes", "after 5 min")}
          </SimpleGrid>
        )}
        {(way === "hand" || way === "loofah" || way === "hair") && (
          <SimpleGrid cols={{ base: 1, sm: 2 }}>
            {number("latherSeconds", "lathers after", "s")}
            {number("rinseSeconds", "rinsed off in", "s")}
          </SimpleGrid>
        )}
        {(way === "pump" || way === "whipped") && (
          <SimpleGrid cols={{ base: 1, sm: 2 }}>
            {number("foamGrams", "the foam weighs", "g")}
            {number("foamMillilitres", "and fills", "mL")}
          </SimpleGrid>
        )}
        <Radio.Group name="bubbles" label="bubbles" defaultValue={typed?.bubbles ?? "fine"}>
          <Group gap="lg" mt={6}>
            {bubbleSizes.map((size) => (
              <Radio
                key={size}
                value={size}
                label={
                  <Group gap={6} component="span">
                    {size} <Bubbles size={size} />
                  </Group>
                }
              />
            ))}
          </Group>
        </Radio.Group>
        <SimpleGrid cols={{ base: 2, sm: 4 }}>
          {latherFeels.map((feel) => (
            <NativeSelect
              key={feel}
              name={feel}
              label={feelNames[feel]}
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
  );
}

/** The mean of the tests with how far they lie apart. */
function Result({ open: { tests, mean, heights, measured } }: Pick<LatherPageProps, "open">) {
  if (tests.length === 0) return <Text m={0}>No test yet. Three of them tell how far they lie apart by themselves.</Text>;
  return (
    <section aria-labelledby="mean-head">
      <h2 id="mean-head">{tests.length === 1 ? "The test" : `Mean of ${tests.length} tests`}</h2>
      {mean !== null && (
        <>
          <Lather {...mean} />
          <Text m="6px 0">
            {mean.words}.{mean.retention !== null && ` ${writtenShort(mean.retention * 100, 0)} % of it stays five minutes.`}
            {mean.halfLifeMinutes !== null && ` Half of it is gone after about ${writtenShort(mean.halfLifeMinutes, 1)} min (estimate).`}
          </Text>
          <Decay tests={heights} mean={mean} halfLifeMinutes={mean.halfLifeMinutes} />
        </>
      )}
      <DataTable isRuled>
        <tbody>
          {measured.map(({ what, unit, decimals, mean: middle, spread, count }) => (
            <tr key={what}>
              <th scope="row">{what}</th>
              <td data-number>
                {written(middle, decimals)} {unit}
              </td>
              <td>{spread === null ? "" : `± ${written(spread, decimals)}, ${count} tests`}</td>
            </tr>
          ))}
        </tbody>
      </DataTable>
    </section>
  );
}

function Tests({ open: { tests } }: Pick<LatherPageProps, "open">) {
  return (
    <DataTable isRuled>
      <thead>
        <tr>
          <th scope="col">tested</th>
          <th scope="col">measured</th>
          <th scope="col">bubbles</th>
          <th scope="col">note</th>
        </tr>
      </thead>
      <tbody>
        {tests.map(({ id, at, values, bubbles, note }) => (
          <tr key={id}>
            <th scope="row">{at}</th>
            <td>{values.map(({ what, value, unit, decimals }) => `${what} ${written(value, decimals)} ${unit}`).join(", ")}</td>
            <td>{bubbles}</td>
            <td>{note}</td>
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}

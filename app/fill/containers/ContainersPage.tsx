import { Button, Grid, Group, NativeSelect, SimpleGrid, Stack, Text, TextInput } from "@mantine/core";
import { containerFacts } from "@tensidrum/core/packaging";
import { containerTypes } from "@tensidrum/core/process";
import { written, writtenShort } from "@tensidrum/core/quantities";
import { Form, Link, useNavigation } from "react-router";
import { ConfirmButton } from "../../components/ConfirmButton";
import { DataTable } from "../../components/DataTable";
import { FormError } from "../../components/FormError";
import { NumberField } from "../../components/NumberField";
import { PageHeader } from "../../components/PageHeader";
import quiet from "../../components/quiet.module.css";
import { problemAt, sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { Frame } from "../../frame/Frame";
import { fillStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { useUnits } from "../../frame/units";
import type { TypedContainer } from "./containerForm.server";
import type { OpenContainers } from "./containers.server";

interface ContainersPageProps {
  readonly open: OpenContainers;
  readonly answered: FormAnswer<TypedContainer> | null;
}

/** What can be filled: measured with water, counted, and with room for a label. */
export function ContainersPage({ open: { containers, isNew, typed }, answered }: ContainersPageProps) {
  const count = containers.length === 1 ? "1 container" : `${containers.length} containers`;
  return (
    <Frame head={<PageHeader>Containers</PageHeader>} line={<StationNav stations={fillStations(count)} />}>
      <title>Containers, Tensidrum</title>
      <Grid gap="xl">
        <Grid.Col span={{ base: 12, lg: 8 }}>
          {containers.length === 0 ? (
            <Text maw={560}>Nothing to fill yet. Measure one bottle: fill it to the brim with water and weigh that; 1 g is 1 mL.</Text>
          ) : (
            <ContainerTable containers={containers} />
          )}
        </Grid.Col>
        <Grid.Col span={{ base: 12, lg: 4 }}>
          <ContainerForm typed={answered?.typed ?? typed} isNew={isNew} answered={answered} />
        </Grid.Col>
      </Grid>
    </Frame>
  );
}

/** Columns a phone has no room for. */
const WIDE = "mantine-visible-from-sm";

function ContainerTable({ containers }: Pick<OpenContainers, "containers">) {
  const { currency } = useUnits();
  return (
    <DataTable isRuled>
      <caption>What goes in is what it is sold as, or what the brim leaves: whichever is less.</caption>
      <thead>
        <tr>
          <th scope="col">container</th>
          <th scope="col" className={WIDE}>
            sold as
          </th>
          <th scope="col" className={WIDE}>
            to the brim
          </th>
          <th scope="col">takes, mL</th>
          <th scope="col" className={WIDE}>
            empty, g
          </th>
          <th scope="col" className={WIDE}>
            label, mm
          </th>
          <th scope="col">pieces</th>
          <th scope="col">each{currency === "" ? "" : `, ${currency}`}</th>
        </tr>
      </thead>
      <tbody>
        {containers.map(
          ({ id, name, type, nominalMl, brimfulMl, takesMl, tareGrams, labelWidthMm, labelHeightMm, pieces, priceEach, note }) => (
            <tr key={id}>
              <th scope="row">
                <Link to={`/fill/containers?change=${id}`}>{name}</Link>
                <Text size="sm" component="small" display="block" c="var(--ink-2)">
                  {containerFacts[type].name}
                  {note !== "" && `, ${note}`}
                </Text>
              </th>
              <td className={WIDE}>{writtenShort(nominalMl, 1)}</td>
              <td className={WIDE}>{writtenShort(brimfulMl, 1)}</td>
              <td>
                <strong>{writtenShort(takesMl, 1)}</strong>
              </td>
              <td className={WIDE}>{tareGrams === null ? "not weighed" : written(tareGrams, 1)}</td>
              <td className={WIDE}>{labelWidthMm === null || labelHeightMm === null ? "none" : `${labelWidthMm} × ${labelHeightMm}`}</td>
              <td>{pieces === null ? "not counted" : pieces === 0 ? <strong>none left</strong> : pieces}</td>
              <td>{priceEach === null ? "" : written(priceEach, 2)}</td>
            </tr>
          ),
        )}
      </tbody>
    </DataTable>
  );
}

interface ContainerFormProps {
  readonly typed: TypedContainer;
  readonly isNew: boolean;
  readonly answered: FormAnswer<TypedContainer> | null;
}

function ContainerForm({ typed, isNew, answered }: ContainerFormProps) {
  const { currency } = useUnits();
  const isBusy = useNavigation().state !== "idle";
  const number = (name: keyof TypedContainer, label: string, unit: string) => (
    <NumberField name={name} label={label} unit={unit} defaultValue={typed[name]} error={problemAt(answered, name)} />
  );
  return (
    <Form method="post" noValidate>
      <Stack gap="sm">
        <h2>{isNew ? "A new container" : typed.name}</h2>
        <FormError>{sentenceAbove(answered)}</FormError>
        <input type="hidden" name="id" defaultValue={typed.id} />
        <TextInput
          name="name"
          label="name"
          maxLength={60}
          autoComplete="off"
          defaultValue={typed.name}
          error={problemAt(answered, "name")}
          data-act="Name of a container"
        />
        <NativeSelect name="type" label="type" defaultValue={typed.type}>
          {containerTypes.map((type) => (
            <option key={type} value={type}>
              {containerFacts[type].name}
            </option>
          ))}
        </NativeSelect>
        <SimpleGrid cols={2} spacing="sm">
          {number("nominal", "sold as", "mL")}
          {number("brimful", "to the brim", "mL")}
          {number("headspace", "kept free", "mL")}
          {number("dipTube", "tube and pump take", "mL")}
          {number("tare", "empty, with closure", "g")}
          {number("pieces", "on the shelf", "pieces")}
          {number("labelWidth", "label, wide", "mm")}
          {number("labelHeight", "label, high", "mm")}
          {number("price", "price of one", currency)}
        </SimpleGrid>
        <TextInput
          name="note"
          label="what suits it"
          maxLength={200}
          autoComplete="off"
          defaultValue={typed.note}
          error={problemAt(answered, "note")}
        />
        <Group gap="md">
          <Button type="submit" name="intent" value="save" h={40} loading={isBusy}>
            {isNew ? "Put it on the shelf" : "Save it"}
          </Button>
          {!isNew && (
            <>
              <Link to="/fill/containers">Cancel</Link>
              <ConfirmButton
                name="intent"
                value="delete"
                className={quiet.quiet}
                question={`Delete ${typed.name}?`}
                consequence="What was filled into it stays in the records."
              >
                Delete
              </ConfirmButton>
            </>
          )}
        </Group>
      </Stack>
    </Form>
  );
}

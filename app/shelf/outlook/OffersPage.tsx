import { Button, Group, Stack, Text, TextInput, UnstyledButton } from "@mantine/core";
import { writtenMass } from "@tensidrum/core/quantities";
import { Form, Link, useNavigation } from "react-router";
import { DataTable } from "../../components/DataTable";
import { FormError } from "../../components/FormError";
import { NumberField } from "../../components/NumberField";
import { PageHeader } from "../../components/PageHeader";
import quiet from "../../components/quiet.module.css";
import { Frame } from "../../frame/Frame";
import { problemAt, sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { StationNav } from "../../frame/stationNav/StationNav";
import { useUnits } from "../../frame/units";
import { shelfStations } from "../shelfStation";
import type { OpenOffers } from "./offers.server";
import type { TypedOffer } from "./outlookForms.server";

interface OffersPageProps {
  readonly open: OpenOffers;
  readonly answered: FormAnswer<TypedOffer> | null;
}

/** What suppliers ask for a material, as the maker typed it. */
export function OffersPage({ open: { slug, name, offers, newId }, answered }: OffersPageProps) {
  const isBusy = useNavigation().state !== "idle";
  const { money, currency } = useUnits();
  const typed = answered?.typed;
  return (
    <Frame
      head={<PageHeader>{`Prices of ${name}`}</PageHeader>}
      doors={
        <>
          <Link to={`/shelf/${slug}`}>{name}</Link>
          <Link to="/shelf/outlook">Outlook</Link>
        </>
      }
      line={<StationNav stations={shelfStations(offers.length === 1 ? "one price" : `${offers.length} prices`)} />}
    >
      <title>{`Prices of ${name}, Tensidrum`}</title>
      <Stack gap="lg" maw={860}>
        {offers.length === 0 ? (
          <Text m={0}>No price is typed yet. The outlook then counts with the packs you bought before.</Text>
        ) : (
          <DataTable isRuled>
            <thead>
              <tr>
                <th scope="col">supplier</th>
                <th scope="col" data-number>
                  pack
                </th>
                <th scope="col" data-number>
                  price
                </th>
                <th scope="col" data-number>
                  a kilogram
                </th>
                <th scope="col" data-number className="mantine-visible-from-sm">
                  at least
                </th>
                <th scope="col" className="mantine-visible-from-sm">
                  typed
                </th>
                <th scope="col">
                  <span className="only-for-readers">what to do</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {offers.map((offer) => (
                <tr key={offer.id}>
                  <th scope="row">{offer.supplier}</th>
                  <td data-number>{writtenMass(offer.packGrams)}</td>
                  <td data-number>{money(offer.price)}</td>
                  <td data-number>{money(offer.perKilogram)}</td>
                  <td data-number className="mantine-visible-from-sm">
                    {offer.leastPacks === 1 ? "one pack" : `${offer.leastPacks} packs`}
                  </td>
                  <td className="mantine-visible-from-sm">{offer.seen}</td>
                  <td>
                    <Form method="post">
                      <input type="hidden" name="id" value={offer.id} />
                      <UnstyledButton
                        type="submit"
                        name="intent"
                        value="drop"
                        className={quiet.quiet}
                        disabled={isBusy}
                        aria-label={`Drop the price of ${offer.supplier}`}
                      >
                        Drop
                      </UnstyledButton>
                    </Form>
                  </td>
                </tr>
              ))}
            </tbody>
          </DataTable>
        )}
        <Form method="post" key={newId}>
          <h2>Add a price</h2>
          <FormError>{sentenceAbove(answered)}</FormError>
          <input type="hidden" name="id" value={newId} />
          <Group align="flex-start" gap="md">
            <TextInput
              name="supplier"
              label="Supplier"
              description="as you call it"
              maxLength={120}
              defaultValue={typed?.supplier ?? ""}
              error={problemAt(answered, "supplier")}
            />
            <TextInput
              name="pack"
              label="In a pack"
              description="500, 1.2 kg"
              inputMode="decimal"
              w={120}
              defaultValue={typed?.pack ?? ""}
              error={problemAt(answered, "pack")}
            />
            <NumberField
              name="price"
              label="Price of a pack"
              unit={currency}
              w={150}
              defaultValue={typed?.price ?? ""}
              error={problemAt(answered, "price")}
            />
            <NumberField
              name="least"
              label="At least"
              unit="packs"
              w={120}
              defaultValue={typed?.least ?? ""}
              error={problemAt(answered, "least")}
            />
          </Group>
          <Button type="submit" name="intent" value="keep" h={40} mt="sm" loading={isBusy}>
            Keep it
          </Button>
        </Form>
      </Stack>
    </Frame>
  );
}

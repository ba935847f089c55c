import { Button, Grid, Group, NativeSelect, SimpleGrid, Stack, Text, Textarea, TextInput } from "@mantine/core";
import { clarityLooks } from "@tensidrum/core/process";
import { Form, Link, useNavigation } from "react-router";
import { ConfirmButton } from "../../components/ConfirmButton";
import { FormError } from "../../components/FormError";
import { NumberField } from "../../components/NumberField";
import { PageHeader } from "../../components/PageHeader";
import quiet from "../../components/quiet.module.css";
import { Frame } from "../../frame/Frame";
import { problemAt, sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { compareStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { useUnits } from "../../frame/units";
import { ReadingFields } from "../readings/ReadingFields";
import type { OpenProduct } from "./product.server";
import type { TypedProduct } from "./productForms.server";

interface ProductPageProps {
  readonly open: OpenProduct;
  readonly answered: FormAnswer<TypedProduct> | null;
}

/** A product to come close to: what is printed on it, what it costs, and what was measured of it. */
export function ProductPage({ open, answered }: ProductPageProps) {
  const isBusy = useNavigation().state !== "idle";
  const { currency } = useUnits();
  const typed = answered?.typed;
  const { id, isNew, hasPhoto } = open;
  return (
    <Frame
      head={<PageHeader>{isNew ? "A product to come close to" : open.name}</PageHeader>}
      doors={
        <>
          <Link to="/compare">Compare</Link>
          {!isNew && open.printed !== "" && (
            <Link to={`/compare/products/${id}/list`} data-act="What the order of its list allows">
              What its list allows
            </Link>
          )}
        </>
      }
      line={<StationNav stations={compareStations(isNew ? "a new product" : "a product")} />}
    >
      <title>{`${isNew ? "Product to come close to" : open.name}, Tensidrum`}</title>
      <Form method="post" encType="multipart/form-data" key={id}>
        <FormError>{sentenceAbove(answered)}</FormError>
        <input type="hidden" name="id" value={id} />
        <Grid gap="xl">
          <Grid.Col span={{ base: 12, md: 6 }}>
            <Stack gap="sm">
              <TextInput
                name="name"
                label="What you call it"
                maxLength={120}
                defaultValue={typed?.name ?? open.name}
                error={problemAt(answered, "name")}
              />
              <Textarea
                name="printed"
                label="Its ingredients, as they are printed"
                rows={8}
                placeholder="Aqua, Sodium C14-16 Olefin Sulfonate, Cocamidopropyl Betaine, …"
                defaultValue={typed?.printed ?? open.printed}
                error={problemAt(answered, "printed")}
              />
              <SimpleGrid cols={{ base: 2, sm: 3 }} spacing="sm">
                <NumberField
                  name="price"
                  label="price"
                  unit={currency}
                  defaultValue={typed?.price ?? open.price}
                  error={problemAt(answered, "price")}
                />
                <NumberField
                  name="content"
                  label="for"
                  unit="g"
                  defaultValue={typed?.content ?? open.content}
                  error={problemAt(answered, "content")}
                />
                <TextInput name="container" label="container" maxLength={120} defaultValue={typed?.container ?? open.container} />
              </SimpleGrid>
              <Textarea name="note" label="note" rows={2} maxLength={2000} defaultValue={typed?.note ?? open.note} />
              <TextInput
                type="file"
                name="photo"
                label="photo, JPEG or PNG up to 5 MB"
                accept="image/jpeg,image/png"
                error={problemAt(answered, "photo")}
              />
              {hasPhoto && <img src={`/compare/products/${id}/photo`} alt={open.name} style={{ maxWidth: 240 }} loading="lazy" />}
            </Stack>
          </Grid.Col>
          <Grid.Col span={{ base: 12, md: 6 }}>
            <Stack gap="sm">
              <h2 style={{ margin: 0 }}>Measured</h2>
              <Text m={0}>The same way as your own: 10 % in water for pH, 1 % and ten shakes for foam.</Text>
              <ReadingFields usual={typed ?? open.readings} answered={answered} />
              <SimpleGrid cols={{ base: 2, sm: 3 }} spacing="sm">
                <NumberField
                  name="dryMatter"
                  label="stays when dried"
                  unit="%"
                  defaultValue={typed?.dryMatter ?? open.dryMatter}
                  description="2 g in a warm oven"
                  error={problemAt(answered, "dryMatter")}
                />
                <NativeSelect
                  name="clarity"
                  label="look"
                  defaultValue={typed?.clarity ?? open.clarity}
                  data={[{ value: "", label: "not looked at" }, ...clarityLooks]}
                />
              </SimpleGrid>
              <Group mt="sm">
                <Button type="submit" name="intent" value="save" h={44} loading={isBusy}>
                  Keep it
                </Button>
                {!isNew && (
                  <ConfirmButton
                    name="intent"
                    value="delete"
                    className={quiet.quiet}
                    question={`Delete ${open.name}?`}
                    consequence="What was measured of it goes with it. Your formulas stay."
                  >
                    Delete it
                  </ConfirmButton>
                )}
              </Group>
            </Stack>
          </Grid.Col>
        </Grid>
      </Form>
    </Frame>
  );
}

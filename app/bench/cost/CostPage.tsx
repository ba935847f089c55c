import { Button, Grid, Group, Stack, Text } from "@mantine/core";
import type { ContainerCost } from "@tensidrum/core/packaging";
import { written, writtenMass, writtenShort } from "@tensidrum/core/quantities";
import { Form, Link, useNavigation } from "react-router";
import { DataTable } from "../../components/DataTable";
import { FormError } from "../../components/FormError";
import { NumberField } from "../../components/NumberField";
import { PageHeader } from "../../components/PageHeader";
import { problemAt, sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { Frame } from "../../frame/Frame";
import { fillStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { useUnits } from "../../frame/units";
import { CostLayers } from "../../pictures/CostLayers/CostLayers";
import type { OpenCost } from "./cost.server";
import type { TypedWish } from "./wish.server";

interface CostPageProps {
  readonly open: OpenCost;
  readonly answered: FormAnswer<TypedWish> | null;
}

/** What a batch cost by the lots it took, what one container of it costs, and the price that leaves the margin. */
export function CostPage({ open, answered }: CostPageProps) {
  const { id, code, name, cost, layers, beside } = open;
  const { money } = useUnits();
  const [one] = cost.kinds;
  const isPriced = cost.materials.some(({ cost: of }) => of !== null);
  return (
    <Frame
      head={
        <>
          <PageHeader>Cost</PageHeader>
          <Text component="span" size="sm" c="var(--ink-2)">
            {name}, batch <strong>{code}</strong>
          </Text>
        </>
      }
      doors={
        <>
          <Link to={`/fill/${id}`}>Filling</Link>
          <Link to={`/bench/${id}/record`}>Record</Link>
        </>
      }
      line={<StationNav stations={fillStations(isPriced ? `${money(cost.total)} for ${code}` : "no prices yet")} />}
    >
      <title>{`Cost of ${code}, Tensidrum`}</title>
      <Grid gap="xl">
        <Grid.Col span={{ base: 12, md: 7 }}>
          <Stack gap="lg">
            {!isPriced && (
              <Text maw={560}>
                No lot this batch took has a price. Give the price of a pack on <Link to="/shelf">the Shelf</Link>, and it counts here.
              </Text>
            )}
            {isPriced && (
              <div>
                {cost.per100Grams !== null && (
                  <Text m={0} fz="var(--text-head)">
                    <strong>{money(cost.per100Grams)}</strong> for 100 g, {money(10 * cost.per100Grams)} for a kilo of content
                  </Text>
                )}
                <Text m={0} c="var(--ink-2)">
                  {sharedWords(open)}
                </Text>
              </div>
            )}
            {isPriced && cost.kinds.length > 0 && <Kinds kinds={cost.kinds} />}
            {cost.kinds.length === 0 && <Text>Nothing of it is filled for use yet.</Text>}
            <Materials open={open} />
            {cost.unpriced.length > 0 && <Text role="status">Without a price: {cost.unpriced.join(", ")}. It costs more than that.</Text>}
            {beside.length > 0 && <Beside open={open} />}
          </Stack>
        </Grid.Col>
        <Grid.Col span={{ base: 12, md: 5 }}>
          <Stack gap="lg">
            {isPriced && one !== undefined && layers.length > 0 && (
              <section aria-labelledby="layers-head">
                <h2 id="layers-head">Where the money goes</h2>
                <Text size="sm" c="var(--ink-2)">
                  one {one.name}, {money(one.each)}
                </Text>
                <CostLayers
                  layers={layers}
                  money={money}
                  label={`Of ${money(one.each)} for one ${one.name}: ${layers.map((layer) => `${layer.name} ${money(layer.cost)}`).join(", ")}`}
                />
                <Text size="sm">
                  {layers
                    .slice(0, 3)
                    .map(({ name: of, tenthPercent }) => `${of} a tenth dearer makes it ${written(tenthPercent, 1)} % dearer`)
                    .join("; ")}
                  .
                </Text>
              </section>
            )}
            <WishForm open={open} answered={answered} />
          </Stack>
        </Grid.Col>
      </Grid>
    </Frame>
  );
}

function sharedWords({ cost }: OpenCost): string {
  const { sharedOver, soldGrams, besidePercent } = cost;
  if (sharedOver === "in") return `Shared over ${writtenMass(soldGrams)} that was weighed: the yield is not known yet.`;
  const over = sharedOver === "filled" ? "in containers for use" : "of yield";
  const borne =
    besidePercent > 0.05 ? ` They bear ${written(besidePercent, 1)} % that was lost, sampled, tried, kept or is not filled.` : "";
  return `Shared over ${writtenMass(soldGrams)} ${over}.${borne}`;
}

function Kinds({ kinds }: { readonly kinds: readonly ContainerCost[] }) {
  const { money } = useUnits();
  const isCompared = kinds.some(({ ofShop }) => ofShop !== null);
  return (
    <DataTable isRuled>
      <caption>What one costs, and its price with the margin and the tax.</caption>
      <thead>
        <tr>
          <th scope="col">container</th>
          <th scope="col" data-number>
            content
          </th>
          <th scope="col" data-number>
            with bottle and label
          </th>
          <th scope="col" data-number>
            price
          </th>
          <th scope="col" data-number>
            with tax
          </th>
          {isCompared && (
            <th scope="col" data-number>
              of the shop’s
            </th>
          )}
        </tr>
      </thead>
      <tbody>
        {kinds.map(({ name, count, grams, content, each, price, priceWithTax, ofShop }) => (
          <tr key={name}>
            <th scope="row">
              {count} × {name} <small>{writtenShort(grams, 1)} g</small>
            </th>
            <td data-number>{money(content)}</td>
            <td data-number>
              <strong>{money(each)}</strong>
            </td>
            <td data-number>{money(price)}</td>
            <td data-number>{money(priceWithTax)}</td>
            {isCompared && <td data-number>{ofShop === null ? "" : `${written(100 * ofShop, 0)} %`}</td>}
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}

function Materials({ open: { cost } }: { readonly open: OpenCost }) {
  const { money, mass } = useUnits();
  return (
    <DataTable isRuled>
      <caption>What it took</caption>
      <thead>
        <tr>
          <th scope="col">material</th>
          <th scope="col">lot</th>
          <th scope="col" data-number>
            taken
          </th>
          <th scope="col" data-number>
            cost
          </th>
        </tr>
      </thead>
      <tbody>
        {cost.materials.map(({ name, code, grams, cost: of }, at) => (
          <tr key={`${name} ${code} ${at}`}>
            <th scope="row">{name}</th>
            <td>{code === "" ? "no lot" : code}</td>
            <td data-number>{mass(grams)}</td>
            <td data-number>{of === null ? "no price" : money(of)}</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <Sum what="materials" value={money(cost.materialsTotal)} />
        <Sum what="containers, at what they cost today" value={money(cost.containersTotal)} />
        {cost.labelsTotal > 0 && <Sum what="labels" value={money(cost.labelsTotal)} />}
        <Sum what="the batch" value={money(cost.total)} />
      </tfoot>
    </DataTable>
  );
}

function Sum({ what, value }: { readonly what: string; readonly value: string }) {
  return (
    <tr>
      <th scope="row" colSpan={3}>
        {what}
      </th>
      <td data-number>
        <strong>{value}</strong>
      </td>
    </tr>
  );
}

function Beside({ open: { id, beside } }: { readonly open: OpenCost }) {
  const { money } = useUnits();
  return (
    <DataTable isRuled>
      <caption>Batches of this formula beside each other, for 100 g of content</caption>
      <tbody>
        {beside.map(({ id: other, code, number, per100Grams }) => (
          <tr key={other}>
            <th scope="row">{other === id ? <strong>{code}</strong> : <Link to={`/fill/${other}/cost`}>{code}</Link>}</th>
            <td>version {number}</td>
            <td data-number>{per100Grams === null ? "no price" : money(per100Grams)}</td>
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}

function WishForm({ open, answered }: CostPageProps) {
  const { currency, money } = useUnits();
  const { state } = useNavigation();
  const typed = answered?.typed ?? open.typed;
  const field = (name: keyof TypedWish, label: string, unit: string) => (
    <NumberField name={name} label={label} unit={unit} w={150} defaultValue={typed[name]} error={problemAt(answered, name)} />
  );
  return (
    <section aria-labelledby="price-head">
      <h2 id="price-head">A price</h2>
      <Form method="post">
        <Stack gap="sm">
          <FormError>{sentenceAbove(answered)}</FormError>
          <Group gap="md" align="start">
            {field("label", "one label", currency)}
            {field("margin", "of the price stays", "%")}
            {field("tax", "tax on it", "%")}
            {field("shop", "a shop asks, 100 g", currency)}
          </Group>
          {open.product !== null && (
            <Text m={0} size="sm">
              Nothing typed: <Link to={`/compare/products/${open.product.id}`}>{open.product.name}</Link> stands in for the shop, at{" "}
              {money(open.product.per100Grams)} for 100 g.
            </Text>
          )}
          <Button type="submit" h={40} loading={state !== "idle"} disabled={!open.isKept} data-act="Work out the price">
            Keep it and work it out
          </Button>
          {!open.isKept && <Text size="sm">The formula of this batch was deleted: no price is kept for it.</Text>}
          <Text size="sm" c="var(--ink-2)">
            Your own time, power and rent are not in it. What you may sell, and at which tax, is for your authority to say.
          </Text>
        </Stack>
      </Form>
    </section>
  );
}

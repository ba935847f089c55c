import { Button, Stack, Text } from "@mantine/core";
import { written } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { DataTable } from "../../components/DataTable";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import { useUnits } from "../../frame/units";
import { shelfStations } from "../shelfStation";
import type { OpenShopping } from "./shopping.server";
import { orderWords } from "./ToBuy";

/** A column a phone has no room for. */
const WIDE = "mantine-visible-from-sm";

/** What to buy for the planned batches, to print and tick, by who sells it. */
export function ShoppingPage({ open: { groups } }: { readonly open: OpenShopping }) {
  const { money } = useUnits();
  return (
    <Frame
      head={<PageHeader>Shopping list</PageHeader>}
      doors={
        <>
          <Link to="/shelf/outlook">Outlook</Link>
          <a href="/shelf/shopping.csv" data-act="The list as CSV">
            As CSV
          </a>
          <Button h={36} onClick={() => window.print()} data-act="Print the list" data-key="p">
            Print
          </Button>
        </>
      }
      line={<StationNav stations={shelfStations(groups.length === 0 ? "all is there" : "something is lacking")} />}
    >
      <title>Shopping list, Tensidrum</title>
      {groups.length === 0 ? (
        <Text>
          Nothing is lacking for what is planned. <Link to="/shelf/outlook">Plan a batch</Link>
        </Text>
      ) : (
        <Stack gap="xl" maw={860}>
          {groups.map(({ supplier, rows, price, unpriced }) => (
            <section key={supplier} aria-label={supplier === "" ? "Nobody known" : supplier}>
              <h2>{supplier === "" ? "Wherever it is sold" : supplier}</h2>
              <DataTable isRuled>
                <thead>
                  <tr>
                    <th scope="col">
                      <span className="only-for-readers">bought</span>
                    </th>
                    <th scope="col">material</th>
                    <th scope="col" data-number className={WIDE}>
                      lacking
                    </th>
                    <th scope="col">by</th>
                    <th scope="col">order</th>
                    <th scope="col" data-number>
                      price
                    </th>
                    <th scope="col" data-no-print>
                      <span className="only-for-readers">receive</span>
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {rows.map((row) => (
                    <tr key={row.slug}>
                      <td aria-hidden>☐</td>
                      <th scope="row">{row.name}</th>
                      <td data-number className={WIDE}>
                        {written(row.grams, 1)} g
                      </td>
                      <td>{row.needed}</td>
                      <td>{orderWords(row.order === null ? row : { ...row, order: { ...row.order, supplier: "" } })}</td>
                      <td data-number>{row.order?.price == null ? "?" : money(row.order.price)}</td>
                      <td data-no-print>
                        <Link to={receiveAddress(row)} aria-label={`Receive ${row.name}`}>
                          Receive
                        </Link>
                      </td>
                    </tr>
                  ))}
                </tbody>
                <tfoot>
                  <tr>
                    <td />
                    <th scope="row" colSpan={4}>
                      together{unpriced > 0 && `, ${unpriced} without a price`}
                    </th>
                    <td data-number>
                      <strong>{money(price)}</strong>
                    </td>
                    <td data-no-print />
                  </tr>
                </tfoot>
              </DataTable>
            </section>
          ))}
        </Stack>
      )}
    </Frame>
  );
}

/** The form of a lot with what is known of the pack. */
function receiveAddress({ slug, order }: OpenShopping["groups"][number]["rows"][number]): string {
  const known =
    order === null
      ? {}
      : { grams: `${order.packGrams}`, supplier: order.supplier, price: order.packPrice === null ? "" : `${order.packPrice}` };
  return `/shelf/receive?${new URLSearchParams({ material: slug, ...known }).toString()}`;
}

import { Text } from "@mantine/core";
import { written, writtenMass } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { DataTable } from "../../components/DataTable";
import { useUnits } from "../../frame/units";
import type { OpenOutlook } from "./outlook.server";

type Row = OpenOutlook["toBuy"][number];

/** What is lacking for all that is planned, and the cheapest order for it. */
export function ToBuy({ rows }: { readonly rows: readonly Row[] }) {
  const { money } = useUnits();
  const total = rows.reduce((sum, { order }) => sum + (order?.price ?? 0), 0);
  const unpriced = rows.filter(({ order }) => order?.price == null).length;
  return (
    <section aria-labelledby="buy-head">
      <h2 id="buy-head">To buy</h2>
      {rows.length === 0 ? (
        <Text m={0}>Nothing: all that is planned is there.</Text>
      ) : (
        <>
          <DataTable isRuled>
            <thead>
              <tr>
                <th scope="col">material</th>
                <th scope="col" data-number>
                  lacking
                </th>
                <th scope="col">by</th>
                <th scope="col">order</th>
                <th scope="col" data-number>
                  price
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.slug}>
                  <th scope="row">
                    <Link to={`/shelf/${row.slug}`}>{row.name}</Link>
                  </th>
                  <td data-number>{written(row.grams, 1)} g</td>
                  <td>{row.needed}</td>
                  <td>
                    {orderWords(row)}. <Link to={`/shelf/${row.slug}/prices`}>{row.order === null ? "Add a price" : "Prices"}</Link>
                    {row.isMixture && (
                      <>
                        {" "}
                        or <Link to="/shelf/make/solution">make it here</Link>
                      </>
                    )}
                    {row.others.length > 0 && (
                      <Text component="small" display="block">
                        or{" "}
                        {row.others
                          .map((other) => `${packWords(other)}${other.price === null ? "" : `, ${money(other.price)}`}`)
                          .join("; ")}
                      </Text>
                    )}
                  </td>
                  <td data-number>{row.order?.price == null ? "?" : money(row.order.price)}</td>
                </tr>
              ))}
            </tbody>
            <tfoot>
              <tr>
                <th scope="row" colSpan={4}>
                  all together{unpriced > 0 && `, without ${unpriced === 1 ? "one that has" : `${unpriced} that have`} no price`}
                </th>
                <td data-number>
                  <strong>{money(total)}</strong>
                </td>
              </tr>
            </tfoot>
          </DataTable>
          <Text m="6px 0 0" c="var(--ink-2)">
            The cheapest of your typed prices and of packs you bought before, in whole packs.
          </Text>
        </>
      )}
    </section>
  );
}

type Order = NonNullable<Row["order"]>;

/** What to order, by whom it is sold where that is not said beside it. */
export function orderWords({ order }: Row): string {
  return order === null ? "no pack known" : packWords(order);
}

function packWords({ packs, packGrams, supplier, leastPacks }: Order): string {
  const least = packs === leastPacks && leastPacks > 1 ? ", fewer are not sold" : "";
  return `${packs} × ${writtenMass(packGrams)}${supplier === "" ? "" : ` from ${supplier}`}${least}`;
}

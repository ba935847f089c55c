import { Text } from "@mantine/core";
import { writtenMass } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { DataTable } from "../../components/DataTable";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { stationsSeenFrom } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { useUnits } from "../../frame/units";
import type { OpenVersionCosts } from "./costs.server";

/** What each version costs by the lots of today, beside each other. */
export function VersionCosts({ open: { formulaId, name, rows, product } }: { readonly open: OpenVersionCosts }) {
  const { money } = useUnits();
  const least = Math.min(
    ...rows.flatMap(({ per100Grams, unpriced }) => (per100Grams === null || unpriced.length > 0 ? [] : [per100Grams])),
  );
  return (
    <Frame
      head={<PageHeader>{`What ${name} costs`}</PageHeader>}
      doors={<Link to={`/sheet/${formulaId}`}>Back to the Sheet</Link>}
      line={
        <StationNav
          stations={stationsSeenFrom("sheet", {
            to: `/sheet/${formulaId}`,
            state: rows.length === 1 ? "one version" : `${rows.length} versions`,
            isAlarm: false,
          })}
        />
      }
    >
      <title>{`What ${name} costs, Tensidrum`}</title>
      <Text m="0 0 12px" maw={640} c="var(--ink-2)">
        Materials by the lots of today, the one that ends first of each. Containers, labels and loss come with a batch: its own page tells
        them.
      </Text>
      <DataTable isRuled>
        <thead>
          <tr>
            <th scope="col">version</th>
            <th scope="col" data-number>
              100 g
            </th>
            <th scope="col" data-number>
              batch as written
            </th>
            <th scope="col" className="mantine-visible-from-sm">
              dearest material
            </th>
            <th scope="col">without a price</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.number}>
              <th scope="row">
                <Link to={`/sheet/${formulaId}/${row.number}`}>v{row.number}</Link>
                {row.isDraft && " draft"}
                {row.note !== "" && (
                  <Text component="small" display="block">
                    {row.note}
                  </Text>
                )}
              </th>
              <td data-number>
                {row.per100Grams === null ? "?" : <strong>{money(row.per100Grams)}</strong>}
                {rows.length > 1 && row.per100Grams === least && row.unpriced.length === 0 && (
                  <Text component="small" display="block">
                    the cheapest
                  </Text>
                )}
              </td>
              <td data-number>
                {row.batch === null ? "?" : money(row.batch)}
                <Text component="small" display="block">
                  {writtenMass(row.batchGrams)}
                </Text>
              </td>
              <td className="mantine-visible-from-sm">
                {row.dearest === null ? "" : `${row.dearest.name}, ${money(row.dearest.cost)} in 100 g`}
              </td>
              <td>{row.unpriced.length === 0 ? "nothing" : `${row.unpriced.join(", ")}: it costs more than that.`}</td>
            </tr>
          ))}
        </tbody>
        {product !== null && (
          <tfoot>
            <tr>
              <th scope="row">
                <Link to={`/compare/products/${product.id}`}>{product.name}</Link>
                <Text component="small" display="block">
                  to come close to, as it is sold
                </Text>
              </th>
              <td data-number>
                <strong>{money(product.per100Grams)}</strong>
              </td>
              <td data-number>
                {money(product.price)}
                <Text component="small" display="block">
                  {writtenMass(product.contentGrams)}
                </Text>
              </td>
              <td className="mantine-visible-from-sm" />
              <td>Its container and its maker’s work are in it.</td>
            </tr>
          </tfoot>
        )}
      </DataTable>
    </Frame>
  );
}

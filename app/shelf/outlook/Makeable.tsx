import { Stack, Text } from "@mantine/core";
import { writtenMass } from "@tensidrum/core/quantities";
import { Fragment } from "react";
import { Link } from "react-router";
import { DataTable } from "../../components/DataTable";
import type { OpenOutlook } from "./outlook.server";

/** What can be made of what stands on the shelf now, and what is lacking for the rest. */
export function Makeable({ enough, less, lacking, of }: OpenOutlook["makeable"]) {
  const count = enough.length + less.length + lacking.length;
  return (
    <section aria-labelledby="makeable-head">
      <h2 id="makeable-head">What can I make now?</h2>
      <Stack gap="lg">
        <Text m={0} maw={640} c="var(--ink-2)">
          By the lots that are free, in date and not on hold. Water counts as there. What is planned above does not count.
        </Text>
        {of !== null && <Text m={0}>These are the {of} formulas changed last.</Text>}
        {count === 0 && (
          <Text m={0}>
            There is no formula yet. <Link to="/">Begin one on Today</Link>.
          </Text>
        )}
        <Rows title="Enough for the batch as written" rows={enough} />
        <Rows title="A smaller batch" rows={less} />
        <Rows title="Something is not there" rows={lacking} />
      </Stack>
    </section>
  );
}

/** A column a phone has no room for. */
const WIDE = "mantine-visible-from-sm";

function Rows({ title, rows }: { readonly title: string; readonly rows: OpenOutlook["makeable"]["enough"] }) {
  if (rows.length === 0) return null;
  return (
    <section aria-label={title}>
      <h3>{title}</h3>
      <DataTable isRuled>
        <thead>
          <tr>
            <th scope="col">formula</th>
            <th scope="col" data-number className={WIDE}>
              batch as written
            </th>
            <th scope="col" data-number>
              largest batch
            </th>
            <th scope="col">{rows[0]?.grams === 0 ? "lacks" : "used up by it"}</th>
            <th scope="col">
              <span className="only-for-readers">make it</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, name, number, batchGrams, grams, limitedBy, isFinal }) => (
            <tr key={id}>
              <th scope="row">
                <Link to={`/sheet/${id}`}>{name}</Link> <small>v{number}</small>
              </th>
              <td data-number className={WIDE}>
                {writtenMass(batchGrams)}
              </td>
              <td data-number>
                <strong>{grams === null ? "any" : grams === 0 ? "none" : writtenMass(roundedDown(grams))}</strong>
              </td>
              <td>
                {limitedBy.map((material, at) => (
                  <Fragment key={material.slug}>
                    {at > 0 && ", "}
                    <Link to={`/shelf/${material.slug}`}>{material.name}</Link>
                  </Fragment>
                ))}
              </td>
              <td>{grams !== 0 && (isFinal ? <Link to={`/bench/begin/${id}/${number}`}>Make it</Link> : "a draft")}</td>
            </tr>
          ))}
        </tbody>
      </DataTable>
    </section>
  );
}

/** To whole grams, downwards: what is promised is there. */
function roundedDown(grams: number): number {
  return grams >= 10 ? Math.floor(grams) : Math.floor(grams * 10) / 10;
}

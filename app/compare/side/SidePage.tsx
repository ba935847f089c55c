import { Button, Grid, Stack, Text } from "@mantine/core";
import { written } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { DataTable } from "../../components/DataTable";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { compareStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { useUnits } from "../../frame/units";
import { Nearness } from "../../pictures/Nearness/Nearness";
import classes from "./Side.module.css";
import { Slope } from "../../pictures/Slope/Slope";
import type { OpenSide } from "./side.server";
import type { SideRow } from "./sideView";

/** Versions, batches and products side by side: what differs, what it did, and how near it comes. */
export function SidePage({ open }: { readonly open: OpenSide }) {
  const { heads, lines, lineCount, fromLines, measured, looks, costs, steps, together, near, formulaId, name, query } = open;
  const { currency } = useUnits();
  const columns = heads.length + 1;
  return (
    <Frame
      head={
        <>
          <PageHeader>{name === "" ? "Side by side" : name}</PageHeader>
          <Text component="span" size="sm" c="var(--ink-2)">
            side by side
          </Text>
        </>
      }
      doors={
        <>
          <Link to="/compare">Choose others</Link>
          {formulaId !== null && <Link to={`/compare/rounds/${formulaId}`}>Its rounds</Link>}
          <a href={`/compare/side.csv?${query}`} data-act="Download the comparison as CSV">
            As CSV
          </a>
          <Button h={36} variant="outline" onClick={() => window.print()} data-act="Print the comparison" data-key="p">
            Print
          </Button>
        </>
      }
      line={<StationNav stations={compareStations(`${heads.length} side by side`)} />}
    >
      <title>{`${heads.map(({ title }) => title).join(", ")}, Compare, Tensidrum`}</title>
      <Grid gap="xl">
        <Grid.Col span={{ base: 12, md: 8 }}>
          <div className={classes.wide} tabIndex={0} role="region" aria-label="The comparison">
            <DataTable isRuled>
              <thead>
                <tr>
                  <th scope="col">
                    <small>what</small>
                  </th>
                  {heads.map(({ address, title, when }) => (
                    <th key={address} scope="col" data-number>
                      {title}
                      <Text component="small" display="block">
                        {when}
                      </Text>
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                <Part title="Lines" note={`${lines.length} of ${lineCount} differ, % w/w`} columns={columns} />
                {lines.map((row) => (
                  <Row key={row.key} row={row} heads={heads} none="none" />
                ))}
                <Part title="From the lines" note="" columns={columns} />
                {fromLines.map((row) => (
                  <Row key={row.key} row={row} heads={heads} none="" />
                ))}
                <Part title="Measured" note={measured.length === 0 ? "nothing yet" : "your own readings"} columns={columns} />
                {measured.map((row) => (
                  <Row key={row.key} row={row} heads={heads} none="–" />
                ))}
                {looks.length > 0 && (
                  <tr>
                    <th scope="row">look</th>
                    {looks.map((look, at) => (
                      <td key={at} data-number>
                        {look}
                      </td>
                    ))}
                  </tr>
                )}
                {costs.length > 0 && <Part title="Cost" note={currency} columns={columns} />}
                {costs.map((row) => (
                  <Row key={row.key} row={row} heads={heads} none="no price" />
                ))}
              </tbody>
            </DataTable>
          </div>
        </Grid.Col>
        <Grid.Col span={{ base: 12, md: 4 }}>
          <Stack gap="lg">
            {steps.map(({ title, changed, did }) => (
              <section key={title} aria-label={title}>
                <h2 style={{ margin: 0 }}>{title}</h2>
                <Text m="4px 0 0">{changed}</Text>
                {did !== "" && <Text m={0}>{did}</Text>}
              </section>
            ))}
            {together.map((words) => (
              <Text key={words} m={0} fw={650} role="note">
                {words}
              </Text>
            ))}
            {near !== null && (
              <section aria-labelledby="near-head">
                <h2 id="near-head">How near to it</h2>
                <Nearness {...near} />
                <Text m={0} size="sm">
                  The band is what you would hardly notice, a rule of thumb.
                </Text>
              </section>
            )}
          </Stack>
        </Grid.Col>
      </Grid>
    </Frame>
  );
}

function Part({ title, note, columns }: { readonly title: string; readonly note: string; readonly columns: number }) {
  return (
    <tr>
      <th scope="rowgroup" colSpan={columns}>
        <Text component="span" fz="var(--text-head)" fw={600}>
          {title}
        </Text>{" "}
        <small>{note}</small>
      </th>
    </tr>
  );
}

interface RowProps {
  readonly row: SideRow;
  readonly heads: OpenSide["heads"];
  /** What is said where there is nothing. */
  readonly none: string;
}

/** A reading of each; an arrow says where it went since the one before. */
function Row({ row: { name, unit, decimals, isEstimate, values }, heads, none }: RowProps) {
  const say = (value: number | null, isProduct: boolean): string => {
    if (value === null) return isProduct && none === "none" ? "" : none;
    return value === 0 && none === "none" ? "none" : written(value, decimals);
  };
  return (
    <tr>
      <th scope="row">
        {name} <small>{[unit, isEstimate ? "estimate" : ""].filter((word) => word !== "").join(", ")}</small>
      </th>
      {values.map((value, at) => (
        <td key={at} data-number>
          <Way before={heads[at]?.isProduct === true ? null : (values[at - 1] ?? null)} now={value} decimals={decimals} />
          {say(value, heads[at]?.isProduct === true)}
        </td>
      ))}
    </tr>
  );
}

interface WayProps {
  readonly before: number | null;
  readonly now: number | null;
  readonly decimals: number;
}

/** Where a value went since the one before it; what is written alike has not moved. */
function Way({ before, now, decimals }: WayProps) {
  if (before === null || now === null) return null;
  return <Slope before={before} now={written(before, decimals) === written(now, decimals) ? before : now} />;
}

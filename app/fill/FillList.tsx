import { Button, Grid, Stack, Text } from "@mantine/core";
import { written } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { DataTable } from "../components/DataTable";
import { PartLinks } from "../components/PartLinks";
import { PageHeader } from "../components/PageHeader";
import { Frame } from "../frame/Frame";
import { fillStations } from "../frame/stationNav/stations";
import { StationNav } from "../frame/stationNav/StationNav";
import type { OpenFill } from "./fillList.server";

/** What rests, what may be filled, and what was filled into which containers. */
export function FillList({ open: { waiting, filled, older, isNewest } }: { readonly open: OpenFill }) {
  const count = waiting.length === 0 ? "nothing to fill" : `${waiting.length} to fill`;
  return (
    <Frame
      head={<PageHeader>Fill</PageHeader>}
      doors={<Link to="/fill/containers">Containers</Link>}
      line={<StationNav stations={fillStations(count)} />}
    >
      <title>Fill, Tensidrum</title>
      <Stack gap="xl">
        {waiting.length === 0 && (
          <Text maw={560} fz="var(--text-head)" c="var(--ink-2)">
            Nothing waits to be filled. A batch comes here from <Link to="/bench">the bench</Link> when all but its last step is through.
          </Text>
        )}
        {waiting.map((batch) => (
          <Waiting key={batch.id} batch={batch} />
        ))}
        {filled.length > 0 && <FilledBatches batches={filled} />}
        <PartLinks of="batches" newest={isNewest ? null : "/fill"} older={older === null ? null : `/fill?behind=${older}`} />
      </Stack>
    </Frame>
  );
}

function Waiting({ batch }: { readonly batch: OpenFill["waiting"][number] }) {
  const { id, code, name, begun, toFillGrams, isYieldKnown, filled, planned, restsUntil } = batch;
  return (
    <Grid align="end" component="section" aria-label={code}>
      <Grid.Col span={{ base: 12, sm: 8 }}>
        <h2>
          <Link to={`/fill/${id}`}>{name}</Link>
        </h2>
        <Text>
          {code}, begun {begun}. {isYieldKnown ? "" : "About "}
          <strong>{written(toFillGrams, 1)} g</strong> {planned === 0 ? "to fill" : `to fill, ${filled} of ${planned} containers filled`}.
        </Text>
        {restsUntil !== null && (
          <Text>
            It rests until <strong>{restsUntil}</strong>.
          </Text>
        )}
      </Grid.Col>
      <Grid.Col span={{ base: 12, sm: 4 }}>
        <Button component={Link} to={`/fill/${id}`} h={44} variant={restsUntil === null ? "filled" : "outline"} data-act={`Fill ${code}`}>
          {filled > 0 ? "Go on filling" : restsUntil === null ? "Fill it" : "Look at it"}
        </Button>
      </Grid.Col>
    </Grid>
  );
}

function FilledBatches({ batches }: { readonly batches: OpenFill["filled"] }) {
  return (
    <DataTable isRuled>
      <caption>Filled</caption>
      <thead>
        <tr>
          <th scope="col">batch</th>
          <th scope="col">of</th>
          <th scope="col">containers</th>
          <th scope="col">left, g</th>
        </tr>
      </thead>
      <tbody>
        {batches.map(({ id, code, name, filled, counted, leftGrams }) => (
          <tr key={id}>
            <th scope="row">
              <Link to={`/fill/${id}`}>{code}</Link>
            </th>
            <td>{name}</td>
            <td>{filled > 0 ? filled : counted.join(", ")}</td>
            <td>{filled > 0 ? written(leftGrams, 1) : "not weighed"}</td>
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}

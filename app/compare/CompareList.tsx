import { Button, Checkbox, Grid, Group, Stack, Text } from "@mantine/core";
import { Form, Link } from "react-router";
import { DataTable } from "../components/DataTable";
import { PartLinks } from "../components/PartLinks";
import { PageHeader } from "../components/PageHeader";
import { Frame } from "../frame/Frame";
import { compareStations } from "../frame/stationNav/stations";
import { StationNav } from "../frame/stationNav/StationNav";
import type { OpenCompare } from "./compareList.server";

const addressOf = (behind: OpenCompare["behind"]): string => {
  const asked = Object.entries(behind).filter(([, id]) => id !== "");
  return `/compare?${new URLSearchParams(asked).toString()}`;
};

/** Choose what stands beside each other, or follow the rounds of one formula. */
export function CompareList({ open: { formulas, batches, products, behind, older } }: { readonly open: OpenCompare }) {
  return (
    <Frame
      head={<PageHeader>Compare</PageHeader>}
      doors={
        <Link to="/compare/products/new" data-act="A new product to come close to">
          New product
        </Link>
      }
      line={<StationNav stations={compareStations("choose up to six")} />}
    >
      <title>Compare, Tensidrum</title>
      <Form method="get" action="/compare/side">
        <Grid gap="xl">
          <Grid.Col span={{ base: 12, md: 7 }}>
            <section aria-labelledby="formulas-head">
              <h2 id="formulas-head">Versions</h2>
              {formulas.length === 0 ? (
                <Text m={0}>
                  No formula yet. <Link to="/">Begin one on Today</Link>; its rounds stand here.
                </Text>
              ) : (
                <DataTable isRuled>
                  <tbody>
                    {formulas.map(({ id, name, count, versions }) => (
                      <tr key={id}>
                        <th scope="row">{name}</th>
                        <td>
                          <Group gap="md">
                            {versions.map(({ number, isDraft }) => (
                              <Checkbox
                                key={number}
                                name="of"
                                value={`v:${id}:${number}`}
                                label={`v${number}${isDraft ? ", draft" : ""}`}
                                aria-label={`${name}, v${number}`}
                              />
                            ))}
                          </Group>
                        </td>
                        <td data-number>
                          <Link to={`/compare/rounds/${id}`} aria-label={`Rounds of ${name}`}>
                            {count === 1 ? "one round" : `${count} rounds`}
                          </Link>
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </DataTable>
              )}
              <PartLinks
                of="formulas"
                newest={behind.formulas === "" ? null : addressOf({ ...behind, formulas: "" })}
                older={older.formulas === null ? null : addressOf({ ...behind, formulas: older.formulas })}
              />
            </section>
          </Grid.Col>
          <Grid.Col span={{ base: 12, md: 5 }}>
            <Stack gap="xl">
              <section aria-labelledby="products-head">
                <h2 id="products-head">To come close to</h2>
                {products.length === 0 && (
                  <Text m={0}>
                    None yet. <Link to="/compare/products/new">Keep the one you like</Link> with its printed list and what you measured of
                    it.
                  </Text>
                )}
                <Stack gap="sm">
                  {products.map(({ id, name, hasList, isMeasured }) => (
                    <Group key={id} gap="md" justify="space-between">
                      <Checkbox name="of" value={`p:${id}`} label={name} />
                      <Group gap="md">
                        {!isMeasured && <small>not measured yet</small>}
                        {hasList && (
                          <Link to={`/compare/products/${id}/list`} aria-label={`What the list of ${name} allows`}>
                            Its list
                          </Link>
                        )}
                        <Link to={`/compare/products/${id}`} aria-label={`Open ${name}`}>
                          Open
                        </Link>
                      </Group>
                    </Group>
                  ))}
                </Stack>
              </section>
              {batches.length > 0 && (
                <section aria-labelledby="batches-head">
                  <h2 id="batches-head">Finished batches</h2>
                  <Stack gap="sm">
                    {batches.map(({ id, code, name, finished }) => (
                      <Checkbox key={id} name="of" value={`b:${id}`} label={`${code}, ${name}, ${finished}`} />
                    ))}
                  </Stack>
                  <PartLinks
                    of="batches"
                    newest={behind.batches === "" ? null : addressOf({ ...behind, batches: "" })}
                    older={older.batches === null ? null : addressOf({ ...behind, batches: older.batches })}
                  />
                </section>
              )}
              <Button type="submit" h={44} style={{ alignSelf: "flex-start" }}>
                Side by side
              </Button>
            </Stack>
          </Grid.Col>
        </Grid>
      </Form>
    </Frame>
  );
}

import { Button, Grid, Group, NativeSelect, Progress, Stack, Text, TextInput, UnstyledButton } from "@mantine/core";
import { written, writtenShort } from "@tensidrum/core/quantities";
import { useMemo, useState } from "react";
import { Form, Link, useNavigation } from "react-router";
import { ChargeDot } from "../../components/ChargeDot";
import { DataTable } from "../../components/DataTable";
import { Fold } from "../../components/Fold";
import { FormError } from "../../components/FormError";
import { NumberField } from "../../components/NumberField";
import { PageHeader } from "../../components/PageHeader";
import quiet from "../../components/quiet.module.css";
import { Frame } from "../../frame/Frame";
import { sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { compareStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { ShareRange, ShareTicks } from "../../pictures/ShareRange/ShareRange";
import type { OpenList } from "./list.server";
import type { TypedList } from "./listForms.server";
import { listOf, phOf, pinOf, type KnownList } from "./listOf";
import { useUnmix } from "./useUnmix";

interface ListPageProps {
  readonly open: OpenList;
  readonly answered: FormAnswer<TypedList> | null;
}

/** What the order of a printed list allows, name by name: ranges, a typical value, and what the maker knows better. */
export function ListPage({ open, answered }: ListPageProps) {
  const { id, name, names } = open;
  return (
    <Frame
      head={
        <>
          <PageHeader>{name}</PageHeader>
          <Text component="span" size="sm" c="var(--ink-2)">
            from its printed list to percentages
          </Text>
        </>
      }
      doors={<Link to={`/compare/products/${id}`}>The product</Link>}
      line={<StationNav stations={compareStations(`a list of ${names.length}`)} />}
    >
      <title>{`${name}, printed list, Tensidrum`}</title>
      <FormError>{sentenceAbove(answered)}</FormError>
      {names.length === 0 ? (
        <Text>
          Nothing is printed yet. <Link to={`/compare/products/${id}`}>Paste its ingredients</Link>, then see what their order allows.
        </Text>
      ) : (
        <Read open={open} />
      )}
    </Frame>
  );
}

function Read({ open }: Pick<ListPageProps, "open">) {
  const { names, known, dryMatterPercent, profiles } = open;
  const [knows, setKnows] = useState<KnownList>({
    pins: Object.fromEntries(Object.entries(known.pins).map(([at, percent]) => [Number(at), String(percent)])),
    after: known.onePercentAfter,
    dryMatter: dryMatterPercent === null ? "" : String(dryMatterPercent),
    ph: open.ph === null ? "" : String(open.ph),
    active: profiles.find(({ slug }) => slug === open.profile)?.activePercent ?? null,
  });
  const [profile, setProfile] = useState(open.profile);
  const list = useMemo(() => listOf(names, knows), [names, knows]);
  const usual = useMemo(() => Object.fromEntries(names.flatMap((one) => (one.usual === null ? [] : [[one.name, one.usual]]))), [names]);
  const watch = useMemo(() => names.filter(({ mayContain }) => !mayContain).map(({ isCleanser }) => (isCleanser ? 1 : 0)), [names]);
  const ph = useMemo(() => phOf(names, knows.ph), [names, knows.ph]);
  const { state, isBusy, cancel } = useUnmix(list, { usual, watch, ph });
  const pin = (at: number, typed: string): void => setKnows((now) => ({ ...now, pins: { ...now.pins, [at]: typed } }));
  const certain = names.map((one, at) => ({ ...one, at })).filter(({ mayContain }) => !mayContain);
  const perhaps = names.filter(({ mayContain }) => mayContain);
  const total = (state?.ranges ?? []).reduce((sum, { typical }) => sum + typical, 0);
  return (
    <Grid gap="xl">
      <Grid.Col span={{ base: 12, md: 9 }}>
        {state !== null && !state.feasible && (
          <Stack gap={4} role="alert" mb="md" pl="md" style={{ borderLeft: "4px solid var(--signal)" }}>
            <Text m={0} fw={650}>
              {contradictionWords(state.contradicts) ?? state.text}
            </Text>
            <Text m={0}>Take one of them back, move the 1 % line, or say that it is something else.</Text>
          </Stack>
        )}
        <DataTable isRuled>
          <thead>
            <tr>
              <th scope="col">name, in printed order</th>
              <th scope="col">
                <ShareTicks />
              </th>
              <th scope="col" data-number>
                possible, %
              </th>
              <th scope="col" data-number>
                typical, %
              </th>
              <th scope="col">you know it, %</th>
            </tr>
          </thead>
          <tbody>
            {certain.map((one, place) => {
              const range = state?.ranges[place];
              const isPinned = pinOf(knows.pins[one.at]) !== null || one.printedPercent !== null;
              return (
                <tr key={one.at}>
                  <th scope="row">
                    {one.charge !== null && <ChargeDot charge={one.charge} />} {one.name}
                    {one.recognised !== null && <small> read as {one.recognised}</small>}
                    {one.usual === null && <small> not in the library, anything is possible</small>}
                    {knows.after === place && place < certain.length - 1 && (
                      <Text component="small" display="block" c="var(--water)" fw={650}>
                        at or under 1 % from here
                      </Text>
                    )}
                  </th>
                  <td>
                    {range !== undefined && <ShareRange {...range} isPinned={isPinned} onPin={(percent) => pin(one.at, String(percent))} />}
                  </td>
                  <td data-number>{range === undefined ? "" : `${writtenShort(range.min, 2)} to ${writtenShort(range.max, 2)}`}</td>
                  <td data-number>
                    <strong>{range === undefined ? "" : written(range.typical, range.typical < 0.1 ? 3 : 2)}</strong>
                  </td>
                  <td>
                    <TextInput
                      aria-label={`Pin of ${one.name}, %`}
                      inputMode="decimal"
                      autoComplete="off"
                      w={84}
                      value={knows.pins[one.at] ?? ""}
                      placeholder={one.printedPercent === null ? "" : String(one.printedPercent)}
                      onChange={(event) => pin(one.at, event.currentTarget.value)}
                      error={(knows.pins[one.at] ?? "") !== "" && pinOf(knows.pins[one.at]) === null ? "0 to 100" : undefined}
                    />
                  </td>
                </tr>
              );
            })}
          </tbody>
          {state?.feasible === true && (
            <tfoot>
              <tr>
                <th scope="row">
                  {certain.length} names, {certain.filter((one) => one.usual === null).length} not in the library
                </th>
                <td />
                <td />
                <td data-number>
                  <strong>{written(total, 2)}</strong>
                </td>
                <td />
              </tr>
            </tfoot>
          )}
        </DataTable>
        {perhaps.length > 0 && (
          <Text>May contain: {perhaps.map((one) => one.name).join(", ")}. They stand in no order and are left out.</Text>
        )}
      </Grid.Col>
      <Grid.Col span={{ base: 12, md: 3 }}>
        <Stack gap="md">
          <Settled state={state} isBusy={isBusy} cancel={cancel} />
          <NativeSelect
            label="it is"
            value={profile}
            onChange={(event) => {
              const slug = event.currentTarget.value;
              const found = profiles.find((one) => one.slug === slug);
              setProfile(slug);
              setKnows({ ...knows, active: found?.activePercent ?? null });
            }}
            description={
              knows.active === null
                ? "any active matter is possible"
                : `so its active matter is taken as ${writtenShort(knows.active.low, 1)} to ${writtenShort(knows.active.high, 1)} %`
            }
            data={[...profiles.map(({ slug, name }) => ({ value: slug, label: name })), { value: "", label: "anything" }]}
          />
          <NativeSelect
            label="at or under 1 % after"
            value={knows.after === null ? "" : String(knows.after)}
            onChange={(event) => setKnows({ ...knows, after: event.currentTarget.value === "" ? null : Number(event.currentTarget.value) })}
            data={[
              { value: "", label: "not known" },
              ...certain.slice(0, -1).map((one, place) => ({ value: String(place), label: one.name })),
            ]}
          />
          <NumberField
            label="stays when it is dried"
            unit="%"
            value={knows.dryMatter}
            onChange={(event) => setKnows({ ...knows, dryMatter: event.currentTarget.value })}
            description="2 g in a warm oven narrow all of them"
          />
          <NumberField
            label="its pH, on a 10 % dilution"
            value={knows.ph}
            onChange={(event) => setKnows({ ...knows, ph: event.currentTarget.value })}
            description={phWords(state)}
          />
          <Send open={open} knows={knows} state={state} profile={profile} />
        </Stack>
      </Grid.Col>
    </Grid>
  );
}

/** Demands that exclude each other; null where they are not known. */
function contradictionWords(demands: readonly string[]): string | null {
  const [first, ...others] = demands;
  if (first === undefined) return null;
  return others.length === 0 ? `${first}: that does not suit the printed order.` : `These exclude each other: ${demands.join("; ")}.`;
}

/** What its pH says of the recipes. */
function phWords(state: ReturnType<typeof useUnmix>["state"]): string {
  const byPh = state?.byPh ?? null;
  if (byPh === null) return "tells of the acids and bases in it";
  const { isUsed, fitting, tried } = byPh;
  const of = `${Math.round(fitting).toLocaleString("en-GB")} of ${tried.toLocaleString("en-GB")} recipes come out near it (estimate)`;
  return isUsed ? `${of}: typical is theirs` : `only ${of}: typical is of all`;
}

/** How far it is read, and what cleans in it. */
function Settled({ state, isBusy, cancel }: ReturnType<typeof useUnmix>) {
  if (state === null) return <Text m={0}>Reading the list …</Text>;
  if (!state.feasible) return null;
  const { watched, spread, samples, done } = state;
  return (
    <Stack gap={6} role="status">
      {watched !== null && watched.high > 0 && (
        <Text m={0}>
          <strong>
            {written(watched.low, 1)} to {written(watched.high, 1)} %
          </strong>{" "}
          active matter, nine times of ten (estimate)
        </Text>
      )}
      {isBusy ? (
        <>
          <Progress value={done * 100} aria-label="How far the list is read" />
          <Group gap="sm">
            <Text m={0}>Trying recipes that fit …</Text>
            <UnstyledButton className={quiet.quiet} onClick={cancel}>
              Stop here
            </UnstyledButton>
          </Group>
        </>
      ) : (
        <Fold summary={state.converged ? "typical: estimate" : "typical: rough, not settled"}>
          <Text m="4px 0" size="sm">
            The bars hold for certain, if the list is honest and the usual doses fit. Typical is the mean of{" "}
            {samples.toLocaleString("en-GB")} recipes that fit, each as likely as the next; four searches agree to a factor of{" "}
            {spread === null ? "none yet" : written(spread, 2)} (1 is perfect).
          </Text>
        </Fold>
      )}
    </Stack>
  );
}

/** Keeps what is known, or sends the typical recipe to a new sheet. */
function Send({
  open,
  knows,
  state,
  profile,
}: {
  readonly open: OpenList;
  readonly knows: KnownList;
  readonly state: ReturnType<typeof useUnmix>["state"];
  readonly profile: string;
}) {
  const isBusy = useNavigation().state !== "idle";
  const { names } = open;
  let place = -1;
  const percents = names.map(({ mayContain }) => {
    if (mayContain) return "0";
    place += 1;
    return (state?.ranges[place]?.typical ?? 0).toFixed(4);
  });
  return (
    <Form method="post">
      <Stack gap="sm">
        {names.map((_, at) => (
          <span key={at} hidden>
            <input type="hidden" name="pins" value={pinOf(knows.pins[at]) === null ? "" : String(pinOf(knows.pins[at]))} />
            <input type="hidden" name="percents" value={percents[at]} />
          </span>
        ))}
        <input type="hidden" name="after" value={knows.after ?? ""} />
        <input type="hidden" name="dryMatter" value={pinOf(knows.dryMatter) ?? ""} />
        <input type="hidden" name="ph" value={pinOf(knows.ph) ?? ""} />
        <input type="hidden" name="profile" value={profile} />
        <Button type="submit" name="intent" value="send" h={44} loading={isBusy} disabled={state?.feasible !== true}>
          Send to a new sheet
        </Button>
        <Button type="submit" name="intent" value="keep" h={36} variant="outline" disabled={isBusy}>
          Keep what I know
        </Button>
        <Text m={0} size="sm">
          Each name by a material that brings it, from your lots first; salt and water hidden in the bottles are taken off.
        </Text>
      </Stack>
    </Form>
  );
}

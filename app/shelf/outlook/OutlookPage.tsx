import { Grid, Group, Stack, Text, TextInput, UnstyledButton } from "@mantine/core";
import { written, writtenMass } from "@tensidrum/core/quantities";
import { Form, Link, useNavigation } from "react-router";
import { DataTable } from "../../components/DataTable";
import { Fold } from "../../components/Fold";
import { FormError } from "../../components/FormError";
import { PageHeader } from "../../components/PageHeader";
import quiet from "../../components/quiet.module.css";
import { Frame } from "../../frame/Frame";
import { sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { StationNav } from "../../frame/stationNav/StationNav";
import { shelfStations } from "../shelfStation";
import { Makeable } from "./Makeable";
import type { OpenOutlook } from "./outlook.server";
import type { TypedPlan } from "./outlookForms.server";
import { PlanForm } from "./PlanForm";
import { ToBuy } from "./ToBuy";

interface OutlookPageProps {
  readonly open: OpenOutlook;
  readonly answered: FormAnswer<TypedPlan> | null;
}

/** What is planned, what it lacks, what ends unused, and what can be made of what is there. */
export function OutlookPage({ open, answered }: OutlookPageProps) {
  const { plans, toBuy, expiring, makeable } = open;
  const state = plans.length === 0 ? "nothing planned" : toBuy.length === 0 ? "all is there" : `${toBuy.length} to buy`;
  return (
    <Frame
      head={<PageHeader>Outlook</PageHeader>}
      doors={
        <>
          <Link to="/shelf">Shelf</Link>
          <a href="/shelf/outlook.ics" data-act="Planned batches as a calendar">
            Calendar
          </a>
          <Link to="/shelf/shopping" data-act="The shopping list" data-key="l">
            Shopping list
          </Link>
        </>
      }
      line={<StationNav stations={shelfStations(state, toBuy.length > 0)} />}
    >
      <title>Outlook, Tensidrum</title>
      <FormError>{answered?.typed.intent === "plan" ? null : sentenceAbove(answered)}</FormError>
      <Grid gap="xl">
        <Grid.Col span={{ base: 12, md: 8 }}>
          <Stack gap="xl">
            <Planned plans={plans} />
            {plans.length > 0 && <ToBuy rows={toBuy} />}
            <Expiring rows={expiring} />
          </Stack>
        </Grid.Col>
        <Grid.Col span={{ base: 12, md: 4 }}>
          <PlanForm open={open} answered={answered?.typed.intent === "plan" ? answered : null} />
        </Grid.Col>
        <Grid.Col span={12}>
          <Makeable {...makeable} />
        </Grid.Col>
      </Grid>
    </Frame>
  );
}

/** A column a phone has no room for. */
const WIDE = "mantine-visible-from-sm";

function Planned({ plans }: { readonly plans: OpenOutlook["plans"] }) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <section aria-labelledby="planned-head">
      <h2 id="planned-head">Planned batches</h2>
      {plans.length === 0 ? (
        <Text m={0}>None yet. Plan one, and it says here what will be lacking.</Text>
      ) : (
        <DataTable isRuled>
          <thead>
            <tr>
              <th scope="col">day</th>
              <th scope="col">what</th>
              <th scope="col" data-number>
                size
              </th>
              <th scope="col" className={WIDE}>
                lacks
              </th>
              <th scope="col">
                <span className="only-for-readers">what to do</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {plans.map(({ id, day, plannedOn, isLate, formulaId, number, state, name, grams, note, lacks }) => (
              <tr key={id}>
                <th scope="row">
                  {day}
                  {isLate && (
                    <Text component="small" display="block" c="var(--signal)">
                      was due
                    </Text>
                  )}
                </th>
                <td>
                  <Link to={`/sheet/${formulaId}/${number}`}>{name}</Link> <small>v{number}</small>
                  {lacks.length > 0 && (
                    <Text component="small" display="block" hiddenFrom="sm">
                      lacks {lacks.map((one) => one.name).join(", ")}
                    </Text>
                  )}
                  {note !== "" && (
                    <Text component="small" display="block">
                      {note}
                    </Text>
                  )}
                </td>
                <td data-number>{writtenMass(grams)}</td>
                <td className={WIDE}>
                  {lacks.length === 0 ? "nothing" : lacks.map((one) => `${one.name} ${written(one.grams, 1)} g`).join(", ")}
                </td>
                <td>
                  {state === "final" ? (
                    <Link to={`/bench/begin/${formulaId}/${number}?grams=${grams}&plan=${id}`}>Make it</Link>
                  ) : (
                    "a draft"
                  )}{" "}
                  <Fold summary="Change">
                    <Form method="post">
                      <input type="hidden" name="id" value={id} />
                      <TextInput type="date" name="on" defaultValue={plannedOn} aria-label={`Day of ${name}`} />
                      <Group gap="sm" mt={6}>
                        <UnstyledButton type="submit" name="intent" value="move" className={quiet.quiet} disabled={isBusy}>
                          Move it
                        </UnstyledButton>
                        <UnstyledButton
                          type="submit"
                          name="intent"
                          value="drop"
                          className={quiet.quiet}
                          disabled={isBusy}
                          aria-label={`Drop the plan of ${name}`}
                        >
                          Drop
                        </UnstyledButton>
                      </Group>
                    </Form>
                  </Fold>
                </td>
              </tr>
            ))}
          </tbody>
        </DataTable>
      )}
    </section>
  );
}

function Expiring({ rows }: { readonly rows: OpenOutlook["expiring"] }) {
  if (rows.length === 0) return null;
  return (
    <section aria-labelledby="expiring-head">
      <h2 id="expiring-head">Ends before it is used</h2>
      <DataTable isRuled>
        <thead>
          <tr>
            <th scope="col">lot</th>
            <th scope="col" data-number>
              left over
            </th>
            <th scope="col">ends</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, slug, name, code, grams, ends, isPast }) => (
            <tr key={id}>
              <th scope="row">
                <Link to={`/shelf/${slug}`}>{name}</Link> <small>{code}</small>
              </th>
              <td data-number>{written(grams, 1)} g</td>
              <td>
                {isPast ? <strong>ended</strong> : "on"} {ends}
              </td>
            </tr>
          ))}
        </tbody>
      </DataTable>
    </section>
  );
}

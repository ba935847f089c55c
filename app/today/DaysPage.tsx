import { Button, Group, Stack, Text, TextInput } from "@mantine/core";
import { Form, Link, useNavigation } from "react-router";
import { DataTable } from "../components/DataTable";
import { PageHeader } from "../components/PageHeader";
import { Frame } from "../frame/Frame";
import { stationsSeenFrom } from "../frame/stationNav/stations";
import { StationNav } from "../frame/stationNav/StationNav";
import type { OpenDays } from "./days.server";
import classes from "./DaysPage.module.css";

interface DaysPageProps {
  readonly open: OpenDays;
  /** Of the calendar feed, when it was made just now. */
  readonly address: string | null;
}

const WEEK = 7;

/** A week to print or a month: what rests, what is to be looked at and made, what ends. */
export function DaysPage({ open, address }: DaysPageProps) {
  const { span, title, before, after, days } = open;
  const weeks = Array.from({ length: days.length / WEEK }, (_, at) => days.slice(at * WEEK, (at + 1) * WEEK));
  return (
    <Frame
      head={
        <>
          <PageHeader>The coming days</PageHeader>
          <Text component="span" size="sm" c="var(--ink-2)">
            {title}
          </Text>
        </>
      }
      doors={
        <>
          <Link to={`/days?span=${span}&of=${before}`}>Before</Link>
          <Link to={`/days?span=${span}&of=${after}`}>After</Link>
          <Link to={span === "week" ? "/days?span=month" : "/days"}>{span === "week" ? "The month" : "The week"}</Link>
          <a href="/days.ics" data-act="Download the coming days as a calendar">
            As calendar
          </a>
          <Button h={36} variant="outline" onClick={() => window.print()} data-act="Print the coming days" data-key="p">
            Print
          </Button>
        </>
      }
      line={<StationNav stations={stationsSeenFrom(null, { to: "/sheet", state: "your formulas", isAlarm: false })} />}
    >
      <title>{`${title}, The coming days, Tensidrum`}</title>
      {!open.hasItems && <Text>Nothing falls on these days. Plan a batch on the Shelf’s outlook, or put a sample aside on Watch.</Text>}
      {span === "week" ? (
        <ol className={classes.week}>
          {days.map((day) => (
            <li key={day.iso} data-today={day.isToday || undefined}>
              <h2>{day.long}</h2>
              <Items day={day} />
            </li>
          ))}
        </ol>
      ) : (
        <div className={classes.wide} tabIndex={0} role="region" aria-label={`The month ${title}`}>
          <DataTable isRuled style={{ tableLayout: "fixed" }}>
            <thead>
              <tr>
                {["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"].map((name) => (
                  <th key={name} scope="col">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {weeks.map((week) => (
                <tr key={week[0]?.iso}>
                  {week.map((day) => (
                    <td
                      key={day.iso}
                      className={classes.day}
                      data-today={day.isToday || undefined}
                      data-outside={day.isOutside || undefined}
                    >
                      <small>{day.name.split(" ")[1]}</small>
                      <Items day={day} />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </DataTable>
        </div>
      )}
      <Feed since={open.feedSince} address={address} />
    </Frame>
  );
}

function Items({ day: { items } }: { readonly day: OpenDays["days"][number] }) {
  if (items.length === 0) return null;
  return (
    <ul className={classes.items}>
      {items.map(({ key, name, words, detail, to, isLate }) => (
        <li key={key} data-late={isLate || undefined}>
          <Link to={to}>{`${name}: ${words}`}</Link>
          <small>
            {detail}
            {isLate && ", was due"}
          </small>
        </li>
      ))}
    </ul>
  );
}

/** The address a calendar asks by itself: made, shown once, and revoked. */
function Feed({ since, address }: { readonly since: string | null; readonly address: string | null }) {
  const isBusy = useNavigation().state !== "idle";
  const whole = address === null || typeof location === "undefined" ? address : new URL(address, location.href).toString();
  return (
    <section aria-labelledby="feed-head" className={classes.feed}>
      <h2 id="feed-head">In your calendar</h2>
      <Stack gap="sm" maw={640}>
        <Text m={0}>
          {since === null
            ? "A calendar can ask for these days by itself. Whoever has its address can read them; you can revoke it."
            : `A calendar may ask since ${since}. The address is shown once; a new one takes its place.`}
        </Text>
        {whole !== null && (
          <TextInput
            label="Address for your calendar, shown this once"
            readOnly
            value={whole}
            onFocus={(event) => event.currentTarget.select()}
          />
        )}
        <Form method="post">
          <Group>
            <Button type="submit" name="intent" value="new" h={36} variant="outline" loading={isBusy}>
              {since === null ? "Make an address" : "Make a new address"}
            </Button>
            {since !== null && (
              <Button type="submit" name="intent" value="revoke" h={36} variant="subtle" disabled={isBusy}>
                Revoke it
              </Button>
            )}
          </Group>
        </Form>
      </Stack>
    </section>
  );
}

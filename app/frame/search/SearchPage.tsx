import { Button, Group, Text, TextInput } from "@mantine/core";
import { Form, Link } from "react-router";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../Frame";
import { stationsSeenFrom } from "../stationNav/stations";
import { StationNav } from "../stationNav/StationNav";
import { placesFor } from "./placesFor";
import type { SearchAnswer } from "./search.server";
import classes from "./SearchPage.module.css";

/** Everything that was found, with where and why; for whoever has no scripts, and for an address that can be kept. */
export function SearchPage({ answer: { wanted, results } }: { readonly answer: SearchAnswer }) {
  const pages = placesFor(wanted);
  return (
    <Frame
      head={<PageHeader>Search</PageHeader>}
      doors={<Link to="/">Today</Link>}
      line={<StationNav stations={stationsSeenFrom(null, { to: "/", state: "your formulas", isAlarm: false })} />}
    >
      <title>{wanted === "" ? "Search, Tensidrum" : `${wanted}, Search, Tensidrum`}</title>
      <Form method="get" role="search">
        <Group align="end" gap="sm" mb="lg">
          <TextInput name="q" label="search everything" defaultValue={wanted} w={360} autoComplete="off" />
          <Button type="submit" h={36}>
            Search
          </Button>
        </Group>
      </Form>
      {wanted === "" && <Text>Formulas, lines, notes, batches, entries, lots, codes, containers, checks, products and pages.</Text>}
      {wanted !== "" && results.length + pages.length === 0 && (
        <Text>Nothing says “{wanted}”. Try one word of it, a code, or the name of a material.</Text>
      )}
      <ul className={classes.found} aria-label="Found">
        {pages.map(({ to, words }) => (
          <li key={to}>
            <Link to={to}>{words}</Link> <small>page</small>
          </li>
        ))}
        {results.map(({ to, title, where, said }) => (
          <li key={`${to} ${where}`}>
            <Link to={to}>{title}</Link> <small>{where}</small>
            {said !== "" && <p>{said}</p>}
          </li>
        ))}
      </ul>
    </Frame>
  );
}

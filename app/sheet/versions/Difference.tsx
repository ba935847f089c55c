import { NativeSelect, UnstyledButton } from "@mantine/core";
import { Form, Link } from "react-router";
import { Frame } from "../../frame/Frame";
import { stationsSeenFrom } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { ComparisonTables } from "./ComparisonTables";
import classes from "./Difference.module.css";
import type { OpenedDifference } from "./openDifference.server";

/** Two versions side by side: only what differs, and what it did to each reading. */
export function Difference({ difference }: { readonly difference: OpenedDifference }) {
  const { formulaId, name, from, to, head, lines } = difference;
  const heads = { was: `v${from}`, now: `v${to}` };
  const isSame = head.length + lines.length === 0;
  return (
    <Frame
      head={
        <>
          <h1 className={classes.name}>{name}</h1>
          <span className={classes.what}>
            versions v{from} and v{to}
          </span>
        </>
      }
      doors={<Link to={`/sheet/${formulaId}`}>Back to the Sheet</Link>}
      line={
        <StationNav stations={stationsSeenFrom("sheet", { to: `/sheet/${formulaId}`, state: `v${from} and v${to}`, isAlarm: false })} />
      }
    >
      <title>{`${name}, v${from} and v${to}, Tensidrum`}</title>
      <Choice difference={difference} />
      {from === to && (
        <p className={classes.sentence}>There is only this version. Finalise it and make a new draft: then the two can be compared.</p>
      )}
      {from !== to && isSame && <p className={classes.sentence}>The two are the same.</p>}
      {!isSame && <ComparisonTables comparison={difference} heads={heads} />}
    </Frame>
  );
}

function Choice({ difference }: { readonly difference: OpenedDifference }) {
  const { formulaId, versions, from, to } = difference;
  const options = versions.map(({ number, state }) => (
    <option key={number} value={number}>
      v{number}
      {state === "draft" ? ", draft" : ""}
    </option>
  ));
  return (
    <Form method="get" action={`/sheet/${formulaId}/difference`} className={classes.choice}>
      <NativeSelect label="from" name="from" defaultValue={from} key={`from ${from}`}>
        {options}
      </NativeSelect>
      <NativeSelect label="to" name="to" defaultValue={to} key={`to ${to}`}>
        {options}
      </NativeSelect>
      <UnstyledButton type="submit">Compare</UnstyledButton>
    </Form>
  );
}

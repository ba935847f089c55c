import { Button } from "@mantine/core";
import { Form, Link, useNavigation } from "react-router";
import { Frame } from "../../frame/Frame";
import { stationsSeenFrom } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import type { OpenAsMade } from "./asMade.server";
import { ComparisonTables } from "./ComparisonTables";
import classes from "./Difference.module.css";

/** What was planned beside what was done, and the button that makes a new draft of it. */
export function AsMadePage({ asMade }: { readonly asMade: OpenAsMade }) {
  const { formulaId, batchId, code, number, name, draftNumber, leftOut, note, comparison } = asMade;
  const isBusy = useNavigation().state !== "idle";
  const isSame = comparison.head.length + comparison.lines.length === 0;
  return (
    <Frame
      head={
        <>
          <h1 className={classes.name}>{name}</h1>
          <span className={classes.what}>
            v{number} and {code}
          </span>
        </>
      }
      doors={
        <>
          <Link to={`/bench/${batchId}/record`}>The record</Link>
          <Link to={`/sheet/${formulaId}/${number}`}>v{number} on its Sheet</Link>
        </>
      }
      line={<StationNav stations={stationsSeenFrom("sheet", { to: `/sheet/${formulaId}`, state: `v${number}`, isAlarm: false })} />}
    >
      <title>{`${name}, v${number} and ${code}, Tensidrum`}</title>
      {isSame && <p className={classes.sentence}>It was made as planned, and no pH was read: nothing to take over.</p>}
      {leftOut.length > 0 && (
        <p className={classes.sentence}>No material of the library stands for {leftOut.join(", ")}; it is not in the new draft.</p>
      )}
      {draftNumber !== null ? (
        <p className={classes.sentence}>
          There is a draft already: <Link to={`/sheet/${formulaId}/${draftNumber}`}>v{draftNumber}</Link>. Finalise or delete it first.
        </p>
      ) : (
        <Form method="post" className={classes.choice}>
          <Button type="submit" h={44} variant="filled" disabled={isBusy} data-act="New draft with what was done">
            New draft with what was done
          </Button>
          <span>Its note: {note}</span>
        </Form>
      )}
      {!isSame && (
        <ComparisonTables areRounds={false} comparison={comparison} heads={{ was: `planned, v${number}`, now: `done, ${code}` }} />
      )}
    </Frame>
  );
}

import { Button } from "@mantine/core";
import { differencesOf } from "../typed/differences";
import type { TypedSheet } from "../typed/typedSheet";
import type { SaveStatus } from "./useAutosave";
import classes from "./SaveState.module.css";

interface SaveNoticeProps {
  readonly status: SaveStatus;
  readonly typed: TypedSheet;
  readonly nameOf: (materialId: string) => string;
  readonly onKeepMine: (revision: number) => void;
  readonly onTakeTheirs: (theirs: TypedSheet, revision: number) => void;
}

const MOST_SHOWN = 8;

/** What stands between the typed sheet and the database, with the ways out. */
export function SaveNotice({ status, typed, nameOf, onKeepMine, onTakeTheirs }: SaveNoticeProps) {
  if (status.kind === "away") {
    return (
      <div className={classes.notice} role="alert">
        <p>
          <strong>The database is away.</strong> What you typed is kept on this device, also over a reload. It is tried again every few
          seconds and saved as soon as the database is back.
        </p>
      </div>
    );
  }
  if (status.kind === "refused") {
    return (
      <div className={classes.notice} role="alert">
        <p>
          <strong>{status.message}</strong> {status.remedy}
        </p>
        <Button component="a" href="" variant="default" h={36}>
          Load the page again
        </Button>
      </div>
    );
  }
  if (status.kind !== "stale") return null;
  const differences = differencesOf(typed, status.theirs, nameOf);
  return (
    <div className={classes.notice} role="alert">
      <p>
        <strong>{status.message}</strong> Choose which one stands.
      </p>
      {differences.length > 0 && (
        <table>
          <thead>
            <tr>
              <th scope="col">where</th>
              <th scope="col">here</th>
              <th scope="col">other window</th>
            </tr>
          </thead>
          <tbody>
            {differences.slice(0, MOST_SHOWN).map(({ what, mine, theirs }) => (
              <tr key={what}>
                <td>{what}</td>
                <td>{mine}</td>
                <td>{theirs}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {differences.length > MOST_SHOWN && <p>and {differences.length - MOST_SHOWN} more</p>}
      <div className={classes.doors}>
        <Button h={36} onClick={() => onKeepMine(status.revision)}>
          Keep what stands here
        </Button>
        <Button h={36} variant="default" onClick={() => onTakeTheirs(status.theirs, status.revision)}>
          Take the other one
        </Button>
      </div>
    </div>
  );
}

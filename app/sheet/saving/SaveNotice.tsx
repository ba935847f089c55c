import { Button } from "@mantine/core";
import type { CellKey } from "../typed/cells";
import { differencesOf } from "../typed/differences";
import type { TypedSheet } from "../typed/typedSheet";
import { SAVE_NOTICE } from "./SaveState";
import type { SaveStatus } from "./saverState";
import { RETRY_MILLISECONDS, type SheetSaver } from "./sheetSaver";
import classes from "./SaveState.module.css";
import { DataTable } from "../../components/DataTable";

interface SaveNoticeProps {
  readonly status: SaveStatus;
  readonly typed: TypedSheet;
  readonly nameOf: (materialId: string) => string;
  readonly saver: SheetSaver;
}

const whyAway = {
  server: "The server cannot be reached.",
  database: "Database unavailable.",
  busy: "Tensidrum is busy just now.",
  disk: "The disk of the server is full.",
} as const;

function focusAfter(cell: CellKey): void {
  const asked = document.querySelector<HTMLElement>(`#${SAVE_NOTICE} button`);
  const lineId = /^line:([^:]+)/.exec(cell)?.[1];
  const field = lineId === undefined ? null : document.querySelector<HTMLElement>(`[data-percent-of="${lineId}"]`);
  (asked ?? field ?? document.getElementById("content"))?.focus();
}

/** What stands between the typed sheet and the database, with the ways out. */
export function SaveNotice({ status, typed, nameOf, saver }: SaveNoticeProps) {
  if (status.kind === "away") {
    return (
      <div id={SAVE_NOTICE} className={classes.notice} role="alert">
        <p>
          <strong>{whyAway[status.why]}</strong> What you typed is kept in this browser, also over a reload. Saving is tried again every{" "}
          {RETRY_MILLISECONDS / 1000} seconds.
        </p>
      </div>
    );
  }
  if (status.kind === "refused") {
    return (
      <div id={SAVE_NOTICE} className={classes.notice} role="alert">
        <p>
          <strong>{status.message}</strong> {status.remedy}
        </p>
        <Button component="a" href="" variant="default" h={36}>
          Load the page again
        </Button>
      </div>
    );
  }
  if (status.kind !== "conflict") return null;
  const { cells, theirs } = status;
  const differences = differencesOf(typed, theirs, nameOf);
  const questions = cells.map((cell) => ({
    what: cell,
    mine: "as here",
    theirs: "as there",
    ...differences.find(({ key }) => key === cell),
    cell,
  }));
  const choose = (chosen: readonly CellKey[], which: "mine" | "theirs") => {
    for (const cell of chosen) saver.choose(cell, which);
    // The button that was pressed is gone: the next question has the focus, or the cell that was asked about.
    requestAnimationFrame(() => focusAfter(chosen.at(-1) ?? ""));
  };
  return (
    <div id={SAVE_NOTICE} className={classes.notice} role="alert">
      <p>
        <strong>
          {cells.length === 1 ? "Another window changed the same cell." : `Another window changed the same ${cells.length} cells.`}
        </strong>{" "}
        Choose what stands. Everything else is merged.
      </p>
      <DataTable>
        <thead>
          <tr>
            <th scope="col">cell</th>
            <th scope="col">here</th>
            <th scope="col">other window</th>
          </tr>
        </thead>
        <tbody>
          {questions.map(({ cell, what, mine, theirs: other }) => (
            <tr key={cell}>
              <th scope="row">{what}</th>
              <td>
                <Button h={36} variant="default" onClick={() => choose([cell], "mine")} aria-label={`${what}: keep ${mine}`}>
                  {mine}
                </Button>
              </td>
              <td>
                <Button h={36} variant="default" onClick={() => choose([cell], "theirs")} aria-label={`${what}: take ${other}`}>
                  {other}
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </DataTable>
      {cells.length > 1 && (
        <div className={classes.doors}>
          <Button h={36} onClick={() => choose(cells, "mine")}>
            Keep all as here
          </Button>
          <Button h={36} variant="default" onClick={() => choose(cells, "theirs")}>
            Take all from the other window
          </Button>
        </div>
      )}
    </div>
  );
}

import { shownFormulaName } from "@tensidrum/core/formula";
import { listDueChecks } from "../../db/watch/queries.server";
import { currentMakerId, database } from "../../db/workplace.server";
import { calendarAnswer } from "../frame/calendar.server";
import { storageNames } from "./looks";

const MOST = 500;

/** Every check that is still to come or overdue, as whole days of a calendar. */
export async function checksCalendar(): Promise<Response> {
  const due = await listDueChecks(database(), currentMakerId(), MOST);
  const entries = due.map(({ id, dueOn, code, name, title, storage }) => ({
    id,
    when: dueOn,
    summary: `Look at ${code}, ${shownFormulaName(name)}: ${title}, ${storageNames[storage]}`,
  }));
  return calendarAnswer({ file: "checks.ics", name: "Checks of batches", part: "watch", entries });
}

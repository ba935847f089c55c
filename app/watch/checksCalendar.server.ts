import { shownFormulaName } from "@tensidrum/core/formula";
import ical from "ical-generator";
import { listDueChecks } from "../../db/watch/queries.server";
import { currentMakerId, database } from "../../db/workplace.server";
import { fileAnswer } from "../frame/fileAnswer.server";
import { storageNames } from "./looks";

const MOST = 500;

/** Every check that is still to come or overdue, as whole days of a calendar. */
export async function checksCalendar(): Promise<Response> {
  const due = await listDueChecks(database(), currentMakerId(), MOST);
  const calendar = ical({ name: "Checks of batches", prodId: { company: "tensidrum", product: "watch", language: "EN" } });
  for (const { id, dueOn, code, name, title, storage } of due) {
    const summary = `Look at ${code}, ${shownFormulaName(name)}: ${title}, ${storageNames[storage]}`;
    calendar.createEvent({ id, allDay: true, start: new Date(`${dueOn}T00:00:00`), summary });
  }
  return fileAnswer(calendar.toString(), { type: "text/calendar; charset=utf-8", name: "checks.ics" });
}

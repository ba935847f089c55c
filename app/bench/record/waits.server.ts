import { isRunning } from "@tensidrum/core/process";
import ical, { ICalAlarmType } from "ical-generator";
import { viewBatch } from "../batch/stored.server";
import { fileAnswer } from "../../frame/fileAnswer.server";

/** The waits of a batch that are still to come, as a calendar file: each with a reminder when it is over. */
export async function waitsCalendar(batchId: string): Promise<Response> {
  const { view } = await viewBatch(batchId);
  const calendar = ical({ name: `${view.code}, ${view.name}`, prodId: { company: "tensidrum", product: "bench", language: "EN" } });
  const now = new Date().toISOString();
  for (const wait of view.waits.filter((one) => isRunning(one, now))) {
    const until = new Date(wait.until);
    const event = calendar.createEvent({
      id: wait.id,
      start: until,
      end: wait.latest === null ? until : new Date(wait.latest),
      summary: `${view.code}: ${wait.text} is over`,
      description: `${view.name}. Resting since ${wait.from}.${wait.latest === null ? "" : " Continue before this time."}`,
    });
    event.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: wait.text });
  }
  return fileAnswer(calendar.toString(), { type: "text/calendar; charset=utf-8", name: `${view.code}.ics` });
}

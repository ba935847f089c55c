import { isRunning } from "@tensidrum/core/process";
import { viewBatch } from "../batch/stored.server";
import { calendarAnswer } from "../../frame/calendar.server";
import { writtenMoment } from "../../frame/dates.server";

/** The waits of a batch that are still to come, as a calendar file: each with a reminder when it is over. */
export async function waitsCalendar(batchId: string): Promise<Response> {
  const { view } = await viewBatch(batchId);
  const now = new Date().toISOString();
  const entries = view.waits
    .filter((one) => isRunning(one, now))
    .map((wait) => ({
      id: wait.id,
      when: { from: wait.until, until: wait.latest ?? wait.until },
      summary: `${view.code}: ${wait.text} is over`,
      description: `${view.name}. Resting since ${writtenMoment(wait.from)}.${wait.latest === null ? "" : " Continue before this time."}`,
      reminder: wait.text,
    }));
  return calendarAnswer({ file: `${view.code}.ics`, name: `${view.code}, ${view.name}`, part: "bench", entries });
}

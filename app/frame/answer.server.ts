import { Refusal, type RefusalKind } from "@tensidrum/core/quantities";
import { data } from "react-router";
import { describeFault } from "./describeFault.server";
import { isDatabaseAway, isDatabaseBusy, isDiskFull, isOvertaken, isUnstorable } from "../../db/failures.server";

const statusOf: Readonly<Record<RefusalKind, number>> = { "not-found": 404, "not-possible": 422, "not-valid": 422, conflict: 409 };

/** What a maker is told while too much is asked of the database at once. */
const busyWords = { message: "Tensidrum is busy just now.", remedy: "Load the page again in a moment." };
/** What a maker is told when nothing more can be stored. */
const diskFullWords = {
  message: "The disk of the machine that runs Tensidrum is full, so nothing was stored.",
  remedy: "Free some space there, then send it again. What you typed is still in this browser.",
};

const overtakenWords = {
  message: "Another window changed the same at this moment, so nothing was stored.",
  remedy: "Load the page again and repeat it.",
};
const unstorableWords = { message: "This cannot be stored as it was typed.", remedy: "Go back, look at the fields and send it again." };

/**
 * Wraps a loader or an action: a refusal becomes its page with message and remedy, a database that is busy, out of reach or
 * out of space the page that says so. Anything else is a fault and stays one.
 */
export function answer<Args, Result>(job: (args: Args) => Promise<Result>): (args: Args) => Promise<Result> {
  return async (args) => {
    try {
      return await job(args);
    } catch (error) {
      if (error instanceof Refusal) {
        throw data({ message: error.message, remedy: error.remedy }, { status: statusOf[error.kind] });
      }
      if (isDiskFull(error)) throw data(diskFullWords, { status: 507 });
      if (isDatabaseBusy(error)) throw data(busyWords, { status: 503 });
      if (isDatabaseAway(error)) throw data(null, { status: 503 });
      if (isOvertaken(error)) throw data(overtakenWords, { status: 409 });
      if (isUnstorable(error)) {
        // The reader of the form should have said so at its field.
        console.error(describeFault(error));
        throw data(unstorableWords, { status: 422 });
      }
      throw error;
    }
  };
}

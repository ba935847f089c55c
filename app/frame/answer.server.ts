import { Refusal, type RefusalKind } from "@tensidrum/core/formula";
import { data } from "react-router";
import { isDatabaseAway } from "../../db/failures.server";

const statusOf: Readonly<Record<RefusalKind, number>> = { "not-found": 404, "not-possible": 422, "not-valid": 422, conflict: 409 };

/**
 * Wraps a loader or an action: a refusal becomes its page with message and remedy, an unreachable database the page
 * that says so. Anything else is a fault and stays one.
 */
export function answer<Args, Result>(job: (args: Args) => Promise<Result>): (args: Args) => Promise<Result> {
  return async (args) => {
    try {
      return await job(args);
    } catch (error) {
      if (error instanceof Refusal) {
        throw data({ message: error.message, remedy: error.remedy }, { status: statusOf[error.kind] });
      }
      if (isDatabaseAway(error)) throw data(null, { status: 503 });
      throw error;
    }
  };
}

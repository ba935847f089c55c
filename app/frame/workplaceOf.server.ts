import { Refusal } from "@tensidrum/core/quantities";
import { makerOfSession } from "../../db/makers/queries.server";
import { zoneOfMachine, type Workplace } from "../../db/workplace.server";
import { answer } from "./answer.server";
import type { RequestOrigin } from "./requestContext.server";

/** What a request works with: the database, the maker whose session it belongs to, and the reader's time zone. */
export const workplaceOf = answer(async ({ state, place, zone }: RequestOrigin): Promise<Workplace> => {
  const known = state.makerOf.get(place) ?? (await makerOfSession(state.db, place));
  if (known === undefined) throw new Refusal("not-found", "Nobody works at this machine yet.", "Start Tensidrum again with bin/start.");
  state.makerOf.set(place, known);
  return { ...state, makerId: known, zone: zone !== undefined && isZone(zone) ? zone : zoneOfMachine() };
});

function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat("en", { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}
